import { memoOn } from '../memo';
import { sensorFormats } from '../model/sensor-formats';
import { pictureAreaMm } from '../relations/optics/picture-area';
import { focalLengthForSizeMm } from '../relations/optics/picture-size';
import { subjectDistanceM } from '../relations/optics/subject-distance';
import { type Allocated, isFree } from './allocated';
import { framedSize } from './framed-size';
import type { Kit } from './kit';
import type { PlacedRig, UsedLens } from './placed-rig';

function lensesFor(kit: Kit, body: PlacedRig['body']): readonly UsedLens[] {
  // A lens that cannot come off is all there is for its body; the others are there for every body.
  const owner = body?.gear.builtInLens ? body : undefined;
  const found = lensesOf(kit);
  for (const entry of found) if (entry.body === owner) return entry.lenses;
  const lenses = findLenses(kit, owner);
  found.push({ body: owner, lenses });
  return lenses;
}
/** Lenses as angles use them, found so far: the one a body cannot take off, or those that come off. */
const lensesOf = memoOn(
  (_kit: Kit): { body: PlacedRig['body']; lenses: readonly UsedLens[] }[] => []
);

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

/** The lens goes on the body, itself or through an adapter of the kit. */
export function lensMounts(
  kit: Kit,
  lens: Pick<UsedLens, 'builtIn' | 'gear'>,
  bodyMount: string | undefined
): boolean {
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

/** The lens that comes nearest to the framing asked for, and at which focal length. */
export function placeLens(
  {
    kit,
    scene,
    angle,
    body,
    mode,
    overrides
  }: Pick<PlacedRig, 'kit' | 'scene' | 'angle' | 'body' | 'mode' | 'overrides'>,
  allocated: Allocated
): Pick<PlacedRig, 'lens' | 'focalLengthMm'> {
  const { side, sizeM } = framedSize(scene, angle);
  let wantedFocalMm: number | undefined;
  if (body) {
    const format = sensorFormats[body.gear.sensorFormat];
    const area = pictureAreaMm(format.widthMm, format.heightMm, mode?.crop ?? 1, scene.orientation);
    const sideMm = side === 'width' ? area.widthMm : area.heightMm;
    wantedFocalMm = focalLengthForSizeMm(sideMm, sizeM, angle.distanceM);
    // A tape held at the sensor mark reads more than the lens stands off; how much, its focal length says.
    wantedFocalMm = focalLengthForSizeMm(
      sideMm,
      sizeM,
      subjectDistanceM(angle.distanceM, angle.measuredFrom, wantedFocalMm)
    );
  }
  const bodyMount = mountOf(body);
  let lens: UsedLens | undefined;
  let focalLengthMm: number | undefined;
  let bestMiss = Infinity;
  for (const candidate of lensesFor(kit, body)) {
    if (!candidate.builtIn && !isFree(kit.byLine(candidate.lineId)!, allocated)) continue;
    const reach = (wanted: number) =>
      Math.min(candidate.focalLengthMaxMm, Math.max(candidate.focalLengthMinMm, wanted));
    const focal = reach(wantedFocalMm ?? candidate.focalLengthMinMm);
    let miss =
      Math.abs(Math.log2(focal / (wantedFocalMm ?? focal))) + candidate.apertureWideN * 0.01;
    if (!lensMounts(kit, candidate, bodyMount)) miss += 100;
    if (overrides?.lensLineId === candidate.lineId) miss -= 1000;
    if (miss < bestMiss) {
      bestMiss = miss;
      lens = candidate;
      focalLengthMm =
        overrides?.focalLengthMm === undefined ? focal : reach(overrides.focalLengthMm);
    }
  }
  return { lens, focalLengthMm };
}
