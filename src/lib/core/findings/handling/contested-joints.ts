import { cheapestNewClosing, joiningPartsOfShelf } from '../../rigs/closings';
import type { Connection } from '../../rigs/connection';
import { type Contested, contestedJoints, isIndispensable } from '../../rigs/joined-at-once';
import type { PlacedRig } from '../../rigs/placed-rig';
import {
  type AngleContext,
  type AngleFindingRow,
  type Held,
  type PlanFindingRow,
  rigRow,
  type SettingProposal
} from '../finding';
import { addAll, oneMore } from '../part-candidates';

const ABOUT = 'one piece joins two places at once';

/** What a joint is for, as the sentence names it. */
const joinWords = ({ from, to }: Connection): string =>
  to ? `${from.gear.model} to ${to.gear.model}` : from.gear.model;

function heldFor({ needs, piece }: Contested, sceneName: string): Held {
  return {
    severity: needs.some(isIndispensable) ? 'stop' : 'warn',
    comesAlong: true,
    lineIds: [
      ...new Set(needs.flatMap(({ from, to }) => [from.line.id, ...(to ? [to.line.id] : [])]))
    ],
    has: needs.length - 1,
    needs: needs.length,
    unit: 'count',
    title: () => `${sceneName}: one ${piece.gear.model} for ${needs.map(joinWords).join(' and ')}`,
    why: () =>
      `Each of them is joined by pieces of the kit, but they stand at the same time and the pieces do not go round. One more lets both stay as they are.`
  };
}

/** One more of the piece, or the cheapest other way to join one of them. */
export function morePieces(
  { project, plan, shelf }: Pick<AngleContext, 'project' | 'plan' | 'shelf'>,
  rigs: readonly PlacedRig[]
): SettingProposal[] {
  const contested = contestedJoints(rigs);
  if (!contested) return [];
  const { needs, piece } = contested;
  const line = plan.lines.find(({ id }) => piece.lineId!.startsWith(`${id}#`));
  const joins = joiningPartsOfShelf(shelf.items, project);
  const ways = needs.flatMap((need): SettingProposal[] => {
    const gear = cheapestNewClosing(need, joins)?.parts.map((part) => part.gear) ?? [];
    if (gear.length === 0 || gear.some(({ id }) => id === piece.gear.id)) return [];
    return [
      {
        label: `Add ${gear.map(({ model }) => model).join(' + ')}`,
        act: addAll(
          { plan, project },
          gear.map((gear) => ({ gear: gear, quantity: 1 }))
        )
      }
    ];
  });
  return [
    ...(line ? oneMore({ plan, project }, { line, gear: piece.gear }) : []),
    ...ways.slice(0, 1)
  ];
}

/** W6, within an angle. */
export const contestedJointFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'W6',
    family: 'whole',
    about: ABOUT,
    judge: (rig) => {
      const contested = contestedJoints([rig]);
      return contested && heldFor(contested, rig.scene.name);
    },
    propose: (context) => morePieces(context, [context.rig])
  })
];

/** Angles of one scene, where there are several. */
function filmedAtOnce(rigs: readonly PlacedRig[]): PlacedRig[][] {
  const byScene = new Map<string, PlacedRig[]>();
  for (const rig of rigs)
    if (rig.scene.angles.length > 1)
      byScene.set(rig.scene.id, [...(byScene.get(rig.scene.id) ?? []), rig]);
  return [...byScene.values()];
}

/** W6, between angles that film at once. */
export const contestedBetweenAnglesFindings: readonly PlanFindingRow[] = [
  {
    code: 'W6',
    family: 'whole',
    scope: 'plan',
    mayComeAlong: true,
    about: ABOUT,
    judge: ({ rigs }) =>
      filmedAtOnce(rigs).flatMap((together): Held[] => {
        // What one angle contests by itself is told there.
        if (together.some((rig) => contestedJoints([rig]))) return [];
        const contested = contestedJoints(together);
        if (!contested) return [];
        const { id, name } = together[0]!.scene;
        return [{ ...heldFor(contested, name), about: `angles of ${id}`, sceneIds: [id] }];
      }),
    propose: (context, held) =>
      morePieces(
        context,
        context.rigs.filter(({ scene }) => scene.id === held.sceneIds![0])
      )
  }
];
