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
  const from = curve[at - 1]!;
  const to = curve[at]!;
  return from[1] + ((to[1] - from[1]) * (figure - from[0])) / (to[0] - from[0]);
}

export interface AxisPart {
  figure: FigureId;
  value: number | undefined;
  low: number;
  high: number;
}

/** Points of an axis in one angle; low and high differ while something is unknown. */
export interface AxisScore {
  axis: Axis;
  /** The angle that was judged: its figures are what the points stand on. */
  angleId: string;
  low: number;
  high: number;
}

function ends(curve: CurvePoints): { least: number; most: number } {
  const a = curve[0]![1];
  const b = curve[curve.length - 1]![1];
  return { least: Math.min(a, b) - END_SLOPE_POINTS, most: Math.max(a, b) + END_SLOPE_POINTS };
}

/** ½·mean + ½·worst, so that one bad figure is felt; endurance takes the worst alone. */
function together(axis: Axis, sum: number, worst: number, count: number): number {
  const points = axis === 'endurance' ? worst : 0.5 * (sum / count) + 0.5 * worst;
  return Math.min(100, Math.max(0, points));
}

/** A curve made ready: where its figure stands in the record, and how low and high its points can be. */
interface PreparedCurve {
  figure: FigureId;
  at: number;
  points: CurvePoints;
  least: number;
  most: number;
  wanted: (rig: PlacedRig) => boolean;
}

const prepared = Object.fromEntries(
  axes.map((axis) => [
    axis,
    axisCurves[axis].map(({ figure, points, wanted }): PreparedCurve => {
      const { least, most } = ends(points);
      return {
        figure,
        at: figureIndex[figure],
        points,
        least,
        most,
        wanted
      };
    })
  ])
) as Record<Axis, PreparedCurve[]>;

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

/** Points of an axis in an angle; `undefined` when it has nothing to judge there. */
export function scoreAxis(axis: Axis, rig: PlacedRig, record: FigureRecord): AxisScore | undefined {
  const curves = prepared[axis];
  let count = 0;
  let lowSum = 0;
  let lowWorst = Infinity;
  let highSum = 0;
  let highWorst = Infinity;
  for (let i = 0; i < curves.length; i++) {
    const curve = curves[i]!;
    if (!curve.wanted(rig)) continue;
    const low = lowOf(curve, record);
    const high = highOf(curve, record, low);
    count += 1;
    lowSum += low;
    highSum += high;
    if (low < lowWorst) lowWorst = low;
    if (high < highWorst) highWorst = high;
  }
  if (count === 0) return undefined;
  return {
    axis,
    angleId: rig.angle.id,
    low: together(axis, lowSum, lowWorst, count),
    high: together(axis, highSum, highWorst, count)
  };
}

function lowOf({ at, points, least }: PreparedCurve, record: FigureRecord): number {
  return record.states[at] === known ? pointsOn(points, record.values[at]!) : least;
}

/** What is missing altogether is as bad as it can be; what is unknown may be anything. */
function highOf({ at, most }: PreparedCurve, record: FigureRecord, low: number): number {
  return record.states[at] === unknown ? most : low;
}

/** What the points of an axis are made of, figure by figure. */
export function partsOfAxis(axis: Axis, rig: PlacedRig, record: FigureRecord): AxisPart[] {
  return prepared[axis]
    .filter(({ wanted }) => wanted(rig))
    .map((curve) => {
      const low = lowOf(curve, record);
      return {
        figure: curve.figure,
        value: record.states[curve.at] === known ? record.values[curve.at] : undefined,
        low,
        high: highOf(curve, record, low)
      };
    });
}
