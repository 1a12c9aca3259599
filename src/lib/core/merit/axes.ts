import { type FigureRecord, known, unknown } from '../figures/record';
import { type FigureId, figureIndex } from '../figures/table';
import { hearsVoice, type PlacedRig } from '../rigs/placed-rig';

/** The seven axes a scene is judged on. */
export const axes = [
  'sound',
  'light',
  'picture',
  'steadiness',
  'endurance',
  'ease',
  'safety net'
] as const;
export type Axis = (typeof axes)[number];

/** From figure to points: straight lines between these pairs, flat never: ends keep a small slope. */
export type CurvePoints = readonly (readonly [figure: number, points: number])[];

interface Curve {
  figure: FigureId;
  points: CurvePoints;
  /** When the figure is nothing to be judged in this scene, its absence costs nothing. */
  wanted: (rig: PlacedRig) => boolean;
}

/** Points fall or rise this little past the ends, so that no two kits tie because both are off the chart. */
const END_SLOPE_POINTS = 1;

const always = () => true;
const speaks = hearsVoice;
const indoors = (rig: PlacedRig) => rig.scene.room !== undefined;
const lit = (rig: PlacedRig) => rig.scene.lightSource === 'lamps';
const carried = (rig: PlacedRig) =>
  rig.angle.cameraPlace === 'hand' || rig.angle.cameraPlace === 'stick';

/** Each figure feeds one axis only. */
export const axisCurves: Record<Axis, readonly Curve[]> = {
  sound: [
    {
      figure: 'speechMargin',
      points: [
        [-35, 2],
        [-10, 50],
        [0, 85],
        [15, 99]
      ],
      wanted: speaks
    },
    {
      figure: 'directToLate',
      points: [
        [-10, 5],
        [6, 45],
        [12, 85],
        [25, 99]
      ],
      wanted: (rig) => speaks(rig) && indoors(rig)
    }
  ],
  light: [
    {
      figure: 'lightMargin',
      points: [
        [-6, 2],
        [-2, 35],
        [0, 85],
        [3, 97],
        [10, 99]
      ],
      wanted: always
    },
    {
      figure: 'keySoftness',
      points: [
        [2, 15],
        [5, 40],
        [15, 75],
        [30, 92],
        [60, 99]
      ],
      wanted: lit
    },
    {
      figure: 'densityShort',
      points: [
        [0, 99],
        [0.5, 92],
        [3, 35],
        [8, 3]
      ],
      wanted: (rig) => rig.scene.lightSource === 'sky'
    },
    {
      figure: 'flickerLeft',
      points: [
        [0, 99],
        [2, 92],
        [5, 55],
        [20, 5]
      ],
      wanted: indoors
    }
  ],
  picture: [
    {
      figure: 'framingMiss',
      points: [
        [0, 99],
        [0.2, 92],
        [0.43, 70],
        [1, 25],
        [2, 2]
      ],
      wanted: always
    },
    {
      figure: 'blurShare',
      points: [
        [0, 15],
        [0.5, 55],
        [1, 92],
        [3, 99]
      ],
      wanted: (rig) => rig.scene.wantsBlurPercent > 0
    },
    {
      figure: 'faceFocusMargin',
      points: [
        [-5, 8],
        [-2, 45],
        [0, 92],
        [4, 99]
      ],
      wanted: (rig) =>
        rig.scene.wantsFaceSharp && rig.angle.framing !== 'hands' && rig.angle.framing !== 'table'
    },
    {
      figure: 'nearStretch',
      points: [
        [1, 99],
        [1.25, 88],
        [1.34, 65],
        [1.6, 15]
      ],
      wanted: (rig) => rig.angle.framing !== 'hands' && rig.angle.framing !== 'table'
    },
    {
      figure: 'usableIso',
      points: [
        [150, 20],
        [860, 55],
        [1480, 68],
        [2700, 82],
        [6400, 95],
        [12800, 99]
      ],
      wanted: always
    },
    {
      figure: 'pixelsShare',
      points: [
        [0.25, 10],
        [0.5, 50],
        [1, 95],
        [2, 99]
      ],
      wanted: always
    },
    {
      figure: 'seesSelf',
      points: [
        [0, 35],
        [1, 97]
      ],
      wanted: (rig) => rig.scene.wantsSeeSelf
    }
  ],
  steadiness: [
    {
      figure: 'steadying',
      points: [
        [0, 15],
        [1, 45],
        [2, 70],
        [3, 85],
        [4, 96],
        [5, 98]
      ],
      wanted: always
    },
    {
      figure: 'payloadShare',
      points: [
        [0, 99],
        [0.35, 93],
        [0.667, 80],
        [1, 35],
        [1.5, 3]
      ],
      wanted: (rig) => rig.support !== undefined
    },
    {
      figure: 'holdMinutes',
      points: [
        [0, 15],
        [1, 45],
        [2.5, 75],
        [6, 96]
      ],
      wanted: carried
    }
  ],
  endurance: [
    {
      figure: 'dayPowerShare',
      points: [
        [0, 2],
        [0.5, 30],
        [1, 80],
        [1.5, 93],
        [3, 99]
      ],
      wanted: always
    },
    {
      figure: 'takePowerShare',
      points: [
        [0, 2],
        [0.7, 30],
        [1, 82],
        [2, 95],
        [4, 99]
      ],
      wanted: always
    },
    {
      figure: 'storageShare',
      points: [
        [0, 2],
        [0.5, 30],
        [1, 82],
        [1.5, 94],
        [3, 99]
      ],
      wanted: always
    }
  ],
  ease: [
    {
      figure: 'rigMass',
      points: [
        [0, 99],
        [0.7, 93],
        [2, 78],
        [5, 50],
        [12, 8]
      ],
      wanted: always
    },
    {
      figure: 'setUp',
      points: [
        [0, 99],
        [3, 90],
        [8, 72],
        [15, 45],
        [40, 3]
      ],
      wanted: always
    },
    {
      figure: 'switches',
      points: [
        [0, 99],
        [1, 93],
        [3, 75],
        [6, 40],
        [12, 3]
      ],
      wanted: always
    }
  ],
  'safety net': [
    {
      figure: 'recordings',
      points: [
        [0, 5],
        [1, 50],
        [2, 92],
        [3, 99]
      ],
      wanted: always
    },
    {
      figure: 'spareCells',
      points: [
        [0, 40],
        [1, 82],
        [3, 96],
        [6, 99]
      ],
      wanted: always
    },
    {
      figure: 'copies',
      points: [
        [0, 5],
        [1, 50],
        [2, 90],
        [3, 98]
      ],
      wanted: always
    }
  ]
};

/** Straight lines between the points, a gentle slope past either end. */
export function pointsOn(curve: CurvePoints, figure: number): number {
  const first = curve[0]!;
  const last = curve[curve.length - 1]!;
  const rises = last[1] >= first[1] ? 1 : -1;
  if (figure <= first[0]) {
    const beyond = first[0] - figure;
    return (
      first[1] -
      rises *
        END_SLOPE_POINTS *
        (beyond === Infinity ? 1 : beyond / (beyond + Math.abs(last[0] - first[0])))
    );
  }
  if (figure >= last[0]) {
    const beyond = figure - last[0];
    return (
      last[1] +
      rises *
        END_SLOPE_POINTS *
        (beyond === Infinity ? 1 : beyond / (beyond + Math.abs(last[0] - first[0])))
    );
  }
  let at = 1;
  while (curve[at]![0] < figure) at += 1;
  const [x0, y0] = curve[at - 1]!;
  const [x1, y1] = curve[at]!;
  return y0 + ((y1 - y0) * (figure - x0)) / (x1 - x0);
}

export interface AxisPart {
  figure: FigureId;
  value: number | undefined;
  low: number;
  high: number;
}

/** Points of an axis; low and high differ while something is unknown. `undefined` when it has nothing to judge here. */
export interface AxisScore {
  axis: Axis;
  low: number;
  high: number;
  parts: AxisPart[];
}

function ends(curve: CurvePoints): { least: number; most: number } {
  const a = curve[0]![1];
  const b = curve[curve.length - 1]![1];
  return { least: Math.min(a, b) - END_SLOPE_POINTS, most: Math.max(a, b) + END_SLOPE_POINTS };
}

/** ½·mean + ½·worst, so that one bad figure is felt; endurance takes the worst alone. */
function together(axis: Axis, parts: readonly AxisPart[], end: 'low' | 'high'): number {
  let sum = 0;
  let worst = Infinity;
  for (const part of parts) {
    sum += part[end];
    if (part[end] < worst) worst = part[end];
  }
  const points = axis === 'endurance' ? worst : 0.5 * (sum / parts.length) + 0.5 * worst;
  return Math.min(100, Math.max(0, points));
}

/** Where in the record each curve's figure stands, and how low and high its points can be. */
const prepared = Object.fromEntries(
  axes.map((axis) => [
    axis,
    axisCurves[axis].map((curve) => ({
      ...curve,
      ...ends(curve.points),
      at: figureIndex[curve.figure]
    }))
  ])
) as Record<Axis, (Curve & { least: number; most: number; at: number })[]>;

/** Places in the record of the figures an axis is made of. */
export function figuresOfAxis(axis: Axis): readonly number[] {
  return placesOfAxis[axis];
}
const placesOfAxis = Object.fromEntries(
  axes.map((axis) => [axis, prepared[axis].map(({ at }) => at)])
) as Record<Axis, number[]>;

/** Which of an axis's figures are judged at all in a rig. */
export function wantsOfAxis(axis: Axis, rig: PlacedRig): readonly boolean[] {
  return prepared[axis].map(({ wanted }) => wanted(rig));
}

export function scoreAxis(axis: Axis, rig: PlacedRig, record: FigureRecord): AxisScore | undefined {
  const parts: AxisPart[] = [];
  for (const { wanted, at, figure, points, least, most } of prepared[axis]) {
    if (!wanted(rig)) continue;
    const state = record.states[at]!;
    if (state === known) {
      const value = record.values[at]!;
      const worth = pointsOn(points, value);
      parts.push({ figure, value, low: worth, high: worth });
    } else {
      // What is missing altogether is as bad as it can be; what is unknown may be anything.
      parts.push({ figure, value: undefined, low: least, high: state === unknown ? most : least });
    }
  }
  if (parts.length === 0) return undefined;
  return {
    axis,
    low: together(axis, parts, 'low'),
    high: together(axis, parts, 'high'),
    parts
  };
}
