<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Movable } from '../../core/set/move-on-set';
  import type { Spot } from '../../core/set/layout';
  import { dragPart } from './drag-part';
  import type { Scale } from './set-view';

  /** One thing of the set that can be moved: by pointer, by touch and by the arrow keys. */
  interface Props {
    movable: Movable;
    /** What it is and where, said to those who do not see it. */
    label: string;
    /** Its distance from the face, in metres, and the same in words. */
    valueM: number;
    valueWords: string;
    spot: Spot;
    scale: Scale;
    /** Seen from above or from the side: what goes down the page. */
    from: 'above' | 'side';
    onmove: (movable: Movable, to: Spot) => void;
    ondone: () => void;
    onkey: (movable: Movable, to: Spot) => void;
    children: Snippet;
  }
  const {
    movable,
    label,
    valueM,
    valueWords,
    spot,
    scale,
    from,
    onmove,
    ondone,
    onkey,
    children
  }: Props = $props();

  const down = $derived(from === 'above' ? spot.y : -spot.z);
  const spotAt = (x: number, y: number): Spot =>
    from === 'above' ? { x, y, z: spot.z } : { x, y: spot.y, z: -y };
</script>

<g
  class="part"
  role="slider"
  tabindex="0"
  aria-label={label}
  aria-valuenow={Number(valueM.toFixed(2))}
  aria-valuetext={valueWords}
  aria-orientation="horizontal"
  use:dragPart={{
    at: () => ({ x: scale.x(spot.x), y: scale.y(down) }),
    k: () => scale.k,
    onmove: (x, y) => onmove(movable, spotAt(scale.toX(x), scale.toY(y))),
    ondone,
    onkey: (dx, dy) => onkey(movable, spotAt(spot.x + dx, down + dy))
  }}
>
  <title>{label}, {valueWords}. Drag it, or move it by the arrow keys.</title>
  {@render children()}
</g>

<style>
  .part {
    cursor: grab;
    touch-action: none;
    outline: none;
  }

  .part:active {
    cursor: grabbing;
  }

  .part:focus-visible :global(.body) {
    stroke: var(--moss);
    stroke-width: 3px;
  }

  .part:hover :global(.body) {
    filter: brightness(1.06);
  }
</style>
