import { contours } from 'd3-contour';
import { maxIndex, range } from 'd3-array';
import { lampLightAtLx, lampsThatLight } from '../../core/set/light-field';
import { PERSON_WIDTH_M, type SetLayout } from '../../core/set/layout';

/** A piece of the set in metres: what is drawn, with a margin. */
export interface Frame {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

const MARGIN_M = 0.12;

function around(xs: readonly number[], ys: readonly number[]): Frame {
  return {
    left: Math.min(...xs) - MARGIN_M,
    right: Math.max(...xs) + MARGIN_M,
    top: Math.min(...ys) - MARGIN_M,
    bottom: Math.max(...ys) + MARGIN_M
  };
}

/** Past this much of a far background nothing is drawn. */
const FAR_M = 6;

/** All there is to see from above; across the camera's axis down the page. */
export function frameFromAbove(layout: SetLayout): Frame {
  const { room, lamps, mic, camera, window } = layout;
  const half = Math.max(0.6, (layout.people.length * PERSON_WIDTH_M) / 2);
  const xs = [camera.x - 0.35, 0.4];
  const ys = [-half, half];
  if (room) {
    xs.push(room.xMin, room.xMax);
    ys.push(room.yMin, room.yMax);
  }
  if (layout.background) xs.push(Math.min(layout.background.x, FAR_M));
  if (window) ys.push(window.y);
  for (const { spot } of [...lamps, ...layout.others]) {
    xs.push(spot.x);
    ys.push(spot.y);
  }
  if (mic) {
    xs.push(mic.spot.x);
    ys.push(mic.spot.y, mic.stand?.y ?? 0);
  }
  if (layout.looksDown && layout.picture) {
    xs.push(-layout.picture.heightM / 2, layout.picture.heightM / 2);
    ys.push(-layout.picture.widthM / 2, layout.picture.widthM / 2);
  }
  return around(xs, ys);
}

/** All there is to see from the side; heights grow up the page, so they count below zero here. */
export function frameFromTheSide(layout: SetLayout): Frame {
  const above = frameFromAbove(layout);
  const heights = [0, layout.camera.z, layout.subject.z + 0.25, layout.mic?.spot.z ?? 0];
  for (const { spot } of layout.lamps) heights.push(spot.z);
  if (layout.room) heights.push(layout.room.heightM);
  return {
    left: above.left,
    right: above.right,
    top: -Math.max(...heights) - 0.1,
    bottom: 0.15
  };
}

/** Pixels a metre at which a frame fits, and where its corner lies. */
export interface Scale {
  k: number;
  x: (metres: number) => number;
  y: (metres: number) => number;
  toX: (pixels: number) => number;
  toY: (pixels: number) => number;
}

export function scaleFor(frame: Frame, width: number, height: number): Scale {
  const k = Math.min(width / (frame.right - frame.left), height / (frame.bottom - frame.top));
  const offX = (width - k * (frame.right - frame.left)) / 2 - k * frame.left;
  const offY = (height - k * (frame.bottom - frame.top)) / 2 - k * frame.top;
  return {
    k,
    x: (metres) => offX + k * metres,
    y: (metres) => offY + k * metres,
    toX: (pixels) => (pixels - offX) / k,
    toY: (pixels) => (pixels - offY) / k
  };
}

/** A line of equal light: how many stops below the face, and its path. */
export interface LightLine {
  stops: number;
  lx: number;
  path: string;
  /** Where its figure stands: at its lowest point on the page. */
  label: { x: number; y: number } | undefined;
}

/** Cells along the drawing's width: finer than this nobody sees. */
const CELLS = 44;
const LINES = [1, 0, -1, -2, -3] as const;

/** Lines of equal light of the lamps on a plane that faces the camera, one a stop, from a stop over the face downwards. */
export function linesOfLight(
  layout: SetLayout,
  frame: Frame,
  { x, y }: Pick<Scale, 'x' | 'y'>
): LightLine[] {
  const atFace = lampLightAtLx(layout, layout.subject.x, layout.subject.y);
  if (lampsThatLight(layout).length === 0 || atFace <= 0) return [];
  const cell = (frame.right - frame.left) / CELLS;
  const rows = Math.max(2, Math.ceil((frame.bottom - frame.top) / cell));
  const values = range(rows * CELLS).map((sample) =>
    Math.log2(
      Math.max(
        1e-3,
        lampLightAtLx(
          layout,
          frame.left + ((sample % CELLS) + 0.5) * cell,
          frame.top + (Math.floor(sample / CELLS) + 0.5) * cell
        )
      ) / atFace
    )
  );
  const trace = contours().size([CELLS, rows]);
  return LINES.map((stops) => {
    const rings = trace.contour(values, stops).coordinates.flatMap((polygon) =>
      polygon.map((ring) =>
        ring.map(([column, row]) => ({
          x: x(frame.left + column! * cell),
          y: y(frame.top + row! * cell)
        }))
      )
    );
    const inside = rings
      .flat()
      .filter(
        (point) => point.y < y(frame.bottom - 3 * cell) && point.x < x(frame.right - 3 * cell)
      );
    return {
      stops,
      lx: atFace * 2 ** stops,
      path: rings
        .map(
          (ring) =>
            `M${ring.map((point) => `${point.x.toFixed(1)},${point.y.toFixed(1)}`).join('L')}Z`
        )
        .join(''),
      label: inside[maxIndex(inside, (point) => point.y)]
    };
  });
}

/** How far the arrow keys carry a part, in metres. */
export const KEY_STEP_M = { fine: 0.01, coarse: 0.1 } as const;
