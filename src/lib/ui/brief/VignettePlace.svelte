<script lang="ts">
  import type { Scene } from '../../core/model/scene';

  /** Sky and land, or a room, as the scene's figures say: light, wind, rain, window, lamp. */
  interface Props {
    scene: Scene;
    /** Where feet stand and where the person is, in the drawing. */
    ground: number;
    personX: number;
  }
  const { scene, ground, personX }: Props = $props();
  const outdoors = $derived(scene.room === undefined);
  const bright = $derived(scene.lightBrightLx);
  const night = $derived(scene.lightBrightLx < 400 && outdoors);
  const gusts = $derived(
    Math.min(5, Math.floor(Math.max(scene.windMps, scene.rideSpeedMps ?? 0) / 2))
  );
</script>

{#if outdoors}
  <rect x="-400" y="-300" width="1040" height="784" class={night ? 'night' : 'sky'} />
  {#if night}
    <circle cx="196" cy="34" r="11" class="moon" />
  {:else}
    <circle
      cx="196"
      cy="38"
      r={bright > 40_000 ? 19 : 14}
      class={bright > 40_000 ? 'sun' : 'pale-sun'}
    />
    {#if bright <= 40_000 || scene.lightDimLx < 20_000}<path
        d="M150 44q8-12 22-8q8-12 22 0q14 0 12 10h-56z"
        class="cloud"
      />{/if}
  {/if}
  <path d="M-400 118Q-160 84 0 112Q60 92 128 108T240 100Q420 84 640 112V484H-400z" class="far" />
  <path
    d="M-400 {ground - 8}Q-120 {ground - 30} 0 {ground - 14}Q90 {ground - 24} 240 {ground -
      8}Q440 {ground - 24} 640 {ground - 10}V484H-400z"
    class="near"
  />
  {#each Array.from({ length: gusts }) as _, gust (gust)}
    <path d="M{14 + gust * 9} {30 + gust * 11}q14-7 26 0t28 0" class="gust" />
  {/each}
  {#each [22, 40, 206, 222] as x (x)}<path
      d="M{x} {ground + 14}q{-3 - gusts} -18 {-4 - gusts * 2} -26M{x + 4} {ground + 14}q{-1 -
        gusts} -16 {1 - gusts * 2} -22"
      class="reed"
    />{/each}
{:else}
  <rect x="-400" y="-300" width="1040" height="784" class="wall" />
  <rect x="-400" y={ground} width="1040" height="334" class="floor" />
  {#if scene.darkBackground}<rect x="-400" y="0" width="1040" height={ground} class="dark" />{/if}
  {#if scene.lightSource === 'window' || scene.lightSource === 'lamps' || scene.window}
    <g class={scene.lightSource === 'window' || scene.window ? 'window lit' : 'window'}
      ><rect x="14" y="22" width="44" height="46" /><path d="M36 22v46M14 45h44" /></g
    >
  {/if}
  {#if scene.room?.feel === 'treated'}<path d="M178 18h54v96h-54z" class="blanket" />{/if}
  {#if scene.room?.feel === 'lived-in'}<g class="shelf"
      ><path d="M176 56h50v5h-50z" /><path
        d="M180 40h7v16h-7zM190 44h6v12h-6zM199 38h8v18h-8z"
      /></g
    >{/if}
  {#if scene.lightSource === 'lamps'}<path
      d="M{personX + 26} 16l24-7 4 13-24 7z"
      class="lamp"
    /><path d="M{personX + 32} 28L{personX + 6} 86 {personX + 52} 62z" class="beam" />{/if}
{/if}
{#if scene.roughWeather && !scene.room}
  <path
    d="M20 10l-8 26M60 4l-8 26M104 14l-8 26M150 6l-8 26M196 16l-8 26M40 56l-8 26M128 60l-8 26M214 64l-8 26"
    class="rain"
  />
{/if}

<style>
  .dark {
    fill: rgb(30 22 14 / 55%);
  }

  .rain {
    fill: none;
    stroke: var(--pocket-body);
    stroke-width: 1.4;
    opacity: 0.7;
  }

  .sky {
    fill: #dfe5df;
  }

  .night {
    fill: #39414f;
  }

  .moon {
    fill: #e9e2c8;
  }

  .sun {
    fill: #f0c55a;
  }

  .pale-sun {
    fill: #efe3bb;
  }

  .cloud {
    fill: #f7f5ee;
  }

  .far {
    fill: #c5cfae;
  }

  .near {
    fill: #b3bf94;
  }

  .wall {
    fill: #e7dcc8;
  }

  .floor {
    fill: #cdb493;
  }

  .gust {
    fill: none;
    stroke: #7d96a0;
    stroke-width: 2;
    stroke-linecap: round;
  }

  .reed {
    fill: none;
    stroke: #587251;
    stroke-width: 2;
    stroke-linecap: round;
  }

  .window rect {
    fill: #8d7a60;
    stroke: #6d5f50;
    stroke-width: 3;
  }

  .window.lit rect {
    fill: #f3eccf;
  }

  .window path {
    stroke: #6d5f50;
    stroke-width: 3;
  }

  .blanket {
    fill: #6d5176;
    opacity: 0.45;
  }

  .shelf {
    fill: #7a4a2b;
  }

  .lamp {
    fill: #f0c55a;
    stroke: #2a211a;
    stroke-width: 1.6;
  }

  .beam {
    fill: #f5dc8c;
    opacity: 0.35;
  }
</style>
