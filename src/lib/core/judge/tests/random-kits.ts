import { demoProject } from '../../../catalogue/demos/saltmarsh-loom';
import { catalogue } from '../../../catalogue/load-catalogue';
import type { GearItem } from '../../model/gear';
import { specSheet } from '../../model/gear/spec-sheet';
import type { Plan, PlanLine, Rig } from '../../model/plan';
import type { Project } from '../../model/project';
import type { Angle, Scene } from '../../model/scene';
import { startScene } from '../../model/scene-starts';
import * as words from '../../model/word-lists';

/** A seeded source of chances: the same number gives the same kits on every machine. */
export class Chances {
  constructor(private seed: number) {}

  /** Between 0 and 1. */
  next(): number {
    this.seed = (Math.imul(this.seed, 1_664_525) + 1_013_904_223) >>> 0;
    return this.seed / 2 ** 32;
  }

  is(probability: number): boolean {
    return this.next() < probability;
  }

  of<T>(list: readonly T[]): T {
    return list[Math.floor(this.next() * list.length)]!;
  }

  /** Anywhere in a range, its ends more often than by chance. */
  within(low: number, high: number): number {
    const where = this.next();
    return where < 0.12 ? low : where > 0.88 ? high : low + (high - low) * this.next() ** 2;
  }
}

function angleOf(chances: Chances, index: number): Angle {
  return {
    id: `angle-${index}`,
    name: index === 0 ? 'main' : 'side',
    cameraPlace: chances.of(words.cameraPlaces),
    distanceM: chances.within(0.1, 20),
    framing: chances.of(words.framings),
    people: chances.of([1, 1, 2, 3, 8]),
    ...(chances.is(0.5) ? { backgroundM: chances.within(0.05, 200) } : {}),
    ...(chances.is(0.3) ? { rowDepthM: chances.within(0.01, 5) } : {}),
    ...(chances.is(0.3) ? { measuredFrom: chances.of(words.tapeEnds) } : {})
  };
}

/** A scene of any style, half of them with every answer drawn from the whole of its range. */
export function anyScene(chances: Chances, index: number): Scene {
  const scene: Scene = {
    ...startScene(chances.of(words.sceneStyles), [], 30),
    id: `scene-${index}`
  };
  scene.name = `Scene ${'ABC'[index]}`;
  if (chances.is(0.4)) return scene;
  const rest = { ...scene };
  delete rest.room;
  const light = [chances.within(0, 200_000), chances.within(0, 200_000)].sort((a, b) => a - b);
  const takeMin = chances.within(0.1, 300);
  return {
    ...rest,
    angles: Array.from({ length: chances.is(0.3) ? 2 : 1 }, (_, number) =>
      angleOf(chances, number)
    ),
    orientation: chances.of(words.orientations),
    ...(chances.is(0.5)
      ? {
          room: {
            lengthM: chances.within(0.8, 50),
            widthM: chances.within(0.8, 50),
            heightM: chances.within(1, 20),
            feel: chances.of(words.roomFeels)
          }
        }
      : {}),
    noiseDbA: chances.within(0, 110),
    voice: chances.of(words.voices),
    windMps: chances.within(0, 30),
    lightSource: chances.of(words.lightSources),
    lightDimLx: light[0]!,
    lightBrightLx: light[1]!,
    temperatureC: chances.within(-20, 50),
    longestTakeMin: takeMin,
    recordedMin: Math.max(takeMin, chances.within(0.1, 1440)),
    daysWithoutSocket: chances.of([0, 0, 1, 2, 9]),
    pixelsAcross: chances.of([640, 1280, 1920, 3840, 7680]),
    fps: chances.of([1, 24, 25, 30, 50, 60, 120, 240]),
    live: chances.is(0.3),
    wantsSeeSelf: chances.is(0.5),
    wantsBlurPercent: chances.of([0, 0, 0.5, 2, 10]),
    wantsFaceSharp: chances.is(0.5),
    mustDo: chances.is(0.7),
    onceOnly: chances.is(0.3),
    roughWeather: chances.is(0.3),
    wantsPan: chances.is(0.3),
    darkBackground: chances.is(0.3),
    ...(chances.is(0.3) ? { wantsKeyToFill: chances.within(1, 64) } : {}),
    ...(chances.is(0.3)
      ? { sunHoursPerDay: chances.within(0, 16), drivenHoursPerDay: chances.within(0, 16) }
      : {})
  };
}

const lineOf = (gearId: string, index: number, quantity = 1): PlanLine => ({
  id: `line-${index}`,
  gearId,
  quantity,
  basis: 'new',
  state: 'wanted',
  step: 'now',
  locked: false
});

/** A body with a lens that mounts and one part for each job, so that something can be filmed. */
function workingKit(chances: Chances): string[] {
  const body = chances.of(catalogue.ofKind('body'));
  const mount = body.ports.find(({ role }) => role === 'lens')?.type;
  const lenses = catalogue.ofKind('lens').filter((lens) => lens.mount === mount);
  return [
    body.id,
    ...(lenses.length > 0 ? [chances.of(lenses).id] : []),
    ...(['microphone', 'support', 'lamp', 'card'] as const).map(
      (kind) => chances.of(catalogue.ofKind(kind) as readonly GearItem[]).id
    )
  ];
}

function anyRig(chances: Chances, sceneId: string, angleId: string): Rig {
  return {
    sceneId,
    angleId,
    ...(chances.is(0.4) ? { apertureN: chances.within(0.7, 64) } : {}),
    ...(chances.is(0.4) ? { shutterS: chances.within(0.0001, 2) } : {}),
    ...(chances.is(0.3) ? { focalLengthMm: chances.within(1, 2000) } : {}),
    ...(chances.is(0.3) ? { micPlace: chances.of(words.micPlaces) } : {})
  };
}

/** Fields of a part that may be left out, which is all of them but its names and what it is. */
export const statableFields = (gear: GearItem): string[] =>
  specSheet(gear.kind)
    .filter(
      ({ ask, key }) =>
        !ask.needed && (gear as unknown as Record<string, unknown>)[key] !== undefined
    )
    .map(({ key }) => key);

/** The same part with some of its figures stated by nobody. */
export function silenced(gear: GearItem, fields: readonly string[]): GearItem {
  const copy = structuredClone(gear) as unknown as Record<string, unknown>;
  for (const field of fields) delete copy[field];
  return copy as unknown as GearItem;
}

/** A project of any scenes and any kit, in any units, with some figures stated by nobody. */
export function anyProject(chances: Chances): Project {
  const project = demoProject();
  const demo = project.plans[0]!.lines.map(({ gearId }) => gearId);
  const chosen = chances.is(0.3) ? demo : workingKit(chances);
  const more = Array.from(
    { length: Math.floor(chances.within(0, 25)) },
    () => chances.of(catalogue.items).id
  );
  const scenes = Array.from({ length: chances.of([1, 1, 2, 3]) }, (_, index) =>
    anyScene(chances, index)
  );
  const plan: Plan = {
    ...project.plans[0]!,
    lines: [...chosen, ...more].map((gearId, index) =>
      lineOf(gearId, index, chances.of([1, 1, 2, 4]))
    ),
    rigs: scenes.flatMap(({ id, angles }) =>
      angles.filter(() => chances.is(0.3)).map((angle) => anyRig(chances, id, angle.id))
    )
  };
  const unstated = chances.is(0.5)
    ? [...new Set(plan.lines.map(({ gearId }) => gearId))]
        .filter(() => chances.is(0.3))
        .map((id) => catalogue.byId.get(id)!)
        .map((gear) => {
          const fields = statableFields(gear);
          return silenced(gear, fields.length > 0 ? [chances.of(fields), chances.of(fields)] : []);
        })
    : [];
  const limitMinor = Math.round(chances.within(1, 500_000));
  return {
    ...project,
    units: chances.of(words.unitSystems),
    mainsHz: chances.of([50, 60] as const),
    school: chances.of(words.schoolIds),
    limitMinor,
    reserveMinor: chances.is(0.4) ? 0 : Math.round(chances.within(0, limitMinor)),
    ...(chances.is(0.5) ? { carriedLimitKg: chances.within(0.1, 20) } : {}),
    ...(chances.is(0.5) ? { setUpLimitMin: chances.within(0.5, 60) } : {}),
    ...(chances.is(0.5) ? { switchLimit: chances.of([0, 1, 3]) } : {}),
    scenes,
    plans: [plan],
    activePlanId: plan.id,
    ownGear: unstated
  };
}
