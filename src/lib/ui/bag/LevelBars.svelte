<script lang="ts">
  import { figureOf, type FigureRecord } from '../../core/figures/record';

  /** Voice and noise as two levels; the gap is what counts. */
  const { record }: { record: FigureRecord } = $props();
  const voice = $derived(figureOf(record, 'voiceAtMic'));
  const noise = $derived(figureOf(record, 'noiseAtMic'));
  const most = 95;
  const width = 128;
  const along = (db: number) => Math.max(3, Math.min(width, (db / most) * width));
</script>

{#if voice !== undefined && noise !== undefined && Number.isFinite(noise)}
  <svg
    {width}
    height="76"
    viewBox="0 0 {width} 76"
    role="img"
    aria-label="Voice {voice.toFixed(0)} decibels, noise {noise.toFixed(
      0
    )} decibels at the microphone"
  >
    <text x="0" y="10">voice {voice.toFixed(0)} dB</text>
    <rect x="0" y="15" width={along(voice)} height="10" rx="2" class="voice" />
    <text x="0" y="38">all noise {noise.toFixed(0)} dB</text>
    <rect x="0" y="43" width={along(noise)} height="10" rx="2" class="noise" />
    <line x1={along(voice)} x2={along(voice)} y1="40" y2="56" class="edge" />
    <text x="0" y="70" class="gap"
      >{voice >= noise
        ? `${Math.floor(voice - noise)} dB between`
        : `below the noise by ${Math.ceil(noise - voice)} dB`}</text
    >
  </svg>
{/if}

<style>
  text {
    fill: var(--ink-soft);
    font-size: 10.5px;
  }

  .gap {
    fill: var(--ink);
    font-weight: 600;
  }

  .voice {
    fill: var(--pocket-sound);
  }

  .noise {
    fill: var(--tan-line);
  }

  .edge {
    stroke: var(--ink-soft);
    stroke-dasharray: 2 2;
  }
</style>
