import type { BodyGear, FilterGear, HeadGear, LampGear, SupportGear } from '../model/gear';
import type { RecordingMode } from '../model/gear/body';
import type { Plan, Rig } from '../model/plan';
import { mates } from '../model/mating';
import type { Project } from '../model/project';
import type { Angle, Scene } from '../model/scene';
import { sensorFormats } from '../model/sensor-formats';
import { framingSizes, groupWidthM } from '../relations/optics/framing-sizes';
import { distanceFromSensorMarkM } from '../relations/optics/sensor-mark-distance';
import { pictureAreaMm } from '../relations/optics/picture-area';
import { focalLengthForSizeMm } from '../relations/optics/picture-size';
import type { Kit, KitPart } from './kit';
import { coverFor, placeMic } from './place-mic';
import {
  nothingFound,
  type PlacedLamp,
  type PlacedRig,
  type Taken,
  type UsedLens
} from './placed-rig';
import { lampPlaces, supportsByPlace } from './places';

/** The size a framing asks for, and which side of the picture it is measured on. */
export function framedSize(
  scene: Scene,
  angle: Angle
): { side: 'width' | 'height'; sizeM: number } {
  const framing = framingSizes[angle.framing];
  const seated = scene.style === 'seated' || scene.style === 'live call';
  return {
    side: framing.side,
    sizeM: angle.framedSizeM ?? framing.sizeM ?? groupWidthM(angle.people, seated)
  };
}

/**
 * The row of the mode table that answers the scene: the exact one, else the nearest at the wanted
 * rate, else the nearest at all. The fastest-writing row never wins a tie: small files do the same.
 */
export function chooseMode(
  modes: readonly RecordingMode[],
  { fps, pixelsAcross }: Pick<Scene, 'fps' | 'pixelsAcross'>
): RecordingMode | undefined {
  let chosen = chosenModes.get(modes);
  if (!chosen) chosenModes.set(modes, (chosen = []));
  for (const one of chosen)
    if (one.fps === fps && one.pixelsAcross === pixelsAcross) return one.mode;
  const mode = findMode(modes, fps, pixelsAcross);
  chosen.push({ fps, pixelsAcross, mode });
  return mode;
}
/** What was chosen from a table of modes, which never changes, for what scenes have asked of it. */
const chosenModes = new WeakMap<
  readonly RecordingMode[],
  { fps: number; pixelsAcross: number; mode: RecordingMode | undefined }[]
>();

function findMode(
  modes: readonly RecordingMode[],
  fps: number,
  pixelsAcross: number
): RecordingMode | undefined {
  let best: RecordingMode | undefined;
  let bestMiss = Infinity;
  for (const mode of modes) {
    const rateMiss = Math.abs(Math.log2(mode.fps / fps)) * 100;
    const sizeMiss = Math.abs(Math.log2(mode.pixelsAcross / pixelsAcross)) * 10;
    const miss = rateMiss + sizeMiss + (mode.crop ?? 1) * 0.1 + mode.bitRateMbps * 1e-6;
    if (miss < bestMiss) {
      bestMiss = miss;
      best = mode;
    }
  }
  return best;
}

function lensesFor(kit: Kit, body: PlacedRig['body']): readonly UsedLens[] {
  // A lens that cannot come off is all there is for its body; the others are there for every body.
  const owner = body?.gear.builtInLens ? body : undefined;
  for (const kept of kit.kept.lenses) if (kept.body === owner) return kept.list;
  const list = findLenses(kit, owner);
  kit.kept.lenses.push({ body: owner, list });
  return list;
}

function findLenses(kit: Kit, body: PlacedRig['body']): UsedLens[] {
  const builtIn = body?.gear.builtInLens;
  if (body && builtIn) {
    return [
      {
        lineId: body.line.id,
        name: `${body.gear.maker} ${body.gear.model}`,
        builtIn: true,
        gear: undefined,
        ...builtIn,
        apertureSmallestN: builtIn.apertureSmallestN,
        minimumFocusDistanceM: builtIn.minimumFocusDistanceM,
        stabilised: builtIn.stabilised
      }
    ];
  }
  return kit.of('lens').map(({ line, gear }) => ({
    lineId: line.id,
    name: `${gear.maker} ${gear.model}`,
    builtIn: false,
    gear,
    focalLengthMinMm: gear.focalLengthMinMm,
    focalLengthMaxMm: gear.focalLengthMaxMm,
    apertureWideN: gear.apertureWideN,
    apertureTeleN: gear.apertureTeleN,
    apertureSmallestN: gear.apertureSmallestN,
    minimumFocusDistanceM: gear.minimumFocusDistanceM,
    stabilised: gear.stabilised
  }));
}

/** Widest aperture of a lens at a focal length: it slides evenly between its two ends. */
export function widestApertureN(lens: UsedLens, focalLengthMm: number): number {
  const span = lens.focalLengthMaxMm - lens.focalLengthMinMm;
  if (span <= 0) return lens.apertureWideN;
  const along = Math.min(1, Math.max(0, (focalLengthMm - lens.focalLengthMinMm) / span));
  return lens.apertureWideN + (lens.apertureTeleN - lens.apertureWideN) * along;
}

function lensMounts(kit: Kit, lens: UsedLens, bodyMount: string | undefined): boolean {
  if (lens.builtIn) return true;
  const mount = lens.gear?.mount;
  if (mount === undefined || bodyMount === undefined) return false;
  return (
    mount === bodyMount ||
    kit
      .of('mount adapter')
      .some(({ gear }) => gear.lensMount === mount && gear.bodyMount === bodyMount)
  );
}

/** The mount a body takes lenses by. */
export function mountOf(body: PlacedRig['body']): string | undefined {
  return body?.gear.ports.find((port) => port.role === 'lens')?.type;
}

function lampRuns(lamp: LampGear, kit: Kit, hasSocket: boolean): boolean {
  if (hasSocket && lamp.runsFromMains) return true;
  if (lamp.internalBatteryWh !== undefined) return true;
  return (
    lamp.batteryType !== undefined &&
    kit.of('battery').some(({ gear }) => gear.batteryType === lamp.batteryType)
  );
}

function placeLamps(kit: Kit, scene: Scene, said: Rig | undefined, hasSocket: boolean) {
  if (scene.lightSource === 'sky' || scene.lightSource === 'existing light') return [];
  const lamps: KitPart<LampGear>[] = [];
  for (const part of kit.of('lamp')) {
    if (part.gear.form === 'practical' || !lampRuns(part.gear, kit, hasSocket)) continue;
    for (let piece = 0; piece < Math.min(2, part.line.quantity); piece++) lamps.push(part);
  }
  lamps.sort((a, b) => (b.gear.illuminanceAt1mLx ?? 0) - (a.gear.illuminanceAt1mLx ?? 0));
  return lamps.slice(0, 2).map((part, index): PlacedLamp => {
    const own = said?.lamps?.filter((placing) => placing.lineId === part.line.id) ?? [];
    const twin = index === 1 && lamps[0]?.line.id === part.line.id ? 1 : 0;
    const placing = own[twin] ?? own[0];
    const usual = index === 0 ? lampPlaces.key : lampPlaces.fill;
    return {
      part,
      distanceM: placing?.distanceM ?? usual.distanceM,
      angleDeg: placing?.angleDeg ?? usual.angleDeg
    };
  });
}

function placeSupport(
  kit: Kit,
  angle: Angle,
  said: Rig | undefined,
  taken: Taken
): KitPart<SupportGear> | undefined {
  const supports = kit.of('support');
  if (said?.supportLineId !== undefined)
    for (const part of supports)
      if (part.line.id === said.supportLineId && isFree(part, taken)) return part;
  for (const form of supportsByPlace[angle.cameraPlace]) {
    let best: KitPart<SupportGear> | undefined;
    for (const part of supports) {
      if (part.gear.form !== form || !isFree(part, taken)) continue;
      if ((part.gear.payloadKg ?? 0) > (best?.gear.payloadKg ?? -1)) best = part;
    }
    if (best) return best;
  }
  return undefined;
}

/** A head of the bag for legs that came without one: fluid where a pan is wanted, else the strongest. */
function placeHead(
  kit: Kit,
  scene: Scene,
  support: KitPart<SupportGear> | undefined,
  taken: Taken
): KitPart<HeadGear> | undefined {
  if (support?.gear.head !== 'none') return undefined;
  let best: KitPart<HeadGear> | undefined;
  const worth = ({ gear }: KitPart<HeadGear>) =>
    (gear.payloadKg ?? 0) + (scene.wantsPan === true && gear.form === 'fluid' ? 1000 : 0);
  for (const part of kit.of('head')) {
    if (!isFree(part, taken) || !screwsOn(support.gear, part.gear)) continue;
    if (!best || worth(part) > worth(best)) best = part;
  }
  return best;
}

const screwsOn = (support: SupportGear, head: HeadGear) =>
  support.ports.some(
    (under) => under.role === 'carries' && head.ports.some((over) => mates(under, over))
  );

/** True when the filter's thread is the lens's own or rings of the kit lead from one to the other. */
export function filterScrewsOn(
  kit: Kit,
  filterThreadMm: number,
  lensThreadMm: number | undefined
): boolean {
  if (lensThreadMm === undefined) return false;
  if (lensThreadMm === filterThreadMm) return true;
  const rings = kit.of('step-up ring');
  if (rings.length === 0) return false;
  const reached = new Set([lensThreadMm]);
  for (let grown = true; grown && !reached.has(filterThreadMm);) {
    grown = false;
    for (const { gear } of rings) {
      if (reached.has(gear.lensThreadMm) && !reached.has(gear.filterThreadMm)) {
        reached.add(gear.filterThreadMm);
        grown = true;
      }
    }
  }
  return reached.has(filterThreadMm);
}

function placeFilter(
  kit: Kit,
  lens: UsedLens | undefined,
  said: Rig | undefined,
  taken: Taken
): Pick<PlacedRig, 'filter' | 'filterFits'> {
  let filter: KitPart<FilterGear> | undefined;
  let filterFits = false;
  for (const part of kit.of('filter')) {
    if (part.gear.form !== 'fixed density' && part.gear.form !== 'variable density') continue;
    if (!isFree(part, taken)) continue;
    if (said?.filterLineId !== undefined && part.line.id !== said.filterLineId) continue;
    const fits = filterScrewsOn(kit, part.gear.threadMm, lens?.gear?.filterThreadMm);
    const stronger = (part.gear.stopsMax ?? 0) > (filter?.gear.stopsMax ?? -1);
    if (!filter || (fits && !filterFits) || (fits === filterFits && stronger)) {
      filter = part;
      filterFits = fits;
    }
  }
  return { filter, filterFits };
}

/** A piece of the part is left for this angle. */
function isFree({ line }: KitPart, taken: Taken): boolean {
  return line.quantity > (taken.size === 0 ? 0 : (taken.get(line.id) ?? 0));
}

function take(lineId: string | undefined, taken: Taken): void {
  if (lineId !== undefined) taken.set(lineId, (taken.get(lineId) ?? 0) + 1);
}

const none: readonly never[] = [];

function bodyFor(kit: Kit, said: Rig | undefined, taken: Taken): KitPart<BodyGear> | undefined {
  let first: KitPart<BodyGear> | undefined;
  for (const part of kit.of('body')) {
    if (!isFree(part, taken)) continue;
    if (part.line.id === said?.bodyLineId) return part;
    first ??= part;
  }
  return first;
}

const rigSaid = (plan: Plan, scene: Scene, angle: Angle) =>
  plan.rigs.find((rig) => rig.sceneId === scene.id && rig.angleId === angle.id);

function bodiesOfScene(plan: Plan, kit: Kit, scene: Scene): KitPart<BodyGear>[] {
  const taken: Taken = new Map();
  return scene.angles.flatMap((angle) => {
    const body = bodyFor(kit, rigSaid(plan, scene, angle), taken);
    take(body?.line.id, taken);
    return body ?? [];
  });
}

/**
 * Puts the kit in place for one angle. What the person has said stands; the rest follows the usual
 * places, so that a part swapped in is judged where it would really be used.
 */
export function placeRig(
  project: Project,
  plan: Plan,
  kit: Kit,
  scene: Scene,
  angle: Angle,
  taken: Taken = new Map()
): PlacedRig {
  const said = rigSaid(plan, scene, angle);
  const index = scene.angles.indexOf(angle);
  const body = bodyFor(kit, said, taken);
  const mode = body && chooseMode(body.gear.modes, scene);
  const hasSocket = scene.daysWithoutSocket === 0;

  const { side, sizeM } = framedSize(scene, angle);
  let wantedFocalMm: number | undefined;
  if (body) {
    const format = sensorFormats[body.gear.sensorFormat];
    const area = pictureAreaMm(format.widthMm, format.heightMm, mode?.crop ?? 1, scene.orientation);
    const sideMm = side === 'width' ? area.widthMm : area.heightMm;
    wantedFocalMm = focalLengthForSizeMm(sideMm, sizeM, angle.distanceM);
    // A tape held at the sensor mark reads more than the lens stands off; how much, its focal length says.
    if (angle.measuredFrom === 'sensor mark' && angle.distanceM * 1000 > 4 * wantedFocalMm)
      wantedFocalMm = focalLengthForSizeMm(
        sideMm,
        sizeM,
        distanceFromSensorMarkM(angle.distanceM, wantedFocalMm)
      );
  }
  const bodyMount = mountOf(body);
  let lens: UsedLens | undefined;
  let focalLengthMm: number | undefined;
  let bestMiss = Infinity;
  for (const candidate of lensesFor(kit, body)) {
    if (!candidate.builtIn && !isFree(kit.byLine(candidate.lineId)!, taken)) continue;
    const reach = (wanted: number) =>
      Math.min(candidate.focalLengthMaxMm, Math.max(candidate.focalLengthMinMm, wanted));
    const focal = reach(wantedFocalMm ?? candidate.focalLengthMinMm);
    let miss =
      Math.abs(Math.log2(focal / (wantedFocalMm ?? focal))) + candidate.apertureWideN * 0.01;
    if (!lensMounts(kit, candidate, bodyMount)) miss += 100;
    if (said?.lensLineId === candidate.lineId) miss -= 1000;
    if (miss < bestMiss) {
      bestMiss = miss;
      lens = candidate;
      focalLengthMm = said?.focalLengthMm === undefined ? focal : reach(said.focalLengthMm);
    }
  }
  let apertureN: number | undefined;
  if (lens && focalLengthMm !== undefined) {
    const widest = widestApertureN(lens, focalLengthMm);
    apertureN = Math.max(
      widest,
      Math.min(said?.apertureN ?? widest, lens.apertureSmallestN ?? Infinity)
    );
  }

  const { mic, micPlace } =
    index === 0 ? placeMic(kit, scene, angle, said, body) : { mic: undefined, micPlace: undefined };
  const support = placeSupport(kit, angle, said, taken);
  const head = placeHead(kit, scene, support, taken);
  const { filter, filterFits } = placeFilter(kit, lens, said, taken);
  // What the last angle holds, no other has to do without.
  if (index < scene.angles.length - 1) {
    take(body?.line.id, taken);
    take(lens?.builtIn ? undefined : lens?.lineId, taken);
    take(support?.line.id, taken);
    take(head?.line.id, taken);
    take(filter?.line.id, taken);
  }
  const { cover, coverPart } = mic
    ? coverFor(kit, mic.gear)
    : { cover: 'none' as const, coverPart: undefined };
  const [keyLamp, fillLamp] = placeLamps(kit, scene, said, hasSocket);
  return {
    project,
    scene,
    angle,
    said,
    index,
    kit,
    body,
    bodiesAtOnce: scene.angles.length > 1 ? bodiesOfScene(plan, kit, scene) : body ? [body] : none,
    mode,
    lens,
    focalLengthMm,
    apertureN,
    mic,
    micPlace,
    cover,
    coverPart,
    keyLamp,
    fillLamp,
    support,
    head,
    boom:
      micPlace === 'boom arm'
        ? kit.of('support').find(({ gear }) => gear.form === 'boom arm')
        : undefined,
    filter,
    filterFits,
    hasSocket,
    kept: nothingFound()
  };
}
