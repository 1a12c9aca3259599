import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { shelfOf } from '../../catalogue/load-catalogue';
import { trackJudgement } from '../judge/incremental';
import { activePlan } from '../model/active-plan';
import type { PlanLine } from '../model/plan';
import type { Project } from '../model/project';
import { settled } from './beginnings';
import type { BodyBound } from './bound/scene-bound';
import { broughtWithin, grafted, pairsAbove } from './graft';
import { frameOf, noRules } from './pack-rules';
import { judged } from './packed-kit';

const demo = demoProject();
const lesson: Project = {
  ...demo,
  scenes: demo.scenes.filter(({ id }) => id === 'loom-lesson'),
  pocketLimitsMinor: {}
};
const shelf = shelfOf(lesson);
const frame = frameOf(lesson, shelf, noRules);
const begun = settled(frame, lesson);
const before = judged(begun, shelf);
const [angle] = before.angles;
const bodyId = angle!.rig.body!.gear.id;

const lines = [bodyId, 'quillfeather-ray-110-90-cm-dome', 'dunmarrow-plover'].map(
  (gearId, index): PlanLine => ({
    ...activePlan(begun).lines[0]!,
    id: `rig-${index}`,
    gearId,
    quantity: 1
  })
);
const rig = { priceMinor: 0, merit: 100, lines, onBoomArm: 'rig-2' };
const kit = grafted(trackJudgement(begun, before), begun, before, frame, angle!, rig);
const partsOf = (project: Project) =>
  activePlan(project).lines.map(({ gearId }) => shelf.byId.get(gearId)!);

describe('a kit with the rig of another', () => {
  it('films with all its parts at once, each held and joined', () => {
    const { angles, merit, findings } = judged(kit, shelf);
    const { body, keyLamp, mic, micPlace } = angles[0]!.rig;
    expect(body!.gear.id).toBe(bodyId);
    expect(keyLamp!.part.gear.id).toBe('quillfeather-ray-110-90-cm-dome');
    expect([mic!.gear.id, micPlace]).toEqual(['dunmarrow-plover', 'boom arm']);
    expect(merit.stops).toBe(0);
    expect(findings.filter(({ code }) => ['S5', 'A11', 'B3'].includes(code))).toEqual([]);
  });

  it('keeps what powers, records and copies, and leaves the person’s own alone', () => {
    const kept = new Set(partsOf(kit).map(({ id }) => id));
    for (const gear of partsOf(begun))
      if (['battery', 'charger', 'card', 'drive'].includes(gear.kind))
        expect(kept).toContain(gear.id);
    for (const line of activePlan(begun).lines.filter(frame.isFixed))
      expect(activePlan(kit).lines).toContainEqual(line);
    expect(kit.scenes).toBe(begun.scenes);
  });
});

describe('rigs to put into a scene', () => {
  const bodyWith = (id: string, ...merits: number[]): BodyBound => ({
    bodyId: id,
    bodyLineId: id,
    bodyMinor: 0,
    alone: [],
    pairs: merits.map((merit) => ({ priceMinor: 0, merit, lines: [], onBoomArm: undefined })),
    supplied: [],
    shared: [],
    suppliedShare: []
  });
  const meritsOf = (...bounds: BodyBound[]) =>
    pairsAbove(70, bounds, 'own').map(({ merit }) => merit);

  it('are those that may be worth more, of its own body all, of every other the best', () => {
    expect(
      meritsOf(bodyWith('own', 90, 80, 60), bodyWith('other', 85, 84), bodyWith('poor', 60))
    ).toEqual([90, 80, 85]);
    expect(meritsOf(bodyWith('own'), bodyWith('other', 70))).toEqual([]);
  });

  it('are of four other bodies, those that may be worth most', () => {
    const others = [71, 76, 73, 75, 72, 74].map((merit) => bodyWith(`body ${merit}`, merit));
    expect(meritsOf(...others)).toEqual([76, 75, 74, 73]);
  });
});

describe('a kit past the budget', () => {
  const cost = judged(kit, shelf).money.firmMinor;
  const framed = (limitMinor: number) =>
    frameOf({ ...lesson, limitMinor, reserveMinor: 0 }, shelf, noRules);

  it('stays as it is within it, and is not touched far past it', () => {
    expect(broughtWithin(kit, framed(cost))).toBe(kit);
    expect(broughtWithin(kit, framed(Math.round(cost / 1.2)))).toBeUndefined();
  });

  it('loses what brings least for its money, and still films', () => {
    const within = broughtWithin(kit, framed(cost - 100));
    const { money, merit } = judged(within!, shelf);
    expect(money.firmMinor).toBeLessThanOrEqual(cost - 100);
    expect(merit.stops).toBe(0);
    expect(activePlan(within!).lines.length).toBeLessThan(activePlan(kit).lines.length);
  });
});
