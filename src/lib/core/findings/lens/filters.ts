import { figureWords } from '../../figures/figure-words';
import { fullName } from '../../model/gear';
import { apertureSteps } from '../../relations/exposure/aperture-steps';
import { neutralDensityStops } from '../../relations/exposure/exposure';
import { shutterSteps } from '../../relations/exposure/shutter';
import { CORNER_CHANGE_WARN_STOPS } from '../../relations/exposure/variable-density-corners';
import { MIRED_DIFFERENCE } from '../../relations/lighting/colour';
import { chainProposals } from '../chain-proposals';
import { figureRow, type AngleFindingRow, type Proposal } from '../finding';
import { lensLine } from '../lens-proposals';
import { cheapestOf, leaveOut, setRig, swapFor, swapTo } from '../part-candidates';
import { lensLines } from './lens-lines';

/** Half a stop of missing density drowns in the metering. */
const DENSITY_TOLERANCE_STOPS = 0.5;

const DENSITY_STOP_FROM_STOPS = 3;

/** L8, L10. */
export const filtersFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'L8',
    family: 'lens',
    about: 'neutral density is missing, short or does not screw on',
    reads: ['densityShort', 'densityNeeded', 'filterMost', 'lightBright'],
    judge: (rig, figures) => {
      const short = figures.densityShort;
      if (short === undefined || short <= DENSITY_TOLERANCE_STOPS) return undefined;
      const need = figures.densityNeeded!;
      const most = figures.filterMost ?? 0;
      const thread = rig.lens?.gear?.filterThreadMm;
      return {
        severity: short > DENSITY_STOP_FROM_STOPS ? 'stop' : 'warn',
        lineIds: [...lensLine(rig), ...(rig.filter ? [rig.filter.line.id] : [])],
        figure: 'densityNeeded',
        has: most,
        needs: need,
        unit: 'stops',
        title: () =>
          `${rig.scene.name}: needs ${figureWords(need, 'stops')} of ND at ${figureWords(rig.apertureN!, 'f/')} in the brightest light`,
        why: () => {
          if (rig.filter && !rig.filterFits) {
            return thread === undefined
              ? `${rig.lens?.name} has no filter thread, so ${fullName(rig.filter.gear)} cannot go before it.`
              : `${fullName(rig.filter.gear)} has ${rig.filter.gear.threadMm} mm and the lens ${thread} mm: a step-up ring is missing.`;
          }
          return rig.filter
            ? `${fullName(rig.filter.gear)} takes ${figureWords(most, 'stops')}; the rest blows out or costs the shutter.`
            : `No neutral density is in the kit: in ${figureWords(figures.lightBright!, 'lx')} the picture blows out, or the shutter turns motion choppy.`;
        }
      };
    },
    propose: (context) => {
      const { rig, shelf, project, figures } = context;
      const proposals: Proposal[] = [];
      const shutterS = figures.shutter;
      const bright = figures.lightBright;
      const base = figures.baseIso;
      const most = figures.filterMost ?? 0;
      const cap = figures.diffractionCap ?? Infinity;
      /** What glass and closeness keep back stays in proportion at every aperture. */
      const asLightFindsIt = figures.lightAperture! / figures.aperture!;
      if (shutterS !== undefined && bright !== undefined && base !== undefined) {
        const apertureN = apertureSteps.find(
          (step) =>
            step > rig.apertureN! &&
            neutralDensityStops(step * asLightFindsIt, shutterS, bright, base) <=
              most + DENSITY_TOLERANCE_STOPS
        );
        if (
          apertureN !== undefined &&
          apertureN <= Math.min(cap, rig.lens?.apertureSmallestN ?? Infinity)
        ) {
          proposals.push({
            label: `Stop down to f/${apertureN}`,
            act: setRig(context, { apertureN })
          });
        }
      }
      const smallest = [...apertureSteps]
        .reverse()
        .find((step) => step <= Math.min(cap, rig.lens?.apertureSmallestN ?? Infinity));
      if (smallest !== undefined && smallest > rig.apertureN!) {
        proposals.push({
          label: `Stop down to f/${smallest}`,
          act: setRig(context, { apertureN: smallest })
        });
      }
      if (rig.filter && !rig.filterFits) {
        const rings = chainProposals(context, 'filter on lens');
        proposals.push(...rings);
        const ring = rings[0];
        const filterMost = rig.filter.gear.stopsMax ?? 0;
        const stopped =
          shutterS === undefined || bright === undefined || base === undefined
            ? undefined
            : apertureSteps.find(
                (step) =>
                  step > rig.apertureN! &&
                  neutralDensityStops(step * asLightFindsIt, shutterS, bright, base) <=
                    filterMost + DENSITY_TOLERANCE_STOPS
              );
        if (
          ring &&
          'act' in ring &&
          !('parts' in ring) &&
          stopped !== undefined &&
          stopped <= cap
        ) {
          proposals.push({
            label: `${ring.label} and stop down to f/${stopped}`,
            act: { type: 'batch', acts: [ring.act, setRig(context, { apertureN: stopped })] }
          });
        }
      }
      const thread = rig.lens?.gear?.filterThreadMm;
      if (thread !== undefined) {
        const need = figures.densityNeeded!;
        for (const form of ['variable density', 'fixed density'] as const) {
          proposals.push({
            parts: cheapestOf(
              shelf,
              project,
              'filter',
              (gear) =>
                gear.form === form &&
                gear.threadMm >= thread &&
                (gear.stopsMax ?? 0) >= need - DENSITY_TOLERANCE_STOPS
            ),
            label: (gear) => `${rig.filter ? 'Swap to' : 'Add'} ${gear.model}`,
            act: rig.filter ? swapFor(rig.filter.line.id) : undefined
          });
        }
      }
      // What people do when no filter is at hand: a short shutter, paid for in motion; and when even
      // that is not enough, a smaller opening with it.
      if (bright !== undefined && base !== undefined) {
        for (const apertureN of [rig.apertureN!, smallest ?? rig.apertureN!]) {
          const step = shutterSteps.find(
            (one) =>
              one > 2 * rig.scene.fps &&
              neutralDensityStops(apertureN * asLightFindsIt, 1 / one, bright, base) <=
                most + DENSITY_TOLERANCE_STOPS
          );
          if (step === undefined) continue;
          proposals.push({
            label: `${apertureN === rig.apertureN ? '' : `Stop down to f/${apertureN}, `}${apertureN === rig.apertureN ? 'Shutter' : 'shutter'} 1/${step} s: motion turns choppy`,
            act: setRig(
              context,
              apertureN === rig.apertureN
                ? { shutterS: 1 / step }
                : { apertureN, shutterS: 1 / step }
            )
          });
          break;
        }
      }
      return proposals;
    }
  }),
  figureRow({
    code: 'L8',
    family: 'lens',
    about: 'a variable filter darkens the corners of a wide picture',
    reads: ['cornerChange', 'densityNeeded', 'equivalentFocalLength'],
    judge: (rig, figures) => {
      const change = figures.cornerChange;
      if (change === undefined || change <= CORNER_CHANGE_WARN_STOPS) return undefined;
      return {
        severity: 'note',
        about: 'corners',
        lineIds: [rig.filter!.line.id, ...lensLines(rig.lens)],
        figure: 'cornerChange',
        has: change,
        needs: CORNER_CHANGE_WARN_STOPS,
        unit: 'stops',
        title: () => `${rig.scene.name}: the filter shades two corners`,
        why: () =>
          `Set to ${figureWords(figures.densityNeeded!, 'stops')} at ${figureWords(figures.equivalentFocalLength!, 'mm')} equivalent, ${fullName(rig.filter!.gear)} makes two corners ${figureWords(change, 'stops')} darker than the middle. A fixed one does not.`
      };
    },
    propose: (context) => {
      const { rig, figures } = context;
      const need = figures.densityNeeded!;
      return [
        swapTo(
          context,
          'filter',
          rig.filter!.line.id,
          (gear) =>
            gear.form === 'fixed density' &&
            gear.threadMm >= (rig.lens?.gear?.filterThreadMm ?? 0) &&
            (gear.stopsMax ?? 0) >= need - 1
        )
      ];
    }
  }),
  figureRow({
    code: 'L10',
    family: 'lens',
    about: 'a filter’s colour cast, or a diffusion filter’s lost contrast',
    reads: ['filterCast', 'densityNeeded'],
    judge: (rig, figures) => {
      const cast = figures.filterCast;
      if (cast !== undefined && cast >= MIRED_DIFFERENCE.seen && (figures.densityNeeded ?? 0) > 0)
        return {
          severity: cast >= MIRED_DIFFERENCE.strong ? 'warn' : 'note',
          about: 'cast',
          lineIds: [rig.filter!.line.id],
          figure: 'filterCast',
          has: cast,
          needs: MIRED_DIFFERENCE.seen,
          unit: 'mired',
          title: () => `${rig.filter!.gear.model} colours the picture`,
          why: () =>
            `It shifts the white by ${figureWords(cast, 'mired')}; from ${MIRED_DIFFERENCE.seen} on it is seen. Set the white balance with the filter on.`
        };
      const haze = rig.kit.of('filter').find(({ gear }) => gear.form === 'diffusion');
      if (!haze || !rig.lens || rig.lens.builtIn) return undefined;
      return {
        severity: 'note',
        about: 'diffusion',
        lineIds: [haze.line.id],
        title: () => `${haze.gear.model} takes contrast away`,
        why: () =>
          'A diffusion filter softens skin and lets lights glow, and lifts the blacks of the whole picture; it cannot be taken out again afterwards.'
      };
    },
    propose: (context, held) => {
      const { rig } = context;
      if (held.about === 'cast')
        return [
          swapTo(
            context,
            'filter',
            rig.filter!.line.id,
            (gear) =>
              (gear.castMired ?? Infinity) < MIRED_DIFFERENCE.seen &&
              gear.threadMm >= (rig.lens?.gear?.filterThreadMm ?? 0) &&
              (gear.stopsMax ?? 0) >= (context.figures.densityNeeded ?? 0) - 1
          )
        ];
      const haze = rig.kit.of('filter').find(({ gear }) => gear.form === 'diffusion')!;
      return [leaveOut(haze.line, haze.gear.model)];
    }
  })
];
