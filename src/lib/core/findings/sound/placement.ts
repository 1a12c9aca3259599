import { againstNeed, lengthWords } from '../../figures/figure-words';
import { freshMemory } from '../../memo';
import { fullName } from '../../model/gear';
import { isClosedInBag, longestReachM } from '../../rigs/closings';
import { openConnection } from '../../rigs/open-connections';
import { CABLE_SLACK } from '../../rigs/sound-path';
import type { PlacedRig } from '../../rigs/placed-rig';
import { chainProposals } from '../chain-proposals';
import {
  figureRow,
  rigRow,
  type AngleContext,
  type AngleFindingRow,
  type Proposal
} from '../finding';
import { swapTo } from '../part-candidates';
import { useMic } from './use-microphone';

/** The cable that would do if only it were longer. */
export function shortCable(rig: PlacedRig) {
  const open = openConnection(rig, 'microphone into input');
  return open?.withoutLength &&
    isClosedInBag({ ...open, limit: open.withoutLength, memory: freshMemory() }, rig.kit)
    ? open
    : undefined;
}

/** As far off as the cable reaches, where a camera can stand there at all. */
function withinCable({ rig, project }: AngleContext): Proposal[] {
  const short = shortCable(rig);
  if (!short) return [];
  const distanceM = Math.floor((longestReachM(short, rig.kit) / CABLE_SLACK) * 100) / 100;
  if (distanceM < NEAREST_CAMERA_M) return [];
  return [
    {
      label: `Stand at ${lengthWords(distanceM, project.units)}`,
      act: {
        type: 'change angle',
        sceneId: rig.scene.id,
        angleId: rig.angle.id,
        patch: { distanceM }
      }
    }
  ];
}
/** Nearer than this nobody films a speaker. */
const NEAREST_CAMERA_M = 0.3;

/** A10, A11. */
export const placementFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'A10',
    family: 'sound',
    about: 'the microphone is in the picture, or the boom does not reach',
    reads: ['boomReach', 'boomReachNeeded'],
    judge: (rig, figures) => {
      if (rig.micPlace === 'hand')
        return {
          severity: 'note',
          about: 'in the picture',
          lineIds: [rig.mic!.line.id],
          title: () => `${rig.scene.name}: the microphone is in the picture`,
          why: () =>
            `${fullName(rig.mic!.gear)} is held before the mouth; that is seen, and may be wanted.`
        };
      if (rig.micPlace !== 'boom arm') return undefined;
      const reach = figures.boomReach;
      const need = figures.boomReachNeeded;
      if (reach === undefined || need === undefined || reach >= need) return undefined;
      return {
        severity: 'warn',
        about: 'boom arm',
        lineIds: [rig.boom!.line.id],
        figure: 'boomReach',
        has: reach,
        needs: need,
        unit: 'm',
        title: () =>
          `${rig.boom!.gear.model} reaches ${lengthWords(reach, rig.project.units)} (needs ${lengthWords(need, rig.project.units)} to stay out of the picture)`,
        why: () => 'With less its stand is in the picture.'
      };
    },
    propose: (context) => {
      const { rig, figures } = context;
      const need = figures.boomReachNeeded ?? 0;
      return [
        ...(rig.boom
          ? [
              swapTo(
                context,
                'support',
                rig.boom.line.id,
                (gear) => gear.form === 'boom arm' && (gear.reachM ?? 0) >= need
              )
            ]
          : []),
        useMic(context, (form) => form.startsWith('lavalier'))
      ];
    }
  }),
  rigRow({
    code: 'A11',
    family: 'sound',
    about: 'the cable is too short',
    judge: (rig) => {
      const short = shortCable(rig);
      if (!short) return undefined;
      const has = longestReachM(short, rig.kit);
      return {
        severity: 'stop',
        lineIds: [rig.mic!.line.id],
        has,
        needs: short.lengthNeededM!,
        unit: 'm',
        title: () =>
          `The cable of ${rig.mic!.gear.model} reaches ${againstNeed(has, short.lengthNeededM!, 'm', rig.project.units)}`,
        why: () =>
          'That is the way from the mouth to the camera, slack included, and all the kit has for it.'
      };
    },
    propose: (context) => [
      ...chainProposals(context, 'microphone into input'),
      useMic(context, (form) => form === 'lavalier wireless'),
      ...withinCable(context)
    ]
  })
];
