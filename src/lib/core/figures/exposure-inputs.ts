import { filtersOfSet } from '../exposure/filter-sets';
import type { ExposureTask } from '../exposure/exposure-task';
import type { LightEnd } from './rows';

/** The shortest shutter and the highest ISO nearly every body has; no sheet of ours states them. */
const SHORTEST_SHUTTER_S = 1 / 8000;
const HIGHEST_ISO = 25_600;

/** What the plan of either end is solved from, in the order `taskOf` takes it; the first eight must be there. */
export const inputsOf = (end: LightEnd) =>
  [
    'apertureWidest',
    'apertureSmallest',
    'fps',
    'baseIso',
    'highestUsableIso',
    'diffractionCap',
    'equivalentFocalLength',
    end === 'dim' ? 'placeLightDim' : 'placeLightBright',
    'ownLight',
    'placePulses',
    'flickerMains',
    'densityFilters',
    'apertureForSharp',
    'apertureForBlur',
    'blurFirst',
    'lensPasses',
    'magnification',
    'apertureSaid',
    'shutterSaid',
    'filterSaid'
  ] as const;
export const MUST_BE_THERE = 8;

export function taskOf(inputs: readonly number[]): ExposureTask {
  const [widest, smallest, fps, baseIso, usable, cap, equivalent, placeLx, ownLx] = inputs as [
    number,
    ...number[]
  ];
  const [
    pulses,
    mains,
    filters,
    sharpN,
    blurN,
    blurFirst,
    passes,
    enlarged,
    saidN,
    saidS,
    saidFilter
  ] = inputs.slice(9);
  return {
    fps: fps!,
    apertureWidestN: widest,
    apertureSmallestN: smallest!,
    shutterShortestS: Math.min(SHORTEST_SHUTTER_S, 1 / fps!),
    isoLowest: baseIso!,
    isoHighest: Math.max(HIGHEST_ISO, baseIso!),
    isoUsable: usable!,
    placeLx: placeLx!,
    lampsLx: ownLx!,
    // How deep a lamp pulses nobody states: it counts as wholly, the worse end.
    pulsing: { place: pulses!, lamps: mains! > 0 ? 1 : 0 },
    mainsHz: mains! > 0 ? mains! : 50,
    filters: filtersOfSet(filters!),
    ...(sharpN! > 0 ? { depthN: sharpN! } : {}),
    ...(blurN! > 0 ? { blurN: blurN! } : {}),
    blurFirst: blurFirst! > 0,
    diffractionCapN: cap!,
    equivalentFocalLengthMm: equivalent!,
    transmission: passes! > 0 ? passes! : 1,
    magnification: enlarged!,
    set: {
      ...(saidN! > 0 ? { apertureN: saidN! } : {}),
      ...(saidS! > 0 ? { shutterS: saidS! } : {}),
      ...(saidFilter! > 0 ? { filter: true } : {})
    }
  };
}
