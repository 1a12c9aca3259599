<script lang="ts">
  import { range } from 'd3-array';
  import type { SetLayout } from '../../core/set/layout';
  import { type Frame, linesOfLight } from './set-view';

  /** What lies under the parts of a set seen from above: squares, light, walls, what the lens sees and where it is sharp. */
  interface Props {
    layout: SetLayout;
    frame: Frame;
    /** The room, or what is drawn where there is none. */
    inside: Pick<NonNullable<SetLayout['room']>, 'xMin' | 'xMax' | 'yMin' | 'yMax'>;
    scale: { x: (metres: number) => number; y: (metres: number) => number; k: number };
  }
  const { layout, frame, inside, scale }: Props = $props();
  const { x, y } = $derived(scale);

  const lines = $derived(linesOfLight(layout, frame, { x, y }));
  const SQUARE_M = 0.25;
  const squares = (from: number, to: number) =>
    range(Math.ceil(from / SQUARE_M) * SQUARE_M, to, SQUARE_M);

  const farX = $derived(
    layout.background?.x ?? layout.room?.xMax ?? Math.max(frame.right - 0.1, 0.5)
  );
  const cone = $derived.by(() => {
    const { picture, camera } = layout;
    if (!picture || layout.looksDown) return undefined;
    const slope = picture.widthM / 2 / (layout.subject.x - camera.x);
    const half = (x: number) => slope * (x - camera.x);
    const { focus } = layout;
    const near = focus && Math.max(camera.x, camera.x + focus.nearM);
    const far = focus && Math.min(farX, camera.x + focus.farM);
    return {
      path: `M${x(camera.x)},${y(0)}L${x(farX)},${y(-half(farX))}V${y(half(farX))}Z`,
      sharp:
        near !== undefined && far !== undefined && near < farX
          ? `M${x(near)},${y(-half(near))}L${x(far)},${y(-half(far))}V${y(half(far))}L${x(near)},${y(half(near))}Z`
          : undefined
    };
  });
</script>

<g class="grid">
  {#each squares(inside.xMin, inside.xMax) as metre (metre)}<path
      d="M{x(metre)} {y(inside.yMin)}V{y(inside.yMax)}"
    />{/each}
  {#each squares(inside.yMin, inside.yMax) as metre (metre)}<path
      d="M{x(inside.xMin)} {y(metre)}H{x(inside.xMax)}"
    />{/each}
</g>
{#if layout.held && !layout.room}
  <path d="M{x(frame.left)} {y(0.02)}H{x(frame.right)}" class="path" />
{/if}
<clipPath id="set-floor"
  ><rect
    x={x(inside.xMin)}
    y={y(inside.yMin)}
    width={Math.max(0, x(inside.xMax) - x(inside.xMin))}
    height={Math.max(0, y(inside.yMax) - y(inside.yMin))}
  /></clipPath
>
<g class="light" clip-path="url(#set-floor)">
  {#each [...lines].reverse() as line (line.stops)}<path d={line.path} />{/each}
  {#each lines as line (line.stops)}
    {#if line.label && line.stops < 0}<text x={line.label.x} y={line.label.y} text-anchor="middle"
        >{Math.round(line.lx)} lx</text
      >{/if}
  {/each}
</g>
{#if layout.room}
  <rect
    class="walls"
    x={x(layout.room.xMin)}
    y={y(layout.room.yMin)}
    width={x(layout.room.xMax) - x(layout.room.xMin)}
    height={y(layout.room.yMax) - y(layout.room.yMin)}
  />
{/if}
{#if cone}
  <path class="cone" d={cone.path} />
  {#if cone.sharp}<path class="sharp" d={cone.sharp} />{/if}
{:else if layout.looksDown && layout.picture}
  <rect
    class="cone"
    x={x(-layout.picture.heightM / 2)}
    y={y(-layout.picture.widthM / 2)}
    width={layout.picture.heightM * scale.k}
    height={layout.picture.widthM * scale.k}
  />
{/if}

<style>
  .grid path {
    stroke: var(--line);
    stroke-opacity: 0.55;
    stroke-dasharray: 3 3;
  }

  .light path {
    fill: var(--pocket-light);
    fill-opacity: 0.13;
    stroke: var(--pocket-light);
    stroke-opacity: 0.55;
    stroke-dasharray: 2 4;
  }

  .walls.walls {
    stroke-width: 3px;
  }

  .sharp {
    fill: var(--pocket-lens);
    fill-opacity: 0.16;
  }

  .path {
    fill: none;
    stroke: var(--tan-line);
    stroke-width: 22px;
    stroke-opacity: 0.35;
    stroke-linecap: round;
    stroke-dasharray: 2 34;
  }
</style>
