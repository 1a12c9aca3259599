import { useInScene } from '../../acts/use-in-scene';
import { partsOfScene } from '../../figures/handling-rows';
import type { GearKind } from '../../model/gear';
import type { KitPart } from '../../rigs/kit';
import type { PlacedRig } from '../../rigs/placed-rig';
import type { Held, PlanFindingRow } from '../finding';
import { leaveOut } from '../part-candidates';

/** Kinds of which each scene takes the one that makes it best; the rest of them stays in the bag. */
const chosenKinds: readonly GearKind[] = ['body', 'lens', 'microphone', 'lamp', 'support'];

/** Parts of the kit that no scene takes out of the bag. */
function idleParts(rigs: readonly PlacedRig[]): KitPart[] {
  const [first] = rigs;
  if (!first || rigs.some(({ body }) => !body)) return [];
  const used = new Set(rigs.flatMap((rig) => partsOfScene(rig).map(({ line }) => line)));
  return chosenKinds.flatMap((kind) => first.kit.of(kind).filter(({ line }) => !used.has(line)));
}

/** W7. */
export const idlePartFindings: readonly PlanFindingRow[] = [
  {
    code: 'W7',
    family: 'whole',
    scope: 'plan',
    onlyNotes: true,
    about: 'a part no scene uses',
    judge: ({ rigs }) =>
      idleParts(rigs).map(({ line, gear }): Held => ({
        severity: 'note',
        about: line.id,
        lineIds: [line.id],
        title: () => `No scene uses ${gear.model}`,
        why: () =>
          'No scene is better with it than with what it uses now: the others do more, or nothing in the kit joins it or holds it. As a spare it is worth having; else it costs money and weight for nothing.'
      })),
    propose: ({ rigs, plan, kit }, { lineIds }) => {
      const part = kit.byLine(lineIds![0]!);
      if (!part) return [];
      const { line, gear } = part;
      const scenes = new Set(rigs.map(({ scene }) => scene));
      return [
        ...[...scenes].flatMap((scene) => {
          const act = useInScene(scene, line, gear);
          return act ? [{ label: `Use ${gear.model} in ${scene.name}`, act }] : [];
        }),
        ...(plan.lines.some(({ id, state }) => id === line.id && state === 'wanted')
          ? [leaveOut(line, gear.model)]
          : [])
      ];
    }
  }
];
