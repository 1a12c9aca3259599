<script lang="ts">
  import { figureOf, type FigureRecord } from '../../core/figures/record';

  /** Stops of neutral density the bright end wants against what the filter takes. */
  const { record }: { record: FigureRecord } = $props();
  const need = $derived(figureOf(record, 'densityNeeded'));
  const most = $derived(figureOf(record, 'filterMost') ?? 0);
  const width = 136;
  const stops = 10;
  const along = (value: number) => Math.min(width, (value / stops) * width);
</script>

{#if need !== undefined}
  <svg
    {width}
    height="72"
    viewBox="0 0 {width} 72"
    role="img"
    aria-label="{need.toFixed(
      1
    )} stops of ND needed at the bright end, the filter takes {most.toFixed(1)}"
  >
    <text x="0" y="10">needs {need.toFixed(1)} stops of ND</text>
    <rect x="0" y="15" width={along(need)} height="10" rx="2" class="need" />
    <text x="0" y="38">filter takes {most.toFixed(1)}</text>
    <rect x="0" y="43" width={Math.max(2, along(most))} height="10" rx="2" class="most" />
    {#each Array.from({ length: stops + 1 }) as _, stop (stop)}
      <line x1={along(stop)} x2={along(stop)} y1="57" y2={stop % 5 === 0 ? 64 : 61} class="tick" />
    {/each}
  </svg>
{/if}

<style>
  text {
    fill: var(--ink-soft);
    font-size: 10.5px;
  }

  .need {
    fill: var(--pocket-light);
  }

  .most {
    fill: var(--ink-soft);
  }

  .tick {
    stroke: var(--tan-line);
  }
</style>
