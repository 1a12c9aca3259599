import { EXPOSURE_SIZE } from '../findings/exposure-severity';
import type { FindingCode } from '../findings/finding-codes';
import { isFlown, isHandheld, isIndoors, isRecorded, showsFace } from '../model/scene-facts';
import type { FigureId } from '../figures/table';
import { FRAMING_RATIO } from '../relations/optics/framing-ratio';
import { NEAR_STRETCH } from '../relations/optics/stretch';
import { directToReverberantBands } from '../relations/sound/critical-distance';
import { PAYLOAD_WARN_SHARE } from '../relations/support/payload';
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

/** What practitioners call good: no loss, no rise. */
export const GOOD_POINTS = 70;
/** As far as a figure lifts an axis past good. */
export const MOST_RISE = 29;
/** What a figure costs where its finding begins to weaken, and what a weakening finding costs that has none. */
export const WEAKENS_LOSS = 8;

/** From figure to points above or below good: straight lines between these pairs, flat past either end. */
export type CurvePoints = readonly (readonly [figure: number, points: number])[];

export interface Curve {
  figure: FigureId;
  /**
   * Below zero what is lost short of good, −8 exactly where the finding begins to weaken and as steep beyond;
   * above zero what it rises past good, spread as far as physics or the shelf allows.
   */
  points: CurvePoints;
  /** The scene decides whether the figure counts, never the kit. */
  wanted?: (rig: Pick<PlacedRig, 'scene' | 'angle' | 'index'>) => boolean;
  /** Findings of the same cause: where the curve counts, they cost nothing more. */
  tells?: readonly FindingCode[];
}

const speaks = hearsVoice;
/** What only goes out live fills no card and has no files to keep. */
const recorded: Curve['wanted'] = ({ scene }) => isRecorded(scene);

/** Light costs this much a stop past good, down to a picture nobody can use. */
const LIGHT_COST_AT_WORST = 6.4;
const POINTS_A_STOP = WEAKENS_LOSS / (EXPOSURE_SIZE.weakens - EXPOSURE_SIZE.note);

const { dryDb, roomyDb } = directToReverberantBands;
const DIRECT_POINTS_A_DB = WEAKENS_LOSS / (dryDb - roomyDb);
const LEAST_DIRECT_DB = -10;

const fineMiss = Math.log2(FRAMING_RATIO.fine);
const MISS_POINTS_A_STOP = WEAKENS_LOSS / (Math.log2(FRAMING_RATIO.warn) - fineMiss);
const WORST_MISS_STOPS = 2;

const STRETCH_POINTS = WEAKENS_LOSS / (NEAR_STRETCH.warn - NEAR_STRETCH.note);
const WORST_STRETCH = 1.6;

/** Half the rating is where nobody thinks of it. */
const PAYLOAD_GOOD_SHARE = 0.5;
const PAYLOAD_POINTS = WEAKENS_LOSS / (PAYLOAD_WARN_SHARE - PAYLOAD_GOOD_SHARE);
const WORST_PAYLOAD_SHARE = 1.5;

/** Power and storage that last a fifth longer than needed are good; three times the need is as good as it gets. */
const lasts: CurvePoints = [
  [0, -6 * WEAKENS_LOSS],
  [1, -WEAKENS_LOSS],
  [1.2, 0],
  [3, MOST_RISE]
];

/** Each figure feeds one axis only. */
export const axisCurves: Record<Axis, readonly Curve[]> = {
  sound: [
    {
      figure: 'speechMargin',
      points: [
        [-40, -4 * WEAKENS_LOSS],
        [-10, -WEAKENS_LOSS],
        [0, 0],
        [25, MOST_RISE]
      ],
      wanted: speaks,
      tells: ['A1', 'A3', 'A9', 'L7']
    },
    {
      figure: 'directToReverberant',
      points: [
        [LEAST_DIRECT_DB, -(dryDb - LEAST_DIRECT_DB) * DIRECT_POINTS_A_DB],
        [dryDb, 0],
        [dryDb + 20, MOST_RISE]
      ],
      wanted: (rig) => speaks(rig) && isIndoors(rig.scene),
      tells: ['A2']
    }
  ],
  light: [
    {
      figure: 'exposureCost',
      points: [
        [0, MOST_RISE],
        [EXPOSURE_SIZE.note, 0],
        [LIGHT_COST_AT_WORST, -(LIGHT_COST_AT_WORST - EXPOSURE_SIZE.note) * POINTS_A_STOP]
      ],
      tells: ['L4', 'L5', 'L6', 'L8', 'L10', 'G1', 'G4', 'G5']
    },
    {
      figure: 'keySoftness',
      points: [
        [0, -6],
        [15, 0],
        [60, MOST_RISE]
      ],
      wanted: ({ scene, angle }) => scene.lightSource === 'lamps' && showsFace(angle),
      tells: ['G2']
    }
  ],
  picture: [
    {
      figure: 'framingMiss',
      points: [
        [0, MOST_RISE],
        [fineMiss, 0],
        [WORST_MISS_STOPS, -(WORST_MISS_STOPS - fineMiss) * MISS_POINTS_A_STOP]
      ],
      tells: ['L2']
    },
    {
      figure: 'nearStretch',
      points: [
        [1, MOST_RISE],
        [NEAR_STRETCH.note, 0],
        [WORST_STRETCH, -(WORST_STRETCH - NEAR_STRETCH.note) * STRETCH_POINTS]
      ],
      wanted: ({ angle }) => showsFace(angle),
      tells: ['L3']
    },
    {
      figure: 'pixelsShare',
      points: [
        [0.25, -WEAKENS_LOSS],
        [0.5, 0],
        [1, 0],
        [2, MOST_RISE]
      ]
    },
    {
      figure: 'seesSelf',
      points: [
        [0, -WEAKENS_LOSS],
        [1, MOST_RISE]
      ],
      wanted: ({ scene }) => scene.wantsSeeSelf,
      tells: ['B1']
    }
  ],
  steadiness: [
    {
      figure: 'steadying',
      points: [
        [0, -WEAKENS_LOSS],
        [2, 0],
        [3, 8],
        [5, MOST_RISE]
      ],
      tells: ['B9']
    },
    {
      figure: 'payloadShare',
      points: [
        [0, MOST_RISE],
        [PAYLOAD_GOOD_SHARE, 0],
        [WORST_PAYLOAD_SHARE, -(WORST_PAYLOAD_SHARE - PAYLOAD_GOOD_SHARE) * PAYLOAD_POINTS]
      ],
      // What flies rests on nothing.
      wanted: ({ angle }) => !isHandheld(angle) && !isFlown(angle),
      tells: ['S1']
    },
    {
      figure: 'holdShare',
      points: [
        [0, -2 * WEAKENS_LOSS],
        [0.5, -WEAKENS_LOSS],
        [1, 0],
        [3, MOST_RISE]
      ],
      wanted: ({ angle }) => isHandheld(angle),
      tells: ['L9']
    }
  ],
  endurance: [
    { figure: 'dayPowerShare', points: lasts, tells: ['P2'] },
    { figure: 'takePowerShare', points: lasts, tells: ['P1'] },
    { figure: 'storageShare', points: lasts, wanted: recorded, tells: ['T1'] }
  ],
  ease: [
    {
      figure: 'rigMass',
      points: [
        [0, MOST_RISE],
        [2, 0],
        [8, -WEAKENS_LOSS],
        [20, -3 * WEAKENS_LOSS]
      ]
    },
    {
      figure: 'setUp',
      points: [
        [0, MOST_RISE],
        [8, 0],
        [20, -WEAKENS_LOSS],
        [44, -3 * WEAKENS_LOSS]
      ]
    },
    {
      figure: 'switches',
      points: [
        [1, MOST_RISE],
        [3, 0],
        [8, -WEAKENS_LOSS],
        [18, -3 * WEAKENS_LOSS]
      ]
    }
  ],
  'safety net': [
    {
      figure: 'recordings',
      points: [
        [1, 0],
        [3, MOST_RISE]
      ],
      wanted: recorded
    },
    {
      figure: 'spareBatteries',
      points: [
        [0, -6],
        [1, 0],
        [6, MOST_RISE]
      ]
    },
    {
      figure: 'copies',
      points: [
        [1, -6],
        [2, 0],
        [4, MOST_RISE]
      ],
      wanted: recorded,
      tells: ['T4']
    }
  ]
};

/**
 * The axis that pays for a finding which weakens a scene; where a curve tells the same cause, that curve does.
 * Money is no axis: what a kit costs is told beside its worth.
 */
export const axisOfCode: Readonly<Record<FindingCode, Axis | undefined>> = {
  B1: 'picture',
  B2: 'picture',
  B3: 'sound',
  B4: 'endurance',
  B5: 'safety net',
  B6: 'picture',
  B7: 'endurance',
  B8: 'picture',
  B9: 'steadiness',
  B10: 'sound',
  B11: 'safety net',
  B12: 'safety net',
  B13: 'safety net',
  B14: 'light',
  B15: 'endurance',
  B16: 'endurance',
  B17: 'safety net',
  B18: 'picture',
  B20: 'safety net',
  B21: 'safety net',
  B19: 'picture',
  L1: 'picture',
  L2: 'picture',
  L3: 'picture',
  L4: 'light',
  L5: 'light',
  L6: 'light',
  L7: 'sound',
  L8: 'light',
  L9: 'steadiness',
  L10: 'light',
  A1: 'sound',
  A2: 'sound',
  A3: 'sound',
  A4: 'ease',
  A5: 'endurance',
  A6: 'sound',
  A7: 'safety net',
  A8: 'sound',
  A9: 'sound',
  A10: 'sound',
  A11: 'sound',
  A12: 'sound',
  A13: 'sound',
  A14: 'sound',
  G1: 'light',
  G2: 'light',
  G3: 'light',
  G4: 'light',
  G5: 'light',
  G6: 'light',
  G7: 'light',
  G8: 'light',
  G9: 'light',
  G10: 'light',
  S1: 'steadiness',
  S2: 'picture',
  S3: 'steadiness',
  S4: 'steadiness',
  S5: 'steadiness',
  S6: 'steadiness',
  S7: 'ease',
  T1: 'endurance',
  T2: 'endurance',
  T3: 'endurance',
  T4: 'safety net',
  T5: 'safety net',
  P1: 'endurance',
  P2: 'endurance',
  P3: 'endurance',
  P4: 'endurance',
  P5: 'endurance',
  P6: 'ease',
  P7: 'endurance',
  M1: undefined,
  M2: undefined,
  M3: undefined,
  M4: undefined,
  M5: undefined,
  M6: undefined,
  M7: undefined,
  M8: undefined,
  W1: 'ease',
  W2: 'ease',
  W3: 'safety net',
  W4: 'ease',
  W5: 'safety net',
  W6: 'steadiness',
  W7: undefined,
  Q1: undefined
};
