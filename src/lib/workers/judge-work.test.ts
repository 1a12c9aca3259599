import { describe, expect, it } from 'vitest';
import { demoProject } from '../catalogue/demos/saltmarsh-loom';
import { shelfOf } from '../catalogue/load-catalogue';
import { REPLACE } from '../core/judge/candidates';
import { settleAll } from '../core/judge/settle-all';
import { noRules } from '../core/pack/pack-rules';
import type { PackProgress } from '../core/pack/kit-search';
import type { CandidateRow, SettledPart, Share } from './judge-protocol';
import { makeJudgeWork } from './judge-work';

const project = demoProject();
const sharesOf = (of: number): Share[] => Array.from({ length: of }, (_, index) => ({ index, of }));

/** What one worker tells for its share. */
async function settledBy(share: Share): Promise<SettledPart[]> {
  const parts: SettledPart[] = [];
  await makeJudgeWork().settle(project, [], share, (part) => parts.push(part));
  return parts;
}
async function chosenBy(share: Share): Promise<CandidateRow[]> {
  const rows: CandidateRow[] = [];
  await makeJudgeWork().candidates(project, 'sound', REPLACE, share, (part) => rows.push(...part));
  return rows;
}
const remediesIn = (parts: readonly SettledPart[]) =>
  Object.fromEntries(parts.flatMap(({ remedies }) => Object.entries(remedies ?? {})));

describe('work that several workers share', () => {
  it('finds together the remedies one finds alone, each once, and closes joints and asks once', async () => {
    const alone = await settledBy({ index: 0, of: 1 });
    const shared = await Promise.all(sharesOf(3).map(settledBy));
    const keys = shared.flatMap((parts) => Object.keys(remediesIn(parts)));
    expect(new Set(keys).size).toBe(keys.length);
    expect(remediesIn(shared.flat())).toEqual(remediesIn(alone));
    for (const what of ['joints', 'questions'] as const) {
      const told = shared.flat().flatMap((part) => (part[what] ? [part[what]] : []));
      expect(told).toEqual(alone.flatMap((part) => (part[what] ? [part[what]] : [])));
      expect(told).toHaveLength(1);
    }
  });

  it('judges together the parts of a pocket one judges alone, each once, the first screen by the first', async () => {
    const byId = (rows: CandidateRow[]) =>
      [...rows].sort((a, b) => a.gearId.localeCompare(b.gearId));
    const alone = await chosenBy({ index: 0, of: 1 });
    const shared = await Promise.all(sharesOf(3).map(chosenBy));
    expect(byId(shared.flat())).toEqual(byId(alone));
    expect(shared[0]!.slice(0, 24)).toEqual(alone.slice(0, 24));
    expect(Math.max(...shared.map(({ length }) => length))).toBeLessThan(alone.length);
  });
});

describe('the search for the best kits', () => {
  const short = { ...project, scenes: project.scenes.slice(0, 1) };

  it('tells what it has as it goes, and is given up when it is asked again or stopped', async () => {
    const work = makeJudgeWork();
    const told: number[] = [];
    const first = work.pack(short, noRules, ({ judged }) => told.push(judged));
    const second = work.pack(short, { ...noRules, lockedPockets: ['sound'] }, () => undefined);
    expect(await first).toEqual({ cancelled: true, done: undefined });
    setTimeout(() => work.stopPacking(), 30);
    expect(await second).toEqual({ cancelled: true, done: undefined });
    let last: PackProgress | undefined;
    expect((await work.pack(short, noRules, (progress) => (last = progress))).cancelled).toBe(
      false
    );
    expect(last!.isDone).toBe(true);

    const kit = last!.front.at(-1)!;
    const rungs = await work.ladder(short, noRules, kit, last!.front, '2026-11-29');
    expect(rungs.at(-1)!.kit.priceMinor).toBe(kit.priceMinor);
    expect((await work.runnersUp(short, noRules, kit)).length).toBeGreaterThan(0);
  });

  it('settles all that blocks, as the core does, twice at once', async () => {
    const work = makeJudgeWork();
    const [first, again] = await Promise.all([work.settleAll(project), work.settleAll(project)]);
    expect(first).toEqual(settleAll(project, shelfOf(project), { mostLooked: 60 }));
    expect(again).toEqual(first);
  });

  it('mends, and ends with what it found', async () => {
    const outcome = await makeJudgeWork().mend(project, noRules, () => undefined);
    expect(outcome.done!.isDone).toBe(true);
    expect(outcome.done!.fewestLines!.changed).toBeGreaterThan(0);
  });
});
