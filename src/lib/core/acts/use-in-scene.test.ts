import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue } from '../../catalogue/load-catalogue';
import { activePlan } from '../model/active-plan';
import { rigLines } from '../model/rig-lines';
import { applyAct } from './apply-act';
import { chooseBestInScene, doWithoutInScene, useInScene, usableInScene } from './use-in-scene';
import { judgePlan } from '../judge/judge-plan';

const demo = demoProject();
const scene = demo.scenes[1]!;
const lineOf = (kind: string) => {
  const line = activePlan(demo).lines.find(
    ({ gearId }) => catalogue.byId.get(gearId)?.kind === kind
  )!;
  return { line, gear: catalogue.byId.get(line.gearId)! };
};
const rigAfter = (kind: string) => {
  const { line, gear } = lineOf(kind);
  const project = applyAct(demo, useInScene(scene, line, gear)!);
  return activePlan(project).rigs.find((rig) => rig.sceneId === scene.id)!;
};

describe('a part used in a scene', () => {
  it.each(['body', 'lens', 'microphone', 'support'])('is taken for its first angle: %s', (kind) => {
    expect(usableInScene.has(kind)).toBe(true);
    expect(Object.values(rigAfter(kind))).toContain(lineOf(kind).line.id);
  });

  it('is done without, or chosen by what is best again', () => {
    const without = applyAct(demo, doWithoutInScene(scene, 'support')!);
    const rigOf = (project: typeof demo) =>
      judgePlan(project, activePlan(project), catalogue).angles.find(
        (angle) => angle.scene.id === scene.id
      )!.rig;
    expect(rigOf(demo).support).toBeDefined();
    expect(rigOf(without).support).toBeUndefined();
    expect(rigOf(applyAct(without, chooseBestInScene(scene, 'support')!)).support).toBeDefined();
    expect(doWithoutInScene(scene, 'body')).toBeUndefined();
  });

  it('places anew what hung on the part before it', () => {
    expect(rigAfter('lens').focalLengthMm).toBeUndefined();
    expect(rigAfter('microphone').micPlace).toBeUndefined();
  });

  it('is needed now again when it had been moved to later, as one act', () => {
    const { line, gear } = lineOf('support');
    const later = { ...line, step: 'later' as const };
    const put = applyAct(demo, { type: 'change line', lineId: line.id, patch: { step: 'later' } });
    const act = useInScene(scene, later, gear)!;
    expect(act.type).toBe('batch');
    const project = applyAct(put, act);
    expect(activePlan(project).lines.find(({ id }) => id === line.id)!.step).toBe('now');
  });

  it('is forgotten by the scene once its line has left the plan, whatever it did there', () => {
    const { line } = lineOf('microphone');
    const { id: sceneId, angles } = scene;
    const named = Object.fromEntries(rigLines.map((field) => [field, line.id]));
    const using = applyAct(demo, {
      type: 'set rig',
      sceneId,
      angleId: angles[0]!.id,
      patch: named
    });
    const rigOf = (project: typeof demo) =>
      activePlan(project).rigs.find((rig) => rig.sceneId === sceneId);
    expect(rigOf(using)).toMatchObject(named);
    const without = applyAct(using, { type: 'remove line', lineId: line.id });
    for (const field of rigLines) expect(rigOf(without)?.[field], field).toBeUndefined();
    expect(rigOf(using)).toMatchObject(named);
  });

  it('is not a thing every part can be', () => {
    const card = catalogue.ofKind('card')[0]!;
    expect(usableInScene.has('card')).toBe(false);
    expect(useInScene(scene, lineOf('body').line, card)).toBeUndefined();
  });
});
