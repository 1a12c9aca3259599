<script lang="ts">
  import { isHandheld, isSeated } from '../../core/model/scene-facts';
  import { lengthWords } from '../../core/figures/figure-words';
  import type { UnitSystem } from '../../core/model/project';
  import type { Scene } from '../../core/model/scene';

  /** A small drawing of the scene that follows what is said of it. */
  const { scene, units }: { scene: Scene; units: UnitSystem } = $props();
  const angle = $derived(scene.angles[0]!);
  const outdoors = $derived(scene.room === undefined);
  const bright = $derived(scene.lightBrightLx);
  const night = $derived(scene.lightBrightLx < 400 && outdoors);
  const gusts = $derived(Math.min(5, Math.floor(scene.windMps / 2)));
  const above = $derived(angle.cameraPlace === 'overhead');
  /** Camera and person move apart with the distance, on a scale that still shows an arm. */
  const reach = $derived(Math.min(118, 34 + 42 * Math.sqrt(angle.distanceM)));
  const personX = 86;
  const cameraX = $derived(personX + reach);
  const ground = 150;
  const held = $derived(isHandheld(angle));
</script>

<svg
  viewBox="0 0 240 184"
  preserveAspectRatio="xMidYMax meet"
  role="img"
  aria-label="{scene.name}: the camera {lengthWords(angle.distanceM, units)} away"
>
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
  {#if above}
    <path d="M42 134h156v7H42z" class="table" /><path d="M52 141v43M186 141v43" class="leg" />
    <path d="M120 52L74 134h92z" class="cone" />
    <path d="M74 134q14-16 34-6M166 134q-14-16-34-6" class="hand" />
    <path d="M94 126h52v7H94z" class="work" />
    <rect x="106" y="34" width="28" height="17" rx="3" class="camera" /><path
      d="M114 51h12v6h-12z"
      class="camera"
    />
    <path d="M120 34V14H206V184" class="arm-stand" />
    <text x="128" y="98">{lengthWords(angle.distanceM, units)}</text>
  {:else}
    <g>
      {#if isSeated(scene)}
        <path
          d="M{personX - 30} {ground + 6}v-44h5v44M{personX + 22} {ground + 6}v-22h-50"
          class="leg"
        />
      {/if}
      <path d="M{personX - 18} {ground + 8}v-38q0-22 18-22t18 22v38z" class="coat" />
      <circle cx={personX} cy={ground - 66} r="15" class="skin" />
      <path d="M{personX - 15} {ground - 67}a15 15 0 0 1 30-2q-9-6-15-5t-15 7" class="hair" />
      {#if held}
        <path
          d="M{personX + 12} {ground - 38}Q{(personX + cameraX) / 2} {ground - 34} {cameraX -
            4} {ground - 58}"
          class="sleeve"
        />
      {/if}
    </g>
    {#if !held}
      {#if angle.cameraPlace === 'tabletop'}
        <path d="M{cameraX - 16} {ground - 46}h58v6h-58z" class="table" /><path
          d="M{cameraX - 8} {ground - 40}v46M{cameraX + 34} {ground - 40}v46"
          class="leg"
        />
        {#if scene.style === 'live call'}<path
            d="M{cameraX + 12} {ground - 76}h30v24h-30z"
            class="screen"
          />{/if}
      {:else}
        <path
          d="M{cameraX + 4} {ground - 54}L{cameraX - 10} {ground + 8}M{cameraX + 4} {ground -
            54}l14 62M{cameraX + 4} {ground - 54}v60"
          class="arm-stand"
        />
      {/if}
    {/if}
    <g>
      <rect x={cameraX - 4} y={ground - 76} width="25" height="18" rx="3" class="camera" />
      <path d="M{cameraX - 10} {ground - 72}h6v10h-6z" class="camera" />
    </g>
    <path
      d="M{personX + 15} {ground - 92}H{cameraX - 8}M{personX + 15} {ground - 96}v8M{cameraX -
        8} {ground - 96}v8"
      class="tape"
    />
    <text x={(personX + cameraX) / 2 + 4} y={ground - 98} text-anchor="middle"
      >{lengthWords(angle.distanceM, units)}</text
    >
  {/if}
  {#if scene.roughWeather && !scene.room}
    <path
      d="M20 10l-8 26M60 4l-8 26M104 14l-8 26M150 6l-8 26M196 16l-8 26M40 56l-8 26M128 60l-8 26M214 64l-8 26"
      class="rain"
    />
  {/if}
  {#if scene.orientation !== 'wide'}
    <rect x="4" y="4" width="15" height="26" rx="3" class="way" />
  {/if}
  {#if scene.live}<circle cx="228" cy="14" r="6" class="live" />{/if}
</svg>

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

  .way {
    fill: none;
    stroke: var(--hide);
    stroke-width: 1.8;
  }

  .live {
    fill: var(--brick);
  }

  svg {
    display: block;
    width: 100%;
    height: 100%;
    overflow: visible;
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

  .coat {
    fill: #44606f;
  }

  .skin,
  .hand {
    fill: #e0b18a;
  }

  .hand {
    stroke: #e0b18a;
    stroke-width: 11;
    stroke-linecap: round;
    fill: none;
  }

  .hair {
    fill: #3f2a1b;
  }

  .sleeve {
    fill: none;
    stroke: #44606f;
    stroke-width: 8;
    stroke-linecap: round;
  }

  .camera {
    fill: #fffdf8;
    stroke: #2a211a;
    stroke-width: 2.2;
  }

  .screen {
    fill: #5b6d75;
    stroke: #2a211a;
    stroke-width: 2;
  }

  .table {
    fill: #a9753f;
  }

  .leg {
    fill: none;
    stroke: #7a4a2b;
    stroke-width: 5;
  }

  .arm-stand {
    fill: none;
    stroke: #2a211a;
    stroke-width: 2.6;
  }

  .cone {
    fill: #6d5176;
    opacity: 0.16;
    stroke: #2a211a;
    stroke-width: 1;
    stroke-dasharray: 3 3;
  }

  .work {
    fill: #b9791c;
  }

  .tape {
    fill: none;
    stroke: #2a211a;
    stroke-width: 1.3;
  }

  text {
    fill: #2a211a;
    font-family: var(--text);
    font-size: 11px;
    font-weight: 600;
    paint-order: stroke;
    stroke: rgb(255 253 248 / 85%);
    stroke-width: 3px;
  }
</style>
