import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue, shelfOf } from '../../catalogue/load-catalogue';
import { absent } from '../figures/record';
import { figureIndex } from '../figures/table';
import { judgePlan } from '../judge/judge-plan';
import { activePlan } from '../model/active-plan';
import { newLine } from '../model/new-line';
import type { PlanLine } from '../model/plan';
import type { CameraPlace, Scene, SceneStyle } from '../model/scene';
import { startScene } from '../model/scene-starts';
import { cameraPlaces, sceneStyles } from '../model/word-lists';
import { supportsByPlace } from '../rigs/places';
import { axes, axisCurves } from './axis-curves';
import { wantsOfAxis } from './axis-scores';

/** One of each form of each kind: whatever a scene asks for is there. */
const oneOfEach = catalogue.items.filter(
  (gear, index, all) =>
    all.findIndex((other) => other.kind === gear.kind && formOf(other) === formOf(gear)) === index
);
function formOf(gear: object): unknown {
  return 'form' in gear ? gear.form : undefined;
}

const live: Readonly<Record<string, Partial<Scene>>> = {
  recorded: { live: false },
  live: { live: true },
  'live and recorded': { live: true, liveIsRecorded: true }
};

/** Curves that count in a scene and that a kit with everything in it cannot meet. */
function unmet(style: SceneStyle, how: Partial<Scene>, cameraPlace: CameraPlace): string[] {
  const project = demoProject();
  const plan = activePlan(project);
  plan.rigs = [];
  plan.lines = [];
  for (const gear of oneOfEach) {
    const line: PlanLine = { ...newLine(plan, gear, 3), state: 'owned' };
    plan.lines.push(line);
  }
  // With a socket, so that every lamp burns.
  const scene: Scene = { ...startScene(style, [], 100), ...how, daysWithoutSocket: 0 };
  scene.angles[0]!.cameraPlace = cameraPlace;
  project.scenes = [scene];
  const { rig, record } = judgePlan(project, plan, shelfOf(project)).angles[0]!;
  return axes.flatMap((axis) => {
    const counts = wantsOfAxis(axis, rig);
    return axisCurves[axis].flatMap(({ figure }, index) =>
      counts[index] === true && record.states[figureIndex[figure]] === absent ? [figure] : []
    );
  });
}

describe('what counts in a scene can be had in it', () => {
  const places = cameraPlaces.filter((place) => place === 'in the air' || supportsByPlace[place]);
  for (const style of sceneStyles)
    it(`${style}, recorded or only live, from every place`, () => {
      const found = Object.entries(live).flatMap(([name, how]) =>
        places.flatMap((place) =>
          unmet(style, how, place).map((figure) => `${name}, ${place}: ${figure}`)
        )
      );
      expect(found).toEqual([]);
    });
});
