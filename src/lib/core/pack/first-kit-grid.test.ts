import { describe, expect, it } from 'vitest';
import { catalogue } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { newLine } from '../model/new-line';
import { judgePlan } from '../judge/judge-plan';
import { remediesFor } from '../judge/settle';
import { compareKits } from '../merit/kit-merit';
import { activePlan } from '../model/active-plan';
import { newProject } from '../model/new-project';
import type { Project, SchoolId } from '../model/project';
import type { SceneStyle } from '../model/scene';
import { schoolIds } from '../model/word-lists';
import { packFirstKit } from './first-kit';

const scenes: SceneStyle[][] = [
  ['walk'],
  ['seated'],
  ['hands'],
  ['live call'],
  ['evening'],
  ['walk', 'seated']
];
const limits = [300, 600, 1200, 3000];
const aPhone = catalogue.byId.get('ellowen-slip-4')!;

function answered(
  styles: SceneStyle[],
  limit: number,
  school: SchoolId,
  ownsPhone: boolean,
  preferUsed: boolean
): Project {
  let project = newProject('p', 'first', {
    styles,
    limitMinor: limit * 100,
    school,
    currency: 'GBP',
    mainsHz: 50,
    units: 'metric'
  });
  if (preferUsed) project = { ...project, rules: { preferUsed } };
  return ownsPhone
    ? applyAct(project, {
        type: 'add line',
        line: { ...newLine(activePlan(project), aPhone), state: 'owned' }
      })
    : project;
}

/** Scenes, budgets, priorities in turn, a phone owned or not, new or used. */
const grid = scenes.flatMap((styles, at) =>
  limits.flatMap((limit, of) =>
    [false, true].flatMap((ownsPhone) =>
      [false, true].map((preferUsed) => ({
        styles,
        limit,
        ownsPhone,
        preferUsed,
        school:
          schoolIds[(at + of + Number(ownsPhone) + 2 * Number(preferUsed)) % schoolIds.length]!
      }))
    )
  )
);

describe('a first kit, over every reasonable answer', () => {
  it.each(grid)(
    'is no empty one, holds nothing idle, and leaves no stop that money mends: $styles, $limit, phone $ownsPhone, used $preferUsed, $school',
    ({ styles, limit, school, ownsPhone, preferUsed }) => {
      const project = packFirstKit(
        answered(styles, limit, school, ownsPhone, preferUsed),
        catalogue
      );
      const plan = activePlan(project);
      const judgement = judgePlan(project, plan, catalogue);
      const { money, merit } = judgement;
      expect(plan.lines.filter(({ state }) => state !== 'owned').length).toBeGreaterThan(0);
      expect(money.firmMinor).toBeLessThanOrEqual(money.spendableMinor);
      if (preferUsed)
        for (const { line, gear } of money.lines)
          if (gear?.kind === 'body' && gear.priceUsed && line.state !== 'owned')
            expect(line.basis, gear.id).toBe('used');
      for (const line of plan.lines) {
        if (line.state === 'owned') continue;
        const without = applyAct(project, { type: 'remove line', lineId: line.id });
        const then = judgePlan(without, activePlan(without), catalogue).merit;
        const better =
          compareKits(merit, then) || merit.onceSettledHundredths - then.onceSettledHundredths;
        expect(better, `${line.gearId} is idle`).toBeGreaterThan(0);
      }
      for (const finding of judgement.findings) {
        if (finding.severity !== 'stop') continue;
        const affordable = remediesFor(project, catalogue, judgement, finding).filter(
          ({ mends, brings, costMinor }) =>
            mends && brings.length === 0 && money.firmMinor + costMinor <= money.spendableMinor
        );
        expect(
          affordable.map(({ label }) => label),
          finding.title()
        ).toEqual([]);
      }
    }
  );

  it('is no worse than a used phone with a furry windscreen, chosen by hand', () => {
    const start = answered(['walk'], 450, 'light on the back', false, true);
    const byHand = ['ellowen-slip-4', 'ellowen-slip-6']
      .flatMap((phone) =>
        catalogue.ofKind('windscreen').map((windscreen) =>
          [catalogue.byId.get(phone)!, windscreen].reduce(
            (project, gear) =>
              applyAct(project, {
                type: 'add line',
                line: newLine(activePlan(project), gear, 1, 'used')
              }),
            start
          )
        )
      )
      .map((project) => judgePlan(project, activePlan(project), catalogue).merit)
      .sort((a, b) => compareKits(b, a))[0]!;
    const packed = packFirstKit(start, catalogue);
    const { merit } = judgePlan(packed, activePlan(packed), catalogue);
    expect(compareKits(merit, byHand)).toBeGreaterThanOrEqual(0);
  });
});
