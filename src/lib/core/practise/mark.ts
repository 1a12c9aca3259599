import { castCost, candidateOf } from '../exposure/exposure-candidates';
import { exposureCosts, noiseCostAt } from '../exposure/costs';
import { solveExposure } from '../exposure/exposure-plan';
import type { DensityFilter, ExposurePlan } from '../exposure/exposure-task';
import { aperturesOf, shuttersOf } from '../exposure/marked-settings';
import { figureWords, shutterWords } from '../figures/figure-words';
import { MIRED_DIFFERENCE, miredDifference } from '../relations/lighting/colour';
import type { Drill, Settings } from './drill';

/** What was off, by how much, and why it matters. */
export interface Fault {
  what: string;
  why: string;
  /** In the stops all settings are weighed in. */
  cost: number;
}

export interface Marks {
  /** Stops over, or under below zero. */
  offStops: number;
  flickerPercent: number;
  /** How far the balance is from the key, mired; above zero too warm. */
  castMired: number;
  faults: readonly Fault[];
  /** What the attempt costs past the best these dials can do, in stops. */
  lossStops: number;
  /** 0 to 100. */
  score: number;
  best: ExposurePlan;
}

/** A drill is lost at this many stops past the best. */
const LOST_AT_STOPS = 3;
/** Less than this of a fault nobody is told. */
const TOLD_FROM_STOPS = 0.15;
/** Half a third: nearer than this no dial comes. */
export const BETWEEN_MARKS_STOPS = 1 / 6;
/** A cast this strong costs a stop. */
const MIRED_A_STOP = MIRED_DIFFERENCE.strong;

/** How far the dials are off while one turns them: what a meter and the eye would show. */
export interface Reading {
  offStops: number;
  flickerPercent: number;
  castMired: number;
  noseIsSharp: boolean;
}

/** What the camera shows of settings: stops off, flicker, cast, whether nose and ears are sharp. */
export function readSettings(drill: Drill, settings: Settings): Reading {
  const { candidate } = weigh(drill, settings);
  return {
    offStops: candidate.offStops,
    flickerPercent: candidate.flickerPercent,
    castMired: castOf(drill, settings),
    noseIsSharp: drill.task.depthN === undefined || settings.apertureN >= drill.task.depthN - 0.05
  };
}

function weigh({ task }: Drill, settings: Settings) {
  const set = { apertureN: settings.apertureN, shutterS: settings.shutterS };
  // The sensitivity is the person's: the only one there is.
  const only = { ...task, set, isoLowest: settings.iso, isoHighest: settings.iso };
  const filter = filterWith(task.filters, settings.densityStops);
  const candidate = candidateOf(
    only,
    aperturesOf(only)[0]!,
    shuttersOf(only)[0]!,
    filter,
    settings.densityStops,
    1
  );
  return { candidate, filter };
}

const filterWith = (filters: readonly DensityFilter[], stops: number): DensityFilter | undefined =>
  stops === 0
    ? undefined
    : filters.find(
        ({ stopsMin, stopsMax }) => stops >= stopsMin - 1e-9 && stops <= stopsMax + 1e-9
      );

/** Balanced to a cooler light than there is, the picture turns warm. */
const castOf = ({ lightK }: Drill, { whiteBalanceK }: Settings): number =>
  miredDifference(whiteBalanceK, lightK) * (whiteBalanceK > lightK ? 1 : -1);

/** Marks an attempt against the best the same dials can do, by the costs the exposure plan itself goes by. */
export function markAttempt(drill: Drill, settings: Settings): Marks {
  const { task } = drill;
  const { candidate, filter } = weigh(drill, settings);
  // Lamps of a drill burn in full, as the drill says.
  const best = solveExposure({
    ...task,
    set: undefined,
    placeLx: task.placeLx + task.lampsLx,
    lampsLx: 0,
    pulsing: { place: pulsingOf(drill), lamps: 0 }
  })!;
  const faults: Fault[] = [];
  /** What even the best has to put up with is nobody's fault. */
  const tell = (cost: number, unavoidable: number, what: string, why: string) => {
    if (cost - unavoidable >= TOLD_FROM_STOPS) faults.push({ cost, what, why });
  };
  // Dials are marked in thirds: what lies between two marks cannot be set.
  const wrong =
    exposureCosts.wrong * Math.max(0, Math.abs(candidate.offStops) - BETWEEN_MARKS_STOPS);
  const { offStops, aperture, shutter } = candidate;
  tell(
    wrong,
    best.costs.wrong,
    `${figureWords(Math.abs(offStops), 'stops')} ${offStops > 0 ? 'over' : 'under'}`,
    `At ${figureWords(settings.apertureN, 'f/')} and ${shutterWords(settings.shutterS)}${settings.densityStops > 0 ? ` behind ${figureWords(settings.densityStops, 'stops')} of density` : ''}, ${figureWords(Math.round(candidate.lx), 'lx')} want ISO ${Math.round(settings.iso / 2 ** offStops)}; you set ISO ${settings.iso}.`
  );
  tell(
    shutter.shorter,
    best.costs.shorter,
    `shutter ${figureWords(Math.log2(1 / (2 * task.fps) / settings.shutterS), 'stops')} shorter than half the frame time`,
    `At ${task.fps} frames a second motion looks natural at ${shutterWords(1 / (2 * task.fps))}; shorter, it stutters.`
  );
  tell(
    shutter.longer,
    best.costs.longer,
    `shutter ${figureWords(Math.log2(settings.shutterS * 2 * task.fps), 'stops')} longer than half the frame time`,
    'Motion smears.'
  );
  tell(
    candidate.flicker,
    best.costs.flicker,
    `${figureWords(candidate.flickerPercent, '%')} flicker`,
    `The lamps pulse ${2 * task.mainsHz} times a second; a shutter of whole pulses (1/${task.mainsHz}, 1/${2 * task.mainsHz} s) lets every frame see the same.`
  );
  tell(
    aperture.depth,
    best.costs.depth,
    task.depthN === undefined
      ? ''
      : `${figureWords(2 * Math.log2(task.depthN / settings.apertureN), 'stops')} short of depth`,
    task.depthN === undefined
      ? ''
      : `Nose and ears are both sharp from ${figureWords(task.depthN, 'f/')}.`
  );
  tell(
    aperture.blur,
    best.costs.blur,
    task.blurN === undefined
      ? ''
      : `${figureWords(2 * Math.log2(settings.apertureN / task.blurN), 'stops')} too far closed for the background`,
    task.blurN === undefined ? '' : `It is as soft as asked up to ${figureWords(task.blurN, 'f/')}.`
  );
  tell(
    aperture.diffraction,
    best.costs.diffraction,
    `closed past ${figureWords(task.diffractionCapN, 'f/')}`,
    'Past that the whole picture softens.'
  );
  const overUsable = Math.log2(settings.iso / task.isoUsable);
  // From two stops below usable on it costs a little; told is what is past usable.
  tell(
    overUsable > 0 ? noiseCostAt(overUsable + 2) : 0,
    best.costs.noise,
    `ISO ${settings.iso} is ${figureWords(Math.max(0, overUsable), 'stops')} past what is clean`,
    `This body is clean to about ISO ${isoRounded(task.isoUsable)}.`
  );
  tell(
    candidate.corners,
    best.costs.corners,
    'a variable filter turned far for this wide a lens',
    'Its corners darken or form a cross.'
  );
  tell(
    castCost(filter),
    best.costs.cast,
    'the filter tints the picture',
    'Balance with the filter on.'
  );
  const castMired = castOf(drill, settings);
  const balanceCost =
    Math.abs(castMired) < MIRED_DIFFERENCE.seen ? 0 : Math.abs(castMired) / MIRED_A_STOP;
  tell(
    balanceCost,
    0,
    `white balance ${Math.round(Math.abs(castMired))} mired too ${castMired > 0 ? 'warm' : 'cool'}`,
    `The light on the face is ${figureWords(drill.lightK, 'K')}; you set ${figureWords(settings.whiteBalanceK, 'K')}. From ${MIRED_DIFFERENCE.seen} mired on it is seen.`
  );
  const lossStops = Math.max(0, candidate.cost - candidate.wrong + wrong + balanceCost - best.cost);
  faults.sort((a, b) => b.cost - a.cost);
  return {
    offStops,
    flickerPercent: candidate.flickerPercent,
    castMired,
    faults,
    lossStops,
    score: Math.round(100 * Math.max(0, 1 - lossStops / LOST_AT_STOPS)),
    best
  };
}

const isoRounded = (iso: number): number => Math.round(iso / 10) * 10;

/** Share of all the light that pulses with the mains. */
function pulsingOf({ task: { placeLx, lampsLx, pulsing } }: Drill): number {
  return (pulsing.place * placeLx + pulsing.lamps * lampsLx) / (placeLx + lampsLx);
}
