import { lengthWords } from '../../figures/figure-words';
import { freshMemory } from '../../memo';
import { fullName } from '../../model/gear';
import { isClosedInBag, openConnection } from '../../rigs/closings';
import type { PlacedRig } from '../../rigs/placed-rig';
import { chainProposals } from '../chain-proposals';
import { figureRow, rigRow, type AngleFindingRow } from '../finding';
import { swapTo } from '../part-candidates';
import { useMic } from './use-microphone';

/** The cable that would do if only it were longer. */
export function shortCable(rig: PlacedRig) {
  const open = openConnection(rig, 'microphone into body');
  return open?.withoutLength &&
    isClosedInBag({ ...open, limit: open.withoutLength, memory: freshMemory() }, rig.kit)
    ? open
    : undefined;
}

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
        title: () => `${rig.boom!.gear.model} does not reach over the picture`,
        why: () =>
          `It reaches ${lengthWords(reach, rig.project.units)}; its stand is only out of the picture with ${lengthWords(need, rig.project.units)}.`
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
      const has = rig.mic!.gear.cableM ?? 0;
      return {
        severity: 'stop',
        lineIds: [rig.mic!.line.id],
        has,
        needs: short.lengthNeededM!,
        unit: 'm',
        title: () => `${rig.mic!.gear.model} does not reach the camera`,
        why: () =>
          `${lengthWords(short.lengthNeededM!, rig.project.units)} of cable are needed from the mouth to the camera, slack included; ${lengthWords(has, rig.project.units)} hang on the microphone, and what is in the kit does not make up the rest.`
      };
    },
    propose: (context) => [
      ...chainProposals(context, 'microphone into body'),
      useMic(context, (form) => form === 'lavalier wireless'),
      {
        label: 'Come nearer',
        act: {
          type: 'change angle',
          sceneId: context.rig.scene.id,
          angleId: context.rig.angle.id,
          patch: { distanceM: Math.max(0.8, context.rig.angle.distanceM / 2) }
        }
      }
    ]
  })
];
