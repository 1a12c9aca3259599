import { describe, expect, it } from 'vitest';
import { catalogue, shelfOf } from '../../catalogue/load-catalogue';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import type { Act } from '../acts/act';
import { applyAct } from '../acts/apply-act';
import { applyPatches } from '../acts/drafts';
import { applyRecorded } from '../acts/record-act';
import { severityRank } from '../findings/finding';
import {
  makeSatchel,
  projectFromSatchel,
  readSatchel,
  writeSatchel
} from '../formats/satchel-file';
import { activePlan } from '../model/active-plan';
import type { Project, SchoolId } from '../model/project';
import type { SceneStyle } from '../model/scene';
import { startScene } from '../model/scene-starts';
import { packFirstKit } from '../pack/first-kit';
import { judged } from './tests/calm-kit';
import { evaluate } from './evaluation';
import { remediesFor } from './settle';

/** The jobs people bring: what is filmed, the budget, and the belief one buys by. */
const jobs: readonly [SceneStyle, number, SchoolId][] = [
  ['seated', 120_000, 'sound and light first'],
  ['walk', 150_000, 'light on the back'],
  ['hands', 90_000, 'buy once'],
  ['live call', 110_000, 'start with what you have'],
  ['evening', 220_000, 'lenses first'],
  ['seated', 180_000, 'body first']
];

function begun(style: SceneStyle, limitMinor: number, school: SchoolId): Project {
  const scene = { ...startScene(style, [], 100), id: 'only', name: 'The job' };
  return {
    ...demoProject(),
    name: `${style} for ${limitMinor}`,
    school,
    limitMinor,
    reserveMinor: 5_000,
    pocketLimitsMinor: {},
    scenes: [scene],
    plans: [{ id: 'plan-a', name: 'plan A', lines: [], rigs: [] }],
    activePlanId: 'plan-a'
  };
}

/** What a person does who takes the first way offered out of the worst that is left. */
function settleAll(start: Project): { project: Project; acts: Act[] } {
  let project = start;
  const acts: Act[] = [];
  const givenUp = new Set<string>();
  for (let step = 0; step < 40; step++) {
    const judgement = judged(project);
    const worst = judgement.findings.find(
      ({ severity, key }) => severity === 'stop' && !givenUp.has(key)
    );
    if (!worst) break;
    const [remedy] = remediesFor(project, shelfOf(project), judgement, worst);
    if (!remedy?.mends) {
      givenUp.add(worst.key);
      continue;
    }
    project = applyAct(project, remedy.act);
    acts.push(remedy.act);
  }
  return { project, acts };
}

/** The account added up again by hand: whole pence, the discount rounded at the line. */
function addedByHand(project: Project): { firm: number; later: number } {
  let firm = 0;
  let later = 0;
  for (const line of activePlan(project).lines) {
    const gear = shelfOf(project).byId.get(line.gearId)!;
    const price = line.basis === 'used' ? gear.priceUsed : gear.priceNew;
    if (!price || line.state === 'owned' || line.state === 'returned') continue;
    const pieces = price.likely * line.quantity;
    const discount = Math.round((pieces * (line.discountPercent ?? 0)) / 100);
    const cost = pieces - discount + (line.shippingMinor ?? 0);
    if (line.step === 'later') later += cost;
    else firm += cost;
  }
  return { firm, later };
}

describe.each(jobs)('%s within %i by %s', (style, limitMinor, school) => {
  const start = begun(style, limitMinor, school);
  const packed = packFirstKit(start, catalogue);
  const { project, acts } = settleAll(packed);
  const judgement = judged(project);

  it('is packed within the budget, and its account is right to the penny', () => {
    expect(judged(packed).money.firmMinor).toBeLessThanOrEqual(limitMinor - 5_000);
    for (const kit of [packed, project]) {
      const { money } = judged(kit);
      const { firm, later } = addedByHand(kit);
      expect([money.firmMinor, money.laterMinor]).toEqual([firm, later]);
      expect(money.remainingMinor).toBe(limitMinor - 5_000 - firm);
      expect(money.lines.at(-1)?.runningMinor).toBe(firm);
      const pockets = Object.values(money.pockets).reduce(
        (sum, { firmMinor }) => sum + firmMinor,
        0
      );
      expect(pockets).toBe(firm);
    }
  });

  it('is settled until nothing stops it that a remedy could mend', () => {
    for (const finding of judgement.findings.filter(({ severity }) => severity === 'stop')) {
      const remedies = remediesFor(project, shelfOf(project), judgement, finding);
      expect(
        remedies.filter(({ mends }) => mends).map(({ label }) => label),
        finding.title()
      ).toEqual([]);
    }
    expect(judgement.merit.stops).toBeLessThanOrEqual(judged(packed).merit.stops);
  });

  it('holds what the job needs, each part once decided on', () => {
    const kit = judgement.kit;
    expect(kit.of('body').length).toBeGreaterThan(0);
    for (const { rig } of judgement.angles) {
      expect(rig.body).toBeDefined();
      expect(rig.lens).toBeDefined();
      if (rig.scene.voice !== 'none') expect(rig.mic).toBeDefined();
    }
    const ids = activePlan(project).lines.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
  });

  it('is judged the same from its file, byte by byte', () => {
    const text = writeSatchel(makeSatchel(project, shelfOf(project)));
    const reading = readSatchel(text);
    expect(reading.ok).toBe(true);
    if (!reading.ok) return;
    const read = projectFromSatchel(reading.file, catalogue);
    const bytes = (project: Project) =>
      JSON.stringify(evaluate(project, activePlan(project), shelfOf(project)));
    expect(bytes(read)).toBe(bytes(project));
  });

  it('goes back act by act to where it began', () => {
    let now = packed;
    const changes = acts.map((act) => {
      const { project: next, change } = applyRecorded(now, act);
      now = next;
      return change;
    });
    expect(now).toEqual(project);
    for (const change of changes.reverse()) now = applyPatches(now, change.inverse);
    expect(now).toEqual(packed);
  });

  it('says its findings worst first, and each only once', () => {
    const ranks = judgement.findings.map(({ severity }) => severityRank(severity));
    expect(ranks).toEqual([...ranks].sort((a, b) => b - a));
    const keys = judgement.findings.map(({ key }) => key);
    expect(new Set(keys).size).toBe(keys.length);
  });
});
