import { demoProject } from '$lib/catalogue/demos/saltmarsh-loom';
import { catalogue } from '$lib/catalogue/load-catalogue';
import { activePlan } from '$lib/core/model/active-plan';
import type { Project } from '$lib/core/model/project';
import { makeSatchel, writeSatchel } from '$lib/core/formats/satchel-file';

const SCENES = 12;
const LINES = 40;

/** Twelve scenes of two angles and forty lines, the largest a person is thought to make. */
export function bigProject(): Project {
  const project = demoProject();
  project.id = 'big-project';
  project.name = 'Big project';
  project.limitMinor = 2_000_000;
  project.scenes = Array.from({ length: SCENES }, (_, index) => {
    const scene = structuredClone(project.scenes[index % project.scenes.length]!);
    scene.id = `scene-${index}`;
    scene.name = `${scene.name} ${index + 1}`;
    const first = scene.angles[0]!;
    scene.angles = ['a', 'b'].map((name) => ({ ...first, id: `angle-${index}-${name}` }));
    return scene;
  });
  const plan = activePlan(project);
  plan.rigs = [];
  const packed = new Set(plan.lines.map(({ gearId }) => gearId));
  const like = plan.lines[0]!;
  // Spread over the shelf, so that every kind is there.
  const step = Math.floor(catalogue.items.length / LINES);
  for (let index = 0; plan.lines.length < LINES; index += step) {
    const gear = catalogue.items[index % catalogue.items.length]!;
    if (packed.has(gear.id)) continue;
    packed.add(gear.id);
    plan.lines.push({ ...like, id: `more-${index}`, gearId: gear.id, basis: 'new' });
  }
  return project;
}

export const bigSatchelText = (): string => writeSatchel(makeSatchel(bigProject(), catalogue));
