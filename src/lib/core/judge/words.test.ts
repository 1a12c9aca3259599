import { describe, expect, it } from 'vitest';
import { catalogue, shelfOf } from '../../catalogue/load-catalogue';
import { figureOrder, figureTable } from '../figures/table';
import { findingTable } from '../findings/table';
import type { UnitSystem } from '../model/project';
import { unitSystems } from '../model/word-lists';
import { calmKit, judged } from './tests/calm-kit';
import { causes } from './tests/causes';
import { remediesOfEach } from './settle';
import { settingsOf } from './settings';

/** What must never be read by a person: what a program says when it has nothing to say. */
const leaks = /undefined|\bnull\b|NaN|Infinity|\[object|\$\{|\s{2}|\.\.|,,| ,| \.(?!\d)/;
const metricMeasure = /\b\d[\d.,]*\s(?:m\/s|m|cm|kg|°C)(?![\w/])/;
/** A part keeps the measure it has in its name, and a length in inches has its metres behind it in brackets. */
const measured = (words: string) =>
  catalogue.items
    .reduce((rest, { model }) => rest.replaceAll(model, ''), words)
    // At which makers state their times; what is asked of a seller is asked in a seller's terms.
    .replace('at 20 °C', '')
    .replace(/\([^)]*\)/g, '');

/** Everything the judge says of a project, with where it was said. */
function allWords(name: string, units: UnitSystem): [string, string][] {
  const project = calmKit();
  project.units = units;
  causes[name]!(project);
  const shelf = shelfOf(project);
  const judgement = judged(project);
  const remedies = remediesOfEach(project, shelf, judgement);
  return judgement.findings.flatMap((finding, index) => [
    [`${finding.code} title`, finding.title()] as [string, string],
    [`${finding.code} why`, finding.why()] as [string, string],
    ...remedies[index]!.flatMap(({ label, brings }) =>
      [label, ...brings].map((words): [string, string] => [`${finding.code} remedy`, words])
    )
  ]);
}

describe.each(Object.keys(causes))('what is said of %s', (name) => {
  it.each(unitSystems)('is a sentence a person can read, in %s units', (units) => {
    for (const [where, words] of allWords(name, units)) {
      expect(words, where).not.toMatch(leaks);
      expect(words, where).toBe(words.trim());
      expect(words.length, `${where}: ${words}`).toBeGreaterThan(3);
      if (!words.startsWith('microSD')) expect(words[0], `${where}: ${words}`).not.toMatch(/[a-z]/);
      if (where.endsWith('why')) expect(words, where).toMatch(/[.?]$/);
      else expect(words, `${where}: ${words}`).not.toMatch(/\.$/);
    }
  });

  it('keeps to feet and pounds where those are asked for', () => {
    for (const [where, words] of allWords(name, 'imperial')) {
      expect(measured(words), where).not.toMatch(metricMeasure);
    }
  });
});

describe('the tables', () => {
  it('name every figure and every row of findings in words of their own', () => {
    const names = figureOrder.map((id) => figureTable[id].name);
    expect(names.filter((name, index) => names.indexOf(name) !== index)).toEqual([]);
    for (const name of names) expect(name).toMatch(/^(?:[^A-Z]|ISO|ND).+[^.]$/);
    for (const { code, about } of findingTable) {
      expect(code).toMatch(/^[A-Z]\d+$/);
      expect(about).not.toMatch(leaks);
    }
  });

  it('set nothing without saying why', () => {
    for (const angle of judged(calmKit()).angles)
      for (const { name, set, why } of settingsOf(angle)) {
        expect(why, name).toMatch(/[.?]$/);
        expect(`${name} ${set} ${why}`).not.toMatch(leaks);
      }
  });
});
