import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue } from '../../catalogue/load-catalogue';
import { judgePlan } from '../judge/judge-plan';
import { activePlan } from '../model/active-plan';
import { figureWords } from './figure-words';
import { methodsText } from './methods-text';
import { figureOf, stateOf, unknown } from './record';
import { isLeaf } from './rows';
import { figureIndex, figureOrder, figureTable } from './table';
import { unknownLeaves, whyOf } from './why';

const project = demoProject();
const judgement = judgePlan(project, activePlan(project), catalogue);

describe('the table of figures', () => {
  it('stands in an order in which all a figure needs comes first', () => {
    for (const id of figureOrder) {
      const row = figureTable[id];
      if (isLeaf(row)) continue;
      for (const from of row.from)
        expect(figureIndex[from as typeof id], `${id} needs ${from}`).toBeLessThan(figureIndex[id]);
    }
  });

  it('is what docs/methods.md says', () => {
    expect(readFileSync('docs/methods.md', 'utf8')).toBe(methodsText());
  });

  it('gives every known figure of the demo a why whose inputs compute it again', () => {
    for (const { record } of judgement.angles) {
      for (const id of figureOrder) {
        const value = figureOf(record, id);
        const row = figureTable[id];
        if (value === undefined || isLeaf(row)) continue;
        expect(whyOf(record, id).value, id).toBe(value);
        expect(figureWords(value, row.unit), id).not.toMatch(/NaN|undefined/);
        if (!('compute' in row)) continue;
        const inputs = row.from.map(
          (from) => figureOf(record, from as typeof id) ?? row.whenAbsent
        );
        expect(row.compute(...(inputs as number[])), id).toBe(value);
      }
    }
  });

  it('leaves nothing of the demo unknown, and names the leaf when something is', () => {
    for (const { record } of judgement.angles)
      for (const id of figureOrder) expect(stateOf(record, id), id).not.toBe(unknown);
    const [first] = judgement.angles;
    const silent = structuredClone(catalogue.byId.get('orrowby-linnet')!);
    if (silent.kind === 'body') delete silent.inputNoiseDbV;
    const shelf = { ...catalogue, byId: new Map([...catalogue.byId, [silent.id, silent]]) };
    const { record } = judgePlan(project, activePlan(project), shelf).angles[0]!;
    expect(stateOf(record, 'speechToNoise')).toBe(unknown);
    expect([...unknownLeaves(record, 'speechToNoise')]).toEqual(['inputNoise']);
    expect(figureOf(record, 'voiceAtMic')).toBe(figureOf(first!.record, 'voiceAtMic'));
  });
});

describe('figures in words', () => {
  it.each([
    [1 / 50, 's', '1/50 s'],
    [0.5, 's', '0.5 s'],
    [95, 'min', '95 min'],
    [284, 'min', '4 h 44 min'],
    [Infinity, 'min', 'unlimited'],
    [1.5, 'f/', 'f/1.5'],
    [13.4, 'f/', 'f/13'],
    [0.65, 'm', '0.65 m'],
    [2455, 'ISO', 'ISO 2\u00a0460'],
    [1, 'days', '1 day'],
    [0, 'yes/no', 'no']
  ] as const)('%f %s is %s', (value, unit, words) => {
    expect(figureWords(value, unit)).toBe(words);
  });

  it('are inches with centimetres beside them, and pounds, for those who measure so', () => {
    expect(figureWords(0.65, 'm', 'imperial')).toBe('25.6 in (65 cm)');
    expect(figureWords(1.2, 'kg', 'imperial')).toBe('2.65 lb');
  });
});
