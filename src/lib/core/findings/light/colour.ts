import { fullName } from '../../model/gear';
import { hasWindow, subjectWords } from '../../model/scene-facts';
import type { FurtherLamp, PlacedRig } from '../../rigs/placed-rig';
import { lampsOnPerson } from '../../figures/colour-rows';
import {
  DAYLIGHT_K,
  leastMiredBetween,
  leastMiredDifference,
  MIRED_DIFFERENCE,
  SHARE_SEEN
} from '../../relations/lighting/colour';
import { figureWords } from '../../figures/figure-words';
import { figureRow, type AngleFindingRow } from '../finding';
import { cheapestOf, setRig, swapFor } from '../part-candidates';
import { lampRoleWords, withoutLamp } from './further-lamps';

/** G3. */
export const colourFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'G3',
    family: 'light',
    about: 'colour temperatures mix',
    reads: ['lampColourGap'],
    judge: (rig, figures) => {
      const difference = figures.lampColourGap;
      if (difference === undefined || difference < MIRED_DIFFERENCE.seen) return undefined;
      return {
        severity: difference > MIRED_DIFFERENCE.strong ? 'warn' : 'note',
        lineIds: [rig.keyLamp!.part.line.id, rig.fillLamp!.part.line.id],
        figure: 'lampColourGap',
        has: difference,
        needs: MIRED_DIFFERENCE.seen,
        unit: 'mired',
        title: () =>
          `${rig.scene.name}: two colours of light, ${Math.round(difference)} mired apart (seen from ${MIRED_DIFFERENCE.seen})`,
        why: () =>
          `${fullName(rig.keyLamp!.part.gear)} and ${fullName(rig.fillLamp!.part.gear)} cannot be brought nearer to each other, and no white balance serves both.`
      };
    },
    propose: ({ rig, shelf, project }) => [
      {
        label: `Remove ${rig.fillLamp!.part.gear.model} from kit`,
        act: { type: 'remove line', lineId: rig.fillLamp!.part.line.id }
      },
      {
        parts: cheapestOf(
          shelf,
          project,
          'lamp',
          (gear) => (gear.colourMinK ?? 9e9) <= 3200 && (gear.colourMaxK ?? 0) >= 5600
        ),
        label: (gear) => `Swap to ${gear.model}`,
        act: swapFor(rig.fillLamp!.part.line.id)
      }
    ]
  }),
  figureRow({
    code: 'G3',
    family: 'light',
    about: 'the lamp and the light that is there differ in colour',
    reads: ['placeColourGap', 'placeShare'],
    judge: (rig, figures) => {
      const gap = figures.placeColourGap;
      const share = figures.placeShare;
      if (gap === undefined || share === undefined || share < SHARE_SEEN) return undefined;
      if (gap < MIRED_DIFFERENCE.seen) return undefined;
      return {
        severity: gap > MIRED_DIFFERENCE.strong ? 'warn' : 'note',
        lineIds: rig.keyLamp ? [rig.keyLamp.part.line.id] : [],
        figure: 'placeColourGap',
        has: gap,
        needs: MIRED_DIFFERENCE.seen,
        unit: 'mired',
        title: () =>
          `${rig.scene.name}: the lamp and the light that is there are ${figureWords(gap, 'mired')} apart (seen from ${MIRED_DIFFERENCE.seen})`,
        why: () =>
          rig.scene.lightColourK === undefined
            ? `${fullName(rig.keyLamp!.part.gear)} cannot be set to daylight, and the window gives ${Math.round(100 * share)} % of the light on ${subjectWords(rig.angle)}. Cover it, or use a lamp of its colour.`
            : `${fullName(rig.keyLamp!.part.gear)} cannot be set to the ${figureWords(rig.scene.lightColourK, 'K')} of the light that stays on, which gives ${Math.round(100 * share)} % of the light on ${subjectWords(rig.angle)}. Switch that light off, block it, or use a lamp of its colour.`
      };
    },
    propose: (context) => {
      const { rig, shelf, project } = context;
      const { lightColourK: placeK = DAYLIGHT_K } = rig.scene;
      return [
        hasWindow(rig.scene)
          ? {
              label: 'The window can be covered',
              act: {
                type: 'change scene',
                sceneId: rig.scene.id,
                patch: {
                  lightSource: 'lamps',
                  window: undefined,
                  lightDimLx: 0,
                  lightBrightLx: 0,
                  lightColourK: undefined
                }
              }
            }
          : {
              label: 'That light can be switched off',
              act: {
                type: 'change scene',
                sceneId: rig.scene.id,
                patch: { lightDimLx: 0, lightBrightLx: 0, lightColourK: undefined }
              }
            },
        {
          parts: cheapestOf(
            shelf,
            project,
            'lamp',
            ({ colourMinK, colourMaxK }) =>
              colourMinK !== undefined &&
              colourMaxK !== undefined &&
              leastMiredDifference(placeK, colourMinK, colourMaxK) < MIRED_DIFFERENCE.seen
          ),
          label: (gear) => `Swap to ${gear.model}`,
          act: swapFor(rig.keyLamp!.part.line.id)
        }
      ];
    }
  }),
  figureRow({
    code: 'G3',
    family: 'light',
    about: 'a back or overhead light differs from the key in colour',
    reads: ['furtherColourGap'],
    judge: (rig, figures) => {
      const gap = figures.furtherColourGap;
      if (gap === undefined || gap < MIRED_DIFFERENCE.seen) return undefined;
      const lamp = farthestFromKey(rig);
      return {
        severity: gap > MIRED_DIFFERENCE.strong ? 'warn' : 'note',
        lineIds: [rig.keyLamp!.part.line.id, lamp.part.line.id],
        figure: 'furtherColourGap',
        has: gap,
        needs: MIRED_DIFFERENCE.seen,
        unit: 'mired',
        title: () =>
          `${rig.scene.name}: the ${lampRoleWords[lamp.role]} is ${figureWords(gap, 'mired')} from the key (seen from ${MIRED_DIFFERENCE.seen})`,
        why: () =>
          `${fullName(lamp.part.gear)} and ${fullName(rig.keyLamp!.part.gear)} cannot be set to one colour, and both light the person: one edge of hair and shoulders stays of another colour.`
      };
    },
    propose: (context) => {
      const { rig, shelf, project } = context;
      const lamp = farthestFromKey(rig);
      const { colourMinK, colourMaxK } = rig.keyLamp!.part.gear;
      return [
        {
          label: `Do without ${lamp.part.gear.model} as ${lampRoleWords[lamp.role]}`,
          act: setRig(context, withoutLamp(rig, lamp))
        },
        {
          parts: cheapestOf(
            shelf,
            project,
            'lamp',
            (gear) =>
              gear.form !== 'practical' &&
              gear.colourMinK !== undefined &&
              gear.colourMaxK !== undefined &&
              leastMiredBetween([colourMinK!, colourMaxK!], [gear.colourMinK, gear.colourMaxK]) <
                MIRED_DIFFERENCE.seen
          ),
          label: (gear) => `Swap to ${gear.model}`,
          act: swapFor(lamp.part.line.id)
        }
      ];
    }
  })
];

/** Of the lamps on the person the one that can be brought least near to the key. */
function farthestFromKey(rig: PlacedRig): FurtherLamp {
  const { colourMinK, colourMaxK } = rig.keyLamp!.part.gear;
  const gap = ({ part: { gear } }: FurtherLamp) =>
    leastMiredBetween([colourMinK!, colourMaxK!], [gear.colourMinK!, gear.colourMaxK!]);
  return lampsOnPerson(rig).reduce((worst, lamp) => (gap(lamp) > gap(worst) ? lamp : worst));
}
