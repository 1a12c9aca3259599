import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../catalogue/demos/saltmarsh-loom';
import { catalogue, shelfOf } from '../../../catalogue/load-catalogue';
import { applyAct } from '../../acts/apply-act';
import type { Act } from '../../acts/act';
import { swapFor } from '../../findings/part-candidates';
import { newLine } from '../../model/new-line';
import type { Project } from '../../model/project';
import { activePlan } from '../../model/active-plan';
import { connectionsOf } from '../../rigs/connections';
import { makeKit } from '../../rigs/kit';
import { placeRig } from '../../rigs/place-rig';
import { kitDifferences, overlaps, rigDifferences, sameBrief, trackRig } from './dependencies';

const demo = demoProject();

function rigOf(project: Project, scene = 1) {
  const plan = activePlan(project);
  const kit = makeKit(plan, shelfOf(project));
  return placeRig(project, plan, kit, project.scenes[scene]!, project.scenes[scene]!.angles[0]!);
}

/** What differs in a rig after an act, and whether a computation that reads so depends on it. */
function dependsOn(act: Act, read: (rig: ReturnType<typeof rigOf>) => unknown): boolean {
  const before = rigOf(demo);
  const tracked = trackRig(before);
  read(tracked.rig);
  const project = applyAct(demo, act);
  const after = rigOf(project);
  return overlaps(
    tracked.read,
    rigDifferences(before, after, kitDifferences(before.kit, after.kit), sameBrief(demo, project))
  );
}

const micLine = rigOf(demo).mic!.line.id;
const otherMic = catalogue.ofKind('microphone').find(({ id }) => id !== rigOf(demo).mic!.gear.id)!;
const swapMic = swapFor(micLine)(newLine(activePlan(demo), otherMic));
const addCable: Act = {
  type: 'add line',
  line: newLine(activePlan(demo), catalogue.ofKind('cable')[0]!)
};

describe('what a computation read', () => {
  it('is affected when that changes, and not when something else does', () => {
    expect(dependsOn(swapMic, ({ mic }) => mic)).toBe(true);
    expect(dependsOn(swapMic, ({ kit }) => kit.of('microphone'))).toBe(true);
    expect(dependsOn(swapMic, ({ body, lens, kit }) => [body, lens, kit.of('card')])).toBe(false);
    expect(dependsOn(addCable, ({ kit }) => kit.of('cable'))).toBe(true);
    expect(dependsOn(addCable, ({ mic, kit }) => [mic, kit.of('battery')])).toBe(false);
  });

  it('tells every field of a rig apart', () => {
    const before = rigOf(demo);
    const notFields = ['kit', 'memory'];
    const fields = (Object.keys(before) as (keyof typeof before)[]).filter(
      (field) => !notFields.includes(field)
    );
    expect(fields).toHaveLength(25);
    for (const field of fields) {
      const tracked = trackRig(before);
      void tracked.rig[field];
      const part = { line: {}, gear: {} };
      const other =
        field === 'bodiesAtOnce'
          ? []
          : field === 'furtherLamps'
            ? [{ part, role: 'back', distanceM: 1, angleDeg: 0 }]
            : { ...part, part };
      const differs = rigDifferences(
        before,
        { ...before, [field]: other } as typeof before,
        { fields: 0, kinds: 0 },
        field !== 'project'
      );
      expect(overlaps(tracked.read, differs), field).toBe(true);
    }
  });

  it('of the whole kit is affected by every part of it', () => {
    for (const act of [swapMic, addCable])
      expect(dependsOn(act, ({ kit }) => kit.parts.length)).toBe(true);
    const [first, second] = activePlan(demo).lines;
    const moved: Act = { type: 'move line', lineId: second!.id, before: first!.id };
    expect(dependsOn(moved, ({ kit }) => kit.parts[0])).toBe(true);
  });

  it('by a line’s id is affected when its kind changes, or when there was no such line', () => {
    expect(dependsOn(swapMic, ({ kit }) => kit.byLine(micLine))).toBe(true);
    expect(dependsOn(addCable, ({ kit }) => kit.byLine(micLine))).toBe(false);
    expect(dependsOn(addCable, ({ kit }) => kit.byLine('no such line'))).toBe(true);
    expect(dependsOn(addCable, ({ kit }) => kit.byLine(undefined))).toBe(false);
  });

  it('through a memo is affected by what the memo read', () => {
    const rig = rigOf(demo);
    const found = connectionsOf(rig);
    const tracked = trackRig(rig);
    connectionsOf(tracked.rig);
    expect(tracked.read.kinds).not.toBe(0);
    expect(connectionsOf(rig)).toBe(found);
  });

  it('of the brief is affected by the brief, and not by plans, parts or ignored findings', () => {
    const imperial: Act = { type: 'set project', patch: { units: 'imperial' } };
    expect(dependsOn(imperial, ({ project }) => project.units)).toBe(true);
    expect(dependsOn(imperial, ({ mic }) => mic)).toBe(false);
    expect(dependsOn(addCable, ({ project }) => project.units)).toBe(false);
    const ignore: Act = { type: 'ignore', key: 'A1:x:a:', reason: 'fine' };
    expect(dependsOn(ignore, ({ project }) => project.units)).toBe(false);
  });

  it('of a setting is affected by that setting', () => {
    const scene = demo.scenes[1]!;
    const stopDown: Act = {
      type: 'set rig',
      sceneId: scene.id,
      angleId: scene.angles[0]!.id,
      patch: { apertureN: 8 }
    };
    expect(dependsOn(stopDown, ({ overrides }) => overrides?.apertureN)).toBe(true);
    expect(dependsOn(stopDown, ({ focalLengthMm }) => focalLengthMm)).toBe(false);
  });

  it('is the same as read untracked', () => {
    const rig = rigOf(demo);
    const tracked = trackRig(rig).rig;
    for (const key of [
      'scene',
      'body',
      'lens',
      'mic',
      'keyLamp',
      'overrides',
      'hasSocket'
    ] as const)
      expect(tracked[key], key).toBe(rig[key]);
    expect(tracked.kit.of('card')).toBe(rig.kit.of('card'));
    expect(tracked.kit.byLine(micLine)).toBe(rig.kit.byLine(micLine));
  });
});

describe('two kits', () => {
  it('of the same lines and parts do not differ, though they were made anew', () => {
    const { kit } = rigOf(demo);
    const again = rigOf(demo).kit;
    expect(again).not.toBe(kit);
    expect(kitDifferences(kit, again)).toEqual({ fields: 0, kinds: 0 });
  });
});
