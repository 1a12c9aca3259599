import type { FigureRecord } from '../figures/record';
import { isLeaf } from '../figures/rows';
import { type FigureId, figureOrder, figureTable } from '../figures/table';
import { partOfLeaf, unknownLeaves } from '../figures/why';
import { type AngleFindingRow, Finding, type Held, rigRow } from '../findings/finding';
import type { Axis } from '../merit/axis-curves';
import { unknownsOfAxis } from '../merit/axis-scores';
import type { PlacedRig } from '../rigs/placed-rig';

/** A figure nobody has stated decides a verdict: put as a question to a seller. */
const questionRow = rigRow({
  code: 'Q1',
  family: 'unknown',
  about: 'an unknown figure decides a verdict',
  judge: () => undefined,
  propose: () => []
});

/**
 * Asks about the unknown figures a row of the finding table came to.
 *
 * @param asked what the plan has been asked already; one question is asked once
 */
export function askForRow(
  row: AngleFindingRow,
  rig: PlacedRig,
  record: FigureRecord,
  asked: Set<string>,
  findings: Finding[]
): void {
  ask(
    unknownsReadBy(row, rig, record),
    `it cannot be said whether this holds: ${row.about}`,
    rig,
    record,
    asked,
    findings
  );
}

/** Asks about the unknown figures that leave the points of an axis open. */
export function askForAxis(
  axis: Axis,
  rig: PlacedRig,
  record: FigureRecord,
  asked: Set<string>,
  findings: Finding[]
): void {
  ask(
    unknownsOfAxis(axis, rig, record),
    `the ${axis} of ${rig.scene.name} can only be told as a range`,
    rig,
    record,
    asked,
    findings
  );
}

function ask(
  unknowns: readonly FigureId[],
  consequence: string,
  rig: PlacedRig,
  record: FigureRecord,
  asked: Set<string>,
  findings: Finding[]
): void {
  for (const id of unknowns)
    for (const leaf of unknownLeaves(record, id)) {
      const part = partOfLeaf(rig, leaf);
      // One field of a part may stand behind several figures, and is asked for once.
      const row = figureTable[leaf];
      const about = `${part?.lineId ?? ''} ${(isLeaf(row) && row.asks?.field) || leaf}`;
      if (asked.has(about)) continue;
      asked.add(about);
      findings.push(new Finding(questionRow, questionAbout(leaf, about, part, consequence)));
    }
  if (unknowns.length === 0) return;
  for (const [figure, refusal] of record.refused ?? []) {
    const about = `${rig.scene.id} ${rig.angle.id} ${figure}`;
    if (asked.has(about)) continue;
    asked.add(about);
    const held: Held = {
      severity: 'note',
      about: figure,
      title: () => `${rig.scene.name}: ${figureTable[figure].name} cannot be worked out`,
      why: () => refusal.message
    };
    findings.push(new Finding(questionRow, held, rig.scene, rig.angle.id));
  }
}

/** The unknown figures a row comes to on its way to a verdict, and cannot go on without. */
function unknownsReadBy(row: AngleFindingRow, rig: PlacedRig, record: FigureRecord): FigureId[] {
  const unknowns: number[] = [];
  record.unknownsRead = unknowns;
  row.judge(rig, record);
  record.unknownsRead = undefined;
  return unknowns.map((place) => figureOrder[place]!);
}

function questionAbout(
  leaf: FigureId,
  about: string,
  part: { lineId: string; name: string } | undefined,
  consequence: string
): Held {
  const figure = figureTable[leaf];
  const asks = (isLeaf(figure) && figure.asks?.question) || `What is the ${figure.name} of %?`;
  return {
    severity: 'note',
    about,
    figure: leaf,
    lineIds: part ? [part.lineId] : [],
    title: () => asks.replace('%', part?.name ?? 'the kit'),
    why: () => `It is not stated, so ${consequence}. Ask before paying.`
  };
}
