<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import { fullName, type GearItem } from '../../core/model/gear';
  import Glyph from '../glyphs/Glyph.svelte';
  import { METRES_PER_INCH } from '../../core/model/imperial';
  import type { UnitSystem } from '../../core/model/project';
  import { glyphOf, longestSideMm } from '../glyphs/glyph-of';

  /** The part beside a hand's breadth and a ruler, so that one sees how large it is. */
  const { gear, units }: { gear: GearItem; units: UnitSystem } = $props();
  const inches = (mm: number | undefined) =>
    mm === undefined ? '?' : (mm / 1000 / METRES_PER_INCH).toFixed(1);
  const HAND_MM = 85;
  const width = 300;
  const longest = $derived(longestSideMm(gear));
  const shown = $derived(Math.max(longest ?? HAND_MM, HAND_MM) * 1.05);
  const scale = $derived(scaleLinear([0, shown], [0, width]));
  const ticks = $derived(scale.ticks(6));
</script>

{#if longest === undefined}
  <div class="unsized"><Glyph name={glyphOf(gear)} size={120} label={fullName(gear)} /></div>
  <p class="soft">Its size is not stated, so the drawing has no scale.</p>
{:else}
  <div
    class="stage"
    role="img"
    aria-label="{fullName(gear)}, {gear.sizeMm?.width ?? '?'} by {gear.sizeMm?.height ??
      '?'} by {gear.sizeMm?.depth ?? '?'} millimetres, {(longest / HAND_MM).toFixed(
      1
    )} hand’s breadths long"
  >
    <div class="thing" style:height="{Math.max(24, scale(longest))}px">
      <Glyph name={glyphOf(gear)} size={Math.max(24, scale(longest))} />
    </div>
    <svg {width} height="46" viewBox="0 0 {width} 46" aria-hidden="true">
      <rect x="0" y="2" width={scale(HAND_MM)} height="9" rx="4" class="hand" />
      <text x="4" y="10">a hand’s breadth</text>
      <line x1="0" x2={width} y1="20" y2="20" />
      {#each ticks as tick (tick)}
        <line x1={scale(tick)} x2={scale(tick)} y1="20" y2="27" />
        <text
          x={Math.min(width - 14, scale(tick))}
          y="38"
          text-anchor={tick === 0 ? 'start' : 'middle'}>{tick}</text
        >
      {/each}
      <text x={width} y="17" text-anchor="end">mm</text>
    </svg>
    <p class="soft figures">
      {gear.sizeMm?.width ?? '?'} × {gear.sizeMm?.height ?? '?'} × {gear.sizeMm?.depth ?? '?'} mm{units ===
        'imperial' && gear.sizeMm
        ? ` (${inches(gear.sizeMm.width)} × ${inches(gear.sizeMm.height)} × ${inches(gear.sizeMm.depth)} in)`
        : ''}
    </p>
  </div>
{/if}

<style>
  .stage {
    display: grid;
    gap: 0.3rem;
    justify-items: start;
    padding: 0.8rem;
    border-radius: 10px;
    background: var(--canvas);
  }

  .thing {
    display: flex;
    align-items: flex-end;
  }

  .unsized {
    padding: 0.8rem;
  }

  .hand {
    fill: var(--tan);
  }

  line {
    stroke: var(--ink-soft);
  }

  text {
    fill: var(--ink-soft);
    font-size: 9.5px;
  }

  .soft {
    font-size: 0.8125rem;
  }
</style>
