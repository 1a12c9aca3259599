<script lang="ts">
  import { showsFace } from '../../core/model/scene-facts';
  import { figureOf } from '../../core/figures/record';
  import type { AngleJudgement } from '../../core/judge/incremental';

  /** The picture through the lens, from the same figures: size of a head, softness behind. */
  const { angle, width = 128 }: { angle: AngleJudgement; width?: number } = $props();
  const height = $derived((width * 9) / 16);
  const picture = $derived.by(() => {
    const metres = figureOf(angle.record, 'pictureHeight');
    if (metres === undefined) return undefined;
    const scale = height / metres;
    const blur = figureOf(angle.record, 'backgroundBlur') ?? 0;
    return { scale, blurPx: Math.min(9, (blur / 100) * width * 1.6), metres };
  });
  const hands = $derived(!showsFace(angle.angle));
  /** Eyes sit on the upper third; a head is 0.23 m high and 0.16 m wide, shoulders 0.46 m. */
  const head = { high: 0.23, wide: 0.165, shoulders: 0.46, eyesBelowTop: 0.11 };
</script>

{#if picture}
  {@const s = picture.scale}
  {@const eyes = height / 3}
  <svg
    {width}
    {height}
    viewBox="0 0 {width} {height}"
    role="img"
    aria-label="Through the lens: {picture.metres.toFixed(2)} metres high"
  >
    <clipPath id="thumb-{angle.scene.id}"><rect {width} {height} rx="4" /></clipPath>
    <g clip-path="url(#thumb-{angle.scene.id})">
      <rect {width} {height} class="back" />
      <g filter={picture.blurPx > 0.4 ? `blur(${picture.blurPx}px)` : undefined} class="behind">
        <rect x={width * 0.06} y={height * 0.14} width={width * 0.2} height={height * 0.44} />
        <rect x={width * 0.76} y={height * 0.2} width={width * 0.16} height={height * 0.12} />
        <rect x="0" y={height * 0.74} {width} height={height * 0.3} />
      </g>
      {#if hands}
        <rect
          x={width / 2 - 0.14 * s}
          y={height / 2 - 0.02 * s}
          width={0.28 * s}
          height={0.04 * s}
          rx={0.02 * s}
          class="work"
        />
        <ellipse
          cx={width / 2 - 0.13 * s}
          cy={height / 2 + 0.03 * s}
          rx={0.075 * s}
          ry={0.042 * s}
          class="skin"
        />
        <ellipse
          cx={width / 2 + 0.13 * s}
          cy={height / 2 + 0.03 * s}
          rx={0.075 * s}
          ry={0.042 * s}
          class="skin"
        />
      {:else}
        {@const top = eyes - head.eyesBelowTop * s}
        <path
          d="M{width / 2 - (head.shoulders / 2) * s} {top + 0.9 * s} V{top + 0.36 * s} Q{width / 2 -
            (head.shoulders / 2) * s} {top + 0.27 * s} {width / 2} {top + 0.25 * s} Q{width / 2 +
            (head.shoulders / 2) * s} {top + 0.27 * s} {width / 2 + (head.shoulders / 2) * s} {top +
            0.36 * s} V{top + 0.9 * s} Z"
          class="coat"
        />
        <ellipse
          cx={width / 2}
          cy={top + (head.high / 2) * s}
          rx={(head.wide / 2) * s}
          ry={(head.high / 2) * s}
          class="skin"
        />
        <path
          d="M{width / 2 - (head.wide / 2) * s} {top + 0.1 * s} A{(head.wide / 2) * s} {0.1 *
            s} 0 0 1 {width / 2 + (head.wide / 2) * s} {top + 0.1 * s} Q{width / 2} {top +
            0.045 * s} {width / 2 - (head.wide / 2) * s} {top + 0.1 * s}"
          class="hair"
        />
      {/if}
      <g class="thirds">
        <line x1={width / 3} x2={width / 3} y1="0" y2={height} /><line
          x1={(width * 2) / 3}
          x2={(width * 2) / 3}
          y1="0"
          y2={height}
        />
        <line x1="0" x2={width} y1={height / 3} y2={height / 3} /><line
          x1="0"
          x2={width}
          y1={(height * 2) / 3}
          y2={(height * 2) / 3}
        />
      </g>
    </g>
    <rect x="0.5" y="0.5" width={width - 1} height={height - 1} rx="4" class="rim" />
  </svg>
{/if}

<style>
  .back {
    fill: var(--tan);
  }

  .behind rect {
    fill: var(--tan-line);
  }

  .coat {
    fill: var(--pocket-storage);
  }

  .skin {
    fill: #dfae86;
  }

  .hair {
    fill: #4a3322;
  }

  .work {
    fill: var(--hide);
  }

  .thirds line {
    stroke: #fff;
    stroke-width: 0.7;
    opacity: 0.55;
  }

  .rim {
    fill: none;
    stroke: var(--tan-line);
  }
</style>
