import { isLeaf, type FigureRow, type LeafSource } from './rows';
import { figureOrder, figureTable } from './table';

const sourceWords: Readonly<Record<LeafSource, string>> = {
  brief: 'said in the brief',
  body: 'stated of the body',
  lens: 'stated of the lens',
  microphone: 'stated of the microphone',
  lamp: 'stated of the lamp',
  support: 'stated of the support',
  card: 'stated of the card',
  battery: 'stated of the battery',
  filter: 'stated of the filter',
  setting: 'set or placed',
  kit: 'counted in the kit'
};

const cell = (text: string) => text.replace(/\|/g, '\\|');

/** One row of the document: the figure, its unit, and the relation or who states it. */
function rowText(id: string, row: FigureRow): string {
  const unit =
    row.unit !== 'word' ? row.unit : row.words ? `one of: ${row.words.join(', ')}` : 'words';
  const made = isLeaf(row) ? sourceWords[row.source] : cell(row.relation);
  const from = isLeaf(row) ? '' : row.from.map((input) => `\`${input}\``).join(', ');
  return `| \`${id}\` | ${cell(row.name)} | ${cell(unit)} | ${made} | ${from} |`;
}

/** `docs/methods.md`: every judged figure in the order of computing, from the table itself. */
export function methodsText(): string {
  const derived = figureOrder.filter((id) => !isLeaf(figureTable[id]));
  const leaves = figureOrder.filter((id) => isLeaf(figureTable[id]));
  const head = ['| id | figure | unit | relation or source | from |', '|---|---|---|---|---|'];
  return [
    '# The figures behind every judgement',
    '',
    'Made from the figure table by `npm run methods`; a test fails when it is stale. Each relation is one file in',
    '`src/lib/core/relations`, with its range, its errors and a worked example that is a test.',
    '',
    `## Worked out (${derived.length})`,
    '',
    ...head,
    ...derived.map((id) => rowText(id, figureTable[id])),
    '',
    `## Stated by somebody (${leaves.length})`,
    '',
    'What is not stated stays unknown and makes all that rests on it unknown.',
    '',
    ...head,
    ...leaves.map((id) => rowText(id, figureTable[id])),
    ''
  ].join('\n');
}
