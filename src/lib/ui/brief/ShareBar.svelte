<script lang="ts">
  import type { Pocket } from '../../core/model/pocket';
  import { formatMoney } from '../../core/money/format';

  /**
   * Pocket limits as one stitched bar: drag a seam between two pockets and one gives what the other
   * takes; the school's split lies ghosted behind. Arrow keys move a seam as well.
   */
  interface Props {
    order: readonly Pocket[];
    /** What each pocket may hold, minor units, in the order. */
    limits: readonly number[];
    currency: string;
    onset: (changes: { pocket: Pocket; limitMinor: number }[]) => void;
  }
  const { order, limits, currency, onset }: Props = $props();
  /** Every pocket keeps so much width that a finger finds its seam; the rest goes by its share. */
  const LEAST_PX = 26;
  let bar = $state<HTMLDivElement>();
  /** Limits while a seam is dragged; kept when it is let go. */
  let dragged = $state<number[] | undefined>(undefined);
  const now = $derived(dragged ?? [...limits]);
  const whole = $derived(
    Math.max(
      1,
      now.reduce((sum, limit) => sum + limit, 0)
    )
  );
  const seams = $derived(
    order
      .slice(0, -1)
      .map((_, index) => now.slice(0, index + 1).reduce((sum, limit) => sum + limit, 0))
  );
  /** A step of the keys, and what a drag rounds to: a two-hundredth of the whole. */
  const step = $derived(Math.max(1, Math.round(whole / 200)));
  const money = (minor: number) => formatMoney(minor, currency, { short: true });

  /** The seam after pocket `at` moved to a place on the bar; its two pockets share what they had. */
  function moved(index: number, toMinor: number): number[] {
    const before = index === 0 ? 0 : seams[index - 1]!;
    const both = now[index]! + now[index + 1]!;
    const left = Math.min(both, Math.max(0, Math.round((toMinor - before) / step) * step));
    const next = [...now];
    next[index] = left;
    next[index + 1] = both - left;
    return next;
  }

  function keep(index: number, next: readonly number[]) {
    onset([
      { pocket: order[index]!, limitMinor: next[index]! },
      { pocket: order[index + 1]!, limitMinor: next[index + 1]! }
    ]);
  }

  function onpointerdown(event: PointerEvent) {
    (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
    dragged = [...now];
  }

  function onpointermove(event: PointerEvent, index: number) {
    if (!dragged || !bar) return;
    const box = bar.getBoundingClientRect();
    const kept = LEAST_PX * order.length;
    const along = event.clientX - box.left - LEAST_PX * (index + 1);
    dragged = moved(index, (along / Math.max(1, box.width - kept)) * whole);
  }

  function onpointerup(index: number) {
    if (dragged) keep(index, dragged);
    dragged = undefined;
  }

  function onkeydown(event: KeyboardEvent, index: number) {
    const by = { ArrowLeft: -step, ArrowRight: step, PageDown: -10 * step, PageUp: 10 * step }[
      event.key
    ];
    if (by === undefined) return;
    event.preventDefault();
    keep(index, moved(index, seams[index]! + by));
  }
</script>

<div class="bar" bind:this={bar}>
  {#each order as pocket, index (pocket)}
    <span
      class="part"
      style:flex="{now[index]! / whole} 0 {LEAST_PX}px"
      style:--colour="var(--pocket-{pocket})"
      data-pocket={pocket}
      title="{pocket}: {money(now[index]!)}">{now[index]! / whole > 0.11 ? pocket : ''}</span
    >
  {/each}
  {#each seams as seam, index (order[index])}
    <button
      type="button"
      class="seam"
      role="slider"
      aria-label="Seam between {order[index]} and {order[index + 1]}"
      aria-valuemin={0}
      aria-valuemax={Math.round((now[index]! + now[index + 1]!) / 100)}
      aria-valuenow={Math.round(now[index]! / 100)}
      aria-valuetext="{order[index]} {money(now[index]!)}, {order[index + 1]} {money(
        now[index + 1]!
      )}"
      style:left="calc({LEAST_PX * (index + 1)}px + {seam / whole} * (100% - {LEAST_PX *
        order.length}px))"
      {onpointerdown}
      onpointermove={(event) => onpointermove(event, index)}
      onpointerup={() => onpointerup(index)}
      onkeydown={(event) => onkeydown(event, index)}
    ></button>
  {/each}
</div>

<style>
  .bar {
    position: relative;
    display: flex;
    height: 1.9rem;
    border-radius: 6px;
    touch-action: none;
  }

  .part {
    overflow: hidden;
    padding-left: 0.4rem;
    background: var(--colour);
    color: var(--on-pocket);
    font-size: 0.6875rem;
    line-height: 1.9rem;
    white-space: nowrap;
    box-shadow:
      inset 0 0 0 0.5px rgb(255 255 255 / 50%),
      inset 0 3px 0 -1.5px rgb(255 255 255 / 30%);
  }

  .part[data-pocket='light'] {
    color: var(--on-pocket-light);
  }

  .seam {
    position: absolute;
    top: -0.2rem;
    bottom: -0.2rem;
    width: 24px;
    margin-left: -12px;
    padding: 0;
    border: 0;
    background: linear-gradient(
      90deg,
      transparent calc(50% - 2px),
      var(--linen) calc(50% - 2px) calc(50% + 2px),
      transparent calc(50% + 2px)
    );
    cursor: ew-resize;
  }

  .seam:focus-visible {
    outline: 2px solid var(--moss);
    outline-offset: 1px;
  }
</style>
