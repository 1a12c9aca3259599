import { demoProject } from '../../../catalogue/demos/saltmarsh-loom';
import { catalogue, shelfOf } from '../../../catalogue/load-catalogue';
import type { GearItem } from '../../model/gear';
import type { PlanLine } from '../../model/plan';
import type { Project } from '../../model/project';
import { activePlan } from '../../model/active-plan';
import { startScene } from '../../model/scene-starts';
import { judgePlan } from '../judge-plan';

export const line = (gearId: string, more: Partial<PlanLine> = {}): PlanLine => ({
  id: gearId,
  gearId,
  quantity: 1,
  basis: 'new',
  state: 'wanted',
  step: 'now',
  locked: false,
  ...more
});

/** A seated talk with a kit nothing presses on: each test spoils one thing of it. */
export function calmKit(): Project {
  const scene = {
    ...startScene('seated', [], 100),
    id: 'talk',
    name: 'Talk',
    wantsBlurPercent: 0,
    wantsFaceSharp: false,
    noiseDbA: 36,
    longestTakeMin: 10
  };
  return {
    ...demoProject(),
    pocketLimitsMinor: {},
    limitMinor: 300_000,
    reserveMinor: 0,
    scenes: [scene],
    plans: [
      {
        id: 'plan-b',
        name: 'calm',
        rigs: [],
        lines: [
          line('dunmarrow-burr'),
          line('nibsworth-cable-trrs-to-trs'),
          line('quillfeather-ray-65-two-colour-55-cm-dome'),
          line('brackenholt-stand-2'),
          line('orrowby-linnet-ii'),
          line('pellamund-24-f-1-5'),
          line('nibsworth-hob-mini-tripod-wide'),
          line('quillfeather-sd-128-v30'),
          line('quillfeather-ember-16-battery-twin'),
          line('quillfeather-charger-ember-16-two-bays'),
          line('withrick-pocket-scribe'),
          line('pellamund-cellar-1-tb'),
          line('nibsworth-reader-sd')
        ]
      }
    ]
  };
}

export function judged(project: Project) {
  return judgePlan(project, activePlan(project), shelfOf(project));
}
export const codes = (project: Project) =>
  new Set(judged(project).findings.map((finding) => finding.code));

export function without(project: Project, gearId: string): void {
  const plan = activePlan(project);
  plan.lines = plan.lines.filter((line) => line.gearId !== gearId);
}
export function swap(project: Project, from: string, to: string): void {
  const plan = activePlan(project);
  plan.lines = plan.lines.map((old) =>
    old.gearId === from ? line(to, { quantity: old.quantity }) : old
  );
}
export function setRig(project: Project, rig: object): void {
  activePlan(project).rigs = [{ sceneId: 'talk', angleId: 'a', ...rig }];
}
export function ownCopy<G extends GearItem>(
  project: Project,
  id: string,
  change: (gear: G) => void
): void {
  const copy = structuredClone(catalogue.byId.get(id)) as G;
  change(copy);
  project.ownGear.push(copy);
}

/** The calm talk taken outside: walking, the camera in the hand. */
export function walkOutside(p: Project): void {
  const scene = p.scenes[0]!;
  delete scene.room;
  Object.assign(scene, {
    style: 'walk',
    lightSource: 'existing light',
    lightDimLx: 900,
    lightBrightLx: 900,
    longestTakeMin: 1,
    voice: 'raised'
  });
  Object.assign(scene.angles[0]!, { cameraPlace: 'hand', distanceM: 0.8 });
}
