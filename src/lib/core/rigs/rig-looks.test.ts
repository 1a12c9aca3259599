import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demo-project';
import { catalogue, shelfOf } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import type { Act } from '../acts/act';
import { newLine, swapFor } from '../findings/part-candidates';
import type { Project } from '../model/project';
import { activePlan } from '../model/active-plan';
import { connectionsOf } from './connections';
import { makeKit } from './kit';
import { placeRig } from './place-rig';
import { bagChanges, rigChanges, sameBrief, touch, watchRig } from './rig-looks';

const demo = demoProject();

function rigOf(project: Project, scene = 1) {
  const plan = activePlan(project);
  const kit = makeKit(plan, shelfOf(project));
  return placeRig(project, plan, kit, project.scenes[scene]!, project.scenes[scene]!.angles[0]!);
}

/** What differs in a rig after an act, and whether something that looks so would hear of it. */
function hears(act: Act, look: (rig: ReturnType<typeof rigOf>) => unknown): boolean {
  const before = rigOf(demo);
  const watched = watchRig(before);
  look(watched.rig);
  const project = applyAct(demo, act);
  const after = rigOf(project);
  return touch(
    watched.looks,
    rigChanges(before, after, bagChanges(before.kit, after.kit), sameBrief(demo, project))
  );
}

const micLine = rigOf(demo).mic!.line.id;
const otherMic = catalogue.ofKind('microphone').find(({ id }) => id !== rigOf(demo).mic!.gear.id)!;
const swapMic = swapFor(micLine)(newLine(activePlan(demo), otherMic));
const addCable: Act = {
  type: 'add line',
  line: newLine(activePlan(demo), catalogue.ofKind('cable')[0]!)
};

describe('what looked at something', () => {
  it('hears when it changes, and not when something else does', () => {
    expect(hears(swapMic, ({ mic }) => mic)).toBe(true);
    expect(hears(swapMic, ({ kit }) => kit.of('microphone'))).toBe(true);
    expect(hears(swapMic, ({ body, lens, kit }) => [body, lens, kit.of('card')])).toBe(false);
    expect(hears(addCable, ({ kit }) => kit.of('cable'))).toBe(true);
    expect(hears(addCable, ({ mic, kit }) => [mic, kit.of('battery')])).toBe(false);
  });

  it('hears of every corner of a rig by itself', () => {
    const before = rigOf(demo);
    const keptOrKit = ['kit', 'kept'];
    const corners = (Object.keys(before) as (keyof typeof before)[]).filter(
      (corner) => !keptOrKit.includes(corner)
    );
    expect(corners).toHaveLength(23);
    for (const corner of corners) {
      const watched = watchRig(before);
      void watched.rig[corner];
      const other =
        corner === 'bodiesAtOnce' ? [] : { line: {}, gear: {}, part: { line: {}, gear: {} } };
      const differs = rigChanges(
        before,
        { ...before, [corner]: other } as typeof before,
        { corners: 0, kinds: 0 },
        corner !== 'project'
      );
      expect(touch(watched.looks, differs), corner).toBe(true);
    }
  });

  it('in the whole bag hears of every part of it', () => {
    for (const act of [swapMic, addCable])
      expect(hears(act, ({ kit }) => kit.parts.length)).toBe(true);
    const [first, second] = activePlan(demo).lines;
    const moved: Act = { type: 'move line', lineId: second!.id, before: first!.id };
    expect(hears(moved, ({ kit }) => kit.parts[0])).toBe(true);
  });

  it('by a line’s name hears when its kind changes, or when there was none of that name', () => {
    expect(hears(swapMic, ({ kit }) => kit.byLine(micLine))).toBe(true);
    expect(hears(addCable, ({ kit }) => kit.byLine(micLine))).toBe(false);
    expect(hears(addCable, ({ kit }) => kit.byLine('no such line'))).toBe(true);
    expect(hears(addCable, ({ kit }) => kit.byLine(undefined))).toBe(false);
  });

  it('through what a rig finds once and keeps hears of what that looks at', () => {
    const kept = rigOf(demo);
    connectionsOf(kept);
    const watched = watchRig(kept);
    connectionsOf(watched.rig);
    expect(watched.looks.kinds).not.toBe(0);
    expect(kept.kept.connections).toBeDefined();
  });

  it('in the brief hears of the brief, and not of plans, parts or ignored', () => {
    const imperial: Act = { type: 'set project', patch: { units: 'imperial' } };
    expect(hears(imperial, ({ project }) => project.units)).toBe(true);
    expect(hears(imperial, ({ mic }) => mic)).toBe(false);
    expect(hears(addCable, ({ project }) => project.units)).toBe(false);
    const letBe: Act = { type: 'ignore', key: 'A1:x:a:', reason: 'fine' };
    expect(hears(letBe, ({ project }) => project.units)).toBe(false);
  });

  it('in a setting hears of that setting', () => {
    const scene = demo.scenes[1]!;
    const stopDown: Act = {
      type: 'set rig',
      sceneId: scene.id,
      angleId: scene.angles[0]!.id,
      patch: { apertureN: 8 }
    };
    expect(hears(stopDown, ({ apertureN }) => apertureN)).toBe(true);
    expect(hears(stopDown, ({ focalLengthMm }) => focalLengthMm)).toBe(false);
  });

  it('sees the same as without being watched', () => {
    const rig = rigOf(demo);
    const watched = watchRig(rig).rig;
    for (const key of [
      'scene',
      'body',
      'lens',
      'mic',
      'keyLamp',
      'apertureN',
      'hasSocket'
    ] as const)
      expect(watched[key], key).toBe(rig[key]);
    expect(watched.kit.of('card')).toBe(rig.kit.of('card'));
    expect(watched.kit.byLine(micLine)).toBe(rig.kit.byLine(micLine));
  });
});

describe('two bags', () => {
  it('of the same lines and parts differ in nothing, though they were packed anew', () => {
    const { kit } = rigOf(demo);
    const again = rigOf(demo).kit;
    expect(again).not.toBe(kit);
    expect(bagChanges(kit, again)).toEqual({ corners: 0, kinds: 0 });
  });
});
