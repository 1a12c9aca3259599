import { describe, expect, it } from 'vitest';
import { catalogue } from '../../../catalogue/load-catalogue';
import { applyAct } from '../../acts/apply-act';
import { swapFor } from '../../findings/part-candidates';
import { completeKit } from '../../judge/complete-kit';
import { trackJudgement } from '../../judge/incremental';
import type { Judgement } from '../../judge/judgement';
import { settleAll } from '../../judge/settle-all';
import { Chances } from '../../judge/tests/random-kits';
import { activePlan } from '../../model/active-plan';
import { newLine } from '../../model/new-line';
import { newProject } from '../../model/new-project';
import type { Project } from '../../model/project';
import { makeShelf } from '../../model/shelf';
import type { SceneStyle } from '../../model/scene';
import { schoolIds, sceneStyles } from '../../model/word-lists';
import { pockets } from '../../model/pocket';
import { frameOf, noRules, type PackFrame, type PackRules } from '../pack-rules';
import { filmsAll, judged } from '../packed-kit';
import { bestAgainstBound } from './best-against-bound';
import { boundFor, boundKits, boundsOfScenes, type BoundStep } from './kit-bound';

const MOST_MINOR = 300_000;
/** `COMPLETIONS=100000 vitest run src/lib/core/pack/bound` walks so many; a few hundred each time. */
const COMPLETIONS = Number(process.env.COMPLETIONS ?? 300);

function projectOf(styles: SceneStyle[], change: Partial<Project> = {}): Project {
  const start = newProject('p', 'bounded', {
    styles,
    limitMinor: 120_000,
    school: 'sound and light first',
    currency: 'GBP',
    mainsHz: 50,
    units: 'metric'
  });
  return { ...start, ...change };
}
function boundsOf(frame: PackFrame): readonly BoundStep[] {
  const bounding = boundsOfScenes(frame);
  let step = bounding.next();
  while (step.done !== true) step = bounding.next();
  return boundKits(frame, step.value!);
}
/** Bounding takes seconds: what is asked for two spends is bounded once. */
const bounded = new Map<Project, readonly BoundStep[]>();
function boundOf(project: Project, mostMinor: number, rules: PackRules = noRules): number {
  const steps =
    (rules === noRules ? bounded.get(project) : undefined) ??
    boundsOf(frameOf(project, catalogue, rules, MOST_MINOR));
  if (rules === noRules) bounded.set(project, steps);
  return boundFor(steps, mostMinor)!;
}
const seatedAlone = projectOf(['seated']);
const owning = (project: Project, ...ids: string[]): Project =>
  ids.reduce((now, id) => {
    const line = newLine(activePlan(now), catalogue.byId.get(id)!);
    return applyAct(now, { type: 'add line', line: { ...line, state: 'owned' } });
  }, project);

/** Kits that chance makes and a climb makes better, each judged; every one within what was looked at. */
function* completions(frame: PackFrame, chances: Chances): Generator<Judgement, void, void> {
  const parts = pockets.flatMap((pocket) => frame.parts[pocket]);
  const body = newLine(activePlan(frame.project), chances.of(frame.parts.body));
  let project = applyAct(frame.project, { type: 'add line', line: body });
  if (chances.is(0.5)) {
    const { act } = settleAll(project, frame.shelf);
    const settled = act ? applyAct(project, act) : project;
    if (settled.scenes === project.scenes) project = settled;
  }
  let kept = { project, worth: -Infinity };
  for (let change = 0; change < 120; change++) {
    const now = judged(project, frame.shelf);
    const isWithin = now.money.firmMinor <= MOST_MINOR;
    if (isWithin && now.angles.every(({ rig }) => rig.body)) yield now;
    const { mustDoWorking, stops, onceSettledHundredths } = now.merit;
    const worth = mustDoWorking * 1e6 - stops * 1e4 + onceSettledHundredths;
    if (isWithin && (worth >= kept.worth || chances.is(0.03))) kept = { project, worth };
    else ({ project } = kept);
    const plan = activePlan(project);
    const pool = chances.is(0.3)
      ? frame.parts[chances.of(['body', 'lens', 'sound', 'light', 'support'] as const)]
      : parts;
    const line = newLine(plan, chances.of(pool), chances.is(0.2) ? 2 : 1);
    const old = chances.is(0.5) ? chances.of(plan.lines) : undefined;
    const changed = applyAct(project, old ? swapFor(old.id)(line) : { type: 'add line', line });
    project =
      change % 4 > 0
        ? changed
        : completeKit(trackJudgement(project, judged(project, frame.shelf)), changed, frame.shelf)
            .project;
  }
}

describe('what no kit that films can be worth more than', () => {
  it('is not passed by any kit drawn from the whole shelf, whatever is filmed', () => {
    const chances = new Chances(28);
    const passed: string[] = [];
    let [walked, filming] = [0, 0];
    while (walked < COMPLETIONS) {
      const styles = [chances.of(sceneStyles), chances.of(sceneStyles)].slice(
        0,
        chances.of([1, 2])
      );
      const project = projectOf(styles, { school: chances.of(schoolIds) });
      const frame = frameOf(project, catalogue, noRules, MOST_MINOR);
      const bounds = boundsOf(frame);
      for (let climb = 0; climb < 6; climb++)
        for (const { merit, money } of completions(frame, chances)) {
          walked += 1;
          if (merit.stops > 0 || !filmsAll(merit)) continue;
          filming += 1;
          const most = boundFor(bounds, money.firmMinor)!;
          if (merit.onceSettledHundredths > most)
            passed.push(`${styles.join()}: ${merit.onceSettledHundredths} past ${most}`);
        }
    }
    expect(passed).toEqual([]);
    expect(filming).toBeGreaterThan(walked / 10);
  }, 7_200_000);

  it('rises with what is spent, and is nothing where no body can be had', () => {
    const steps = boundsOf(frameOf(projectOf(['seated']), catalogue, noRules, MOST_MINOR));
    expect(steps.length).toBeGreaterThan(20);
    for (const [index, { upToMinor, hundredths }] of steps.entries()) {
      if (index === 0) continue;
      expect(upToMinor).toBeGreaterThan(steps[index - 1]!.upToMinor);
      expect(hundredths).toBeGreaterThan(steps[index - 1]!.hundredths);
    }
    expect(boundFor(steps, 100)).toBe(0);
    expect(boundFor(steps, MOST_MINOR + 1)).toBeUndefined();
  });

  it('is higher with a body one owns, for it costs nothing more', () => {
    const nothing = seatedAlone;
    const ownsBody = owning(nothing, 'orrowby-linnet', 'orrowby-15-43-f-3-5-5-6');
    expect(boundOf(ownsBody, 30_000)).toBeGreaterThan(boundOf(nothing, 30_000));
    // For nothing more it has no card and no support, so nothing films.
    expect(boundOf(ownsBody, 0)).toBe(0);
  });

  it('is lower where pockets are locked or little may be bought', () => {
    const project = owning(projectOf(['seated']), 'orrowby-linnet');
    const free = boundOf(project, 200_000);
    const locked: PackRules = { ...noRules, lockedPockets: ['sound', 'light', 'lens'] };
    expect(boundOf(project, 200_000, locked)).toBeLessThan(free);
    expect(boundOf(project, 15_000)).toBeLessThan(free);
    const oneCheap = { ...project, itemLimitMinor: 5_000 };
    expect(boundOf(oneCheap, 200_000)).toBeLessThan(free);
  });

  it('does not count one body twice: two scenes cost no less than the dearer of them alone', () => {
    const seated = boundOf(seatedAlone, 60_000);
    const walk = boundOf(projectOf(['walk']), 60_000);
    const both = boundOf(projectOf(['seated', 'walk']), 60_000);
    expect(both).toBeLessThanOrEqual(Math.max(seated, walk));
  });
});

describe('a shelf too large to go through', () => {
  it('has no bound, and none is made up', () => {
    const copies = Array.from({ length: 12 }, (_, copy) =>
      catalogue.items.map((gear) => ({ ...gear, id: `${gear.id}-${copy}` }))
    ).flat();
    const frame = frameOf(projectOf(['seated', 'walk']), makeShelf(copies), noRules, MOST_MINOR);
    expect(boundsOfScenes(frame).next()).toEqual({ done: true, value: undefined });
  });
});

describe('the best found against the bound', () => {
  const merit = {
    mustDoWorking: 1,
    mustDoScenes: 1,
    stops: 0,
    meritHundredths: 7900,
    onceSettledHundredths: 7900,
    scenes: []
  };
  const project = projectOf(['seated'], { limitMinor: 1000, reserveMinor: 100 });
  const kit = { lines: [], rigs: [], priceMinor: 800, merit };
  const bound = [
    { upToMinor: 500, hundredths: 7000 },
    { upToMinor: 950, hundredths: 8000 }
  ];

  it('is so much of the bound as is open', () => {
    expect(bestAgainstBound(project, { front: [kit], bound })).toEqual({
      foundHundredths: 7900,
      boundHundredths: 8000,
      gap: 100 / 8000,
      isProven: false
    });
  });

  it('is proven where nothing is open', () => {
    const best = { ...kit, merit: { ...merit, meritHundredths: 8000 } };
    expect(bestAgainstBound(project, { front: [best], bound })).toMatchObject({
      gap: 0,
      isProven: true
    });
  });

  it('is not known before the bound is, nor of a kit that films too little', () => {
    expect(bestAgainstBound(project, { front: [kit], bound: undefined })).toBeUndefined();
    expect(bestAgainstBound(project, { front: [], bound })).toBeUndefined();
    const stopped = { ...kit, merit: { ...merit, stops: 1 } };
    expect(bestAgainstBound(project, { front: [stopped], bound })).toBeUndefined();
    const fewer = { ...kit, merit: { ...merit, mustDoWorking: 0 } };
    expect(bestAgainstBound(project, { front: [fewer], bound })).toBeUndefined();
  });
});
