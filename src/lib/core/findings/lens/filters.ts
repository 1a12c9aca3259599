import { cornersCostOf, diffractionCost, exposureCosts, shutterCost } from '../../exposure/costs';
import { figureWords } from '../../figures/figure-words';
import { fullName } from '../../model/gear';
import { MIRED_DIFFERENCE } from '../../relations/lighting/colour';
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
import { lensLine } from '../lens-proposals';
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
        (gear.stopsMin ?? gear.stopsMax ?? 0) <= need + NEAR_ENOUGH_STOPS
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

/** What costs the picture most in bright light. */
function causeOf(figures: {
  readonly [
    id in
      'overexposed' | 'shutterBright' | 'fps' | 'apertureBright' | 'diffractionCap' | 'cornerChange'
  ]: number | undefined;
}): Cause {
  const costs: [Cause, number][] = [
    ['overexposure', exposureCosts.wrong * figures.overexposed!],
    ['short shutter', shutterCost(figures.shutterBright!, figures.fps!).shorter],
    ['dark corners', cornersCostOf(figures.cornerChange!)],
    ['small aperture', diffractionCost(figures.apertureBright!, figures.diffractionCap!)]
  ];
  return costs.sort((one, other) => other[1] - one[1])[0]![0];
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
    reads: [
      'tooBright',
      'tooBrightBlocked',
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
    ],
    judge: (rig, figures) => {
      const size = figures.tooBright;
      if (size === undefined) return undefined;
      const severity = exposureSeverity(size, figures.tooBrightBlocked! > 0);
      if (!severity) return undefined;
      const cause = causeOf(figures);
      const shutter = figures.shutterBright!;
      const half = 1 / (2 * figures.fps!);
      const n = figures.apertureBright!;
      const shared = {
        severity,
        lineIds: [...lensLine(rig), ...(rig.filter ? [rig.filter.line.id] : [])]
      };
      const light = () => figureWords(figures.faceBright!, 'lx');
      const needed = () =>
        figures.densityNeeded! >= 1
          ? ` ND of ${figureWords(figures.densityNeeded!, 'stops')} would keep natural motion. ${filterWords(rig)}`
          : '';
      switch (cause) {
        case 'overexposure':
          return {
            ...shared,
            figure: 'overexposed',
            has: figures.overexposed!,
            needs: 0,
            unit: 'stops',
            title: () =>
              `${rig.scene.name}: overexposed by ${figureWords(figures.overexposed!, 'stops')} in the brightest light`,
            why: () =>
              `At ${figureWords(n, 'f/')} and ${figureWords(shutter, 's')} in ${light()} even the base ISO is too much.${needed()}`
          };
        case 'short shutter':
          return {
            ...shared,
            figure: 'shutterBright',
            has: shutter,
            needs: half,
            unit: 's',
            title: () =>
              `${rig.scene.name}: ${figureWords(shutter, 's')} makes motion choppy in the brightest light (natural is ${figureWords(half, 's')})`,
            why: () =>
              `In ${light()} the shutter has to be that short at ${figureWords(n, 'f/')} and base ISO.${needed()}`
          };
        case 'dark corners':
          return {
            ...shared,
            about: 'corners',
            figure: 'cornerChange',
            has: figures.cornerChange!,
            needs: exposureCosts.corners.to,
            unit: 'stops',
            title: () =>
              `${rig.scene.name}: the variable filter changes the corners by ${figureWords(figures.cornerChange!, 'stops')}`,
            why: () =>
              `Set to ${figureWords(figures.densityBright!, 'stops')} at ${figureWords(figures.equivalentFocalLength!, 'mm')} equivalent, two corners darken and two brighten. A fixed filter does not.`
          };
        case 'small aperture':
          return {
            ...shared,
            figure: 'apertureBright',
            has: n,
            needs: figures.diffractionCap!,
            unit: 'f/',
            title: () =>
              `${rig.scene.name}: ${figureWords(n, 'f/')} softens the picture (sharpest up to ${figureWords(figures.diffractionCap!, 'f/')})`,
            why: () =>
              `In ${light()} the lens is closed past the point where diffraction shows.${needed()}`
          };
      }
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
  // What nobody states counts as no filter; where one would help, its seller is asked.
  figureRow({
    code: 'L8',
    family: 'lens',
    about: 'too bright, and the filter does not say how much it takes',
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
