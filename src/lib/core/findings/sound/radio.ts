import { againstNeed, lengthWords } from '../../figures/figure-words';
import { fullName } from '../../model/gear';
import type { PlacedRig } from '../../rigs/placed-rig';
import { figureRow, rigRow, type AngleFindingRow } from '../finding';
import { cheapestOf, leaveOut, swapFor } from '../part-candidates';
import { useMic } from './use-microphone';

/** What else sends or hums near the microphone's own radio or unbalanced cable. */
function disturber(rig: PlacedRig): { lineId: string; model: string; says: string } | undefined {
  const mic = rig.mic!.gear;
  if (mic.form === 'lavalier wireless') {
    const phone = rig.kit.of('body').find(({ gear }) => gear.form === 'phone');
    if (phone && phone !== rig.body)
      return { lineId: phone.line.id, model: phone.gear.model, says: 'sends on the same band' };
    const drone = rig.kit.of('body').find(({ gear }) => gear.form === 'drone');
    if (drone && drone !== rig.body)
      return {
        lineId: drone.line.id,
        model: drone.gear.model,
        says: 'is steered on the same band'
      };
  }
  if (mic.power === 'plug-in' && rig.hasSocket) {
    const block = rig.kit.of('mains adapter')[0];
    if (block)
      return {
        lineId: block.line.id,
        model: block.gear.model,
        says: 'is a switching supply on the same chassis as an unbalanced cable'
      };
  }
  return undefined;
}

/** A6, A12. */
export const radioFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'A6',
    family: 'sound',
    about: 'radio or charger may interfere',
    judge: (rig) => {
      const other = rig.mic && disturber(rig);
      if (!other) return undefined;
      return {
        severity: 'note',
        lineIds: [rig.mic!.line.id, other.lineId],
        title: () => `${rig.scene.name}: ${other.model} may be heard`,
        why: () =>
          `${other.model} ${other.says} as ${fullName(rig.mic!.gear)}. Listen before the take; film from batteries, or with a wired or balanced microphone, if it hums or drops out.`
      };
    },
    propose: (context) => {
      const other = disturber(context.rig)!;
      const part = context.rig.kit.byLine(other.lineId)!;
      return [
        ...(part.gear.kind === 'mains adapter' ? [leaveOut(part.line, part.gear.model)] : []),
        useMic(context, (form) => form === 'lavalier wired' || form === 'shoe')
      ];
    }
  }),
  figureRow({
    code: 'A12',
    family: 'sound',
    about: 'radio reach is shorter than the scene needs',
    reads: ['radioReach', 'subjectDistance', 'radioStated'],
    judge: (rig, figures) => {
      const reach = figures.radioReach;
      const distance = figures.subjectDistance;
      if (reach === undefined || distance === undefined || reach >= distance) return undefined;
      const stated = figures.radioStated!;
      return {
        severity: 'warn',
        lineIds: [rig.mic!.line.id],
        figure: 'radioReach',
        has: reach,
        needs: distance,
        unit: 'm',
        title: () =>
          `${rig.scene.name}: the radio reaches about ${againstNeed(reach, distance, 'm', rig.project.units)}`,
        why: () =>
          `${fullName(rig.mic!.gear)} states ${lengthWords(stated, rig.project.units)} in the open; turned away, with your body between, it is about a tenth, and the camera is ${lengthWords(distance, rig.project.units)} off.`
      };
    },
    propose: ({ rig, figures, shelf, project }) => [
      {
        parts: cheapestOf(
          shelf,
          project,
          'microphone',
          (gear) =>
            gear.form === 'lavalier wireless' &&
            (gear.radioRangeM ?? 0) > rig.mic!.gear.radioRangeM!
        ),
        label: (gear) => `Swap to ${gear.model}`,
        act: swapFor(rig.mic!.line.id)
      },
      {
        label: `Come to ${lengthWords(figures.radioReach!, rig.project.units)} at most`,
        act: {
          type: 'change angle',
          sceneId: rig.scene.id,
          angleId: rig.angle.id,
          patch: { distanceM: Math.max(0.1, Math.floor(figures.radioReach! * 10) / 10) }
        }
      }
    ]
  })
];
