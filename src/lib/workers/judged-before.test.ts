import { describe, expect, it } from 'vitest';
import { demos, demoOf } from '../catalogue/demos';
import { catalogue, shelfOf } from '../catalogue/load-catalogue';
import type { Act } from '../core/acts/act';
import { applyAct } from '../core/acts/apply-act';
import { chooseRigs } from '../core/judge/best-rig/place-best-rigs';
import { evaluationOf } from '../core/judge/evaluation';
import { judgePlan } from '../core/judge/judge-plan';
import { activePlan } from '../core/model/active-plan';
import { newLine } from '../core/model/new-line';
import type { Project } from '../core/model/project';
import { JudgedBefore } from './judged-before';

/** As it comes over to a worker: a copy, but for the parts it holds. */
const sent = ({ ownGear, ...project }: Project): Project => ({
  ...structuredClone(project),
  ownGear
});
const told = (project: Project, judgement: ReturnType<typeof judgePlan>) =>
  evaluationOf(project, activePlan(project), shelfOf(project), judgement);
const fromNothing = (project: Project) =>
  told(project, judgePlan(project, activePlan(project), shelfOf(project)));

/** What a person may do one after the other. */
function* actsOn(project: Project): Generator<Act, void, void> {
  const { lines } = activePlan(project);
  const [scene] = project.scenes;
  const mic = catalogue.ofKind('microphone')[3]!;
  const lamp = catalogue.ofKind('lamp')[2]!;
  yield { type: 'add line', line: newLine(activePlan(project), mic) };
  yield { type: 'add line', line: { ...newLine(activePlan(project), lamp), id: 'a-lamp' } };
  yield { type: 'remove line', lineId: lines[0]!.id };
  yield { type: 'change scene', sceneId: scene!.id, patch: { hasDeskFeed: true } };
  yield { type: 'step quantity', lineId: lines[1]!.id, by: 1 };
  yield { type: 'set project', patch: { school: 'lenses first' } };
}

describe('a project judged after the one before', () => {
  it.each(demos.map(({ id }) => id))(
    'comes out as from nothing, act by act, and is filmed with the same parts: %s',
    async (id) => {
      let project = await demoOf(id);
      const before = new JudgedBefore();
      const judgedOf = () => {
        const now = before.asBefore(sent(project));
        const chosen = before.chosenRigs(now);
        return { now, chosen, judgement: before.judged(now).judgement };
      };
      judgedOf();
      for (const act of actsOn(project)) {
        project = applyAct(project, act);
        const { now, chosen, judgement } = judgedOf();
        expect(now).toEqual(project);
        expect(told(now, judgement)).toEqual(fromNothing(sent(project)));
        expect(chosen).toEqual(chooseRigs(sent(project), activePlan(project), shelfOf(project)));
      }
    }
  );

  it('is judged once, however often it comes', async () => {
    const project = await demoOf('saltmarsh-loom');
    const before = new JudgedBefore();
    const first = before.judged(before.asBefore(sent(project)));
    expect(before.judged(before.asBefore(sent(project)))).toBe(first);
  });

  it('stands for itself where another project comes', async () => {
    const before = new JudgedBefore();
    for (const { id } of [...demos, ...demos]) {
      const project = await demoOf(id);
      const now = before.asBefore(sent(project));
      expect(told(now, before.judged(now).judgement)).toEqual(fromNothing(project));
    }
  });
});
