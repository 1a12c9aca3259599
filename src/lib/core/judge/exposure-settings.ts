import { showsFace, subjectWords } from '../model/scene-facts';
import type { ExposurePlan } from '../exposure/exposure-task';
import type { SolvedExposure } from '../exposure/solved-exposure';
import { figureWords } from '../figures/figure-words';
import type { FigureId } from '../figures/table';
import type { FilterGear } from '../model/gear';
import { FLICKER_PERCENT, pwmRipplePercent, STEADY_FPS } from '../relations/exposure/flicker';
import type { PlacedRig } from '../rigs/placed-rig';
import type { AngleJudgement } from './incremental';

/** One thing to set before the take, and why it is set so. */
export interface Setting {
  name: string;
  set: string;
  why: string;
  /** What another school would do, and for which reason. */
  others?: string;
  /** The figure it rests on, for its own why. */
  figure?: FigureId;
}

/** Sensitivities a body can be set to, in thirds of a stop. */
export const isoSteps = [50, 64, 80, 100, 125, 160, 200, 250, 320, 400, 500, 640].flatMap((iso) => [
  iso,
  ...(iso >= 400 ? [iso * 2, iso * 4, iso * 8, iso * 16, iso * 32] : [])
]);
isoSteps.sort((a, b) => a - b);
/** The sensitivity one sets for what is needed, in thirds of a stop. */
export const isoToSet = (iso: number): number =>
  isoSteps.find((step) => step >= iso * 0.97) ?? Math.round(iso);

/** Costs below this are below what anybody sees. */
const SEEN_STOPS = 0.05;
/** An aperture closed by no more than this past what is needed was closed for that. */
const A_STOP_CLOSED = Math.SQRT2;
/** Filters are set by a scale of stops: finer than this nobody sets one. */
const SET_STOPS = 0.3;

/** What is set at either end of the light: once where it is the same. */
function atBothEnds([dim, bright]: Plans, words: (plan: ExposurePlan) => string): string {
  const atDim = words(dim);
  const other = words(bright);
  return atDim === other ? atDim : `${atDim} at the dimmest, ${other} at the brightest`;
}
type Plans = readonly [dim: ExposurePlan, bright: ExposurePlan];

/** What the exposure plan says to set, in the order one goes through the camera. */
export function exposureSettings({ rig, record, scene }: AngleJudgement): Setting[] {
  const { dim, bright } = record.exposures;
  const fps = frameRate(rig);
  if (!dim || !bright || !rig.lens || record.exposureCost === undefined) return [fps];
  const plans: Plans = [dim.plan, bright.plan];
  const list = [fps, shutter(rig, dim, plans), aperture(rig, dim, plans), iso(rig, plans, dim)];
  if (rig.densityFilters.length > 0 || !scene.room) list.push(density(rig, dim, plans, record));
  if (dim.task.lampsLx > 0) list.push(lamps(plans));
  return list;
}

function frameRate({ mode, scene, project }: PlacedRig): Setting {
  const fps = mode?.fps ?? scene.fps;
  const steady = STEADY_FPS[project.mainsHz];
  const inStep = fps === steady || fps === 2 * steady;
  return {
    name: 'Frame rate',
    set: figureWords(fps, 'fps'),
    why: !scene.room
      ? 'The scene asks for it; outdoors no lamp flickers with the mains.'
      : inStep
        ? `Lamps here pulse with ${project.mainsHz} Hz mains, and ${fps} fps keeps step with them.`
        : `Lamps here pulse with ${project.mainsHz} Hz mains; ${steady} and ${2 * steady} fps would keep step, at ${fps} the shutter has to.`,
    others: 'One rate everywhere, so that all scenes cut together.',
    figure: 'fps'
  };
}

function shutter(rig: PlacedRig, { task }: SolvedExposure, plans: Plans): Setting {
  const costs = plans.map((plan) => plan.costs);
  const why =
    rig.overrides?.shutterS !== undefined
      ? 'As you have set it.'
      : costs.some(({ longer }) => longer > SEEN_STOPS)
        ? plans.some(({ isoAtHalfFrame }) => isoAtHalfFrame > task.isoUsable)
          ? 'Longer than half the frame time to gather light; motion smears a little.'
          : 'The step that leaves lamps steady, a little longer than half the frame time.'
        : costs.some(({ shorter }) => shorter > SEEN_STOPS)
          ? 'Shorter than half the frame time, because there is more light than the rest can take or lamps would flicker; motion turns a little choppy.'
          : `Half the frame time: natural motion${plans.some(({ flickerPercent }) => flickerPercent > 0) ? `, and ${figureWords(Math.max(...plans.map(({ flickerPercent }) => flickerPercent)), '%')} of flicker left` : ''}.`;
  return {
    name: 'Shutter',
    set: atBothEnds(plans, ({ shutterS }) => figureWords(shutterS, 's')),
    why: why + dimmerRipple(rig, plans),
    figure: 'shutter'
  };
}

/** What a lamp dimmed by slow pulses leaves in the picture, where it may be seen. */
function dimmerRipple({ keyLamp }: PlacedRig, plans: Plans): string {
  const pwmHz = keyLamp?.part.gear.pwmHz;
  if (pwmHz === undefined) return '';
  const shortestS = Math.min(...plans.map(({ shutterS }) => shutterS));
  const percent = pwmRipplePercent(pwmHz, shortestS);
  return percent < FLICKER_PERCENT.fine
    ? ''
    : ` Dimmed, ${keyLamp!.part.gear.model} pulses ${pwmHz} times a second and leaves up to ${figureWords(percent, '%')} of ripple: turn it up and set it farther off.`;
}

function aperture(
  { angle, overrides, lens }: PlacedRig,
  { task }: SolvedExposure,
  plans: Plans
): Setting {
  const widest = task.apertureWidestN;
  const [dim, bright] = plans;
  const wideOpen = (plan: ExposurePlan) => plan.apertureN <= widest + 0.01;
  const why =
    overrides?.apertureN !== undefined
      ? 'As you have set it.'
      : wideOpen(dim) && wideOpen(bright)
        ? `The widest ${lens!.name} has here: most light, softest background.`
        : task.depthN !== undefined &&
            dim.apertureN >= task.depthN - 0.05 &&
            dim.apertureN <= task.depthN * A_STOP_CLOSED
          ? 'Stopped down until all that should be sharp is.'
          : task.blurN !== undefined
            ? 'Between the light there is, the blur asked for and what has to be sharp, this costs the picture least.'
            : 'Closed as far as the light is too much: it costs nothing where the background may be sharp.';
  return {
    name: 'Aperture',
    set: atBothEnds(plans, ({ apertureN }) => figureWords(apertureN, 'f/')),
    why,
    others: wideOpen(dim)
      ? showsFace(angle)
        ? 'One stop down, so that nose and ears are sharp together.'
        : 'One or two stops down, so that more of what is filmed is sharp.'
      : 'Wide open: the blur is the look.',
    figure: 'aperture'
  };
}

function iso({ angle }: PlacedRig, plans: Plans, { task }: SolvedExposure): Setting {
  const [dim] = plans;
  const fall = `${figureWords(dim.lx, 'lx')} fall on ${subjectWords(angle)}`;
  const clean = task.isoUsable / 4;
  return {
    name: 'ISO',
    // A step of the dial, not a measure: 125 is not 130.
    set: atBothEnds(plans, ({ iso: needed }) =>
      needed <= task.isoLowest ? `ISO ${Math.round(needed)}` : `ISO ${isoToSet(needed)}`
    ),
    why:
      dim.iso > clean
        ? `${fall} at the dimmest; noise shows, more light would lower it${task.lampsLx > 0 && dim.lampShare < 1 ? ': turn the lamps up before this' : ''}.`
        : `${fall} at the dimmest: clean.`,
    figure: 'isoDim'
  };
}

function density(
  rig: PlacedRig,
  { task }: SolvedExposure,
  plans: Plans,
  { densityNeeded }: AngleJudgement['record']
): Setting {
  const filterOf = ({ filter }: ExposurePlan): FilterGear | undefined =>
    filter && rig.densityFilters[task.filters.indexOf(filter)]?.gear;
  const words = (plan: ExposurePlan) => {
    const filter = filterOf(plan);
    if (!filter) return 'off';
    return filter.form === 'fixed density' || plan.densityStops < SET_STOPS
      ? filter.model
      : `${filter.model} at ${figureWords(plan.densityStops, 'stops')}`;
  };
  return {
    name: 'Neutral density (ND)',
    set: atBothEnds(plans, words),
    why: plans.some(({ filter }) => filter)
      ? 'Takes away what is too bright for this shutter and aperture, so that neither has to change.'
      : densityNeeded !== undefined && densityNeeded >= 1
        ? `No filter that fits helps here; ${figureWords(densityNeeded, 'stops')} would keep natural motion.`
        : 'There is no more light than the camera can take.',
    others: 'Stop down instead, and live with a sharper background.',
    figure: 'densityBright'
  };
}

const lamps = (plans: Plans): Setting => ({
  name: 'Your lamps',
  set: atBothEnds(plans, ({ lampShare }) =>
    lampShare <= 0
      ? 'off'
      : lampShare >= 1
        ? 'full'
        : `turned down to ${figureWords(Math.max(1, Math.round(100 * lampShare)), '%')}`
  ),
  why: plans.every(({ lampShare }) => lampShare >= 1)
    ? 'The camera can use all they give.'
    : 'At full they are more than the base ISO can take; dim them, or move them back.',
  figure: 'faceInUse'
});
