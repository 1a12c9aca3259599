import { cornersCostOf, diffractionCost, exposureCosts, shutterCost } from '../../exposure/costs';
import { figureWords } from '../../figures/figure-words';
import type { Figures } from '../../figures/record';
import type { FigureUnit } from '../../figures/rows';
import { fullName } from '../../model/gear';
import { MIRED_DIFFERENCE } from '../../relations/lighting/colour';
import { openConnection } from '../../rigs/open-connections';
import type { PlacedRig } from '../../rigs/placed-rig';
import { chainProposals } from '../chain-proposals';
import { EXPOSURE_SIZE, exposureSeverity } from '../exposure-severity';
import {
  type AngleContext,
  type AngleFindingRow,
  figureRow,
  type Proposal,
  rigRow
} from '../finding';
import { cheapestOf, leaveOut, swapFor, swapTo } from '../part-candidates';
import { releasedSettings } from '../release-settings';

/** A filter serves where it takes about what is needed: this far short or past it, the plan makes up for it. */
const NEAR_ENOUGH_STOPS = 2;

/** Neutral density for the lens in use: rings for one of the kit that does not fit, else one of the shelf. */
export function densityProposals(context: AngleContext): Proposal[] {
  const { rig, shelf, project, figures } = context;
  const thread = rig.lens?.gear?.filterThreadMm;
  const need = figures.densityNeeded ?? 0;
  if (thread === undefined || need < 1) return [];
  // A denser one serves as well where the aperture can open for it.
  const widest = figures.apertureWidest ?? 1;
  const smallest = Math.min(figures.apertureSmallest ?? widest, figures.diffractionCap ?? Infinity);
  const most = need + Math.max(0, 2 * Math.log2(smallest / widest));
  const { filter } = rig;
  const proposals: Proposal[] = [];
  if (filter && !rig.filterFits) proposals.push(...chainProposals(context, 'filter on lens'));
  for (const form of ['fixed density', 'variable density'] as const) {
    const parts = cheapestOf(
      shelf,
      project,
      'filter',
      (gear) =>
        gear.form === form &&
        gear.threadMm >= thread &&
        (gear.stopsMax ?? 0) >= need - NEAR_ENOUGH_STOPS &&
        (gear.stopsMin ?? gear.stopsMax ?? 0) <= most
    );
    if (filter)
      proposals.push({
        parts,
        label: (gear) => `Swap to ${gear.model}`,
        act: swapFor(filter.line.id)
      });
    proposals.push({ parts, label: (gear) => `Add ${gear.model}` });
  }
  return proposals;
}

type Cause = 'overexposure' | 'short shutter' | 'small aperture' | 'dark corners';

const brightFigures = [
  'overexposed',
  'shutterBright',
  'fps',
  'apertureBright',
  'diffractionCap',
  'cornerChange',
  'densityNeeded',
  'densityBright',
  'faceBright',
  'equivalentFocalLength'
] as const;
type BrightFigures = Figures<(typeof brightFigures)[number]>;

/** What costs the picture most in bright light. */
function causeOf(figures: BrightFigures): Cause {
  const over = exposureCosts.wrong * figures.overexposed!;
  const short = shutterCost(figures.shutterBright!, figures.fps!).shorter;
  const corners = cornersCostOf(figures.cornerChange!);
  const small = diffractionCost(figures.apertureBright!, figures.diffractionCap!);
  const most = Math.max(over, short, corners, small);
  if (most === over) return 'overexposure';
  if (most === short) return 'short shutter';
  return most === corners ? 'dark corners' : 'small aperture';
}

interface Told {
  figure: (typeof brightFigures)[number];
  unit: FigureUnit;
  needs: (figures: BrightFigures) => number;
  title: (figures: BrightFigures) => string;
  why: (figures: BrightFigures) => string;
}

const halfFrameS = ({ fps }: BrightFigures) => 1 / (2 * fps!);
const inLight = ({ faceBright }: BrightFigures) => `In ${figureWords(faceBright!, 'lx')}`;
const atBright = ({ apertureBright }: BrightFigures) => figureWords(apertureBright!, 'f/');

/** Each cause in words. */
const told: Readonly<Record<Cause, Told>> = {
  overexposure: {
    figure: 'overexposed',
    unit: 'stops',
    needs: () => 0,
    title: ({ overexposed }) =>
      `overexposed by ${figureWords(overexposed!, 'stops')} in the brightest light`,
    why: (figures) =>
      `${inLight(figures)} even the base ISO is too much at ${atBright(figures)} and ${figureWords(figures.shutterBright!, 's')}.`
  },
  'short shutter': {
    figure: 'shutterBright',
    unit: 's',
    needs: halfFrameS,
    title: (figures) =>
      `${figureWords(figures.shutterBright!, 's')} makes motion choppy in the brightest light (natural is ${figureWords(halfFrameS(figures), 's')})`,
    why: (figures) => `${inLight(figures)} at ${atBright(figures)} and base ISO it is that short.`
  },
  'dark corners': {
    figure: 'cornerChange',
    unit: 'stops',
    needs: () => exposureCosts.corners.to,
    title: ({ cornerChange }) =>
      `the variable filter changes the corners by ${figureWords(cornerChange!, 'stops')}`,
    why: ({ densityBright, equivalentFocalLength }) =>
      `Set to ${figureWords(densityBright!, 'stops')} at ${figureWords(equivalentFocalLength!, 'mm')} equivalent, two corners darken and two brighten. A fixed filter does not.`
  },
  'small aperture': {
    figure: 'apertureBright',
    unit: 'f/',
    needs: ({ diffractionCap }) => diffractionCap!,
    title: (figures) =>
      `${atBright(figures)} softens the picture (sharpest up to ${figureWords(figures.diffractionCap!, 'f/')})`,
    why: (figures) =>
      `${inLight(figures)} the lens is closed past the point where diffraction shows.`
  }
};

/** What the plan may not change. */
function byHandWords({ overrides }: PlacedRig): string {
  const said = [
    ...(overrides?.apertureN === undefined ? [] : ['aperture']),
    ...(overrides?.shutterS === undefined ? [] : ['shutter'])
  ];
  return said.length === 0 ? '' : ` Set by hand: ${said.join(' and ')}.`;
}

function remedyWords(rig: PlacedRig, { densityNeeded }: BrightFigures): string {
  return densityNeeded! >= 1
    ? ` ND of ${figureWords(densityNeeded!, 'stops')} would keep natural motion. ${filterWords(rig)}`
    : '';
}

function filterWords(rig: PlacedRig): string {
  const { filter, lens } = rig;
  const thread = lens?.gear?.filterThreadMm;
  if (thread === undefined) return `${lens?.name ?? 'The lens'} takes no filter.`;
  if (!filter) return 'No neutral density is in the kit.';
  return rig.filterFits
    ? `${fullName(filter.gear)} is in the kit and does not take enough here.`
    : `${fullName(filter.gear)} has ${filter.gear.threadMm} mm and the lens ${thread} mm: a step-up ring is missing.`;
}

/** L8, L10. */
export const filtersFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'L8',
    family: 'lens',
    about: 'too bright: a short shutter, a small aperture, dark corners or overexposure',
    reads: ['tooBright', 'tooBrightBlocked', ...brightFigures],
    judge: (rig, figures) => {
      const size = figures.tooBright;
      if (size === undefined) return undefined;
      const severity = exposureSeverity(size, figures.tooBrightBlocked! > 0);
      if (!severity) return undefined;
      const cause = causeOf(figures);
      const { figure, unit, needs, title, why } = told[cause];
      const { lens, filter } = rig;
      const lineIds = lens ? [lens.lineId] : [];
      if (filter) lineIds.push(filter.line.id);
      return {
        severity,
        about: cause === 'dark corners' ? 'corners' : '',
        lineIds,
        figure,
        has: figures[figure]!,
        needs: needs(figures),
        unit,
        title: () => `${rig.scene.name}: ${title(figures)}`,
        why: () =>
          why(figures) +
          byHandWords(rig) +
          (cause === 'dark corners' ? '' : remedyWords(rig, figures))
      };
    },
    propose: (context, held) => {
      const { rig, figures } = context;
      const { filter } = rig;
      const proposals: Proposal[] = [...releasedSettings(context)];
      if (held.about === 'corners' && filter)
        proposals.push(
          swapTo(
            context,
            'filter',
            filter.line.id,
            (gear) =>
              gear.form === 'fixed density' &&
              gear.threadMm >= (rig.lens?.gear?.filterThreadMm ?? 0) &&
              (gear.stopsMax ?? 0) >= (figures.densityBright ?? 0) - NEAR_ENOUGH_STOPS
          )
        );
      proposals.push(...densityProposals(context));
      if (figures.apertureForBlur !== undefined)
        proposals.push({
          label: 'Let the background be sharp',
          act: { type: 'change scene', sceneId: rig.scene.id, patch: { wantsBlurPercent: 0 } }
        });
      return proposals;
    }
  }),
  rigRow({
    code: 'L8',
    family: 'lens',
    about: 'the filter does not screw on',
    judge: (rig) => {
      const open = openConnection(rig, 'filter on lens');
      if (!open || !rig.filter) return undefined;
      const { filter, lens } = rig;
      return {
        severity: 'note',
        about: `ring ${filter.line.id}`,
        lineIds: [filter.line.id],
        has: filter.gear.threadMm,
        needs: lens!.gear!.filterThreadMm,
        unit: 'mm',
        title: () => `${filter.gear.model} does not screw on ${lens!.gear!.model}`,
        why: () =>
          lens!.gear!.filterThreadMm === undefined
            ? `It is not stated which filter thread ${lens!.name} has.`
            : `It has ${filter.gear.threadMm} mm and the lens ${lens!.gear!.filterThreadMm} mm: a step-up ring is missing.`
      };
    },
    propose: (context) => chainProposals(context, 'filter on lens')
  }),
  // What nobody states counts as no filter; where one would help, its seller is asked.
  figureRow({
    code: 'L8',
    family: 'lens',
    about: 'too bright, and the filter does not say how much it takes',
    onlyNotes: true,
    reads: ['tooBright', 'blurShort', 'filterMost'],
    judge: (_, figures) => {
      if (Math.max(figures.tooBright ?? 0, figures.blurShort ?? 0) >= EXPOSURE_SIZE.note)
        void figures.filterMost;
      return undefined;
    },
    propose: () => []
  }),
  figureRow({
    code: 'L10',
    family: 'lens',
    about: 'a filter’s colour cast',
    reads: ['filterCast'],
    judge: (rig, figures) => {
      const cast = figures.filterCast;
      const severity =
        cast === undefined ? undefined : exposureSeverity(exposureCosts.castPerMired * cast);
      const filter = rig.densityFilters.find(
        ({ gear }) => gear.castMired === undefined || gear.castMired === cast
      );
      if (!severity || !filter) return undefined;
      return {
        severity,
        about: 'cast',
        lineIds: [filter.line.id],
        figure: 'filterCast',
        has: cast!,
        needs: MIRED_DIFFERENCE.seen,
        unit: 'mired',
        title: () => `${filter.gear.model} shifts the colour by ${figureWords(cast!, 'mired')}`,
        why: () =>
          `From ${figureWords(MIRED_DIFFERENCE.seen, 'mired')} on a cast is seen. Set the white balance with the filter on.`
      };
    },
    propose: (context, held) => [
      swapTo(
        context,
        'filter',
        held.lineIds![0]!,
        (gear) =>
          (gear.castMired ?? Infinity) < MIRED_DIFFERENCE.seen &&
          gear.threadMm >= (context.rig.lens?.gear?.filterThreadMm ?? 0) &&
          (gear.stopsMax ?? 0) >= (context.figures.densityNeeded ?? 0) - NEAR_ENOUGH_STOPS
      )
    ]
  }),
  rigRow({
    code: 'L10',
    family: 'lens',
    about: 'a diffusion filter’s lost contrast',
    judge: (rig) => {
      const haze = rig.kit.of('filter').find(({ gear }) => gear.form === 'diffusion');
      if (!haze || !rig.lens || rig.lens.builtIn) return undefined;
      return {
        severity: 'note',
        about: 'diffusion',
        lineIds: [haze.line.id],
        title: () => `${haze.gear.model} lowers contrast`,
        why: () =>
          'A diffusion filter softens skin and lets lights glow, and lifts the blacks of the whole picture; it cannot be taken out again afterwards.'
      };
    },
    propose: ({ rig }) => {
      const haze = rig.kit.of('filter').find(({ gear }) => gear.form === 'diffusion')!;
      return [leaveOut(haze.line, haze.gear.model)];
    }
  })
];
