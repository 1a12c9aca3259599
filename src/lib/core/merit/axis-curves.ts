import { isHandheld, isIndoors, showsFace } from '../model/scene-facts';
import type { FigureId } from '../figures/table';
import { NEAR_STRETCH } from '../relations/optics/stretch';
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

/** From figure to points: straight lines between these pairs, flat never: ends keep a small slope. */
export type CurvePoints = readonly (readonly [figure: number, points: number])[];

export interface Curve {
  figure: FigureId;
  points: CurvePoints;
  /** When the figure is nothing to be judged in this scene, its absence costs nothing. */
  wanted?: (rig: PlacedRig) => boolean;
}

const speaks = hearsVoice;
const indoors = (rig: PlacedRig) => isIndoors(rig.scene);
const lit = (rig: PlacedRig) => rig.scene.lightSource === 'lamps';
const carried = (rig: PlacedRig) => isHandheld(rig.angle);

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
      figure: 'directToReverberant',
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
      ]
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
      ]
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
      wanted: (rig) => rig.scene.wantsFaceSharp && showsFace(rig.angle)
    },
    {
      figure: 'nearStretch',
      points: [
        [1, 99],
        [NEAR_STRETCH.note, 88],
        [NEAR_STRETCH.warn, 65],
        [1.6, 15]
      ],
      wanted: (rig) => showsFace(rig.angle)
    },
    {
      figure: 'highestUsableIso',
      points: [
        [150, 20],
        [860, 55],
        [1480, 68],
        [2700, 82],
        [6400, 95],
        [12800, 99]
      ]
    },
    {
      figure: 'pixelsShare',
      points: [
        [0.25, 10],
        [0.5, 50],
        [1, 95],
        [2, 99]
      ]
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
      ]
    },
    {
      figure: 'payloadShare',
      points: [
        [0, 99],
        [0.35, 93],
        [PAYLOAD_WARN_SHARE, 80],
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
      ]
    },
    {
      figure: 'takePowerShare',
      points: [
        [0, 2],
        [0.7, 30],
        [1, 82],
        [2, 95],
        [4, 99]
      ]
    },
    {
      figure: 'storageShare',
      points: [
        [0, 2],
        [0.5, 30],
        [1, 82],
        [1.5, 94],
        [3, 99]
      ]
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
      ]
    },
    {
      figure: 'setUp',
      points: [
        [0, 99],
        [3, 90],
        [8, 72],
        [15, 45],
        [40, 3]
      ]
    },
    {
      figure: 'switches',
      points: [
        [0, 99],
        [1, 93],
        [3, 75],
        [6, 40],
        [12, 3]
      ]
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
      ]
    },
    {
      figure: 'spareBatteries',
      points: [
        [0, 40],
        [1, 82],
        [3, 96],
        [6, 99]
      ]
    },
    {
      figure: 'copies',
      points: [
        [0, 5],
        [1, 50],
        [2, 90],
        [3, 98]
      ]
    }
  ]
};
