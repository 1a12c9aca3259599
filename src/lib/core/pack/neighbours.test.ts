import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { shelfOf } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { activePlan } from '../model/active-plan';
import type { Project } from '../model/project';
import { changesBetween } from './kit-changes';
import { type Neighbour, neighboursOf } from './neighbours';
import { isBoomArm } from './on-boom-arm';
import { frameOf, noRules, type PackRules } from './pack-rules';
import { compareWorth, filmsAll, judged, kitOf } from './packed-kit';
import { UnlikeKits } from './unlike-kits';

const demo = demoProject();
const oneScene: Project = { ...demo, scenes: demo.scenes.slice(0, 1) };
const shelf = shelfOf(oneScene);
const linesOf = (project: Project) => activePlan(project).lines;

function around(project: Project, rules: Partial<PackRules> = {}): Neighbour[] {
  const frame = frameOf(project, shelf, { ...noRules, ...rules });
  return [...neighboursOf(frame.project, judged(frame.project, frame.shelf), frame)];
}
const all = around(oneScene);

describe('kits one change away', () => {
  it('bring one part and what joins it, in the place of one that does its job or beside the rest', () => {
    for (const { project, gearId, replaced } of all) {
      if (gearId === undefined) continue;
      const { comesIn, goesOut } = changesBetween(linesOf(oneScene), linesOf(project), shelf);
      expect(comesIn.map(({ gear }) => gear.id)).toContain(gearId);
      expect(goesOut.map(({ gear }) => gear.id)).toEqual(replaced === undefined ? [] : [replaced]);
      if (replaced === undefined) continue;
      const [came, went] = [shelf.byId.get(gearId)!, shelf.byId.get(replaced)!];
      expect(came.id).not.toBe(went.id);
    }
    expect(all.some(({ replaced }) => replaced !== undefined)).toBe(true);
    expect(all.some(({ gearId, replaced }) => gearId !== undefined && replaced === undefined)).toBe(
      true
    );
  });

  it('leave each part out once, and count batteries and cards up and down', () => {
    const without = all.filter(({ project }) => linesOf(project).length < linesOf(oneScene).length);
    const free = linesOf(oneScene).filter(({ state }) => state === 'wanted');
    expect(without.length).toBeGreaterThanOrEqual(free.length);
    const two = applyAct(oneScene, {
      type: 'change line',
      lineId: 'line-9',
      patch: { quantity: 2 }
    });
    const counts = around(two).flatMap(({ project }) =>
      linesOf(project)
        .filter(({ id }) => id === 'line-9')
        .map(({ quantity }) => quantity)
    );
    expect(counts).toContain(3);
    expect(counts).toContain(1);
  });

  it('never touch what stays, nor a pocket that is locked', () => {
    const held = applyAct(oneScene, {
      type: 'change line',
      lineId: 'line-4',
      patch: { locked: true }
    });
    for (const { project } of around(held)) {
      const ids = linesOf(project).map(({ id }) => id);
      expect(ids).toContain('line-4');
      expect(ids).toContain('line-14');
    }
    for (const { gearId } of around(oneScene, { lockedPockets: ['lens', 'body'] })) {
      const kind = gearId === undefined ? undefined : shelf.byId.get(gearId)!.kind;
      expect(kind).not.toBe('lens');
      expect(kind).not.toBe('body');
    }
  });

  it('change nothing in the brief, and are judged as they would be anew, or not quite as well', () => {
    for (const { project } of all) expect(project.scenes).toBe(oneScene.scenes);
    for (const { project, judgement } of all.filter((_, index) => index % 25 === 0)) {
      const anew = judged(project, shelf);
      expect(anew.money.firmMinor).toBe(judgement.money.firmMinor);
      // Only what is new is tried in its job; placed anew everything may be better.
      expect(compareWorth(anew.merit, judgement.merit)).toBeGreaterThanOrEqual(0);
    }
  });

  it('leave out what is not worth trying again', () => {
    const frame = frameOf(oneScene, shelf, noRules);
    const few = [
      ...neighboursOf(oneScene, judged(oneScene, shelf), frame, ({ kind }) => kind === 'microphone')
    ];
    const kinds = new Set(
      few.flatMap(({ gearId }) => (gearId ? shelf.byId.get(gearId)!.kind : []))
    );
    kinds.delete('battery');
    kinds.delete('card');
    kinds.delete('charger');
    kinds.delete('drive');
    kinds.delete('lamp');
    expect([...kinds]).toEqual(['microphone']);
  });
});

describe('a microphone that can hang from a boom arm', () => {
  const lesson: Project = { ...demo, scenes: demo.scenes.filter(({ id }) => id === 'loom-lesson') };
  const hung = around(lesson).filter(
    ({ judgement: { angles } }) => angles[0]!.rig.micPlace === 'boom arm'
  );

  it('comes with the arm, with what it hangs by and with its cable, for none of them helps alone', () => {
    const came = hung.map(({ project }) =>
      changesBetween(linesOf(lesson), linesOf(project), shelf).comesIn.map(({ gear }) => gear)
    );
    expect(came.length).toBeGreaterThan(3);
    for (const gear of came) {
      expect(gear.filter((gear) => isBoomArm(gear)).length).toBe(1);
      expect(gear.some(({ kind }) => kind === 'cable')).toBe(true);
      expect(gear.length).toBeGreaterThanOrEqual(3);
    }
  });

  it('is judged as any kit, with nothing said of where it goes, and stops nothing', () => {
    const [first] = hung;
    expect(activePlan(first!.project).rigs).toEqual(activePlan(lesson).rigs);
    for (const { judgement } of hung.slice(0, 5))
      expect(judgement.findings.filter(({ code }) => ['A11', 'B3', 'S5'].includes(code))).toEqual(
        []
      );
  });

  it('stays where somebody has put it', () => {
    const said = applyAct(lesson, {
      type: 'set rig',
      sceneId: 'loom-lesson',
      angleId: lesson.scenes[0]!.angles[0]!.id,
      patch: { micPlace: 'shoe' }
    });
    for (const { judgement } of around(said))
      expect(judgement.angles[0]!.rig.micPlace).not.toBe('boom arm');
  });
});

describe('kits that differ', () => {
  it('rest on other parts in three places at least, the best first, within the budget', () => {
    // The lens of the demo lies over the limit of its pocket, which no kit that is told may.
    const frame = frameOf({ ...oneScene, pocketLimitsMinor: {} }, shelf, noRules);
    const kits = new UnlikeKits(frame);
    for (const { project, judgement } of all) kits.note(project, judgement);
    const films = all
      .filter(
        ({ judgement }) =>
          filmsAll(judgement.merit) &&
          judgement.money.firmMinor <= oneScene.limitMinor - oneScene.reserveMinor
      )
      .map(({ project }) => kitOf(project, judged(project, shelf)));
    expect(kits.chosen(undefined)).toEqual([]);
    const first = films.sort((a, b) => compareWorth(b.merit, a.merit))[0];
    const chosen = kits.chosen(first);
    if (first) expect(chosen).toContainEqual(first);
    for (const kit of chosen) {
      expect(filmsAll(kit.merit)).toBe(true);
      expect(kit.priceMinor).toBeLessThanOrEqual(oneScene.limitMinor - oneScene.reserveMinor);
    }
  });
});
