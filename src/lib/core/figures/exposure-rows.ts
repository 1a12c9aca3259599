import { filterSetOf, filterSetWords } from '../exposure/filter-sets';
import { costOfSharing, type SolvedExposure, solvedFrom } from '../exposure/solved-exposure';
import { exposureCosts } from '../exposure/costs';
import { apertureForBlurN } from '../relations/optics/background-blur';
import { neutralDensityStops } from '../relations/exposure/exposure';
import { variableDensityCornerStops } from '../relations/exposure/variable-density-corners';
import { inputsOf, MUST_BE_THERE, taskOf } from './exposure-inputs';
import { NO_PART } from '../model/word-lists';
import { widestApertureN } from '../rigs/place-lens';
import type { FigureRow, FigureRows, LightEnd } from './rows';

/** A cast nobody states may be as strong as this: the worse end of what is asked. */
const WORST_CAST_MIRED = 45;

const planRow = (end: LightEnd): FigureRow => ({
  name: `exposure plan at the ${end} end, cost`,
  unit: 'stops',
  from: inputsOf(end),
  relation: 'the settings that do not block and cost least',
  mustBeThere: MUST_BE_THERE,
  end,
  solve: (inputs) => solvedFrom(inputs, taskOf)
});

const bothEnds = ['exposureDim', 'exposureBright'] as const;

/** The larger of what both plans say. */
const atWorst =
  (read: (solved: SolvedExposure) => number) => (dim: SolvedExposure, bright: SolvedExposure) =>
    Math.max(read(dim), read(bright));

/** The change in the corners of what the filter in use is set to. */
function cornerChange({ plan, task }: SolvedExposure): number {
  const { filter, densityStops } = plan;
  if (!filter || filter.stopsMax === filter.stopsMin || densityStops < LEAST_SET_STOPS) return 0;
  const { darker, lighter } = variableDensityCornerStops(
    task.equivalentFocalLengthMm,
    Math.min(densityStops, MOST_SET_STOPS)
  );
  return Math.max(darker, lighter);
}
/** A variable filter is not set weaker than this, nor crossed further than that. */
const LEAST_SET_STOPS = 0.01;
const MOST_SET_STOPS = 12;

/** What the camera is set to at either end of the light, and what that costs. */
export const exposureRows = {
  apertureWidest: {
    name: 'widest aperture at this focal length',
    unit: 'f/',
    source: 'lens',
    read: ({ lens, focalLengthMm }) =>
      lens && focalLengthMm !== undefined ? widestApertureN(lens, focalLengthMm) : null
  },
  apertureSmallest: {
    name: 'smallest aperture',
    unit: 'f/',
    source: 'lens',
    // How far a lens closes that nobody states counts as not at all: never better than its worse end.
    read: ({ lens, focalLengthMm }) => {
      if (!lens || focalLengthMm === undefined) return null;
      const widest = widestApertureN(lens, focalLengthMm);
      return Math.max(widest, lens.apertureSmallestN ?? widest);
    }
  },
  apertureSaid: {
    name: 'aperture set by hand',
    unit: 'f/',
    source: 'setting',
    read: ({ overrides }) => overrides?.apertureN ?? null
  },
  filterSaid: {
    name: 'filter put on by hand',
    unit: 'yes/no',
    source: 'setting',
    read: ({ overrides }) =>
      overrides?.filterLineId === undefined || overrides.filterLineId === NO_PART ? null : 1
  },
  densityFilters: {
    name: 'neutral density filters that screw on',
    unit: 'word',
    wordOf: filterSetWords,
    source: 'kit',
    // One nobody states the stops of is as good as none: one more filter never harms.
    read: ({ densityFilters }) =>
      densityFilters.length === 0
        ? null
        : filterSetOf(
            densityFilters.map(({ gear }) => ({
              stopsMin:
                gear.form === 'fixed density' ? gear.stopsMax! : (gear.stopsMin ?? gear.stopsMax!),
              stopsMax: gear.stopsMax!,
              castMired: gear.castMired ?? WORST_CAST_MIRED,
              massG: gear.massG ?? 0
            }))
          )
  },
  blurFirst: {
    name: 'a soft background goes before depth',
    unit: 'yes/no',
    source: 'brief',
    read: ({ project }) => (project.school === 'lenses first' ? 1 : 0)
  },
  placePulses: {
    name: 'share of the place’s light that pulses with the mains',
    unit: '×',
    source: 'brief',
    // Daylight does not; lamps found on the spot may do so wholly.
    read: ({ scene }) => (scene.room ? (scene.lightSource === 'window' ? 0 : 1) : null)
  },
  placeLightDim: {
    name: 'light of the place and the window at its dimmest',
    unit: 'lx',
    from: ['lightDim', 'windowDim'],
    whenAbsent: 0,
    relation: 'place + window',
    compute: (place, window) => place! + window!
  },
  placeLightBright: {
    name: 'light of the place and the window at its brightest',
    unit: 'lx',
    from: ['lightBright', 'windowBright'],
    whenAbsent: 0,
    relation: 'place + window',
    compute: (place, window) => place! + window!
  },
  ownLight: {
    name: 'light of your own lamps at full',
    unit: 'lx',
    from: ['keyLight', 'fillLight', 'overheadLight'],
    whenAbsent: 0,
    relation: 'key + fill + overhead',
    compute: (key, fill, overhead) => key! + fill! + overhead!
  },
  apertureForSharp: {
    name: 'aperture for the face and the row',
    unit: 'f/',
    from: ['focalLength', 'apertureForFace', 'apertureForRow'],
    whenAbsent: 0,
    relation: 'the smaller opening of the two; none where neither is asked for',
    compute: (_, face, row) => Math.max(face!, row!)
  },
  apertureForBlur: {
    name: 'largest f-number that blurs the background as asked',
    unit: 'f/',
    from: ['focalLength', 'subjectDistance', 'backgroundDistance', 'longSide', 'blurWanted'],
    relation: 'f²·|D − d|/(D·(d − f)) ÷ (blur wanted · long side)',
    compute: (f, d, plane, side, wanted) => apertureForBlurN(f!, d!, plane!, side!, wanted!)
  },
  exposureDim: planRow('dim'),
  exposureBright: planRow('bright'),
  exposureCost: {
    name: 'cost of the exposure plan, both ends of the light',
    unit: 'stops',
    from: bothEnds,
    relation: 'mean of both ends',
    ofPlans: (dim, bright) => (dim.plan.cost + bright.plan.cost) / 2
  },
  tooDarkBlocked: {
    name: 'too dark for any setting',
    unit: 'yes/no',
    from: bothEnds,
    relation: 'ISO wanted above 2 × the highest or 8 × the usable one',
    ofPlans: (dim, bright) =>
      [dim, bright].some(({ plan }) => plan.blocks && plan.offStops <= 0) ? 1 : 0
  },
  tooBrightBlocked: {
    name: 'too bright for any setting',
    unit: 'yes/no',
    from: bothEnds,
    relation: 'overexposed by more than one stop',
    ofPlans: (dim, bright) =>
      [dim, bright].some(({ plan }) => plan.blocks && plan.offStops > 0) ? 1 : 0
  },
  tooDark: {
    name: 'noise, smear and underexposure',
    unit: 'stops',
    from: bothEnds,
    relation: 'noise past what is clean + shutter longer for want of light + underexposure',
    ofPlans: atWorst(({ plan }) => plan.sizes.tooDark)
  },
  tooBright: {
    name: 'short shutter, small aperture, dark corners and overexposure',
    unit: 'stops',
    from: bothEnds,
    relation: 'shutter shorter + diffraction + corners + overexposure',
    ofPlans: atWorst(({ plan }) => plan.sizes.tooBright)
  },
  depthShort: {
    name: 'depth of field short of what is asked',
    unit: 'stops',
    from: bothEnds,
    relation: '2·log2(N needed ÷ N), weighed',
    ofPlans: atWorst(({ plan }) => plan.sizes.depth)
  },
  blurShort: {
    name: 'background blur short of what is asked',
    unit: 'stops',
    from: bothEnds,
    relation: '2·log2(N ÷ largest N that blurs), weighed',
    ofPlans: atWorst(({ plan }) => plan.sizes.blur)
  },
  flickerSize: {
    name: 'flicker, and smear that is not for want of light',
    unit: 'stops',
    from: bothEnds,
    relation: 'flicker + shutter longer',
    ofPlans: atWorst(({ plan }) => plan.sizes.flicker)
  },
  filterCast: {
    name: 'colour cast of the filter in use',
    unit: 'mired',
    from: bothEnds,
    relation: 'as stated of the filter; 45 where nobody states it',
    ofPlans: atWorst(({ plan }) => plan.costs.cast / exposureCosts.castPerMired)
  },
  filterMass: {
    name: 'weight of the filter in use',
    unit: 'kg',
    from: bothEnds,
    relation: 'as stated of the filter; none where none is in use',
    ofPlans: atWorst(({ plan }) => (plan.filter?.massG ?? 0) / 1000)
  },
  cornerChange: {
    name: 'corners against the middle through the filter',
    unit: 'stops',
    from: bothEnds,
    relation: '|log2(cos²(θ ± δ)/cos²θ)|, δ = 2·atan(1/cos α′) − 90°',
    ofPlans: atWorst(cornerChange)
  },
  lightChangeCost: {
    name: 'cost of keeping aperture, shutter and filter while the light changes',
    unit: 'stops',
    from: bothEnds,
    relation: 'best pair that shares them − both plans',
    ofPlans: costOfSharing
  },
  aperture: {
    name: 'aperture',
    unit: 'f/',
    from: ['exposureDim'],
    relation: 'exposure plan at the dim end',
    ofPlans: ({ plan }) => plan.apertureN
  },
  apertureBright: {
    name: 'aperture at the bright end',
    unit: 'f/',
    from: ['exposureBright'],
    relation: 'exposure plan at the bright end',
    ofPlans: (_, { plan }) => plan.apertureN
  },
  shutter: {
    name: 'shutter',
    unit: 's',
    from: ['exposureDim'],
    relation: 'exposure plan at the dim end',
    ofPlans: ({ plan }) => plan.shutterS
  },
  shutterBright: {
    name: 'shutter at the bright end',
    unit: 's',
    from: ['exposureBright'],
    relation: 'exposure plan at the bright end',
    ofPlans: (_, { plan }) => plan.shutterS
  },
  isoDim: {
    name: 'ISO at the dim end',
    unit: 'ISO',
    from: ['exposureDim'],
    relation: '250·N²(1 + m)²·2^d/(τ·t·E), held within base and highest',
    ofPlans: ({ plan }) => plan.iso
  },
  isoNeededDim: {
    name: 'ISO needed at the dim end',
    unit: 'ISO',
    from: ['exposureDim'],
    relation: '250·N²(1 + m)²·2^d/(τ·t·E)',
    ofPlans: ({ plan }) => plan.iso * 2 ** -plan.offStops
  },
  isoBright: {
    name: 'ISO at the bright end',
    unit: 'ISO',
    from: ['exposureBright'],
    relation: '250·N²(1 + m)²·2^d/(τ·t·E), held within base and highest',
    ofPlans: (_, { plan }) => plan.iso
  },
  densityDim: {
    name: 'neutral density at the dim end',
    unit: 'stops',
    from: ['exposureDim'],
    relation: 'exposure plan at the dim end',
    ofPlans: ({ plan }) => plan.densityStops
  },
  densityBright: {
    name: 'neutral density at the bright end',
    unit: 'stops',
    from: ['exposureBright'],
    relation: 'exposure plan at the bright end',
    ofPlans: (_, { plan }) => plan.densityStops
  },
  faceInUse: {
    name: 'light on the face as set at the dim end, lamps turned down as needed',
    unit: 'lx',
    from: ['exposureDim'],
    relation: 'place + share of your own lamps',
    ofPlans: ({ plan }) => plan.lx
  },
  overexposed: {
    name: 'overexposed at the bright end',
    unit: 'stops',
    from: ['exposureBright'],
    relation: 'log2(ISO set ÷ ISO needed), not below zero',
    ofPlans: (_, { plan }) => Math.max(0, plan.offStops)
  },
  flickerLeft: {
    name: 'flicker left in the picture',
    unit: '%',
    from: ['flickerMains', ...bothEnds],
    relation: 'share of the light that pulses · |sin πx/(πx)|, x = 2·f·t',
    ofPlans: atWorst(({ plan }) => plan.flickerPercent)
  },
  // What a filter would have to take for the picture everyone wants: half the frame time and the blur asked for.
  densityNeeded: {
    name: 'neutral density for natural motion and the blur asked for, at the bright end',
    unit: 'stops',
    from: [
      'placeLightBright',
      'fps',
      'baseIso',
      'diffractionCap',
      'apertureSmallest',
      'apertureWidest',
      'apertureForBlur',
      'lensPasses'
    ],
    whenAbsent: 0,
    relation:
      'log2(E·t·S·τ/(250·N²)), t = 1/(2·fps), N the largest that blurs as asked, else the smallest in use',
    compute: (...[lx, fps, base, cap, smallest, widest, blurN, passes]: number[]) => {
      if (!(lx! > 0) || !(base! > 0) || !(widest! > 0)) return 0;
      const smallestN = Math.max(widest!, Math.min(cap! > 0 ? cap! : Infinity, smallest!));
      const n = blurN! > 0 ? Math.min(smallestN, Math.max(widest!, blurN!)) : smallestN;
      return neutralDensityStops(
        n / Math.sqrt(passes! > 0 ? passes! : 1),
        1 / (2 * fps!),
        lx!,
        base!
      );
    }
  }
} satisfies FigureRows;
