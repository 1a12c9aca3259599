<script lang="ts">
  import './take-drawing.css';
  import { scaleBand, scaleLinear } from 'd3-scale';
  import type { Spectrum } from '../../core/proof/bands';

  /** Voice and silence by pitch, in thirds of an octave. */
  interface Props {
    spectrum: Spectrum;
  }
  const { spectrum }: Props = $props();

  const WIDE = 420;
  const HIGH = 76;
  const BOTTOM = 14;
  const x = $derived(
    scaleBand(
      spectrum.hz.map((hz) => `${hz}`),
      [2, WIDE - 2]
    ).paddingInner(0.25)
  );
  const y = $derived.by(() => {
    const most = Math.max(-60, ...spectrum.voiceDb);
    return scaleLinear([most - 60, most], [HIGH - BOTTOM, 4]).clamp(true);
  });
  const names: Record<number, string> = {
    50: '50 Hz',
    200: '200',
    1000: '1 kHz',
    5000: '5',
    16000: '16 kHz'
  };
</script>

<svg
  class="take-drawing"
  viewBox="0 0 {WIDE} {HIGH}"
  role="img"
  aria-label="By pitch: {spectrum.hz
    .map(
      (hz, index) =>
        `${hz} Hz voice ${spectrum.voiceDb[index]!.toFixed(0)}, silence ${spectrum.silenceDb[index]!.toFixed(0)}`
    )
    .join('; ')}"
>
  {#each spectrum.hz as hz, index (hz)}
    {@const left = x(`${hz}`) ?? 0}
    <rect
      x={left}
      y={y(spectrum.voiceDb[index]!)}
      width={x.bandwidth() / 2}
      height={HIGH - BOTTOM - y(spectrum.voiceDb[index]!)}
      class="voice"
    />
    <rect
      x={left + x.bandwidth() / 2}
      y={y(spectrum.silenceDb[index]!)}
      width={x.bandwidth() / 2}
      height={HIGH - BOTTOM - y(spectrum.silenceDb[index]!)}
      class="silence"
    />
    {#if names[hz]}<text x={left} y={HIGH - 2}>{names[hz]}</text>{/if}
  {/each}
</svg>

<style>
  .voice {
    fill: var(--pocket-sound);
  }

  .silence {
    fill: var(--tan-line);
  }
</style>
