import type { Act } from '../acts/act';
import type { GearItem } from '../model/gear';
import type { Plan, PlanLine, Rig } from '../model/plan';
import type { Shelf } from '../model/shelf';
import { rigLines } from '../model/rig-lines';
import { NO_PART } from '../model/word-lists';
import type { PackedKit } from './packed-kit';

type Lines = readonly PlanLine[];

/** What one kit holds that another does not, by part. A change of how it is bought alone is none. */
export interface KitChanges {
  comesIn: { gear: GearItem; pieces: number }[];
  goesOut: { gear: GearItem; pieces: number }[];
  stays: GearItem[];
}

/** Pieces of each part that count in a kit. */
function piecesOf(lines: Lines): Map<string, number> {
  const pieces = new Map<string, number>();
  for (const { gearId, quantity, state, step } of lines)
    if (state !== 'returned' && step !== 'later')
      pieces.set(gearId, (pieces.get(gearId) ?? 0) + quantity);
  return pieces;
}

export function changesBetween(before: Lines, after: Lines, shelf: Shelf): KitChanges {
  const had = piecesOf(before);
  const has = piecesOf(after);
  const changes: KitChanges = { comesIn: [], goesOut: [], stays: [] };
  for (const gearId of new Set([...had.keys(), ...has.keys()])) {
    const gear = shelf.byId.get(gearId);
    if (!gear) continue;
    const more = (has.get(gearId) ?? 0) - (had.get(gearId) ?? 0);
    if (more > 0) changes.comesIn.push({ gear, pieces: more });
    if (more < 0) changes.goesOut.push({ gear, pieces: -more });
    if (had.has(gearId) && has.has(gearId)) changes.stays.push(gear);
  }
  return changes;
}

/** How many lines differ: parts that come in, go, or change their number. */
export const changedLines = (before: Lines, after: Lines, shelf: Shelf): number => {
  const { comesIn, goesOut } = changesBetween(before, after, shelf);
  return new Set([...comesIn, ...goesOut].map(({ gear }) => gear.id)).size;
};

/** What is said of an angle, without whose it is. */
function saidOf({ rigs }: Pick<Plan, 'rigs'>, sceneId: string, angleId: string) {
  const said: Partial<Rig> = {
    ...rigs.find((rig) => rig.sceneId === sceneId && rig.angleId === angleId)
  };
  delete said.sceneId;
  delete said.angleId;
  return said;
}

/** What is said of every angle as the kit has it, its lines by the ids they have in the plan. */
function actsToRigs(
  plan: Plan,
  kit: Pick<PackedKit, 'rigs'>,
  idOf: ReadonlyMap<string, string>
): Act[] {
  const stays = new Set(idOf.values());
  return anglesOf(plan.rigs, kit.rigs).flatMap(({ sceneId, angleId }): Act[] => {
    const has = saidOf(plan, sceneId, angleId);
    const wanted = saidOf(kit, sceneId, angleId);
    for (const field of rigLines) {
      const said = wanted[field];
      if (said !== undefined && said !== NO_PART) wanted[field] = idOf.get(said) ?? said;
      // A line that goes is forgotten with it.
      if (has[field] !== undefined && has[field] !== NO_PART && !stays.has(has[field]))
        delete has[field];
    }
    const patch: Record<string, unknown> = {};
    for (const field of new Set([...Object.keys(has), ...Object.keys(wanted)])) {
      const [from, to] = [has[field as keyof typeof has], wanted[field as keyof typeof wanted]];
      if (from !== to) patch[field] = to;
    }
    return Object.keys(patch).length === 0
      ? []
      : [{ type: 'set rig', sceneId, angleId, patch: patch as typeof wanted }];
  });
}

/** The angles of both, each once. */
const anglesOf = (some: Plan['rigs'], more: Plan['rigs']) => [
  ...new Map(
    [...some, ...more].map((rig) => [`${rig.sceneId} ${rig.angleId}`, rig] as const)
  ).values()
];

/** Scenes in which a part the plan names is left to the judge by a kit that still holds it. */
export function scenesChosenAnew(plan: Plan, kit: Pick<PackedKit, 'lines' | 'rigs'>): string[] {
  const there = new Set(kit.lines.map(({ id }) => id));
  return plan.rigs
    .filter((rig) => {
      const wanted = saidOf(kit, rig.sceneId, rig.angleId);
      return rigLines.some((field) => {
        const said = rig[field];
        return said !== undefined && there.has(said) && wanted[field] === undefined;
      });
    })
    .map(({ sceneId }) => sceneId);
}

/** What turns the plan shown into a kit, as one act with one undo; undefined where nothing differs. */
export function actsToKit(plan: Plan, kit: Pick<PackedKit, 'lines' | 'rigs'>): Act | undefined {
  const acts: Act[] = [];
  const unmatched = [...plan.lines];
  // Lines keep their place in the plan where the kit holds their part, whatever the search called them.
  const matched = kit.lines.map((line) => {
    let index = unmatched.findIndex(({ id, gearId }) => id === line.id && gearId === line.gearId);
    if (index < 0) index = unmatched.findIndex(({ gearId }) => gearId === line.gearId);
    return { line, before: index < 0 ? undefined : unmatched.splice(index, 1)[0] };
  });
  for (const { id } of unmatched) acts.push({ type: 'remove line', lineId: id });
  for (const { line, before } of matched)
    if (!before) acts.push({ type: 'add line', line: { ...line, id: `packed-${line.id}` } });
    else if (before.quantity !== line.quantity || before.basis !== line.basis)
      acts.push({
        type: 'change line',
        lineId: before.id,
        patch: { quantity: line.quantity, basis: line.basis }
      });
  const idOf = new Map(
    matched.map(({ line, before }) => [line.id, before?.id ?? `packed-${line.id}`])
  );
  acts.push(...actsToRigs(plan, kit, idOf));
  return acts.length === 0 ? undefined : { type: 'batch', acts };
}
