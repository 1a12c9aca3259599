import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue, shelfOf } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { figureIndex, figureOrder, figureTable } from '../figures/table';
import { isLeaf } from '../figures/rows';
import { axes } from '../merit/axis-curves';
import { compareKits } from '../merit/kit-merit';
import { schools } from '../merit/schools';
import { specSheet } from '../model/gear/spec-sheet';
import { gearKindNames } from '../model/gear';
import type { Project } from '../model/project';
import { activePlan } from '../model/active-plan';
import { rangeOf } from '../money/price-range';
import { judgePlan } from './judge-plan';
import { questionsOf } from './questions';
import { answerAct } from '../acts/answer-act';
import { settingsOf } from './settings';
import { verdictsUnderSchools, weighedAs, findingWeightRanges } from './verdicts';

const project = demoProject();
const judged = (project: Project) => judgePlan(project, activePlan(project), shelfOf(project));
const judgement = judged(project);

/** The demo with a figure of a part unsaid. */
function silent(gearId: string, field: string): Project {
  const copy = structuredClone(demoProject());
  const part = structuredClone(catalogue.byId.get(gearId)!) as unknown as Record<string, unknown>;
  delete part[field];
  copy.ownGear.push(part as never);
  return copy;
}

describe('questions to ask', () => {
  it('have two ends for every figure one may ask about, and a field that the part really has', () => {
    const fields = new Set(gearKindNames.flatMap((kind) => specSheet(kind).map(({ key }) => key)));
    for (const id of figureOrder) {
      const row = figureTable[id];
      if (!isLeaf(row) || !row.asks) continue;
      const [low, high] = row.asks.between;
      expect(low, id).toBeLessThan(high);
      if (row.asks.field) expect(fields.has(row.asks.field), `${id}: ${row.asks.field}`).toBe(true);
    }
    expect(Object.keys(figureIndex).length).toBe(figureOrder.length);
  });

  it('say what either answer would do, those first that move a stop', () => {
    const project = silent('orrowby-linnet', 'drawW');
    (project.ownGear[0] as unknown as Record<string, unknown>).inputNoiseDbV = undefined;
    const questions = questionsOf(project, shelfOf(project), judged(project));
    const draw = questions.find(({ leaf }) => leaf === 'bodyDraw')!;
    expect(questions[0]).toBe(draw);
    expect(draw.movesStop).toBe(true);
    expect(draw.question).toBe('How many watts does Orrowby Linnet draw while recording?');
    expect(draw.effects.map(({ answer }) => answer)).toEqual(['3 W', '12 W']);
    expect(draw.effects[0].brings.join()).not.toMatch(/batteries last/);
    expect(draw.effects[1].brings.join()).toMatch(/Loom lesson: (batteries last|dark after)/);
  });

  it('come before others where the two answers differ in the part one would take', () => {
    let tellings = 0;
    for (const [gearId, field] of [
      ['orrowby-linnet', 'drawW'],
      ['orrowby-linnet', 'massG'],
      ['orrowby-linnet', 'inputNoiseDbV'],
      ['dunmarrow-plover', 'selfNoiseDbA'],
      ['dunmarrow-plover', 'sensitivityDbvPerPa'],
      ['pellamund-17-f-1-5', 'minimumFocusDistanceM']
    ] as const) {
      const project = silent(gearId, field);
      const questions = questionsOf(project, shelfOf(project), judged(project));
      const rank = questions.map(
        ({ movesStop, movesBest }) => Number(movesStop) * 2 + Number(movesBest)
      );
      expect(rank).toEqual([...rank].sort((a, b) => b - a));
      for (const { movesBest, effects } of questions) {
        expect(movesBest).toBe(effects[0].best !== effects[1].best);
        if (movesBest) tellings += 1;
      }
    }
    expect(tellings).toBeGreaterThan(0);
  });

  it('are answered by an entry on the part, and then asked no more', () => {
    const project = silent('orrowby-linnet', 'drawW');
    const [question] = questionsOf(project, shelfOf(project), judged(project));
    expect(question!.field).toMatchObject({ key: 'drawW', gearId: 'orrowby-linnet' });
    const answered = applyAct(
      project,
      answerAct(shelfOf(project).byId.get('orrowby-linnet')!, 'drawW', 5.9)
    );
    expect(questionsOf(answered, shelfOf(answered), judged(answered))).toEqual([]);
    expect(judged(answered).merit.meritHundredths).toBe(judgement.merit.meritHundredths);
  });
});

describe('settings', () => {
  const of = (sceneId: string, own = judgement) => {
    const angle = own.angles.find(({ scene }) => scene.id === sceneId)!;
    return new Map(settingsOf(angle).map((setting) => [setting.name, setting]));
  };

  it('follow the mains: 25 frames and 1/50 s under 50 Hz, with the school that would differ', () => {
    const lesson = of('loom-lesson');
    expect(lesson.get('Frame rate')!.set).toBe('25 fps');
    expect(lesson.get('Shutter')!.set).toBe('1/50 s');
    expect(lesson.get('Frame rate')!.others).toMatch(/One rate everywhere/);
    expect(lesson.get('White balance')!.set).toMatch(/^fixed/);
    expect(lesson.get('White balance')!.others).toMatch(/^Automatic/);
  });

  it('say what filter the sun wants when none fits, and what to turn when the light changes', () => {
    const path = of('marsh-path');
    expect(path.get('Neutral density (ND)')).toMatchObject({
      set: 'off',
      why: 'No filter that fits helps here; 2.3 stops would keep natural motion.'
    });
    expect(path.get('Aperture')!.set).toBe('f/9 at the dimmest, f/13 at the brightest');
    expect(path.get('Shutter')!.set).toBe('1/50 s at the dimmest, 1/240 s at the brightest');
    expect(of('loom-lesson').get('Aperture')!.others).toMatch(/One stop down/);
  });

  it('each have a why, and name every angle of the demo', () => {
    for (const angle of judgement.angles) {
      const list = settingsOf(angle);
      expect(list.length, angle.scene.name).toBeGreaterThanOrEqual(8);
      for (const { name, set, why } of list) {
        expect(`${name} ${set} ${why}`).not.toMatch(/undefined|NaN|null/);
        expect(why, name).toMatch(/[.]$/);
      }
    }
  });
});

describe('verdicts', () => {
  it('under six schools are the kit weighed six ways', () => {
    const verdicts = verdictsUnderSchools(project, activePlan(project), catalogue, judgement);
    expect(verdicts.map(({ school }) => school)).toEqual(Object.keys(schools));
    for (const { school, merit } of verdicts)
      expect(merit.onceSettledHundredths, school).toBe(
        judged({ ...project, school }).merit.onceSettledHundredths
      );
  });

  it('hold over a range of weights, and turn just beyond it', () => {
    const louder = applyAct(project, {
      type: 'change line',
      lineId: 'line-2',
      patch: { step: 'later' }
    });
    const weights = schools[project.school].weights;
    const other = judged(louder);
    const chosen = compareKits(judgement.merit, other.merit) >= 0 ? judgement : other;
    const rest = chosen === judgement ? other : judgement;
    const better = (axis: (typeof axes)[number], weight: number) => {
      const tried = { ...weights, [axis]: weight };
      return compareKits(weighedAs(project, chosen, tried), weighedAs(project, rest, tried)) >= 0;
    };
    for (const range of findingWeightRanges(project, chosen, rest, weights)) {
      if (!range) continue;
      const { axis, from, to } = range;
      expect(better(axis, from) && better(axis, to), axis).toBe(true);
      if (from > 0) expect(better(axis, from - 1), axis).toBe(false);
      if (to < 60) expect(better(axis, to + 1), axis).toBe(false);
    }
  });

  it('follow weights of one’s own once all seven are given', () => {
    const own = Object.fromEntries(axes.map((axis) => [axis, axis === 'ease' ? 60 : 1]));
    expect(judged({ ...project, ownWeights: own }).merit.onceSettledHundredths).not.toBe(
      judgement.merit.onceSettledHundredths
    );
    expect(judged({ ...project, ownWeights: { ease: 60 } }).merit.onceSettledHundredths).toBe(
      judgement.merit.onceSettledHundredths
    );
  });
});

describe('prices as ranges', () => {
  it('add up their ends, and the chance lies between never and always', () => {
    const range = rangeOf(judgement.money);
    const sum = (end: 'low' | 'high') =>
      judgement.money.lines.reduce((total, { range: range }) => total + range[end], 0);
    expect([range.lowestMinor, range.likelyMinor, range.worstMinor]).toEqual([
      sum('low'),
      120_800,
      sum('high')
    ]);
    // Even at every low price the demo is over the budget, or just under it.
    expect(range.chanceOver).toBeGreaterThan(0.9);
    expect(
      rangeOf({ ...judgement.money, spendableMinor: range.worstMinor }).chanceOver
    ).toBeCloseTo(0, 12);
    expect(
      rangeOf({ ...judgement.money, spendableMinor: (range.lowestMinor - 1) as never }).chanceOver
    ).toBe(1);
  });

  it('keep cash-back and resale beside the firm total', () => {
    const back = applyAct(project, {
      type: 'change line',
      lineId: 'line-4',
      patch: { cashBackMinor: 3000, resaleMinor: 9000 }
    });
    const { money } = judged(back);
    expect([money.firmMinor, money.afterCashBackMinor, money.afterResaleMinor]).toEqual([
      120_800, 117_800, 108_800
    ]);
  });
});
