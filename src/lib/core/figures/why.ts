import type { PlacedRig } from '../rigs/placed-rig';
import { absent, type FigureRecord, figureOf, known, stateOf } from './record';
import { type FigureUnit, isLeaf, type LeafSource } from './rows';
import { type FigureId, figureTable } from './table';

/** Why a figure is what it is: the relation, and its inputs with their own whys. */
export interface Why {
  id: FigureId;
  name: string;
  unit: FigureUnit;
  value: number | undefined;
  /** For unit `word`: the word the number stands for. */
  word: string | undefined;
  state: 'known' | 'unknown' | 'absent';
  relation: string | undefined;
  source: LeafSource | undefined;
  refused: string | undefined;
  inputs: Why[];
}

export function whyOf(record: FigureRecord, id: FigureId): Why {
  const row = figureTable[id];
  const value = figureOf(record, id);
  const state = stateOf(record, id);
  return {
    id,
    name: row.name,
    unit: row.unit,
    value,
    word: value === undefined ? undefined : (row.wordOf?.(value) ?? row.words?.[value]),
    state: state === known ? 'known' : state === absent ? 'absent' : 'unknown',
    relation: isLeaf(row) ? undefined : row.relation,
    source: isLeaf(row) ? row.source : undefined,
    refused: record.refused?.get(id)?.message,
    inputs: isLeaf(row)
      ? []
      : row.from
          .filter((from) => stateOf(record, from as FigureId) !== absent)
          .map((from) => whyOf(record, from as FigureId))
  };
}

/** The leaves nobody has stated that keep a figure unknown. */
export function unknownLeaves(
  record: FigureRecord,
  id: FigureId,
  found = new Set<FigureId>()
): Set<FigureId> {
  const state = stateOf(record, id);
  if (state === known || state === absent) return found;
  const row = figureTable[id];
  if (isLeaf(row)) found.add(id);
  else for (const from of row.from) unknownLeaves(record, from as FigureId, found);
  return found;
}

/** The part a leaf is stated on, for questions to its seller. */
export function partOfLeaf(
  rig: PlacedRig,
  id: FigureId
): { lineId: string; name: string } | undefined {
  const row = figureTable[id];
  if (!isLeaf(row)) return undefined;
  const asked = row.asks?.of?.(rig);
  if (asked) return { lineId: asked.line.id, name: `${asked.gear.maker} ${asked.gear.model}` };
  const part = {
    body: rig.body,
    microphone: rig.mic,
    lamp: id.startsWith('fill') ? rig.fillLamp?.part : rig.keyLamp?.part,
    support: rig.support,
    filter: rig.filter,
    card: rig.kit.of('card')[0],
    battery: rig.kit.of('battery')[0] ?? rig.body,
    lens: undefined,
    kit: undefined,
    brief: undefined,
    setting: undefined
  }[row.source];
  if (part) return { lineId: part.line.id, name: `${part.gear.maker} ${part.gear.model}` };
  return row.source === 'lens' && rig.lens
    ? { lineId: rig.lens.lineId, name: rig.lens.name }
    : undefined;
}
