import {
  type DensityFilter,
  type ExposurePlan,
  type ExposureTask,
  solveExposure
} from '../exposure/exposure-plan';
import type { FigureRecord } from '../figures/record';
import { filterScrewsOn } from '../rigs/place-filter';
import { widestApertureN } from '../rigs/place-lens';
import type { PlacedRig } from '../rigs/placed-rig';
import type { AngleJudgement } from './incremental';

/** The shortest shutter and the highest ISO nearly every body has; no sheet of ours states them. */
const SHORTEST_SHUTTER_S = 1 / 8000;
const HIGHEST_ISO = 25_600;

/** What an angle is set to at the dim and at the bright end of its light; undefined where a figure is unknown. */
export interface ExposureOfAngle {
  dim: ExposurePlan | undefined;
  bright: ExposurePlan | undefined;
}

export function exposureOfAngle({ rig, record }: AngleJudgement): ExposureOfAngle {
  const solve = (end: 'dim' | 'bright') => {
    const task = taskOf(rig, record, end);
    return task && solveExposure(task);
  };
  return { dim: solve('dim'), bright: solve('bright') };
}

/** Neutral density of the kit that screws on, itself or through rings of the kit. */
function filtersOf({ kit, lens }: PlacedRig): DensityFilter[] {
  const threadMm = lens?.gear?.filterThreadMm;
  return kit.of('filter').flatMap(({ gear, line }) => {
    const { form, stopsMin, stopsMax, castMired } = gear;
    const isDensity = form === 'fixed density' || form === 'variable density';
    if (!isDensity || stopsMax === undefined || !filterScrewsOn(kit, gear.threadMm, threadMm))
      return [];
    return {
      lineId: line.id,
      stopsMin: form === 'fixed density' ? stopsMax : (stopsMin ?? stopsMax),
      stopsMax,
      castMired: castMired ?? 0
    };
  });
}

function taskOf(
  rig: PlacedRig,
  record: FigureRecord,
  end: 'dim' | 'bright'
): ExposureTask | undefined {
  const { mode, lens, focalLengthMm, overrides, project, scene } = rig;
  const { baseIso, highestUsableIso, diffractionCap, equivalentFocalLength } = record;
  const light = end === 'dim' ? record.lightDim : record.lightBright;
  const window = (end === 'dim' ? record.windowDim : record.windowBright) ?? 0;
  if (
    !mode ||
    !lens ||
    focalLengthMm === undefined ||
    baseIso === undefined ||
    highestUsableIso === undefined ||
    diffractionCap === undefined ||
    equivalentFocalLength === undefined ||
    light === undefined
  )
    return undefined;
  const widest = widestApertureN(lens, focalLengthMm);
  const { apertureForFace, apertureForRow, backgroundBlur, aperture, blurWanted } = record;
  const needed = Math.max(apertureForFace ?? 0, apertureForRow ?? 0);
  const pulses = record.flickerMains !== undefined;
  return {
    fps: mode.fps,
    apertureWidestN: widest,
    // How far a lens closes that nobody states counts as not at all: never better than its worse end.
    apertureSmallestN: Math.max(widest, lens.apertureSmallestN ?? widest),
    shutterShortestS: Math.min(SHORTEST_SHUTTER_S, 1 / mode.fps),
    isoLowest: baseIso,
    isoHighest: Math.max(HIGHEST_ISO, baseIso),
    isoUsable: highestUsableIso,
    placeLx: light + window,
    lampsLx: (record.keyLight ?? 0) + (record.fillLight ?? 0),
    // How deep a lamp pulses nobody states: it counts as wholly, the worse end.
    pulsing: {
      place: pulses && light + window > 0 ? light / (light + window) : 0,
      lamps: pulses ? 1 : 0
    },
    mainsHz: project.mainsHz,
    filters: filtersOf(rig),
    ...(needed > 0 ? { depthN: needed } : {}),
    // Blur falls as one over the aperture number.
    ...(scene.wantsBlurPercent > 0 &&
    backgroundBlur !== undefined &&
    aperture !== undefined &&
    blurWanted !== undefined &&
    blurWanted > 0 &&
    backgroundBlur > 0
      ? { blurN: (backgroundBlur * aperture) / blurWanted }
      : {}),
    blurFirst: project.school === 'lenses first',
    diffractionCapN: diffractionCap,
    equivalentFocalLengthMm: equivalentFocalLength,
    transmission: record.lensPasses ?? 1,
    magnification: record.magnification ?? 0,
    set: {
      ...(overrides?.apertureN === undefined ? {} : { apertureN: overrides.apertureN }),
      ...(overrides?.shutterS === undefined ? {} : { shutterS: overrides.shutterS })
    }
  };
}
