<script lang="ts">
  import type { Candidate } from '../../core/judge/candidates';
  import { fullName } from '../../core/model/gear';
  import { formatMoney } from '../../core/money/format';
  import Glyph from '../glyphs/Glyph.svelte';
  import { glyphOf } from '../glyphs/glyph-shapes';
  import { partGist } from './candidate-words';

  interface Props {
    candidate: Candidate;
    chosen: boolean;
    pinned: boolean;
    currency: string;
    id: string;
    /** Its place in the whole list, of which only what is in view is drawn. */
    place: number;
    of: number;
    startPx: number;
    measured: (node: HTMLDivElement) => void;
    onchoose: () => void;
    ontake: () => void;
  }
  const {
    candidate,
    chosen,
    pinned,
    currency,
    id,
    place,
    of,
    startPx,
    measured,
    onchoose,
    ontake
  }: Props = $props();
  const mostSaid = 2;
  const left = $derived(candidate.remainingMinor);
</script>

<!-- svelte-ignore a11y_click_events_have_key_events -->
<div
  {id}
  role="option"
  tabindex="-1"
  data-index={place}
  aria-posinset={place + 1}
  aria-setsize={of}
  style:transform="translateY({startPx}px)"
  use:measured
  aria-selected={chosen}
  class:chosen
  class:packed={candidate.packed}
  onclick={onchoose}
  ondblclick={ontake}
>
  <Glyph name={glyphOf(candidate.gear)} size={34} />
  <span class="name">
    <b>{fullName(candidate.gear)}</b>{candidate.packed ? ' · packed' : ''}{pinned
      ? ' · compared'
      : ''}
    <span class="gist">{partGist(candidate.gear)}</span>
  </span>
  <span class="chips">
    {#each candidate.settles.slice(0, mostSaid) as change (change.code + change.title)}<span
        class="chip good"
        title={change.title}>✓ {change.title}</span
      >{/each}
    {#if candidate.settles.length > mostSaid}<span class="chip good"
        >✓ {candidate.settles.length - mostSaid} more</span
      >{/if}
    {#each candidate.breaks.slice(0, mostSaid) as change (change.code + change.title)}<span
        class="chip bad"
        title={change.title}>✗ {change.title}</span
      >{/each}
    {#if candidate.breaks.length > mostSaid}<span class="chip bad"
        >✗ {candidate.breaks.length - mostSaid} more</span
      >{/if}
    {#each candidate.joins as join (join)}<span class="chip">+ {join}</span>{/each}
  </span>
  <span class="worth figures" title="Worth of the whole kit with it, once what stops it is settled"
    >{(candidate.merit.onceSettledHundredths / 100).toFixed(0)}</span
  >
  <span class="cost figures">
    <b>{formatMoney(candidate.trueCostMinor, currency, { short: true })}</b>
    <span class="gist">{candidate.joins.length > 0 ? 'with accessories' : 'true cost'}</span>
  </span>
  <span class="left figures" class:over={left < 0}
    >{formatMoney(Math.abs(left), currency, { short: true })} {left < 0 ? 'over' : 'left'}</span
  >
</div>

<style>
  div {
    position: absolute;
    top: 0;
    right: 0;
    left: 0;
    display: grid;
    grid-template-columns: 2.3rem minmax(9rem, 1.1fr) minmax(8rem, 1.4fr) 2.2rem 4.8rem 5rem;
    gap: 0.6rem;
    align-items: center;
    padding: 0.4rem 0.6rem;
    border-bottom: 1px dashed var(--line);
    cursor: pointer;
  }

  div.chosen {
    border-radius: 8px;
    background: var(--ochre-wash);
    box-shadow: inset 3px 0 0 var(--moss);
  }

  .name b {
    font-weight: 600;
  }

  .gist {
    display: block;
    color: var(--ink-soft);
    font-size: 0.75rem;
    font-weight: 400;
  }

  .chips {
    display: flex;
    flex-wrap: wrap;
    gap: 0.25rem;
    min-width: 0;
  }

  .chip {
    max-width: 13rem;
    padding: 0.02rem 0.5rem;
    overflow: hidden;
    border: 1px solid var(--tan-line);
    border-radius: 999px;
    font-size: 0.75rem;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .good {
    border-color: var(--moss);
    background: var(--moss-wash);
    color: var(--moss);
  }

  .bad {
    border-color: var(--brick);
    background: var(--brick-wash);
    color: var(--brick);
  }

  .worth,
  .cost b {
    font-family: var(--display);
    font-size: 1rem;
  }

  .cost b {
    font-weight: 600;
  }

  .worth,
  .cost,
  .left {
    text-align: right;
  }

  .left {
    color: var(--moss);
    font-weight: 600;
    white-space: nowrap;
  }

  .left.over {
    color: var(--brick);
  }

  @media (max-width: 700px) {
    div {
      grid-template-columns: 2.2rem 1fr auto;
    }

    .chips {
      grid-column: 2 / -1;
    }

    .worth {
      display: none;
    }

    .left {
      grid-column: 2 / -1;
      text-align: left;
    }
  }
</style>
