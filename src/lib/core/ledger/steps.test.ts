import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '$lib/catalogue/demos/saltmarsh-loom';
import { shelfOf } from '$lib/catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { activePlan } from '../model/active-plan';
import type { Project } from '../model/project';
import { lineStates, steps } from '../model/word-lists';
import { statementOf } from '../money/statement';
import { dayReached } from '../money/savings';
import { buyingSteps, moneyDays, savingsByMonth } from './steps';

const demo = demoProject();
const shelf = shelfOf(demo);
const TODAY = '2026-11-29';
const nextFirst = (day: string): string => {
  const [year, month] = day.split('-').map(Number) as [number, number];
  return month === 12 ? `${year + 1}-01-01` : `${year}-${String(month + 1).padStart(2, '0')}-01`;
};

describe('the day there is enough', () => {
  it('is the one a purse emptied and filled month by month comes to', () => {
    fc.assert(
      fc.property(
        fc.nat(300_000),
        fc.nat(100_000),
        fc.integer({ min: 1, max: 40_000 }),
        (needed, inHand, perMonth) => {
          let day = TODAY;
          let purse = inHand;
          let months = 0;
          while (purse < needed && months <= 600) {
            day = nextFirst(day);
            purse += perMonth;
            months += 1;
          }
          expect(
            dayReached(needed, { inHandMinor: inHand, savedPerMonthMinor: perMonth }, TODAY)
          ).toBe(months > 600 ? undefined : day);
        }
      ),
      { numRuns: 300 }
    );
  });
});

describe('steps of any plan', () => {
  const anyProject = fc
    .tuple(
      fc.array(fc.tuple(fc.nat(12), fc.constantFrom(...lineStates), fc.constantFrom(...steps)), {
        maxLength: 10
      }),
      fc.nat(200_000),
      fc.nat(50_000)
    )
    .map(([changes, inHandMinor, savedPerMonthMinor]): Project => {
      let project: Project = { ...demo, inHandMinor, savedPerMonthMinor };
      const ids = activePlan(demo).lines.map(({ id }) => id);
      for (const [index, state, step] of changes)
        project = applyAct(project, {
          type: 'change line',
          lineId: ids[index]!,
          patch: { state, step }
        });
      return project;
    });

  it('hold every line to pay once, and come in order', () => {
    fc.assert(
      fc.property(anyProject, (project) => {
        const money = statementOf(project, activePlan(project), shelf);
        const buying = buyingSteps(project, shelf, money, TODAY);
        const held = buying.flatMap(({ lines }) => lines.map(({ line }) => line.id));
        expect(new Set(held).size).toBe(held.length);
        let together = 0;
        let reached = TODAY;
        for (const step of buying) {
          together += step.toPayMinor;
          expect(step.togetherMinor).toBe(together);
          if (step.reachedOn !== undefined) {
            expect(step.reachedOn >= reached).toBe(true);
            reached = step.reachedOn;
          }
        }
        const saved = savingsByMonth(project, buying, TODAY);
        for (const [index, { day, minor }] of saved.entries()) {
          expect(minor).toBe(project.inHandMinor! + index * project.savedPerMonthMinor!);
          expect(index === 0 ? day : day.slice(-3)).toBe(index === 0 ? TODAY : '-01');
        }
        const days = moneyDays(money, buying, TODAY, String).map(({ day }) => day);
        expect(days).toEqual([...days].sort());
      }),
      { numRuns: 40 }
    );
  });
});
