<script lang="ts">
  import { minIndex, range } from 'd3-array';
  import { lengthWords } from '../../core/figures/figure-words';
  import type { UnitSystem } from '../../core/model/project';
  import { pickupPatterns } from '../../core/relations/sound/directivity';
  import type { SetLayout, Spot } from '../../core/set/layout';
  import type { Movable } from '../../core/set/move-on-set';
  import './set-drawing.css';
  import SetFloor from './SetFloor.svelte';
  import SetPart from './SetPart.svelte';
  import { type Frame, scaleFor } from './set-view';

  /** The set from above, to scale: what can be dragged is dragged where it can stand. */
  interface Props {
    layout: SetLayout;
    frame: Frame;
    /** How far the drawing is shifted so that what is not dragged stays. */
    shiftX: number;
    units: UnitSystem;
    onmove: (movable: Movable, to: Spot) => void;
    ondone: () => void;
    onkey: (movable: Movable, to: Spot) => void;
  }
  const { layout, frame, shiftX, units, onmove, ondone, onkey }: Props = $props();

  let width = $state(720);
  const height = $derived(
    Math.max(
      210,
      Math.min(400, (width * (frame.bottom - frame.top)) / (frame.right - frame.left) + 24)
    )
  );
  const scale = $derived(scaleFor(frame, width, height - 20));
  const x = $derived((metres: number) => scale.x(metres + shiftX));
  const y = $derived(scale.y);
  const partScale = $derived({
    ...scale,
    // Where the pointer is, is told in the place of before the drag: every move is counted from there.
    x: (metres: number) => scale.x(metres + shiftX)
  });
  const moving = $derived({ scale: partScale, from: 'above' as const, onmove, ondone, onkey });
  const words = (metres: number) => lengthWords(metres, units);

  const inside = $derived(
    layout.room ?? {
      xMin: frame.left,
      xMax: frame.right,
      yMin: frame.top,
      yMax: frame.bottom,
      heightM: 0
    }
  );
  /** A lobe of the pickup pattern that points at the mouth. */
  const lobe = $derived.by(() => {
    const { mic, subject } = layout;
    if (!mic) return '';
    const share = pickupPatterns[mic.pattern].omniShare;
    const toMouth = Math.atan2(-mic.spot.y, subject.x - mic.spot.x);
    const size = Math.max(0.15, Math.min(0.4, mic.distanceM));
    return `M${range(0, 2 * Math.PI, Math.PI / 24)
      .map((turn) => {
        const reach = Math.abs(share + (1 - share) * Math.cos(turn)) * size;
        return `${x(mic.spot.x + reach * Math.cos(toMouth + turn)).toFixed(1)},${y(mic.spot.y + reach * Math.sin(toMouth + turn)).toFixed(1)}`;
      })
      .join('L')}Z`;
  });
  /** Where the nearest wall is met: sockets are in walls. */
  function nearestWall(room: NonNullable<SetLayout['room']>, { x: sx, y: sy }: Spot) {
    const walls = [
      { off: sx - room.xMin, x: room.xMin, y: sy },
      { off: room.xMax - sx, x: room.xMax, y: sy },
      { off: sy - room.yMin, x: sx, y: room.yMin },
      { off: room.yMax - sy, x: sx, y: room.yMax }
    ];
    return walls[minIndex(walls, ({ off }) => off)]!;
  }
  const rulerY = $derived(
    Math.min(y(frame.bottom) - 10, y(Math.max(0.42, (layout.people.length * 0.55) / 2 + 0.15)))
  );
  const summary = $derived(
    `The set from above. Camera ${words(layout.looksDown ? layout.camera.z - layout.subject.z : -layout.camera.x)} from the ${layout.showsFace ? 'face' : 'work'}${layout.background ? `, background ${words(layout.background.x)} behind` : ''}. ${layout.lamps.map(({ name, role, distanceM }) => `${name}, ${role}, ${words(distanceM)} off`).join('. ')}`
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
    data-pixels-a-metre={scale.k.toFixed(2)}
  >
    <SetFloor {layout} {frame} {inside} scale={partScale} />

    {#if layout.background && !layout.looksDown}
      {@const backgroundM = layout.background.x}
      <SetPart
        movable={{ what: 'background' }}
        label="Background"
        valueM={backgroundM}
        valueWords="{words(backgroundM)} behind the face"
        spot={{ x: backgroundM, y: 0, z: 1 }}
        {...moving}
      >
        <path d="M{x(backgroundM)} {y(inside.yMin)}V{y(inside.yMax)}" class="grip" />
        <path d="M{x(backgroundM)} {y(inside.yMin)}V{y(inside.yMax)}" class="back body" />
      </SetPart>
    {/if}
    {#if layout.window}
      {@const { y: windowM, widthM, hung } = layout.window}
      <SetPart
        movable={{ what: 'window' }}
        label="Window"
        valueM={windowM}
        valueWords="{words(windowM)} beside the face"
        spot={{ x: 0, y: windowM, z: 1.2 }}
        {...moving}
      >
        <rect
          x={x(-widthM / 2)}
          y={y(windowM) - 5}
          width={widthM * scale.k}
          height="10"
          class="window body"
          class:curtained={hung !== 'open'}
        />
        <text x={x(0)} y={y(windowM) + 18} text-anchor="middle">window, {hung}</text>
      </SetPart>
    {/if}

    {#if layout.room}
      {#each layout.lamps.filter(({ mainsM }) => mainsM !== undefined) as lamp, index (index)}
        {@const wall = nearestWall(layout.room, lamp.spot)}
        <path d="M{x(lamp.spot.x)} {y(lamp.spot.y)}L{x(wall.x)} {y(wall.y)}" class="cable" />
        <text x={(x(lamp.spot.x) + x(wall.x)) / 2 + 6} y={(y(lamp.spot.y) + y(wall.y)) / 2 + 4}
          >mains {words(lamp.mainsM!)}</text
        >
      {/each}
    {/if}
    {#each layout.lamps as lamp, index (`${lamp.role} ${index}`)}
      {#if lamp.stand && lamp.stand.footRadiusM}
        <circle
          cx={x(lamp.spot.x)}
          cy={y(lamp.spot.y)}
          r={lamp.stand.footRadiusM * scale.k}
          class="foot"
        />
      {/if}
    {/each}
    {#if layout.support?.footRadiusM && !layout.looksDown}
      <circle
        cx={x(layout.camera.x)}
        cy={y(0)}
        r={layout.support.footRadiusM * scale.k}
        class="foot"
      />
    {/if}
    {#if layout.mic?.stand}
      {@const { stand, spot, standRadiusM = 0.3, bagKg } = layout.mic}
      <circle cx={x(stand.x)} cy={y(stand.y)} r={standRadiusM * scale.k} class="foot" />
      <path d="M{x(spot.x)} {y(spot.y)}L{x(stand.x)} {y(stand.y)}" class="boom" />
      {#if bagKg !== undefined && bagKg > 0.05}
        <rect x={x(stand.x) - 10} y={y(stand.y) - 6} width="20" height="12" rx="4" class="bag" />
        <text x={x(stand.x) + 15} y={y(stand.y) + 4}>sandbag {bagKg.toFixed(1)} kg</text>
      {/if}
    {/if}

    <SetPart
      movable={{ what: 'person' }}
      label={layout.showsFace ? 'Person' : 'Work'}
      valueM={layout.looksDown ? 0 : -layout.camera.x}
      valueWords="{words(
        layout.looksDown ? layout.camera.z - layout.subject.z : -layout.camera.x
      )} from the lens"
      spot={layout.subject}
      {...moving}
    >
      {#if layout.people.length > 0}
        {#each layout.people as person, index (index)}
          <ellipse
            cx={x(person.x) + 0.06 * scale.k}
            cy={y(person.y)}
            rx={0.13 * scale.k}
            ry={0.23 * scale.k}
            class="coat body"
          />
          <circle cx={x(person.x)} cy={y(person.y)} r={0.09 * scale.k} class="head" />
          <path
            d="M{x(person.x) - 0.09 * scale.k} {y(person.y) - 0.03 * scale.k}l{-0.03 *
              scale.k} {0.03 * scale.k}l{0.03 * scale.k} {0.03 * scale.k}"
            class="nose"
          />
        {/each}
      {:else}
        <rect
          x={x(0) - 0.12 * scale.k}
          y={y(0) - 0.16 * scale.k}
          width={0.24 * scale.k}
          height={0.32 * scale.k}
          rx="4"
          class="coat body"
        />
      {/if}
    </SetPart>

    {#each layout.lamps as lamp, index (`${lamp.role} ${index}`)}
      {@const radius = Math.max(0.05, lamp.radiusM ?? 0.1) * scale.k}
      {@const turn = (Math.atan2(-lamp.spot.y, -lamp.spot.x) * 180) / Math.PI}
      <SetPart
        movable={{ what: 'lamp', at: index }}
        label="{lamp.name}, {lamp.role}"
        valueM={lamp.distanceM}
        valueWords="{words(lamp.distanceM)} from the face, {lamp.angleDeg}° off the camera"
        spot={lamp.spot}
        {...moving}
      >
        {#if lamp.role === 'overhead'}
          <circle cx={x(lamp.spot.x)} cy={y(lamp.spot.y)} r={radius} class="lamp over body" />
        {:else}
          <g transform="translate({x(lamp.spot.x)} {y(lamp.spot.y)}) rotate({turn})">
            <rect
              x="-7"
              y={-radius}
              width="12"
              height={2 * radius}
              rx="6"
              class="lamp body"
              class:seen={lamp.role === 'practical'}
            />
          </g>
        {/if}
        <text
          x={x(lamp.spot.x)}
          y={y(lamp.spot.y) + (lamp.spot.y < 0 ? -radius * 0.5 - 14 : radius * 0.5 + 24)}
          text-anchor="middle">{lamp.role} {words(lamp.distanceM)}, {lamp.angleDeg}°</text
        >
      </SetPart>
    {/each}

    {#if layout.mic}
      {#if layout.mic.cableM !== undefined && !layout.looksDown}
        {@const { spot, stand, cableM } = layout.mic}
        {@const from = stand ?? spot}
        <path
          d="M{x(from.x)} {y(from.y)}Q{x(layout.camera.x)} {y(from.y) + 0.25 * scale.k} {x(
            layout.camera.x
          ) - 30} {y(0) + 14}"
          class="cable"
        />
        <text x={x(layout.camera.x) - 8} y={y(from.y) + 0.2 * scale.k}>cable {words(cableM)}</text>
      {/if}
      <path d={lobe} class="lobe" />
      <SetPart
        movable={{ what: 'microphone' }}
        label={layout.mic.name}
        valueM={layout.mic.distanceM}
        valueWords="{words(layout.mic.distanceM)} from the mouth"
        spot={layout.mic.spot}
        {...moving}
      >
        <circle cx={x(layout.mic.spot.x)} cy={y(layout.mic.spot.y)} r="13" fill="transparent" />
        <rect
          x={x(layout.mic.spot.x) - 9}
          y={y(layout.mic.spot.y) - 5}
          width="18"
          height="10"
          rx="5"
          class="mic body"
        />
      </SetPart>
    {/if}

    {#each layout.others as other, index (other.angleId)}
      {@const turn = (Math.atan2(-other.spot.y, -other.spot.x) * 180) / Math.PI}
      <SetPart
        movable={{ what: 'other camera', at: index }}
        label="Camera {other.name}"
        valueM={other.distanceM}
        valueWords="{words(other.distanceM)} from the face, {Math.round(other.turnDeg)}° round"
        spot={other.spot}
        {...moving}
      >
        <g transform="translate({x(other.spot.x)} {y(other.spot.y)}) rotate({turn})">
          <rect x="-32" y="-12" width="20" height="24" rx="4" class="camera other body" />
          <rect x="-12" y="-8" width="10" height="16" class="camera other" />
        </g>
        <text x={x(other.spot.x)} y={y(other.spot.y) + 28} text-anchor="middle"
          >{other.name} {words(other.distanceM)}</text
        >
      </SetPart>
    {/each}

    <SetPart
      movable={{ what: 'camera' }}
      label="Camera"
      valueM={layout.looksDown ? layout.camera.z - layout.subject.z : -layout.camera.x}
      valueWords="{words(
        layout.looksDown ? layout.camera.z - layout.subject.z : -layout.camera.x
      )} from the {layout.showsFace ? 'face' : 'work'}"
      spot={layout.camera}
      {...moving}
    >
      {#if layout.looksDown}
        <rect x={x(0) - 15} y={y(0) - 11} width="30" height="22" rx="5" class="camera over body" />
        <circle cx={x(0)} cy={y(0)} r="8" class="camera over" />
      {:else}
        <rect
          x={x(layout.camera.x) - 36}
          y={y(0) - 15}
          width="24"
          height="30"
          rx="5"
          class="camera body"
        />
        <rect x={x(layout.camera.x) - 12} y={y(0) - 10} width="12" height="20" class="camera" />
      {/if}
    </SetPart>

    {#if !layout.looksDown}
      <g class="ruler" aria-hidden="true">
        <path
          d="M{x(layout.camera.x)} {rulerY - 4}v8M{x(layout.camera.x)} {rulerY}H{x(0)}M{x(
            0
          )} {rulerY - 4}v8"
        />
        <text x={(x(layout.camera.x) + x(0)) / 2} y={rulerY + 15} text-anchor="middle"
          >{words(-layout.camera.x)}</text
        >
        {#if layout.background}
          <path
            d="M{x(0)} {rulerY}H{x(layout.background.x)}M{x(layout.background.x)} {rulerY - 4}v8"
          />
          <text x={(x(0) + x(layout.background.x)) / 2} y={rulerY + 15} text-anchor="middle"
            >{words(layout.background.x)}</text
          >
        {/if}
      </g>
    {/if}
    <g class="ruler" aria-hidden="true">
      <path d="M8 {height - 6}v-6m0 3h{scale.k / 2}m0 -3v6" />
      <text x={14 + scale.k / 2} y={height - 5}>{words(0.5)}</text>
    </g>
  </svg>
</div>

<style>
  .grip {
    stroke: transparent;
    stroke-width: 22px;
  }

  .window {
    fill: var(--paper);
    stroke: var(--ink);
    stroke-width: 2px;
  }

  .window.curtained {
    fill: var(--tan);
  }

  .foot {
    fill: none;
    stroke: var(--ink-soft);
    stroke-dasharray: 3 3;
  }

  .boom {
    stroke: var(--ink);
    stroke-width: 3px;
  }

  .bag {
    fill: var(--pocket-support);
  }

  .nose {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.6px;
  }

  .over {
    fill-opacity: 0.45;
    stroke-dasharray: 4 3;
  }

  .lobe {
    fill: var(--pocket-sound);
    fill-opacity: 0.1;
    stroke: var(--pocket-sound);
    stroke-opacity: 0.5;
    pointer-events: none;
  }

  .camera.other {
    fill: var(--canvas-deep);
    stroke-dasharray: 4 2;
  }

  .cable {
    fill: none;
    stroke: var(--pocket-accessories);
    stroke-width: 1.6px;
    stroke-dasharray: 1 3;
    stroke-linecap: round;
  }

  .ruler path {
    fill: none;
    stroke: var(--ink);
  }

  .ruler text {
    font-weight: 600;
  }
</style>
