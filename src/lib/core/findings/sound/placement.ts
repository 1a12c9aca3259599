import { lengthWords } from '../../figures/figure-words';
import { figureAt } from '../../figures/record';
import { figureIndex } from '../../figures/table';
import { fullName } from '../../model/gear';
import { isClosedInBag, openConnection } from '../../rigs/closings';
import type { PlacedRig } from '../../rigs/placed-rig';
import { chainProposals } from '../chain-proposals';
import type { AngleFindingRow } from '../finding';
import { swapTo } from '../part-candidates';
import { useMic } from './use-microphone';

/** The cable that would do if only it were longer. */
export function shortCable(rig: PlacedRig) {
  const open = openConnection(rig, 'microphone into body');
  return open?.withoutLength &&
    isClosedInBag({ ...open, limit: open.withoutLength, inBag: undefined }, rig.kit)
    ? open
    : undefined;
}

/** A10, A11. */
export const placementFindings: readonly AngleFindingRow[] = [
  {
    code: 'A10',
    family: 'sound',
    scope: 'angle',
    about: 'the microphone is in the picture, or the boom does not reach',
    reads: [],
    judge: (rig, record) => {
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
      const reach = figureAt(record, figureIndex.boomReach);
      const need = figureAt(record, figureIndex.boomReachNeeded);
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
      const { rig, record } = context;
      const need = figureAt(record, figureIndex.boomReachNeeded) ?? 0;
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
  },
  {
    code: 'A11',
    family: 'sound',
    scope: 'angle',
    about: 'the cable is too short',
    reads: [],
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
  }
];
