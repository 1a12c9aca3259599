import { drag } from 'd3-drag';
import { select } from 'd3-selection';
import type { Action } from 'svelte/action';
import { KEY_STEP_M } from './set-view';

export interface Dragging {
  /** Where the part is drawn, pixels. */
  at: () => { x: number; y: number };
  /** Pixels a metre, for the arrow keys. */
  k: () => number;
  /** Asked for every frame the pointer moves; the last of them is followed by `ondone`. */
  onmove: (x: number, y: number) => void;
  ondone: () => void;
  /** The arrow keys carry on from where they left off, whatever was refused. */
  onkey: (dx: number, dy: number) => void;
}

const arrows: Record<string, readonly [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1]
};

/** Makes a drawn part movable: by pointer, by touch and by the arrow keys. */
export const dragPart: Action<SVGGElement, Dragging> = (node, first) => {
  let now = first;
  const dragging = drag<SVGGElement, unknown>()
    .container(() => node.ownerSVGElement!)
    .subject(() => now.at())
    .on('start', () => node.focus({ preventScroll: true }))
    .on('drag', (event: { x: number; y: number }) => now.onmove(event.x, event.y))
    .on('end', () => now.ondone());
  const selection = select<SVGGElement, unknown>(node).call(dragging);
  const onkeydown = (event: KeyboardEvent) => {
    const arrow = arrows[event.key];
    if (!arrow || event.altKey || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    event.stopPropagation();
    const step = event.shiftKey ? KEY_STEP_M.coarse : KEY_STEP_M.fine;
    now.onkey(arrow[0] * step, arrow[1] * step);
  };
  node.addEventListener('keydown', onkeydown);
  return {
    update: (next) => {
      now = next;
    },
    destroy: () => {
      selection.on('.drag', null);
      node.removeEventListener('keydown', onkeydown);
    }
  };
};
