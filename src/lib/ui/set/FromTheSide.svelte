<script lang="ts">
  import { lengthWords } from '../../core/figures/figure-words';
  import type { UnitSystem } from '../../core/model/project';
  import { type SetLayout, type Spot, tipWords } from '../../core/set/layout';
  import type { Movable } from '../../core/set/move-on-set';
  import './set-drawing.css';
  import SetPart from './SetPart.svelte';
  import { type Frame, scaleFor } from './set-view';

  /** The set from the side, to the same scale along the axis: heights, the edge of the picture, what hangs overhead. */
  interface Props {
    layout: SetLayout;
    /** Wind that is met out of doors, in words; empty indoors. */
    weather: string;
    /** Light with the sun low and high, in words. */
    light: { dim: string; bright: string };
    frame: Frame;
    shiftX: number;
    units: UnitSystem;
    onmove: (movable: Movable, to: Spot) => void;
    ondone: () => void;
    onkey: (movable: Movable, to: Spot) => void;
  }
  const { layout, weather, light, frame, shiftX, units, onmove, ondone, onkey }: Props = $props();

  let width = $state(720);
  const height = $derived(
    Math.max(
      200,
      Math.min(330, (width * (frame.bottom - frame.top)) / (frame.right - frame.left) + 12)
    )
  );
  const scale = $derived(scaleFor(frame, width, height - 6));
  const x = $derived((metres: number) => scale.x(metres + shiftX));
  /** Heights grow up the page. */
  const z = $derived((metres: number) => scale.y(-metres));
  const partScale = $derived({
    ...scale,
    // Where the pointer is, is told in the place of before the drag: every move is counted from there.
    x: (metres: number) => scale.x(metres + shiftX)
  });
  const moving = $derived({ scale: partScale, from: 'side' as const, onmove, ondone, onkey });
  const words = (metres: number) => lengthWords(metres, units);

  const farX = $derived(layout.background?.x ?? layout.room?.xMax ?? frame.right - 0.1);
  const cone = $derived.by(() => {
    const { picture, camera, subject } = layout;
    if (!picture) return undefined;
    if (layout.looksDown) {
      const half = picture.heightM / 2;
      return `M${x(0)},${z(camera.z)}L${x(-half)},${z(subject.z)}H${x(half)}Z`;
    }
    const share = (farX - camera.x) / (subject.x - camera.x);
    const axis = camera.z + (subject.z - picture.heightM / 6 - camera.z) * share;
    const half = (picture.heightM / 2) * share;
    return `M${x(camera.x)},${z(camera.z)}L${x(farX)},${z(axis + half)}V${z(axis - half)}Z`;
  });
  const waist = $derived(layout.seated ? 0.5 : 0.85);
  const distanceM = $derived(
    layout.looksDown ? layout.camera.z - layout.subject.z : -layout.camera.x
  );
  const summary = $derived(
    `The set from the side. Lens ${words(layout.camera.z)} above the floor${layout.mic ? `, microphone ${words(layout.mic.spot.z)}` : ''}${layout.room ? `, ceiling ${words(layout.room.heightM)}` : ''}.`
  );
</script>

<div class="set-frame" bind:clientWidth={width}>
  <svg
    {width}
    {height}
    viewBox="0 0 {width} {height}"
    class="set-drawing"
    role="group"
    aria-label={summary}
  >
    <path d="M{scale.x(frame.left)} {z(0)}H{scale.x(frame.right)}" class="floor" />
    {#if layout.room}
      <path
        d="M{x(layout.room.xMin)} {z(0)}V{z(layout.room.heightM)}H{x(layout.room.xMax)}V{z(0)}"
        class="walls"
      />
    {/if}
    {#if cone}<path d={cone} class="cone" />{/if}
    {#if layout.background && !layout.looksDown && layout.background.x !== layout.room?.xMax}
      <path
        d="M{x(layout.background.x)} {z(0)}V{z(layout.room?.heightM ?? layout.subject.z + 0.4)}"
        class="back"
      />
    {/if}

    {#if layout.showsFace}
      <path
        d="M{x(0.05)} {z(0)}V{z(waist)}M{x(0.05)} {z(waist)}{layout.seated
          ? `H${x(-0.35)}V${z(0)}`
          : `L${x(-0.08)} ${z(0)}`}"
        class="leg"
      />
      <path
        d="M{x(-0.09)} {z(waist)}V{z(layout.subject.z - 0.28)}Q{x(-0.09)} {z(
          layout.subject.z - 0.18
        )} {x(0.05)} {z(layout.subject.z - 0.17)}Q{x(0.2)} {z(layout.subject.z - 0.18)} {x(0.2)} {z(
          layout.subject.z - 0.3
        )}V{z(waist)}Z"
        class="coat"
      />
      <ellipse
        cx={x(0.03)}
        cy={z(layout.subject.z)}
        rx={0.1 * scale.k}
        ry={0.12 * scale.k}
        class="head"
      />
      <path
        d="M{x(-0.07)} {z(layout.subject.z)}l{-0.03 * scale.k} {0.04 * scale.k}h{0.03 * scale.k}"
        class="head"
      />
    {:else if layout.subject.z > 0}
      <path
        d="M{x(-0.5)} {z(layout.subject.z)}H{x(0.5)}M{x(-0.42)} {z(layout.subject.z)}V{z(0)}M{x(
          0.42
        )} {z(layout.subject.z)}V{z(0)}"
        class="table"
      />
      <rect
        x={x(-0.12)}
        y={z(layout.subject.z + 0.05)}
        width={0.24 * scale.k}
        height={0.05 * scale.k}
        class="coat"
      />
    {/if}

    {#each layout.lamps as lamp, index (`${lamp.role} ${index}`)}
      {@const radius = Math.max(0.05, lamp.radiusM ?? 0.1) * scale.k}
      {#if lamp.stand && lamp.role !== 'overhead'}
        {@const foot = (lamp.stand.footRadiusM ?? 0.3) * scale.k}
        <path
          d="M{x(lamp.spot.x)} {z(lamp.spot.z)}V{z(0.12)}l{-foot} {0.12 * scale.k}M{x(
            lamp.spot.x
          )} {z(0.12)}l{foot} {0.12 * scale.k}"
          class="stand"
        />
      {/if}
      <SetPart
        movable={{ what: 'lamp', at: index }}
        label="{lamp.name}, {lamp.role}, from the side"
        valueM={lamp.distanceM}
        valueWords="{words(lamp.distanceM)} from the face"
        spot={lamp.spot}
        {...moving}
      >
        <ellipse
          cx={x(lamp.spot.x)}
          cy={z(lamp.spot.z)}
          rx={lamp.role === 'overhead' ? radius : Math.max(5, radius * 0.45)}
          ry={lamp.role === 'overhead' ? 6 : radius}
          class="lamp body"
        />
      </SetPart>
    {/each}

    {#if layout.mic}
      {@const { spot, stand } = layout.mic}
      {#if stand}
        <path
          d="M{x(spot.x)} {z(spot.z)}L{x(spot.x + 0.5)} {z(spot.z + 0.06)}V{z(0)}m-{0.25 *
            scale.k} 0h{0.5 * scale.k}"
          class="stand"
        />
      {/if}
      <SetPart
        movable={{ what: 'microphone' }}
        label="{layout.mic.name}, from the side"
        valueM={layout.mic.distanceM}
        valueWords="{words(layout.mic.distanceM)} from the mouth"
        {spot}
        {...moving}
      >
        <circle cx={x(spot.x)} cy={z(spot.z)} r="13" fill="transparent" />
        <rect x={x(spot.x) - 10} y={z(spot.z) - 5} width="20" height="10" rx="5" class="mic body" />
        {#if layout.mic.place !== 'shoe' && layout.mic.place !== 'side arm'}
          <text x={x(spot.x) + 14} y={z(spot.z) - 8}
            >{words(layout.mic.distanceM)} to the mouth</text
          >
        {/if}
      </SetPart>
    {/if}

    {#if layout.held}
      <path
        d="M{x(0.02)} {z(layout.subject.z - 0.24)}Q{x(layout.camera.x * 0.35)} {z(
          layout.subject.z - 0.42
        )} {x(layout.camera.x) - 22} {z(layout.camera.z) + 12}"
        class="arm"
      />
      {#if layout.support}<path
          d="M{x(layout.camera.x) - 22} {z(layout.camera.z) + 12}v{0.12 * scale.k}"
          class="stand"
        />{/if}
    {:else if layout.support && !layout.looksDown}
      {@const foot = (layout.support.footRadiusM ?? 0.25) * scale.k}
      <path
        d="M{x(layout.camera.x) - 22} {z(layout.camera.z)}V{z(layout.camera.z / 2)}L{x(
          layout.camera.x
        ) -
          22 -
          foot} {z(0)}M{x(layout.camera.x) - 22} {z(layout.camera.z / 2)}L{x(layout.camera.x) -
          22 +
          foot} {z(0)}"
        class="stand"
      />
    {/if}
    <SetPart
      movable={{ what: 'camera' }}
      label="Camera, from the side"
      valueM={distanceM}
      valueWords="{words(distanceM)} from the {layout.showsFace ? 'face' : 'work'}"
      spot={layout.camera}
      {...moving}
    >
      {#if layout.looksDown}
        <rect
          x={x(0) - 16}
          y={z(layout.camera.z) - 26}
          width="32"
          height="18"
          rx="5"
          class="camera body"
        />
        <rect x={x(0) - 9} y={z(layout.camera.z) - 8} width="18" height="9" class="camera" />
      {:else}
        <rect
          x={x(layout.camera.x) - 36}
          y={z(layout.camera.z) - 13}
          width="24"
          height="26"
          rx="5"
          class="camera body"
        />
        <rect
          x={x(layout.camera.x) - 12}
          y={z(layout.camera.z) - 9}
          width="12"
          height="18"
          class="camera"
        />
      {/if}
    </SetPart>
    <g class="ruler" aria-hidden="true">
      {#if layout.picture}
        <text x={x(farX) - 6} y={z(0.06)} text-anchor="end"
          >picture {words(layout.picture.widthM)} × {words(layout.picture.heightM)} at the {layout.showsFace
            ? 'face'
            : 'work'}</text
        >
      {/if}
      <text
        x={layout.looksDown ? x(0) + 22 : x(layout.camera.x) - 42}
        y={z(layout.camera.z) + (layout.looksDown ? -12 : 4)}
        text-anchor={layout.looksDown ? 'start' : 'end'}>{words(layout.camera.z)} high</text
      >
      {#if layout.tipDeg !== undefined && layout.support && !layout.held && !layout.looksDown}
        <text x={x(layout.camera.x) - 22} y={z(0.04)} text-anchor="middle"
          >tips at {tipWords(layout.tipDeg)}</text
        >
      {/if}
      {#each layout.lamps.filter(({ role }) => role === 'overhead') as lamp, index (index)}
        <text x={x(lamp.spot.x) + 12} y={z(lamp.spot.z) - 10}>safety line</text>
      {/each}
      {#if weather}
        <path d="M{width - 145} 118A55 55 0 0 1 {width - 35} 118" class="arc" />
        <circle cx={width - 142} cy="100" r="6" class="sun" />
        <circle cx={width - 90} cy="63" r="9" class="sun" />
        <text x={width - 152} y="132" text-anchor="middle">low {light.dim}</text>
        <text x={width - 90} y="90" text-anchor="middle">high {light.bright}</text>
        <path
          d="M{width - 150} 16h44m-8 -5l8 5l-8 5M{width - 142} 26h30m-7 -4l7 4l-7 4"
          class="wind"
        />
        <text x={width - 98} y="24">{weather}</text>
      {/if}
      {#if layout.held}<text
          x={x(layout.camera.x / 2)}
          y={z(layout.subject.z - 0.55)}
          text-anchor="middle"
          >{layout.support ? 'arm and grip' : 'arm'} {words(-layout.camera.x)}</text
        >{/if}
      {#if layout.room}<text x={x(layout.room.xMin) + 8} y={z(layout.room.heightM) + 14}
          >ceiling {words(layout.room.heightM)}</text
        >{/if}
    </g>
  </svg>
</div>

<style>
  .floor {
    stroke: var(--ink);
    stroke-width: 2.5px;
  }

  .arm {
    fill: none;
    stroke: var(--tan-line);
    stroke-width: 9px;
    stroke-linecap: round;
  }

  .leg,
  .table,
  .stand {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2px;
  }

  .arc {
    fill: none;
    stroke: var(--ochre);
    stroke-dasharray: 4 3;
  }

  .sun {
    fill: #f3cf66;
    stroke: var(--ochre);
  }

  .wind {
    fill: none;
    stroke: var(--pocket-body);
    stroke-width: 1.5px;
  }
</style>
