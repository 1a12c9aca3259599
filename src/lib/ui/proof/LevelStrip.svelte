<script lang="ts">
  import './take-drawing.css';
  import { scaleLinear } from 'd3-scale';
  import { area } from 'd3-shape';
  import type { SoundMeasures } from '../../core/proof/measure-sound';
  import { PEAKS_UP_TO_DBFS } from '../../core/takes/sound-verdict';
  import { AIM_PEAK_DBFS } from '../../core/relations/sound/level-set-up';

  /** A take from left to right: how loud it is, its peaks, and where they are wanted. */
  interface Props {
    measures: SoundMeasures;
  }
  const { measures }: Props = $props();

  const WIDE = 420;
  const HIGH = 96;
  const RIGHT = 34;
  const BOTTOM = 14;
  const LOWEST_DB = -72;
  const x = $derived(
    scaleLinear([0, Math.max(1, measures.strip.rmsDb.length - 1)], [2, WIDE - RIGHT])
  );
  const y = scaleLinear([LOWEST_DB, 0], [HIGH - BOTTOM, 4]).clamp(true);
  const cloth = $derived(
    area<number>()
      .x((_, index) => x(index))
      .y0(HIGH - BOTTOM)
      .y1((db) => y(db))([...measures.strip.rmsDb]) ?? ''
  );
  const floor = $derived(measures.floorDb);
</script>

<svg
  class="take-drawing"
  viewBox="0 0 {WIDE} {HIGH}"
  role="img"
  aria-label="{measures.seconds.toFixed(0)} s of sound: peaks at {measures.truePeakDb.toFixed(
    1
  )} dBFS, silence at {floor.toFixed(1)}"
>
  <rect
    x="2"
    y={y(PEAKS_UP_TO_DBFS)}
    width={WIDE - RIGHT - 2}
    height={y(AIM_PEAK_DBFS) - y(PEAKS_UP_TO_DBFS)}
    class="wanted"
  />
  <path d={cloth} class="cloth" />
  {#each measures.strip.peakDb as db, index (index)}
    {#if db > AIM_PEAK_DBFS - 12}<path
        d="M{x(index)} {y(db)}v3"
        class={db > PEAKS_UP_TO_DBFS ? 'high' : 'peak'}
      />{/if}
  {/each}
  <path d="M2 {y(floor)}H{WIDE - RIGHT}" class="floor" />
  <text x="6" y={y(floor) - 3}>silence {floor.toFixed(0)}</text>
  {#each [0, -12, -24, -48] as tick (tick)}<text x={WIDE - RIGHT + 4} y={y(tick) + 4}>{tick}</text
    >{/each}
  <text x="2" y={HIGH - 2}>0 s</text>
  <text x={WIDE - RIGHT} y={HIGH - 2} text-anchor="end">{measures.seconds.toFixed(0)} s</text>
</svg>

<style>
  .wanted {
    fill: var(--moss-wash);
  }

  .cloth {
    fill: var(--pocket-sound);
    opacity: 0.4;
  }

  .peak {
    stroke: var(--ink);
    stroke-width: 1.2;
  }

  .high {
    stroke: var(--brick);
    stroke-width: 2;
  }

  .floor {
    stroke: var(--ink);
    stroke-dasharray: 2 3;
  }
</style>
