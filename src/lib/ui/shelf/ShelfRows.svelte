<script lang="ts">
  import { statedElsewhere } from '../../core/money/priced-shelf';
  import { createVirtualizer } from '@tanstack/svelte-virtual';
  import { untrack } from 'svelte';
  import type { UnitSystem } from '../../core/model/project';
  import { fullName } from '../../core/model/gear';
  import { formatMoney } from '../../core/money/format';
  import { partGist } from '../chooser/candidate-words';
  import Glyph from '../glyphs/Glyph.svelte';
  import { glyphOf } from '../glyphs/glyph-of';
  import type { ShelfEntry } from './shelf-search';
  import { dayWords } from '../shell/day-words';

  /** The shelf as one walks along it: only what is in view is drawn, however long it is. */
  interface Props {
    entries: readonly ShelfEntry[];
    inBag: ReadonlySet<string>;
    own: ReadonlySet<string>;
    currency: string;
    units: UnitSystem;
    ontake: (gearId: string) => void;
  }
  const { entries, inBag, own, currency, units, ontake }: Props = $props();
  const ROW_PX = 62;
  let scroller = $state<HTMLDivElement>();
  const virtual = createVirtualizer<HTMLDivElement, HTMLDivElement>({
    count: untrack(() => entries.length),
    getScrollElement: () => scroller ?? null,
    estimateSize: () => ROW_PX,
    overscan: 8
  });
  $effect(() => {
    const count = entries.length;
    void scroller;
    untrack(() => $virtual.setOptions({ count, getScrollElement: () => scroller ?? null }));
  });
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div
  class="scroller"
  bind:this={scroller}
  tabindex="0"
  role="region"
  aria-label="Parts, {entries.length} of them"
>
  <ul style:height="{$virtual.getTotalSize()}px">
    {#each $virtual.getVirtualItems() as row (row.index)}
      {@const entry = entries[row.index]}
      {#if entry}
        {@const { gear } = entry}
        <li
          style:transform="translateY({row.start}px)"
          style:--colour="var(--pocket-{entry.pocket})"
        >
          <span class="tag" aria-hidden="true"></span>
          <Glyph name={glyphOf(gear)} size={38} />
          <a href="/shelf/{encodeURIComponent(gear.id)}">
            <b>{fullName(gear)}</b>{#if own.has(gear.id)}<span class="mark">my own</span
              >{/if}{#if inBag.has(gear.id)}<span class="mark bag">in the kit</span>{/if}
            <span class="gist">{partGist(gear, units)}</span>
          </a>
          <span class="prices figures">
            {#if gear.priceNew}
              <b>{formatMoney(gear.priceNew.likely, gear.priceNew.currency, { short: true })}</b>
              <span class="gist"
                >{statedElsewhere(gear.priceNew)
                  ? `from ${formatMoney(statedElsewhere(gear.priceNew)!.likely, statedElsewhere(gear.priceNew)!.currency, { short: true })}`
                  : gear.priceUsed
                    ? `used ${formatMoney(gear.priceUsed.likely, gear.priceUsed.currency, { short: true })}`
                    : dayWords(gear.priceNew.date)}</span
              >
            {:else}
              <span class="gist">no price in {currency}</span>
            {/if}
          </span>
          <button aria-label="Add {fullName(gear)} to kit" onclick={() => ontake(gear.id)}
            >Add to kit</button
          >
        </li>
      {/if}
    {/each}
  </ul>
</div>

<style>
  .scroller {
    height: min(68vh, 46rem);
    overflow-y: auto;
    border: 1px solid var(--line);
    border-radius: var(--round);
    background: var(--linen);
  }

  ul {
    position: relative;
  }

  li {
    position: absolute;
    top: 0;
    right: 0;
    left: 0;
    display: grid;
    grid-template-columns: 5px 2.6rem minmax(0, 1fr) 6.5rem auto;
    gap: 0.7rem;
    align-items: center;
    height: 62px;
    padding-right: 0.9rem;
    border-bottom: 1px dashed var(--line);
  }

  .tag {
    align-self: stretch;
    margin: 6px 0;
    border-radius: 0 4px 4px 0;
    background: var(--colour);
  }

  a {
    overflow: hidden;
    color: var(--ink);
    text-decoration: none;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  a:hover b {
    text-decoration: underline;
  }

  .gist {
    display: block;
    overflow: hidden;
    color: var(--ink-soft);
    font-size: 0.75rem;
    text-overflow: ellipsis;
  }

  .mark {
    margin-left: 0.5rem;
    padding: 0 0.45rem;
    border: 1px solid var(--tan-line);
    border-radius: 999px;
    font-size: 0.6875rem;
  }

  .mark.bag {
    border-color: var(--moss);
    color: var(--moss);
  }

  .prices {
    text-align: right;
  }

  .prices b {
    font-family: var(--display);
    font-size: 1rem;
    font-weight: 600;
  }

  button {
    padding: 0.25rem 0.8rem;
    border: 1.5px solid var(--moss);
    border-radius: 999px;
    background: transparent;
    color: var(--moss);
    font-size: 0.8125rem;
    font-weight: 600;
    cursor: pointer;
  }

  button:hover {
    background: var(--moss-wash);
  }

  @media (max-width: 700px) {
    li {
      grid-template-columns: 5px 2.2rem minmax(0, 1fr) auto;
    }

    li button {
      display: none;
    }
  }
</style>
