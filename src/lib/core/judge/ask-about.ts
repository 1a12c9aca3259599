import { type FigureRecord, stateOf, unknown } from '../figures/record';
import { isLeaf } from '../figures/rows';
import { type FigureId, figureTable } from '../figures/table';
import { partOfLeaf, unknownLeaves } from '../figures/why';
import { type AngleFindingRow, Finding, type Held } from '../findings/finding';
import type { PlacedRig } from '../rigs/placed-rig';

/** A figure nobody has stated decides a verdict: said as a question to a seller. */
const questionRow: AngleFindingRow = {
  code: 'Q1',
  family: 'unknown',
  scope: 'angle',
  about: 'an unknown figure decides a verdict',
  reads: [],
  judge: () => undefined,
  propose: () => []
};

/**
 * Asks about what keeps a row of the finding table from being ruled out in an angle.
 *
 * @param asked what the plan has been asked already; one question is asked once
 */
export function askAbout(
  row: AngleFindingRow,
  rig: PlacedRig,
  record: FigureRecord,
  asked: Set<string>,
  findings: Finding[]
): void {
  for (const id of row.reads) {
    if (stateOf(record, id) !== unknown) continue;
    for (const leaf of unknownLeaves(record, id)) {
      const part = partOfLeaf(rig, leaf);
      const about = `${part?.lineId ?? ''} ${leaf}`;
      if (asked.has(about)) continue;
      asked.add(about);
      findings.push(new Finding(questionRow, questionAbout(leaf, about, part, row)));
    }
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
}

function questionAbout(
  leaf: FigureId,
  about: string,
  part: { lineId: string; name: string } | undefined,
  row: AngleFindingRow
): Held {
  const figure = figureTable[leaf];
  const asks = (isLeaf(figure) && figure.asks?.question) || `What is the ${figure.name} of %?`;
  return {
    severity: 'note',
    about,
    figure: leaf,
    lineIds: part ? [part.lineId] : [],
    title: () => asks.replace('%', part?.name ?? 'the kit'),
    why: () => `It is not stated, so “${row.about}” cannot be ruled out. Ask before paying.`
  };
}
