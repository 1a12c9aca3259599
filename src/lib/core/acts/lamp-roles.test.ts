import { describe, expect, it } from 'vitest';
import { catalogue } from '../../catalogue/load-catalogue';
import { settingsOf } from '../judge/settings';
import { calmKit, judged, line } from '../judge/tests/calm-kit';
import { activePlan } from '../model/active-plan';
import type { Project } from '../model/project';
import { startScene } from '../model/scene-starts';
import { sceneStyles } from '../model/word-lists';
import { lampsHeldBesideKey } from '../rigs/lamp-stand';
import { applyAct } from './apply-act';
import { changeLampRole, lampRoles, lampsInScene, rolesOpenTo } from './place-lamp';

const rigOf = (project: Project) => judged(project).angles[0]!.rig;
const lampOf = (project: Project, id: string) =>
  lampsInScene(rigOf(project)).find(({ part }) => part.gear.id === id)!;

/** A calm kit with one more lamp, and something of each kind to hold it, in a scene of a style. */
function filming(style: (typeof sceneStyles)[number], lampId: string): Project {
  const project = calmKit();
  project.scenes = [{ ...startScene(style, [], 100), id: 'talk', name: 'Scene' }];
  const { lines } = activePlan(project);
  if (!lines.some(({ gearId }) => gearId === lampId)) lines.push(line(lampId));
  lines.push(line('brackenholt-stand-3-steel'), line('cobberly-bench-overhead-arm'));
  return project;
}

describe.each(sceneStyles)('every lamp in every role: %s', (style) => {
  it('has the role it is given, is held once or says so, and gives it up again', () => {
    for (const { id } of catalogue.ofKind('lamp')) {
      const project = filming(style, id);
      for (const role of rolesOpenTo(rigOf(project), lampOf(project, id))) {
        const where = `${id} as ${role}`;
        const given = applyAct(project, changeLampRole(rigOf(project), lampOf(project, id), role));
        const judgement = judged(given);
        const { rig } = judgement.angles[0]!;
        expect(lampOf(given, id).role, where).toBe(role);
        // No piece of a support holds two lamps.
        const holders = lampsHeldBesideKey(rig).flatMap(({ holder }) => holder?.line.id ?? []);
        expect(new Set(holders).size, where).toBe(holders.length);
        for (const finding of judgement.findings)
          for (const words of [finding.title(), finding.why()])
            expect(words, where).not.toMatch(/undefined|NaN|null|Infinity|\[object/);
        for (const angle of judgement.angles)
          for (const { set, why } of settingsOf(angle))
            expect(`${set} ${why}`, where).not.toMatch(/undefined|NaN|null|Infinity/);
        const back = applyAct(given, changeLampRole(rig, lampOf(given, id), undefined));
        expect(lampOf(back, id)?.role, where).not.toBe(role);
      }
    }
  });
});

it('names every role there is', () => {
  expect(lampRoles).toEqual(['key', 'fill', 'back', 'background', 'practical', 'overhead']);
});
