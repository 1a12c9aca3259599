<script lang="ts">
  import { max } from 'd3-array';
  import { scaleLinear } from 'd3-scale';
  import type { Histogram } from '../../core/practise/histogram';

  /** How far the exposure is off, as a needle and as a histogram. */
  interface Props {
    offStops: number;
    histogram: Histogram;
    /** On the last level the needle is covered; the histogram stays. */
    metered: boolean;
  }
  const { offStops, histogram, metered }: Props = $props();
  const width = 320;
  const needle = scaleLinear([-3, 3], [20, width - 20]).clamp(true);
  const highest = $derived(max(histogram.bins) ?? 1);
  const bar = $derived(width / histogram.bins.length);
</script>

<div class="both">
  {#if metered}
    <svg
      {width}
      height="44"
      viewBox="0 0 {width} 44"
      role="img"
      aria-label="Meter: {Math.abs(offStops) < 0.05
        ? 'right'
        : `${Math.abs(offStops).toFixed(1)} stops ${offStops > 0 ? 'over' : 'under'}`}"
    >
      {#each [-3, -2, -1, 0, 1, 2, 3] as stop (stop)}
        <path d="M{needle(stop)} 8v{stop === 0 ? 16 : 9}" class="tick" />
        <text x={needle(stop)} y="40" text-anchor="middle">{stop > 0 ? `+${stop}` : stop}</text>
      {/each}
      <path
        d="M{needle(offStops)} 4l6 10h-12z"
        class="needle"
        class:off={Math.abs(offStops) > 1 / 3}
      />
    </svg>
  {:else}
    <p class="soft">On this level the meter is covered: go by the picture and the histogram.</p>
  {/if}
  <svg
    {width}
    height="60"
    viewBox="0 0 {width} 60"
    role="img"
    aria-label="Histogram: {histogram.clippedPercent.toFixed(
      0
    )} % white, {histogram.crushedPercent.toFixed(0)} % black"
  >
    {#each histogram.bins as count, index (index)}
      <rect
        x={index * bar}
        y={58 - (54 * count) / highest}
        width={bar - 0.6}
        height={(54 * count) / highest}
        class="bin"
        class:end={(index === 0 || index === histogram.bins.length - 1) && count > 0.01}
      />
    {/each}
    <path d="M0 58.5H{width}" class="tick" />
  </svg>
</div>

<style>
  .both {
    display: grid;
    gap: 0.3rem;
  }

  svg {
    max-width: 100%;
    height: auto;
  }

  .tick {
    stroke: var(--ink-soft);
  }

  .needle {
    fill: var(--moss);
  }

  .needle.off {
    fill: var(--brick);
  }

  .bin {
    fill: var(--pocket-body);
  }

  .bin.end {
    fill: var(--brick);
  }

  text {
    fill: var(--ink-soft);
    font-size: 11px;
  }
</style>
