import { figureWords, lengthWords, minutesWords } from '../../figures/figure-words';
import { staysAtHome } from '../../figures/stability-rows';
import { longestTakeMinOf } from '../../model/scene-facts';
import type { UnitSystem } from '../../model/project';
import { figureRow, type AngleFindingRow } from '../finding';
import { lensLines } from '../lens/lens-lines';
import { cheapestOf, leaveOut, swapTo, takesOf } from '../part-candidates';

/** What a camera is held by: the bare hand, or something that holds it off. */
const heldWords = (reachM: number, units: UnitSystem) =>
  reachM > 0 ? `on a grip of ${lengthWords(reachM, units)}` : 'in the bare hand';

/** Half the take is where it begins to show. */
const HOLD_WEAKENS_SHARE = 0.5;

/** L9, S7. */
export const weightFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'L9',
    family: 'lens',
    about: 'heavy or long for the arm',
    reads: ['holdShare', 'holdMinutes', 'heldOut', 'heldReach', 'armMoment'],
    judge: (rig, figures) => {
      const share = figures.holdShare;
      if (share === undefined || share >= 1) return undefined;
      const hold = figures.holdMinutes!;
      return {
        severity: share < HOLD_WEAKENS_SHARE ? 'warn' : 'note',
        lineIds: [...(rig.body ? [rig.body.line.id] : []), ...lensLines(rig.lens)],
        figure: 'holdMinutes',
        has: hold,
        needs: longestTakeMinOf(rig.scene, rig.angle),
        unit: 'min',
        title: () =>
          `${rig.scene.name}: the arm tires after about ${minutesWords(hold)} (takes of ${minutesWords(longestTakeMinOf(rig.scene, rig.angle))})`,
        why: () =>
          `${figureWords(figures.heldOut!, 'kg', rig.project.units)} ${heldWords(figures.heldReach!, rig.project.units)} pull ${figureWords(figures.armMoment!, 'N·m')} at the shoulder; takes of ${minutesWords(longestTakeMinOf(rig.scene, rig.angle))} are wanted.`
      };
    },
    propose: (context) => {
      const { rig } = context;
      const mount = rig.lens?.gear?.mount;
      const mass = rig.lens?.gear?.massG ?? 0;
      return [
        {
          label: `Film takes of ${minutesWords(Math.max(1, Math.floor(context.figures.holdMinutes!)))}`,
          act: takesOf(rig, Math.max(1, Math.floor(context.figures.holdMinutes!)))
        },
        ...(rig.lens?.gear
          ? [
              swapTo(
                context,
                'lens',
                rig.lens.lineId,
                (gear) =>
                  gear.mount === mount &&
                  (gear.massG ?? Infinity) < mass &&
                  Math.abs(Math.log2(gear.focalLengthMinMm / (rig.focalLengthMm ?? 1))) < 0.3
              )
            ]
          : []),
        ...(rig.support && (rig.support.gear.reachM ?? 0) > 0
          ? [leaveOut(rig.support.line, rig.support.gear.model)]
          : []),
        ...(rig.body
          ? [
              swapTo(
                context,
                'body',
                rig.body.line.id,
                (gear) => (gear.massG ?? Infinity) < (rig.body!.gear.massG ?? 0)
              )
            ]
          : [])
      ];
    }
  }),
  figureRow({
    code: 'S7',
    family: 'support',
    about: 'the carried weight is over the limit',
    reads: ['carriedMass'],
    judge: (rig, figures) => {
      const have = figures.carriedMass;
      const limit = rig.project.carriedLimitKg;
      const first = rig.index === 0 && rig.scene === rig.project.scenes[0];
      if (!first || have === undefined || limit === undefined || have <= limit) return undefined;
      return {
        severity: 'warn',
        figure: 'carriedMass',
        has: have,
        needs: limit,
        unit: 'kg',
        title: () =>
          `The kit weighs ${figureWords(have, 'kg', rig.project.units)} (limit ${figureWords(limit, 'kg', rig.project.units)})`,
        why: () => 'Computer, drives, card reader and sandbags stay at home and are not counted.'
      };
    },
    propose: (context) => {
      const { rig, project, shelf } = context;
      const heaviest = rig.kit.parts
        .filter(({ gear, line }) => !staysAtHome.has(gear.kind) && !line.locked)
        .sort(
          (a, b) => (b.gear.massG ?? 0) * b.line.quantity - (a.gear.massG ?? 0) * a.line.quantity
        );
      return [
        ...heaviest.slice(0, 4).map((part) => ({
          parts: cheapestOf(
            shelf,
            project,
            part.gear.kind,
            (gear) => (gear.massG ?? Infinity) < (part.gear.massG ?? 0) * 0.8
          ).slice(0, 8),
          label: (gear: { model: string }) => `Swap to ${gear.model}`,
          act: swapTo(context, part.gear.kind, part.line.id).act!
        })),
        ...heaviest.slice(0, 6).map((part) => leaveOut(part.line, part.gear.model)),
        {
          label: `Raise the weight limit to ${figureWords(context.figures.carriedMass!, 'kg', project.units)}`,
          act: {
            type: 'set project' as const,
            patch: {
              carriedLimitKg: Math.ceil(context.figures.carriedMass! * 10) / 10
            }
          }
        }
      ];
    }
  })
];
