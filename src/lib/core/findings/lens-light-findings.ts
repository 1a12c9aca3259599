import { figureAt } from '../figures/record';
import { figureIndex } from '../figures/table';
import { figureWords } from '../figures/figure-words';
import { fullName } from '../model/gear';
import { neutralDensityStops } from '../relations/exposure/exposure';
import { shutterSteps } from '../relations/exposure/shutter';
import { apertureSteps } from '../relations/exposure/aperture-steps';
import { widestApertureN } from '../rigs/place-rig';
import { lensLine, otherLens } from './lens-proposals';
import { chainProposals } from './chain-proposals';
import type { AngleFindingRow, Proposal } from './finding';
import { cheapestOf, setRig, swapFor } from './part-candidates';

/** Half a stop of missing density drowns in the metering. */
const DENSITY_TOLERANCE_STOPS = 0.5;
const DENSITY_STOP_FROM_STOPS = 3;
/** Past the highest usable ISO by this much the picture is lost. */
const ISO_LOST_STOPS = 2;

/** Too little light for the lens, or too much. */
export const lensLightFindings: AngleFindingRow[] = [
  {
    code: 'L6',
    family: 'lens',
    scope: 'angle',
    about: 'not enough light at this aperture',
    reads: ['isoMargin'],
    judge: (rig, record) => {
      const margin = figureAt(record, figureIndex.isoMargin);
      if (margin === undefined || margin >= 0) return undefined;
      const needed = figureAt(record, figureIndex.isoNeededDim)!;
      const usable = figureAt(record, figureIndex.highestUsableIso)!;
      return {
        severity: margin < -ISO_LOST_STOPS ? 'stop' : 'warn',
        lineIds: [...lensLine(rig), ...(rig.body ? [rig.body.line.id] : [])],
        figure: 'isoNeededDim',
        has: usable,
        needs: needed,
        unit: 'ISO',
        title: () => `${rig.scene.name}: too dark for ${figureWords(rig.apertureN!, 'f/')}`,
        why: () =>
          `${figureWords(figureAt(record, figureIndex.faceDim)!, 'lx')} on the face needs ${Number.isFinite(needed) ? figureWords(needed, 'ISO') : 'more than any ISO'}; ${fullName(rig.body!.gear)} is clean up to about ${figureWords(usable, 'ISO')}.`
      };
    },
    propose: (context) => {
      const { rig, shelf, project, record } = context;
      const focal = figureAt(record, figureIndex.focalLengthWanted) ?? 0;
      const proposals: Proposal[] = [];
      if (rig.lens && rig.apertureN! > widestApertureN(rig.lens, rig.focalLengthMm!) + 0.01) {
        proposals.push({
          label: 'Open the aperture',
          act: setRig(context, { apertureN: undefined })
        });
      }
      if (rig.scene.room) {
        const ownLight = rig.scene.lightSource === 'lamps';
        proposals.push({
          parts: cheapestOf(shelf, project, 'lamp'),
          label: (gear) => `${ownLight ? 'Add' : 'Light it with'} ${gear.model}`,
          act: (line) => ({
            type: 'batch',
            acts: [
              { type: 'add line', line },
              { type: 'change scene', sceneId: rig.scene.id, patch: { lightSource: 'lamps' } }
            ]
          })
        });
      }
      proposals.push(
        ...otherLens(
          context,
          (gear) =>
            gear.apertureWideN < rig.apertureN! &&
            gear.focalLengthMinMm <= focal * 1.15 &&
            gear.focalLengthMaxMm >= focal / 1.15
        )
      );
      return proposals;
    }
  },
  {
    code: 'L8',
    family: 'lens',
    scope: 'angle',
    about: 'neutral density is missing, short or does not screw on',
    reads: ['densityNeeded'],
    judge: (rig, record) => {
      const short = figureAt(record, figureIndex.densityShort);
      if (short === undefined || short <= DENSITY_TOLERANCE_STOPS) return undefined;
      const need = figureAt(record, figureIndex.densityNeeded)!;
      const most = figureAt(record, figureIndex.filterMost) ?? 0;
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
            : `No neutral density is in the kit: in ${figureWords(figureAt(record, figureIndex.lightBright)!, 'lx')} the picture blows out, or the shutter turns motion choppy.`;
        }
      };
    },
    propose: (context) => {
      const { rig, shelf, project, record } = context;
      const proposals: Proposal[] = [];
      const shutterS = figureAt(record, figureIndex.shutter);
      const bright = figureAt(record, figureIndex.lightBright);
      const base = figureAt(record, figureIndex.baseIso);
      const most = figureAt(record, figureIndex.filterMost) ?? 0;
      const cap = figureAt(record, figureIndex.diffractionCap) ?? Infinity;
      /** What glass and closeness keep back stays in proportion at every aperture. */
      const asLightFindsIt =
        figureAt(record, figureIndex.lightAperture)! / figureAt(record, figureIndex.aperture)!;
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
        const need = figureAt(record, figureIndex.densityNeeded)!;
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
  }
];
