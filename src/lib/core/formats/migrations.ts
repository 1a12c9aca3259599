import type { Fault } from './faults';
import { renamed } from './names-of-version-1';
import { SATCHEL_VERSION } from './satchel-version';

type Json = Record<string, unknown>;
type Step = (file: Json) => Json;

const isObject = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const list = (value: unknown): Json[] => (Array.isArray(value) ? value.filter(isObject) : []);

/** Fields that version 0 kept on the scene and version 1 keeps on its angles. */
const movedToAngle = [
  'cameraPlace',
  'distanceM',
  'backgroundM',
  'framing',
  'framedSizeM',
  'people'
] as const;

/**
 * From version to version, one step each; a file climbs from its own to ours. What a step does not
 * know it leaves where it is.
 */
const ladder: Readonly<Record<number, Step>> = {
  /** Version 0: one camera a scene, told on the scene itself; one plan, with rigs by scene alone. */
  0: (file) => {
    const project = isObject(file.project) ? file.project : {};
    const { plan, ...rest } = project;
    const scenes = list(project.scenes).map((scene) => {
      const kept = Object.fromEntries(
        Object.entries(scene).filter(([key]) => !(movedToAngle as readonly string[]).includes(key))
      );
      const angle = Object.fromEntries(
        movedToAngle.filter((key) => scene[key] !== undefined).map((key) => [key, scene[key]])
      );
      return { ...kept, angles: [{ id: 'a', name: 'main', people: 1, ...angle }] };
    });
    const plans = isObject(plan)
      ? [
          {
            ...plan,
            rigs: list(plan.rigs).map((rig) => ({ angleId: 'a', ...rig })),
            lines: list(plan.lines).map((line) => ({ step: 'now', locked: false, ...line }))
          }
        ]
      : project.plans;
    return {
      ...file,
      version: 1,
      project: {
        ...rest,
        scenes,
        plans,
        activePlanId: isObject(plan) ? plan.id : project.activePlanId
      }
    };
  },
  /** Version 1 had homelier names for fields, kinds and forms than the trade. */
  1: (file) => ({ ...(renamed(file) as Json), version: 2 })
};

/** Brings a file up to the version we write, in memory; the file itself is not touched. */
export function bringForward(
  file: Json,
  version: number
): { ok: true; value: Json } | { ok: false; faults: Fault[] } {
  let value = file;
  for (let index = version; index < SATCHEL_VERSION; index++) {
    const step = ladder[index];
    if (!step)
      return {
        ok: false,
        faults: [{ field: 'version', says: `is ${version}, from which no way leads here any more` }]
      };
    value = step(value);
  }
  return { ok: true, value };
}
