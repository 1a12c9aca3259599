<script lang="ts">
  import { scaleLinear, scaleLog } from 'd3-scale';
  import { line } from 'd3-shape';
  import { lengthWords } from '../../core/figures/figure-words';
  import type { UnitSystem } from '../../core/model/project';
  import { figureOf } from '../../core/figures/record';
  import type { AngleJudgement } from '../../core/judge/incremental';
  import { lampIlluminanceLx } from '../../core/relations/lighting/lamp-illuminance';

  /** How the key lamp falls off with distance, where it stands, and what the picture wants. */
  const { angle, units }: { angle: AngleJudgement; units: UnitSystem } = $props();
  const width = 136;
  const height = 72;
  const nearest = 0.3;
  const farthest = 3;

  const curve = $derived.by(() => {
    const lamp = angle.rig.keyLamp;
    const { illuminanceAt1mLx, sourceRadiusM } = lamp?.part.gear ?? {};
    const need = figureOf(angle.record, 'lightNeeded');
    if (
      !lamp ||
      illuminanceAt1mLx === undefined ||
      sourceRadiusM === undefined ||
      need === undefined
    )
      return undefined;
    const illuminanceAt = (distance: number) =>
      lampIlluminanceLx(illuminanceAt1mLx, 1, sourceRadiusM, distance, 0, lamp.angleDeg);
    const x = scaleLinear([nearest, farthest], [2, width - 2]);
    const y = scaleLog(
      [Math.min(need, illuminanceAt(farthest)) * 0.7, Math.max(need, illuminanceAt(nearest)) * 1.3],
      [height - 4, 4]
    );
    const points = Array.from(
      { length: 28 },
      (_, step) => nearest + ((farthest - nearest) * step) / 27
    );
    return {
      path:
        line<number>(
          (d) => x(d),
          (d) => y(illuminanceAt(d))
        )(points) ?? '',
      dotX: x(Math.min(farthest, lamp.distanceM)),
      dotY: y(illuminanceAt(Math.min(farthest, lamp.distanceM))),
      needY: y(need),
      words: `${illuminanceAt(lamp.distanceM).toFixed(0)} lux at ${lengthWords(lamp.distanceM, units)}; ${need.toFixed(0)} lux wanted`,
      have: illuminanceAt(lamp.distanceM),
      distance: lamp.distanceM
    };
  });
</script>

{#if curve}
  <svg {width} {height} viewBox="0 0 {width} {height}" role="img" aria-label={curve.words}>
    <line x1="0" x2={width} y1={curve.needY} y2={curve.needY} class="need" />
    <text x={width} y={curve.needY - 3} text-anchor="end">wanted</text>
    <path d={curve.path} class="curve" />
    <circle cx={curve.dotX} cy={curve.dotY} r="4.5" class="dot" />
    <text x={curve.dotX + 8} y={curve.dotY + 3}>{lengthWords(curve.distance, units)}</text>
  </svg>
{/if}

<style>
  .curve {
    fill: none;
    stroke: var(--pocket-light);
    stroke-width: 2;
  }

  .dot {
    fill: var(--pocket-light);
    stroke: var(--linen);
    stroke-width: 1.5;
  }

  .need {
    stroke: var(--ink-soft);
    stroke-dasharray: 3 3;
  }

  text {
    fill: var(--ink-soft);
    font-size: 10.5px;
  }
</style>
