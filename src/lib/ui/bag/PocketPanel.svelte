<script lang="ts">
  import type { Snippet } from 'svelte';
  import { fullName } from '../../core/model/gear';
  import type { Pocket } from '../../core/model/pocket';
  import { formatMoney } from '../../core/money/format';
  import type { StatementLine } from '../../core/money/statement';
  import { startLineDrag } from '../drag/line-drag';
  import Glyph from '../glyphs/Glyph.svelte';
  import { glyphOf, longestSideMm } from '../glyphs/glyph-of';
  import type { PocketSummary } from './pocket-summary';

  interface Props {
    pocket: Pocket;
    lines: readonly StatementLine[];
    firmMinor: number;
    limitMinor: number | undefined;
    currency: string;
    summary: PocketSummary;
    large: boolean;
    /** What it says of the other scenes, shown where there is room. */
    elsewhere: readonly { scene: string; summary: PocketSummary }[];
    /** The picture of consequence. */
    picture?: Snippet;
  }
  const {
    pocket,
    lines,
    firmMinor,
    limitMinor,
    currency,
    summary,
    large,
    elsewhere,
    picture
  }: Props = $props();

  const inKit = $derived(lines.filter((line) => line.inKit));
  const most = $derived(large ? 3 : 3);
  const shown = $derived(inKit.slice(0, most));
  /** Drawn to one scale: the longest part fills the height there is. */
  const longest = $derived(
    Math.max(1, ...shown.map((line) => (line.gear && longestSideMm(line.gear)) ?? 0))
  );
  const tallest = $derived(large ? 78 : 52);
  const least = $derived(large ? 40 : 30);
  function sizeOf(line: StatementLine): number {
    const mm = line.gear && longestSideMm(line.gear);
    return Math.round(Math.max(least, tallest * Math.sqrt((mm ?? longest * 0.5) / longest)));
  }
  const overLimit = $derived(limitMinor !== undefined && firmMinor > limitMinor);
</script>

<a
  class="pocket {large ? 'large' : 'small'}"
  data-pocket={pocket}
  href="/satchel/{pocket}"
  style:--colour="var(--pocket-{pocket})"
>
  <span class="lip">
    <h3>{pocket}</h3>
    <span class="price figures" class:over={overLimit}>
      {formatMoney(firmMinor, currency, { short: true })}{limitMinor === undefined
        ? ''
        : ` of ${formatMoney(limitMinor, currency, { short: true })}`}
    </span>
  </span>
  <span class="inside">
    <span class="things">
      {#each shown as line (line.line.id)}
        <span
          class="thing"
          role="presentation"
          draggable="true"
          title="{line.gear
            ? fullName(line.gear)
            : line.line.gearId}: drag it onto a scene to use it there, or to Later"
          ondragstart={(event) => {
            event.stopPropagation();
            startLineDrag(event, line.line.id);
          }}
        >
          <Glyph
            name={line.gear ? glyphOf(line.gear) : 'small item'}
            size={sizeOf(line)}
            wash="color-mix(in srgb, var(--colour) 45%, var(--linen))"
          />
        </span>
      {:else}
        <span class="empty">Nothing in it yet</span>
      {/each}
    </span>
    {#if elsewhere.length > 0}
      <span class="elsewhere">
        {#each elsewhere as { scene, summary: other }, index (index)}
          <span class="scene" class:short={other.short}>
            <b>{scene}</b>
            <span>{other.left}{other.right ? `, ${other.right}` : ''}</span>
          </span>
        {/each}
      </span>
    {/if}
    {#if picture && large}<span class="picture">{@render picture()}</span>{/if}
  </span>
  <span class="names">
    {#each shown as line, index (line.line.id)}
      {index > 0 ? ' + ' : ''}<b
        >{line.gear
          ? large && index === 0
            ? fullName(line.gear)
            : line.gear.model
          : line.line.gearId}</b
      >{line.line.quantity > 1 ? ` × ${line.line.quantity}` : ''}{line.line.basis === 'used'
        ? ' used'
        : ''}{line.line.state === 'owned' ? ' owned' : ''}
    {/each}
    {inKit.length > most ? ` and ${inKit.length - most} more` : ''}
  </span>
  <span class="facts">
    <span>{summary.left}</span>
    <span class="soft">{summary.right}</span>
  </span>
  {#if summary.filled !== undefined}
    <span class="gauge" aria-hidden="true"
      ><span class:short={summary.short} style:width="{summary.filled * 100}%"></span></span
    >
  {/if}
</a>

<style>
  .thing {
    display: inline-flex;
    flex: 0 1 auto;
    min-width: 0;
    cursor: grab;
  }

  .thing :global(svg) {
    max-width: 100%;
  }

  /* What the other scenes get of it, where the pocket would stand half empty. */
  .elsewhere {
    display: none;
    gap: 0.3rem;
    flex: 1 1 9rem;
    align-content: center;
    min-width: 0;
    padding: 0 0.6rem;
    font-size: 0.75rem;
    line-height: 1.3;
  }

  .elsewhere .scene {
    display: grid;
    padding-left: 0.5rem;
    border-left: 3px solid var(--colour);
  }

  .elsewhere .short {
    border-left-color: var(--brick);
    border-left-style: double;
  }

  .elsewhere span span {
    color: var(--ink-soft);
  }

  @container pocket (min-width: 26rem) {
    .elsewhere {
      display: grid;
    }
  }

  .pocket {
    container: pocket / inline-size;
    position: relative;
    display: flex;
    flex-direction: column;
    gap: 0.25rem;
    padding: 0.5rem 0.8rem 0.65rem;
    border-radius: 10px 10px 20px 20px;
    background: var(--linen);
    color: var(--ink);
    text-decoration: none;
    box-shadow:
      inset 0 4px 0 var(--colour),
      0 3px 6px rgb(0 0 0 / 22%);
    transition:
      transform 140ms,
      box-shadow 140ms;
  }

  .pocket::after {
    content: '';
    position: absolute;
    inset: 9px 5px 5px;
    border: 1.2px dashed color-mix(in srgb, var(--colour) 45%, transparent);
    border-top: 0;
    border-radius: 0 0 16px 16px;
    pointer-events: none;
  }

  .pocket:hover {
    transform: translateY(-2px);
    box-shadow:
      inset 0 6px 0 var(--colour),
      0 6px 14px rgb(0 0 0 / 28%);
  }

  .pocket:focus-visible {
    outline: 3px solid var(--hide-ink);
  }

  .lip {
    display: flex;
    flex-wrap: wrap;
    gap: 0 0.4rem;
    align-items: baseline;
    justify-content: space-between;
    min-width: 0;
  }

  h3 {
    font-size: 1rem;
    overflow-wrap: normal;
  }

  h3::first-letter {
    text-transform: uppercase;
  }

  .price {
    color: var(--ink-soft);
    font-size: 0.8125rem;
    text-align: right;
  }

  .price.over {
    color: var(--brick);
    font-weight: 600;
  }

  .inside {
    display: flex;
    gap: 0.5rem;
    align-items: center;
    justify-content: space-between;
    flex: 1;
  }

  .large .inside {
    min-height: 5rem;
  }

  .small .inside {
    min-height: 3.4rem;
  }

  .things {
    display: flex;
    gap: 0.4rem;
    align-items: flex-end;
    min-width: 0;
    overflow: hidden;
  }

  .empty {
    color: var(--ink-soft);
    font-style: italic;
  }

  .picture {
    flex: none;
  }

  .names {
    font-size: 0.8125rem;
    line-height: 1.35;
    overflow-wrap: anywhere;
  }

  .names b {
    font-weight: 600;
  }

  .facts {
    display: flex;
    gap: 0.5rem;
    justify-content: space-between;
    padding-top: 0.3rem;
    border-top: 1px dashed var(--line);
    font-size: 0.8125rem;
  }

  .small .facts {
    font-size: 0.75rem;
  }

  .soft {
    flex: none;
    max-width: 60%;
    font-size: inherit;
    text-align: right;
  }

  .gauge {
    height: 5px;
    overflow: hidden;
    border-radius: 3px;
    background: var(--tan);
  }

  .gauge span {
    display: block;
    height: 100%;
    border-radius: 3px;
    background: var(--colour);
    transition: width 160ms;
  }

  .gauge .short {
    background: repeating-linear-gradient(
      -45deg,
      var(--brick) 0 4px,
      color-mix(in srgb, var(--brick) 70%, var(--linen)) 4px 6px
    );
  }
</style>
