<script lang="ts">
  import {
    isFlown,
    isHandheld,
    isSeated,
    isWorn,
    looksDown,
    showsFace
  } from '../../core/model/scene-facts';
  import { lengthWords } from '../../core/figures/figure-words';
  import type { UnitSystem } from '../../core/model/project';
  import type { Scene } from '../../core/model/scene';
  import VignettePlace from './VignettePlace.svelte';

  /** A small drawing of the scene that follows what is said of it. */
  const { scene, units }: { scene: Scene; units: UnitSystem } = $props();
  const angle = $derived(scene.angles[0]!);
  const above = $derived(looksDown(angle));
  /** Camera and person move apart with the distance, on a scale that still shows an arm. */
  const reach = $derived(Math.min(118, 34 + 42 * Math.sqrt(angle.distanceM)));
  const personX = 86;
  const cameraX = $derived(personX + reach);
  const ground = 150;
  const held = $derived(isHandheld(angle));
  const distance = $derived(lengthWords(angle.distanceM, units));
  const withoutPeople = $derived(!showsFace(angle) && angle.framing !== 'stage');
</script>

<svg
  viewBox="0 0 240 184"
  preserveAspectRatio="xMidYMax meet"
  role="img"
  aria-label="{scene.name}: the camera {lengthWords(angle.distanceM, units)} away"
>
  <VignettePlace {scene} {ground} {personX} />
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
  {:else if isFlown(angle)}
    <path d="M120 40L40 {ground + 10}H206z" class="cone" />
    <path d="M98 30h44M120 30v-6M98 26v8M142 26v8M86 24h24M130 24h24" class="arm-stand" />
    <rect x="110" y="28" width="20" height="12" rx="4" class="camera" />
    <path d="M120 44V{ground - 8}M116 44h8M116 {ground - 8}h8" class="tape" />
    <text x="127" y="96">{distance}</text>
  {:else if isWorn(angle)}
    <path
      d="M52 {ground - 8}a24 24 0 1 0 .1 0zM132 {ground - 8}a24 24 0 1 0 .1 0zM52 {ground -
        32}l28-2 40-26M80 {ground - 34}l-14-30M120 {ground - 60}l12 28M112 {ground - 66}l12-3"
      class="arm-stand"
    />
    <path d="M66 {ground - 60}q4-42 30-44l10 14-16 14-8 18z" class="coat" />
    <path d="M104 {ground - 96}L116 {ground - 66}" class="sleeve" />
    <path d="M72 {ground - 62}l14 26-6 22" class="sleeve" />
    <circle cx="108" cy={ground - 118} r="14" class="skin" />
    <path d="M93 {ground - 119}a15 15 0 0 1 30-3z" class="hair" />
    {#if angle.cameraPlace === 'chest'}
      <rect x="102" y={ground - 102} width="17" height="12" rx="3" class="camera" />
    {:else}
      <rect x="120" y={ground - 82} width="17" height="12" rx="3" class="camera" />
    {/if}
    <path d="M142 {ground - 92}L214 {ground - 122}V{ground - 40}z" class="cone" />
    <text x="172" y={ground - 72}>{distance}</text>
  {:else if withoutPeople}
    {#if angle.framing === 'landscape'}
      <path d="M8 {ground - 10}l34-52 22 30 18-24 34 46z" class="hill" />
      <path d="M42 {ground - 62}l-10 15 8 4 6-5 7 5z" class="snow" />
    {:else}
      <path d="M36 {ground - 46}h104v7H36z" class="table" /><path
        d="M46 {ground - 39}v46M130 {ground - 39}v46"
        class="leg"
      />
      <path
        d="M{personX - 13} {ground - 48}q-8-18 4-28v-7h18v7q12 10 4 28zM{personX + 15} {ground -
          66}q12 4 1 15"
        class="thing"
      />
    {/if}
    {@render cameraAt()}
    {@render tape()}
  {:else}
    {#if scene.style === 'event'}
      <path d="M-400 {ground - 6}H{personX + 40}V{ground + 40}H-400z" class="table" />
      <path d="M{personX + 18} {ground - 6}l4-38h20l4 38z" class="lectern" />
    {/if}
    {#if scene.style === 'interview' || angle.people > 1}
      <path d="M{personX - 56} {ground + 8}v-38q0-22 18-22t18 22v38z" class="coat other" />
      <circle cx={personX - 38} cy={ground - 66} r="15" class="skin" />
      <path d="M{personX - 53} {ground - 64}a15 15 0 0 1 30-2q-9-12-30 2" class="hair" />
    {/if}
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
    {@render cameraAt()}
    {@render tape()}
  {/if}
  {#if scene.orientation !== 'wide'}
    <rect x="4" y="4" width="15" height="26" rx="3" class="way" />
  {/if}
  {#if scene.live}<circle cx="228" cy="14" r="6" class="live" />{/if}
</svg>

{#snippet cameraAt()}
  {#if !held}
    {#if angle.cameraPlace === 'tabletop' || angle.cameraPlace === 'monitor edge'}
      <path d="M{cameraX - 16} {ground - 46}h58v6h-58z" class="table" /><path
        d="M{cameraX - 8} {ground - 40}v46M{cameraX + 34} {ground - 40}v46"
        class="leg"
      />
      {#if scene.style === 'live call' || angle.cameraPlace === 'monitor edge'}<path
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
{/snippet}

{#snippet tape()}
  <path
    d="M{personX + 15} {ground - 92}H{cameraX - 8}M{personX + 15} {ground - 96}v8M{cameraX -
      8} {ground - 96}v8"
    class="tape"
  />
  <text x={(personX + cameraX) / 2 + 4} y={ground - 98} text-anchor="middle">{distance}</text>
{/snippet}

<style>
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

  .coat {
    fill: #44606f;
  }

  .coat.other {
    fill: #8a5a44;
  }

  .hill {
    fill: #8fa07c;
  }

  .snow {
    fill: #f4f2e6;
  }

  .thing {
    fill: #b9791c;
    stroke: #2a211a;
    stroke-width: 1.6;
  }

  .lectern {
    fill: #7a4a2b;
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
