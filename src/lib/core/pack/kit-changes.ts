import type { Act } from '../acts/act';
import type { GearItem } from '../model/gear';
import type { Plan, PlanLine } from '../model/plan';
import type { Shelf } from '../model/shelf';
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

/** What turns the plan shown into a kit, as one act with one undo; undefined where nothing differs. */
export function actsToKit(plan: Plan, kit: Pick<PackedKit, 'lines' | 'rigs'>): Act | undefined {
  const acts: Act[] = [];
  const unmatched = [...plan.lines];
  // Lines keep their place in the plan where the kit holds their part, whatever the search called them.
  const matched = kit.lines.map((line) => {
    let at = unmatched.findIndex(({ id, gearId }) => id === line.id && gearId === line.gearId);
    if (at < 0) at = unmatched.findIndex(({ gearId }) => gearId === line.gearId);
    return { line, before: at < 0 ? undefined : unmatched.splice(at, 1)[0] };
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
  return acts.length === 0 ? undefined : { type: 'batch', acts };
}
