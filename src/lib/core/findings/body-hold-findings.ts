import { figureAt } from '../figures/record';
import { figureIndex } from '../figures/table';
import { steadyings } from '../figures/handling-rows';
import { fullName } from '../model/gear';
import { minutesWords } from '../figures/figure-words';
import type { AngleFindingRow } from './finding';
import { cheapestOf, setRig, swapFor } from './part-candidates';

/** Takes from here on are a session: nobody wants to count batteries in them. */
const SESSION_MIN = 45;

/** What fails a body in the hand, in a long session and on the move. */
export const bodyHoldFindings: AngleFindingRow[] = [
  {
    code: 'B6',
    family: 'body',
    scope: 'angle',
    about: 'no face-following, or it is lost in this mode',
    reads: [],
    judge: (rig, record) => {
      if (
        !rig.body ||
        rig.mode?.faceFocus !== false ||
        figureAt(record, figureIndex.faceInPicture) === undefined
      )
        return undefined;
      return {
        severity: 'warn',
        lineIds: [rig.body.line.id],
        title: () => `${rig.scene.name}: the focus does not follow a face`,
        why: () =>
          `${fullName(rig.body!.gear)} does not follow faces in this mode, and alone before the lens nobody pulls focus.`
      };
    },
    propose: ({ rig, shelf, project }) => {
      const better = rig.body!.gear.modes.find((mode) => mode.faceFocus === true);
      return [
        ...(better
          ? [
              {
                label: `Film at ${better.pixelsAcross} pixels, ${better.fps} frames`,
                act: {
                  type: 'change scene' as const,
                  sceneId: rig.scene.id,
                  patch: { pixelsAcross: better.pixelsAcross, fps: better.fps }
                }
              }
            ]
          : []),
        {
          parts: cheapestOf(shelf, project, 'body', (gear) =>
            gear.modes.some((mode) => mode.faceFocus === true)
          ),
          label: (gear) => `Swap to ${gear.model}`,
          act: swapFor(rig.body!.line.id)
        }
      ];
    }
  },
  {
    code: 'B7',
    family: 'body',
    scope: 'angle',
    about: 'no way to run from mains for long sessions',
    reads: [],
    judge: (rig) => {
      const { body, scene } = rig;
      if (
        !body ||
        !rig.hasSocket ||
        scene.longestTakeMin < SESSION_MIN ||
        body.gear.runsFromMainsAdapter !== false ||
        body.gear.runsFromUsb !== false
      )
        return undefined;
      return {
        severity: 'warn',
        lineIds: [body.line.id],
        has: 0,
        needs: 1,
        unit: 'yes/no',
        title: () => `${body.gear.model} cannot run from the socket`,
        why: () =>
          `${scene.name} has takes of ${minutesWords(scene.longestTakeMin)} beside a socket, and neither a mains adapter nor USB keeps ${fullName(body.gear)} going.`
      };
    },
    propose: ({ rig, shelf, project }) => [
      {
        parts: cheapestOf(
          shelf,
          project,
          'body',
          (gear) => gear.runsFromMainsAdapter === true || gear.runsFromUsb === true
        ),
        label: (gear) => `Swap to ${gear.model}`,
        act: swapFor(rig.body!.line.id)
      }
    ]
  },
  {
    code: 'B9',
    family: 'body',
    scope: 'angle',
    about: 'walking with neither sensor nor lens stabilisation',
    reads: ['steadying'],
    judge: (rig, record) => {
      if (
        figureAt(record, figureIndex.walking) !== 1 ||
        figureAt(record, figureIndex.steadying) !== steadyings.indexOf('nothing')
      )
        return undefined;
      return {
        severity: 'warn',
        lineIds: rig.body ? [rig.body.line.id] : [],
        figure: 'steadying',
        has: 0,
        needs: 1,
        unit: 'count',
        title: () => `${rig.scene.name}: no stabilisation while walking`,
        why: () =>
          `Neither ${fullName(rig.body!.gear)} nor the lens is stabilised, so every step shakes the picture. Electronic stabilisation afterwards crops it, and the motion blur of each step stays.`
      };
    },
    propose: (context) => {
      const { rig, shelf, project } = context;
      const steady = rig.kit
        .of('lens')
        .filter(({ gear, line }) => gear.stabilised === true && line.id !== rig.lens?.lineId);
      return [
        ...steady.map(({ line, gear }) => ({
          label: `Use the ${gear.model} here`,
          act: setRig(context, {
            lensLineId: line.id,
            focalLengthMm: undefined,
            apertureN: undefined
          })
        })),
        {
          parts: cheapestOf(shelf, project, 'support', (gear) => gear.form === 'gimbal'),
          label: (gear) => `Add ${gear.model}`
        },
        {
          parts: cheapestOf(shelf, project, 'body', (gear) => gear.stabilised === true),
          label: (gear) => `Swap to ${gear.model}`,
          act: swapFor(rig.body!.line.id)
        }
      ];
    }
  }
];
