import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import type { Axis } from '../merit/axis-curves';
import { compareKits } from '../merit/kit-merit';
import { pocketOf } from '../model/gear';
import { pockets } from '../model/pocket';
import type { Project } from '../model/project';
import { activePlan } from '../model/active-plan';
import { type Candidate, candidateGroups, judgeCandidates, type WayOfTaking } from './candidates';
import { closeJoints } from './close-joints';
import { judgePlan } from './judge-plan';

const project = demoProject();
const judged = (project: Project) => judgePlan(project, activePlan(project), catalogue);

describe.each(pockets)('the %s pocket', (pocket) => {
  const candidates = judgeCandidates(project, catalogue, pocket);

  it('holds every part of the shelf that belongs there, best kit first', () => {
    expect(candidates.map(({ gear }) => gear.id).sort()).toEqual(
      catalogue.items
        .filter((gear) => pocketOf(gear) === pocket)
        .map(({ id }) => id)
        .sort()
    );
    // Group by group: what cannot be used never stands before what can, whatever it pushes out.
    const groups = candidates.map(({ group }) => candidateGroups.indexOf(group));
    expect(groups).toEqual([...groups].sort((a, b) => a - b));
    for (let index = 1; index < candidates.length; index++)
      if (groups[index] === groups[index - 1])
        expect(
          compareKits(candidates[index - 1]!.merit, candidates[index]!.merit)
        ).toBeGreaterThanOrEqual(0);
  });

  it('says of each what the pocket is chosen by in every scene, and why it is of no use where it is not', () => {
    for (const { figures, group, unusable, packed, gainHundredths } of candidates) {
      if (group === 'unusable') expect(gainHundredths).toBeLessThanOrEqual(0);
      expect(figures).toHaveLength(project.scenes.length);
      for (const figure of figures) {
        if (!figure) continue;
        expect(figure.share).toBeGreaterThanOrEqual(0);
        expect(figure.share).toBeLessThanOrEqual(1);
        expect(`${figure.words} ${figure.verdict}`).not.toMatch(/undefined|NaN|Infinity/);
      }
      expect(unusable !== '', String(packed)).toBe(group === 'unusable');
    }
  });

  it('promises of each what taking it then does', () => {
    for (const candidate of candidates.filter((candidate) => candidate.act).slice(0, 12)) {
      const after = judged(applyAct(project, candidate.act!));
      expect(after.money.firmMinor, candidate.gear.id).toBe(candidate.firmMinor);
      expect(after.money.remainingMinor, candidate.gear.id).toBe(candidate.remainingMinor);
      expect(after.merit.onceSettledHundredths, candidate.gear.id).toBe(
        candidate.merit.onceSettledHundredths
      );
    }
  });

  it('counts the joins into the true cost', () => {
    for (const { act, trueCostMinor, gear, joins } of candidates) {
      if (!act) continue;
      if (joins.length === 0)
        expect(trueCostMinor, gear.id).toBeLessThanOrEqual(gear.priceNew!.likely * 9);
      else expect(trueCostMinor, gear.id).toBeGreaterThan(gear.priceNew!.likely);
    }
  });
});

describe.each(['body', 'lens', 'sound', 'light', 'support'] as const)(
  'the ways of taking a part of the %s pocket',
  (pocket) => {
    const taken = (way: WayOfTaking) =>
      judgeCandidates(project, catalogue, pocket, way).filter(({ act }) => act);
    const lines = (project: Project) => activePlan(project).lines;
    const keepsPromise = ({ act, firmMinor, merit }: Candidate) => {
      const changed = applyAct(project, act!);
      const after = judged(changed);
      expect(after.money.firmMinor).toBe(firmMinor);
      expect(after.merit.onceSettledHundredths).toBe(merit.onceSettledHundredths);
      return { changed, after };
    };

    it('replace: what does its job now goes, and what that alone would settle is told apart', () => {
      for (const candidate of taken({ how: 'replace' }).slice(0, 8)) {
        const { changed } = keepsPromise(candidate);
        const { replaces } = candidate;
        const gone = lines(project).find(({ id }) => id === replaces);
        if (gone) expect(lines(changed).map(({ gearId }) => gearId)).not.toContain(gone.gearId);
        const settled = candidate.settles.map(({ title }) => title);
        for (const title of candidate.settledByEmptyPlace) expect(settled).toContain(title);
        if (!gone) expect(candidate.settledByEmptyPlace).toEqual([]);
      }
    });

    it('add: all that was there stays', () => {
      for (const candidate of taken({ how: 'add' }).slice(0, 8)) {
        const { changed } = keepsPromise(candidate);
        expect(candidate.replaces).toBeUndefined();
        expect(candidate.settledByEmptyPlace).toEqual([]);
        expect(lines(changed)).toEqual(expect.arrayContaining(lines(project)));
      }
    });

    it('use in one scene: that scene names it, and the others name what they named', () => {
      const [first] = project.scenes;
      for (const candidate of taken({ how: 'use in scene', sceneId: first!.id }).slice(0, 8)) {
        const { changed } = keepsPromise(candidate);
        const lineOf = (project: Project) =>
          lines(project).find(({ gearId }) => gearId === candidate.gear.id)!.id;
        const rigs = (project: Project, here: boolean) =>
          activePlan(project).rigs.filter(({ sceneId }) => (sceneId === first!.id) === here);
        expect(JSON.stringify(rigs(changed, true))).toContain(lineOf(changed));
        expect(rigs(changed, false)).toEqual(rigs(project, false));
      }
    });
  }
);

describe('all joints at once', () => {
  it('cost what the act adds, and leave none open that the shelf can close', () => {
    const closing = closeJoints(project, catalogue, judged(project));
    expect(closing.buy.map(({ model }) => model)).toEqual(['Step-up ring 62 to 67', 'Reader SD']);
    const after = applyAct(project, closing.act!);
    expect(judged(after).money.firmMinor - judged(project).money.firmMinor).toBe(closing.costMinor);
    expect(closeJoints(after, catalogue, judged(after)).act).toBeUndefined();
  });
});

describe('merit', () => {
  const axisOf = (project: Project, sceneId: string, axis: Axis) =>
    judged(project).merit.scenes.find((scene) => scene.sceneId === sceneId)!.axes[axis]!.low;
  const withScene = (
    sceneId: string,
    change: (scene: Project['scenes'][number], project: Project) => void
  ) => {
    const copy = structuredClone(project);
    change(
      copy.scenes.find((scene) => scene.id === sceneId)!,
      copy
    );
    return copy;
  };

  it('a nearer microphone never lowers sound', () => {
    const sounds = [2, 1.5, 1, 0.8, 0.6].map((distanceM) =>
      axisOf(
        withScene('loom-lesson', (scene) => (scene.angles[0]!.distanceM = distanceM)),
        'loom-lesson',
        'sound'
      )
    );
    for (let index = 1; index < sounds.length; index++)
      expect(sounds[index]!).toBeGreaterThanOrEqual(sounds[index - 1]!);
  });

  it('more light up to need never lowers light', () => {
    const lights = [30, 60, 120, 250].map((lx) =>
      axisOf(
        withScene('loom-lesson', (scene, copy) => {
          activePlan(copy).lines = activePlan(copy).lines.filter(
            (line) => !line.gearId.includes('ray-65')
          );
          scene.lightSource = 'window';
          scene.lightDimLx = scene.lightBrightLx = lx;
        }),
        'loom-lesson',
        'light'
      )
    );
    for (let index = 1; index < lights.length; index++)
      expect(lights[index]!).toBeGreaterThanOrEqual(lights[index - 1]!);
  });

  it('more minutes up to need never lower endurance', () => {
    const lasts = [1, 2, 3].map((pieces) => {
      const copy = structuredClone(project);
      activePlan(copy).lines.push({
        ...activePlan(copy).lines[0]!,
        id: 'battery',
        gearId: 'orrowby-ember-8-battery',
        quantity: pieces
      });
      return axisOf(copy, 'loom-lesson', 'endurance');
    });
    for (let index = 1; index < lasts.length; index++)
      expect(lasts[index]!).toBeGreaterThanOrEqual(lasts[index - 1]!);
  });

  it('spares in the kit never lower ease', () => {
    const copy = structuredClone(project);
    for (const gearId of [
      'orrowby-ember-8-battery',
      'quillfeather-sd-128-v30',
      'pellamund-hearth-74',
      'nibsworth-cloth-tape-black'
    ]) {
      activePlan(copy).lines.push({ ...activePlan(copy).lines[0]!, id: gearId, gearId });
    }
    for (const { id } of project.scenes)
      expect(axisOf(copy, id, 'ease')).toBe(axisOf(project, id, 'ease'));
  });

  it('a kit with a stop never outranks the same kit with it mended', () => {
    const mended = structuredClone(project);
    activePlan(mended).lines.push({
      ...activePlan(mended).lines[0]!,
      id: 'battery',
      gearId: 'orrowby-ember-8-battery'
    });
    expect(compareKits(judged(mended).merit, judged(project).merit)).toBeGreaterThan(0);
  });

  it('an unknown never beats its own low end', () => {
    const scene = (shelf = catalogue) =>
      judgePlan(project, activePlan(project), shelf).merit.scenes[1]!;
    const silent = structuredClone(catalogue.byId.get('dunmarrow-plover')!);
    if (silent.kind === 'microphone') delete silent.selfNoiseDbA;
    const unsaid = scene({ ...catalogue, byId: new Map([...catalogue.byId, [silent.id, silent]]) });
    expect(unsaid.low).toBeLessThanOrEqual(scene().low);
    expect(unsaid.high).toBeGreaterThanOrEqual(scene().low);
  });
});
