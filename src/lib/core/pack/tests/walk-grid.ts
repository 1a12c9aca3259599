import { expect, it } from 'vitest';
import { catalogue } from '../../../catalogue/load-catalogue';
import { applyAct } from '../../acts/apply-act';
import { newLine } from '../../model/new-line';
import { type Candidate, judgeCandidates } from '../../judge/candidates';
import { judgePlan } from '../../judge/judge-plan';
import type { Judgement } from '../../judge/judgement';
import { remediesFor } from '../../judge/settle';
import { compareKits, type KitMerit } from '../../merit/kit-merit';
import { activePlan } from '../../model/active-plan';
import { pockets } from '../../model/pocket';
import { newProject } from '../../model/new-project';
import type { Project, SchoolId } from '../../model/project';
import type { SceneStyle } from '../../model/scene';
import { schoolIds } from '../../model/word-lists';
import { packFirstKit } from '../first-kit';

const scenes: SceneStyle[][] = [
  ['walk'],
  ['seated'],
  ['hands'],
  ['live call'],
  ['evening'],
  ['walk', 'seated']
];
const limits = [300, 450, 600, 1200, 3000];
const aPhone = catalogue.byId.get('ellowen-slip-4')!;

export function answered(
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

/**
 * `npm run grid` walks all 720. The test walks a ninth of the 120 answers besides the priority, each scene with nearly
 * every budget, with the priorities in turn.
 */
const everyAnswer = process.env.WHOLE_GRID === '1';
const ONE_OF = 9;

/** Scenes, budgets, a phone owned or not, new or used, priorities. */
const grid = scenes.flatMap((styles, index) =>
  limits.flatMap((limit, of) =>
    [false, true].flatMap((ownsPhone) =>
      [false, true].flatMap((preferUsed) => {
        const turn = index + of + 2 * Number(ownsPhone) + 3 * Number(preferUsed);
        const priorities = everyAnswer
          ? schoolIds
          : turn % ONE_OF === 0
            ? [schoolIds[(index + 2 * of) % schoolIds.length]!]
            : [];
        return priorities.map((school) => ({ styles, limit, ownsPhone, preferUsed, school }));
      })
    )
  )
);

/** What a point of merit may cost where a kit is compared with one by hand; the packer goes by the same. */
const POINT_MAY_COST_MINOR = 10_000;
const MOST_BY_HAND = 14;

/** As a careful person does it: time and again the one part of the whole shelf that makes the kit best. */
function packedByHand(start: Project): Judgement {
  let project = start;
  for (let parts = 0; parts < MOST_BY_HAND; parts++) {
    const now = judgePlan(project, activePlan(project), catalogue);
    let best: Candidate | undefined;
    for (const pocket of pockets)
      for (const candidate of judgeCandidates(project, catalogue, pocket, { how: 'add' }))
        if (
          candidate.act &&
          candidate.firmMinor <= now.money.spendableMinor &&
          comparedWith(candidate.merit, best?.merit ?? now.merit) > 0
        )
          best = candidate;
    if (!best) break;
    project = applyAct(project, best.act!);
  }
  return judgePlan(project, activePlan(project), catalogue);
}

/** Kits that do nothing yet are told apart by what they would be worth. */
const comparedWith = (a: KitMerit, b: KitMerit): number =>
  compareKits(a, b) || a.onceSettledHundredths - b.onceSettledHundredths;

/** Points by which one kit is worth more than another, or would be once it works. */
const pointsMore = (a: KitMerit, b: KitMerit): number =>
  (a.meritHundredths - b.meritHundredths || a.onceSettledHundredths - b.onceSettledHundredths) /
  100;

/**
 * Packs a first kit for every reasonable answer of those who buy new, or of those who buy used. Two files walk a half
 * each, so that both may be walked at once.
 */
export function walkGrid(used: boolean): void {
  it.each(grid.filter(({ preferUsed }) => preferUsed === used))(
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
        expect(comparedWith(merit, then), `${line.gearId} is idle`).toBeGreaterThan(0);
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
      // No worse than by hand: as many scenes work, and points that are missing would have cost more than they are worth.
      const byHand = packedByHand(answered(styles, limit, school, ownsPhone, preferUsed));
      expect(merit.mustDoWorking).toBeGreaterThanOrEqual(byHand.merit.mustDoWorking);
      if (merit.mustDoWorking === byHand.merit.mustDoWorking)
        expect(merit.stops).toBeLessThanOrEqual(byHand.merit.stops);
      const missing = pointsMore(byHand.merit, merit);
      const saved = byHand.money.firmMinor - money.firmMinor;
      if (missing > 0)
        expect(missing * POINT_MAY_COST_MINOR, `${missing} points for ${saved}`).toBeLessThan(
          saved
        );
    }
  );
}
