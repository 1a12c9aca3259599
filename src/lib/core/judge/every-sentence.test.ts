import { describe, expect, it } from 'vitest';
import { catalogue, shelfOf } from '../../catalogue/load-catalogue';
import { activePlan } from '../model/active-plan';
import type { UnitSystem } from '../model/project';
import { cautionsFor } from './cautions';
import { judgePlan } from './judge-plan';
import { questionsOf } from './questions';
import { remediesOfEach } from './settle';
import { settingsOf } from './settings';
import { anyProject, Chances } from './tests/random-kits';
import { faultsOfForm, metricIn } from './tests/sentence-form';

/** Names of parts hold lengths of their own: a cable of 2 m is called so everywhere. */
const names = catalogue.items.map(({ model }) => model).sort((a, b) => b.length - a.length);
const withoutNames = (words: string): string =>
  names.reduce((rest, name) => rest.replaceAll(name, 'it'), words);

/** Everything said of a project, each with where it was said. */
function* said(
  seed: number,
  withRemedies: boolean,
  units?: UnitSystem
): Generator<[where: string, words: string]> {
  const project = anyProject(new Chances(seed));
  if (units) project.units = units;
  const shelf = shelfOf(project);
  const judgement = judgePlan(project, activePlan(project), shelf);
  for (const finding of judgement.findings) {
    yield [`${finding.code} title`, finding.title()];
    yield [`${finding.code} why`, finding.why()];
  }
  for (const angle of judgement.angles)
    for (const { name, set, why, others } of settingsOf(angle)) {
      yield [`setting ${name}`, `${set} — ${why}`];
      if (others !== undefined) yield [`setting ${name}, others`, others];
    }
  for (const caution of cautionsFor(judgement))
    for (const words of Object.values(caution))
      if (typeof words === 'string') yield ['caution', words];
  for (const { low, high } of judgement.merit.scenes) {
    expect(low).toBeGreaterThanOrEqual(0);
    expect(high).toBeLessThanOrEqual(100);
    expect(low).toBeLessThanOrEqual(high + 1e-9);
  }
  if (!withRemedies) return;
  const settled = judgement.findings.slice(0, 8);
  const remedies = remediesOfEach(project, shelf, judgement, settled);
  for (const [index, finding] of settled.entries())
    for (const { label, brings } of remedies[index]!) {
      yield [`remedy for ${finding.code}`, label];
      for (const words of brings) yield [`brought by a remedy for ${finding.code}`, words];
    }
  for (const { question, effects } of questionsOf(project, shelf, judgement)) {
    yield ['question', question];
    for (const { answer, brings } of effects)
      yield ['answer', `${answer}: ${brings.join('; ') || 'nothing'}`];
  }
}

describe('every sentence about any kit', () => {
  it.each([1, 2, 3, 4, 5, 6, 7, 8])('is whole: kits of series %i', (series) => {
    const faults: string[] = [];
    for (let number = 0; number < 25; number++)
      for (const [where, words] of said(series * 1000 + number, number % 5 === 0))
        for (const fault of faultsOfForm(words)) faults.push(`${where}: ${fault}`);
    expect(faults).toEqual([]);
  });

  it('is in feet and pounds for a person who measures so', () => {
    const metric = new Set<string>();
    for (let number = 0; number < 30; number++)
      for (const [where, words] of said(20_000 + number, number % 6 === 0, 'imperial'))
        if (metricIn(withoutNames(words)).length > 0) metric.add(`${where}: ${words}`);
    expect([...metric]).toEqual([]);
  });
});
