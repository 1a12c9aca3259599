import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue } from '../../catalogue/load-catalogue';
import type { Project } from '../model/project';
import { activePlan } from '../model/active-plan';
import type { Act } from './act';
import { actWords } from './act-words';
import { ActError, applyAct } from './apply-act';
import { applyPatches } from './drafts';
import { applyRecorded } from './record-act';

const gearIds = catalogue.items.slice(0, 40).map((gear) => gear.id);
const anyAct: fc.Arbitrary<Act> = fc.oneof(
  fc
    .record({ id: fc.integer({ min: 100, max: 130 }), gearId: fc.constantFrom(...gearIds) })
    .map(({ id, gearId }): Act => ({
      type: 'add line',
      line: {
        id: `line-${id}`,
        gearId,
        quantity: 1,
        basis: 'new',
        state: 'wanted',
        step: 'now',
        locked: false
      }
    })),
  fc
    .integer({ min: 1, max: 15 })
    .map((index): Act => ({ type: 'remove line', lineId: `line-${index}` })),
  fc
    .record({ number: fc.integer({ min: 1, max: 15 }), quantity: fc.integer({ min: 1, max: 9 }) })
    .map(({ number, quantity }): Act => ({
      type: 'change line',
      lineId: `line-${number}`,
      patch: { quantity }
    })),
  fc.nat(500_000).map((limitMinor): Act => ({ type: 'set project', patch: { limitMinor } })),
  fc.double({ min: 0.2, max: 5, noNaN: true }).map((distanceM): Act => ({
    type: 'change angle',
    sceneId: 'loom-lesson',
    angleId: 'a',
    patch: { distanceM }
  })),
  fc.constant<Act>({
    type: 'set rig',
    sceneId: 'marsh-path',
    angleId: 'a',
    patch: { apertureN: 4 }
  }),
  fc.constant<Act>({ type: 'remove scene', sceneId: 'shuttle-hands' })
);

describe('acts', () => {
  it('leave the project they were given as it was', () => {
    const project = demoProject();
    const copy = structuredClone(project);
    applyAct(project, { type: 'remove line', lineId: 'line-1' });
    expect(project).toEqual(copy);
  });

  it('do the same whether they are only tried or recorded, one by one and together', () => {
    fc.assert(
      fc.property(fc.array(anyAct, { minLength: 1, maxLength: 4 }), (acts) => {
        const project = demoProject();
        const copy = structuredClone(project);
        const outcome = (run: () => Project) => {
          try {
            return run();
          } catch (error) {
            if (error instanceof ActError) return error.message;
            throw error;
          }
        };
        const act: Act = acts.length === 1 ? acts[0]! : { type: 'batch', acts };
        expect(outcome(() => applyAct(project, act))).toEqual(
          outcome(() => applyRecorded(project, act).project)
        );
        expect(project).toEqual(copy);
      })
    );
  });

  it('share what they do not touch: the other lines, the scenes, the other plans', () => {
    const project = demoProject();
    const [first, second] = activePlan(project).lines;
    const after = applyAct(project, {
      type: 'change line',
      lineId: first!.id,
      patch: { quantity: 3 }
    });
    expect(activePlan(after).lines[0]).not.toBe(first);
    expect(activePlan(after).lines[1]).toBe(second);
    expect(after.scenes).toBe(project.scenes);
    expect(after.ownGear).toBe(project.ownGear);
  });

  it('can all be undone back to the first and redone to the last', () => {
    fc.assert(
      fc.property(fc.array(anyAct, { maxLength: 12 }), (acts) => {
        let project: Project = demoProject();
        const states = [project];
        const changes = [];
        for (const act of acts) {
          try {
            const done = applyRecorded(project, act);
            project = done.project;
            states.push(project);
            changes.push(done.change);
          } catch (error) {
            expect(error).toBeInstanceOf(ActError);
          }
        }
        for (let index = changes.length - 1; index >= 0; index--) {
          project = applyPatches(project, changes[index]!.inverse);
          expect(project).toEqual(states[index]);
        }
        for (let index = 0; index < changes.length; index++) {
          project = applyPatches(project, changes[index]!.patches);
          expect(project).toEqual(states[index + 1]);
        }
      }),
      { numRuns: 60 }
    );
  });

  it('make a rig forget a part that has left', () => {
    const project = applyAct(demoProject(), { type: 'remove line', lineId: 'line-4' });
    expect(activePlan(project).rigs[0]!.lensLineId).toBeUndefined();
  });

  it('say in words what they do, and refuse what is not there', () => {
    const project = demoProject();
    expect(
      actWords(
        { type: 'change line', lineId: 'line-2', patch: { step: 'later' } },
        project,
        catalogue
      )
    ).toBe('move Quillfeather Ray 65 + 55 cm dome to later');
    expect(() => applyAct(project, { type: 'remove line', lineId: 'nowhere' })).toThrow(ActError);
  });
});
