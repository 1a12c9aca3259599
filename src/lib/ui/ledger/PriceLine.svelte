<script lang="ts">
  import { extent } from 'd3-array';
  import { scaleLinear, scaleTime } from 'd3-scale';
  import { curveStepAfter, line } from 'd3-shape';
  import type { PricePoint } from '../../core/money/price-history';
  import { formatMoney } from '../../core/money/format';
  import { dayWords } from '../shell/day-words';

  /** Prices of a part as they were seen, a step a sight; the last one stands out. */
  interface Props {
    points: readonly PricePoint[];
    currency: string;
    wide?: number;
    high?: number;
  }
  const { points, currency, wide = 84, high = 22 }: Props = $props();

  /** The cheapest of each day, oldest first. */
  const known = $derived(
    points
      .filter(({ ownMinor }) => ownMinor !== undefined)
      .sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : a.ownMinor! - b.ownMinor!))
      .filter(({ date }, index, all) => all[index - 1]?.date !== date)
  );
  const x = $derived.by(() => {
    const [first, last] = extent(known, ({ date }) => new Date(date));
    return scaleTime([first ?? new Date(0), last ?? new Date(1)], [3, wide - 4]);
  });
  const y = $derived.by(() => {
    const [least = 0, most = 1] = extent(known, ({ ownMinor }) => ownMinor!);
    return scaleLinear([least, Math.max(most, least + 1)], [high - 4, 4]);
  });
  const path = $derived(
    line<PricePoint>()
      .x(({ date }) => x(new Date(date)))
      .y(({ ownMinor }) => y(ownMinor!))
      .curve(curveStepAfter)(known) ?? ''
  );
  const last = $derived(known.at(-1));
  const words = $derived(
    known
      .map(({ date, ownMinor }) => `${formatMoney(ownMinor!, currency)} on ${dayWords(date)}`)
      .join(', ')
  );
</script>

{#if last && known.length > 1}
  <svg
    width={wide}
    height={high}
    viewBox="0 0 {wide} {high}"
    role="img"
    aria-label="Cheapest a day: {words}"
  >
    <path d={path} />
    <circle cx={x(new Date(last.date))} cy={y(last.ownMinor!)} r="2.6" />
  </svg>
{/if}

<style>
  path {
    fill: none;
    stroke: var(--hide);
    stroke-width: 1.6px;
  }

  circle {
    fill: var(--moss);
  }
</style>
