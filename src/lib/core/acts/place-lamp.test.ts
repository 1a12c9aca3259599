import { describe, expect, it } from 'vitest';
import { calmKit, judged, line } from '../judge/tests/calm-kit';
import { activePlan } from '../model/active-plan';
import type { Project } from '../model/project';
import { figureOf } from '../figures/record';
import type { FigureId } from '../figures/table';
import { energyOfDay } from '../supplies/energy-of-day';
import { filmingDays } from '../supplies/filming-days';
import { applyAct } from './apply-act';
import { changeLampRole, type LampRole, lampsInScene, moveLamp, rolesOpenTo } from './place-lamp';

const dome = 'quillfeather-ray-65-two-colour-55-cm-dome';
const tile = 'brackenholt-tile-12';
const globe = 'harkelow-paper-globe-40-bulb';

function kit(...more: string[]): Project {
  const project = calmKit();
  activePlan(project).lines.push(...more.map((id) => line(id)));
  return project;
}
const rigIn = (project: Project) => judged(project).angles[0]!.rig;
const rolesIn = (project: Project) =>
  lampsInScene(rigIn(project)).map(({ part, role }) => [part.gear.id, role]);
const lampIn = (project: Project, id: string) =>
  lampsInScene(rigIn(project)).find(({ part }) => part.gear.id === id)!;
function given(project: Project, id: string, role: LampRole | undefined): Project {
  return applyAct(project, changeLampRole(rigIn(project), lampIn(project, id), role));
}
const figure = (project: Project, id: FigureId) => figureOf(judged(project).angles[0]!.record, id);

describe('a lamp in a scene', () => {
  it('has a role, or stays in the bag, and every lamp is listed once', () => {
    const project = given(kit(tile, globe), globe, 'background');
    expect(rolesIn(project)).toContainEqual([globe, 'background']);
    expect(rolesIn(project)).toHaveLength(3);
    expect(rolesIn(given(project, globe, undefined))).not.toContainEqual([globe, 'background']);
  });

  it('given to the back is neither key nor fill any more, and the judge takes another for key', () => {
    const project = given(kit(tile), dome, 'back');
    expect(rolesIn(project)).toEqual([
      [tile, 'key'],
      [dome, 'back']
    ]);
  });

  it('changes places with the other as key and fill', () => {
    const project = given(given(kit(tile), dome, 'key'), tile, 'fill');
    const turned = given(project, tile, 'key');
    expect(rolesIn(turned)).toEqual([
      [tile, 'key'],
      [dome, 'fill']
    ]);
    expect(rolesIn(given(turned, tile, 'fill'))).toEqual([
      [dome, 'key'],
      [tile, 'fill']
    ]);
  });

  it('can be a fill only beside a key, and under the sky neither', () => {
    const alone = kit();
    expect(rolesOpenTo(rigIn(alone), lampIn(alone, dome))).not.toContain('fill');
    const outdoors = kit();
    delete outdoors.scenes[0]!.room;
    outdoors.scenes[0]!.lightSource = 'sky';
    const lamp = lampsInScene(rigIn(outdoors))[0]!;
    expect(rolesOpenTo(rigIn(outdoors), lamp)).toEqual([
      'back',
      'background',
      'practical',
      'overhead'
    ]);
  });

  it('is moved without the others losing their roles', () => {
    const project = given(kit(tile, globe), globe, 'practical');
    for (const id of [dome, globe]) {
      const moved = applyAct(
        project,
        moveLamp(rigIn(project), lampIn(project, id), { distanceM: 1.7 })
      );
      expect(lampIn(moved, id).placed!.distanceM).toBe(1.7);
      expect(rolesIn(moved)).toContainEqual([globe, 'practical']);
      expect(rolesIn(moved)).toContainEqual([dome, 'key']);
    }
  });

  it('shines on the face from overhead and from nowhere else', () => {
    const before = figure(kit(tile), 'faceDim')!;
    const key = given(kit(tile), dome, 'key');
    const alone = given(key, tile, undefined);
    const faceAlone = figure(alone, 'faceDim')!;
    const back = given(alone, tile, 'back');
    expect(figure(back, 'faceDim')).toBeCloseTo(faceAlone, 6);
    const overhead = given(alone, tile, 'overhead');
    // 620 lx at 1 m, 60° off, from a disc of 62 mm: half of it, as near as makes no difference.
    expect(figure(overhead, 'faceDim')! - faceAlone).toBeCloseTo(310, 0);
    expect(before).toBeGreaterThan(0);
  });

  it('weighs, takes its minutes and lives on the day’s batteries', () => {
    const alone = given(given(kit(tile), dome, 'key'), tile, undefined);
    const back = given(alone, tile, 'back');
    expect(figure(back, 'setUp')! - figure(alone, 'setUp')!).toBeGreaterThan(1.9);
    const takers = (project: Project) =>
      energyOfDay(filmingDays([rigIn(project)])[0]!).consumers.map(({ part }) => part.gear.id);
    expect(takers(alone)).not.toContain(tile);
    expect(takers(back)).toContain(tile);
  });

  it('parts the shoulders from the dark when it shines from behind', () => {
    const dark = given(given(kit(), dome, 'key'), dome, 'key');
    dark.scenes[0]!.darkBackground = true;
    const codes = (project: Project) => judged(project).findings.map(({ code }) => code);
    expect(codes(dark)).toContain('G8');
    const lit = kit(tile);
    lit.scenes[0]!.darkBackground = true;
    expect(codes(given(given(lit, dome, 'key'), tile, 'back'))).not.toContain('G8');
  });
});
