import type { Act } from '../acts/act';
import { figureOf } from '../figures/record';
import { figureWords, lengthWords } from '../figures/figure-words';
import { fullName, type LensGear } from '../model/gear';
import { neutralDensityStops } from '../relations/exposure/exposure';
import { shutterSteps } from '../relations/exposure/shutter';
import { apertureSteps, stoppedDownTo } from '../relations/exposure/aperture-steps';
import { distanceForSizeM } from '../relations/optics/picture-size';
import { blurWord } from '../relations/optics/background-blur';
import { NEAR_STRETCH } from '../relations/optics/stretch';
import { chainInBag, connectionsOf, isMissingPort } from '../rigs/connections';
import { mountOf, widestApertureN } from '../rigs/place-rig';
import type { PlacedRig } from '../rigs/placed-rig';
import { chainProposals } from './chain-proposals';
import type { AngleContext, AngleFindingRow, Proposal } from './finding';
import { cheapestOf, setRig, swapFor } from './part-candidates';

/** Picture against the wanted framing: inside `fine` nobody minds, outside `warn` it is another picture. */
export const FRAMING_RATIO = { fine: 1.15, warn: 1.35 } as const;
/** Half a stop of missing density drowns in the metering. */
const DENSITY_TOLERANCE_STOPS = 0.5;
const DENSITY_STOP_FROM_STOPS = 3;
/** Past the usable sensitivity by this much the picture is lost. */
const ISO_LOST_STOPS = 2;

const lensLine = (rig: PlacedRig) => (rig.lens ? [rig.lens.lineId] : []);

/** A lens used here, its focal length and aperture left to follow. */
function useLens(context: AngleContext, lineId: string): Act {
  return setRig(context, { lensLineId: lineId, focalLengthMm: undefined, apertureN: undefined });
}

/** A lens the kit has, else another of the shelf in the lens's place; an owned one stays in the bag. */
function otherLens(context: AngleContext, passes: (gear: LensGear) => boolean): Proposal[] {
  const { rig, shelf, project } = context;
  if (!rig.lens || rig.lens.builtIn) return [];
  const { lineId } = rig.lens;
  const mount = mountOf(rig.body);
  const fits = (gear: LensGear) => gear.mount === mount && passes(gear);
  const owned = rig.kit.byLine(lineId)?.line.state === 'owned';
  return [
    ...rig.kit
      .of('lens')
      .filter(({ line, gear }) => line.id !== lineId && fits(gear))
      .map(({ line, gear }) => ({
        label: `Use the ${gear.model} here`,
        act: useLens(context, line.id)
      })),
    {
      parts: cheapestOf(shelf, project, 'lens', fits),
      label: (gear) => (owned ? `Add ${gear.model}` : `Swap to ${gear.model}`),
      act: (line) => ({
        type: 'together',
        acts: [
          owned ? { type: 'add line', line } : swapFor(lineId)(line),
          useLens(context, line.id)
        ]
      })
    }
  ];
}

export const lensFindings: AngleFindingRow[] = [
  {
    code: 'L1',
    family: 'lens',
    scope: 'angle',
    about: 'the mount differs',
    reads: [],
    judge: (rig) => {
      const need = connectionsOf(rig).find(({ purpose }) => purpose === 'lens on body');
      if (!need) return undefined;
      const lineIds = [...lensLine(rig), rig.body!.line.id];
      if (isMissingPort(need)) {
        return {
          severity: 'stop',
          has: 0,
          needs: 1,
          unit: 'yes/no',
          lineIds,
          title: () => `${fullName(need.part.gear)} takes no lenses`,
          why: () =>
            `${rig.lens!.name} has nowhere to go: ${fullName(need.part.gear)} has no lens mount.`
        };
      }
      const chain = chainInBag(need, rig.kit);
      if (!chain) {
        return {
          severity: 'stop',
          has: 0,
          needs: 1,
          unit: 'yes/no',
          lineIds,
          title: () => `${need.fromPort.type} lens, ${need.toPort.type} body`,
          why: () =>
            `${rig.lens!.name} does not mount on ${fullName(rig.body!.gear)}, and no adapter is in the bag.`
        };
      }
      const lame = chain.parts.find(
        ({ gear }) =>
          gear.kind === 'mount adapter' &&
          (gear.keepsFocus === false || gear.keepsAperture === false)
      );
      if (!lame) return undefined;
      return {
        severity: 'warn',
        has: 0,
        needs: 1,
        unit: 'yes/no',
        lineIds: [...lineIds, ...(lame.lineId ? [lame.lineId.split('#')[0]!] : [])],
        title: () => 'The adapter loses focus or aperture',
        why: () =>
          `${fullName(lame.gear)} does not pass on everything, so the face is not followed by itself.`
      };
    },
    propose: (context) => [
      ...chainProposals(context, 'lens on body'),
      ...otherLens(context, () => true)
    ]
  },
  {
    code: 'L2',
    family: 'lens',
    scope: 'angle',
    about: 'the framing is missed at the measured distance',
    reads: ['framingRatio'],
    judge: (rig, record) => {
      const ratio = figureOf(record, 'framingRatio');
      if (ratio === undefined) return undefined;
      const off = Math.max(ratio, 1 / ratio);
      if (off <= FRAMING_RATIO.fine) return undefined;
      const have = figureOf(record, 'framed')!;
      const want = figureOf(record, 'framedWanted')!;
      const units = rig.project.units;
      return {
        severity: off > FRAMING_RATIO.warn ? 'warn' : 'note',
        lineIds: lensLine(rig),
        figure: 'framed',
        has: have,
        needs: want,
        unit: 'm',
        title: () =>
          `${rig.scene.name}: ${ratio < 1 ? 'too tight' : 'too wide'} at ${lengthWords(rig.angle.distanceM, units)}`,
        why: () =>
          `${figureWords(rig.focalLengthMm!, 'mm')} shows ${lengthWords(have, units)} where ${lengthWords(want, units)} is wanted; ${figureWords(figureOf(record, 'focalLengthWanted')!, 'mm')} would fit.`
      };
    },
    propose: (context) => {
      const { rig, record } = context;
      const wanted = figureOf(record, 'focalLengthWanted');
      const proposals: Proposal[] = [];
      const side = figureOf(record, 'framedSide') === 1 ? 'areaWidth' : 'areaHeight';
      const area = figureOf(record, side);
      const size = figureOf(record, 'framedWanted');
      if (
        area !== undefined &&
        size !== undefined &&
        rig.focalLengthMm !== undefined &&
        rig.angle.cameraPlace !== 'hand'
      ) {
        const distanceM = Math.round(distanceForSizeM(area, rig.focalLengthMm, size) * 100) / 100;
        if (distanceM >= 0.1 && distanceM <= 200) {
          proposals.push({
            label: `Stand at ${lengthWords(distanceM, context.project.units)}`,
            act: {
              type: 'change angle',
              sceneId: rig.scene.id,
              angleId: rig.angle.id,
              patch: { distanceM }
            }
          });
        }
      }
      if (rig.said?.focalLengthMm !== undefined) {
        proposals.push({
          label: 'Let the zoom follow the framing',
          act: setRig(context, { focalLengthMm: undefined })
        });
      }
      if (wanted !== undefined) {
        proposals.push(
          ...otherLens(
            context,
            (gear) =>
              gear.focalLengthMinMm <= wanted * FRAMING_RATIO.fine &&
              gear.focalLengthMaxMm >= wanted / FRAMING_RATIO.fine
          )
        );
      }
      return proposals;
    }
  },
  {
    code: 'L3',
    family: 'lens',
    scope: 'angle',
    about: 'the face is too near',
    reads: ['nearStretch'],
    judge: (rig, record) => {
      const stretch = figureOf(record, 'nearStretch');
      if (stretch === undefined || stretch <= NEAR_STRETCH.note) return undefined;
      return {
        severity: stretch > NEAR_STRETCH.warn ? 'warn' : 'note',
        figure: 'nearStretch',
        has: stretch,
        needs: NEAR_STRETCH.note,
        unit: '×',
        title: () => `${rig.scene.name}: the nose comes forward`,
        why: () =>
          `At ${lengthWords(rig.angle.distanceM, rig.project.units)} the nose is drawn ${figureWords(stretch, '×')} as large as the ears, whatever the lens; farther away it settles.`
      };
    },
    propose: ({ rig, project }) => [
      {
        label: `Move back to ${lengthWords(0.6, project.units)}`,
        act: {
          type: 'change angle',
          sceneId: rig.scene.id,
          angleId: rig.angle.id,
          patch: { distanceM: 0.6 }
        }
      },
      {
        label: `Move back to ${lengthWords(0.61, project.units)}`,
        act: {
          type: 'change angle',
          sceneId: rig.scene.id,
          angleId: rig.angle.id,
          patch: { distanceM: 0.61 }
        }
      }
    ]
  },
  {
    code: 'L4',
    family: 'lens',
    scope: 'angle',
    about: 'the face is deeper than the depth in focus',
    reads: ['faceFocusMargin'],
    judge: (rig, record) => {
      const margin = figureOf(record, 'faceFocusMargin');
      if (margin === undefined || margin >= -0.05) return undefined;
      const need = figureOf(record, 'apertureForFace')!;
      return {
        severity: margin < -1 ? 'warn' : 'note',
        lineIds: lensLine(rig),
        figure: 'aperture',
        has: rig.apertureN!,
        needs: need,
        unit: 'f/',
        title: () => `${rig.scene.name}: nose and ears are not both sharp`,
        why: () =>
          `At ${lengthWords(rig.angle.distanceM, rig.project.units)} and ${figureWords(rig.focalLengthMm!, 'mm')} a face from nose to ears wants ${figureWords(need, 'f/')}; the lens stands at ${figureWords(rig.apertureN!, 'f/')}.`
      };
    },
    propose: (context) => {
      const need = figureOf(context.record, 'apertureForFace');
      if (need === undefined) return [];
      const apertureN = stoppedDownTo(need);
      return [
        { label: `Stop down to f/${apertureN}`, act: setRig(context, { apertureN }) },
        {
          label: 'Soft ears are fine here',
          act: {
            type: 'change scene',
            sceneId: context.rig.scene.id,
            patch: { wantsFaceSharp: false }
          }
        }
      ];
    }
  },
  {
    code: 'L5',
    family: 'lens',
    scope: 'angle',
    about: 'the background cannot be as soft as wanted',
    reads: ['blurShare'],
    judge: (rig, record) => {
      const share = figureOf(record, 'blurShare');
      if (share === undefined || share >= 0.97) return undefined;
      const have = figureOf(record, 'backgroundBlur')!;
      const want = figureOf(record, 'blurWanted')!;
      return {
        severity: share < 0.5 ? 'warn' : 'note',
        lineIds: lensLine(rig),
        figure: 'backgroundBlur',
        has: have,
        needs: want,
        unit: '%',
        title: () => `${rig.scene.name}: the background stays ${blurWord(have)}`,
        why: () =>
          `Its blur is ${figureWords(have, '%')} of the picture where ${figureWords(want, '%')} is wanted: a wider aperture, a longer lens from farther away, or more room behind would soften it.`
      };
    },
    propose: (context) => {
      const { rig, record } = context;
      const have = figureOf(record, 'backgroundBlur')!;
      const proposals: Proposal[] = [];
      if (rig.lens && rig.apertureN! > widestApertureN(rig.lens, rig.focalLengthMm!) + 0.01) {
        proposals.push({
          label: 'Open the aperture',
          act: setRig(context, { apertureN: undefined })
        });
      }
      const focal = figureOf(record, 'focalLengthWanted')!;
      proposals.push(
        ...otherLens(
          context,
          (gear) =>
            gear.apertureWideN < rig.apertureN! &&
            gear.focalLengthMinMm <= focal * 1.15 &&
            gear.focalLengthMaxMm >= focal / 1.15
        ),
        {
          label: `Settle for ${figureWords(Math.floor(have * 100) / 100, '%')}`,
          act: {
            type: 'change scene',
            sceneId: rig.scene.id,
            patch: { wantsBlurPercent: Math.floor(have * 100) / 100 }
          }
        }
      );
      return proposals;
    }
  },
  {
    code: 'L6',
    family: 'lens',
    scope: 'angle',
    about: 'not enough light at this aperture',
    reads: ['isoMargin'],
    judge: (rig, record) => {
      const margin = figureOf(record, 'isoMargin');
      if (margin === undefined || margin >= 0) return undefined;
      const needed = figureOf(record, 'isoNeededDim')!;
      const usable = figureOf(record, 'usableIso')!;
      return {
        severity: margin < -ISO_LOST_STOPS ? 'stop' : 'warn',
        lineIds: [...lensLine(rig), ...(rig.body ? [rig.body.line.id] : [])],
        figure: 'isoNeededDim',
        has: usable,
        needs: needed,
        unit: 'ISO',
        title: () => `${rig.scene.name}: too dark for ${figureWords(rig.apertureN!, 'f/')}`,
        why: () =>
          `${figureWords(figureOf(record, 'faceDim')!, 'lx')} on the face wants ${Number.isFinite(needed) ? figureWords(needed, 'ISO') : 'more than any sensitivity'}; ${fullName(rig.body!.gear)} bears about ${figureWords(usable, 'ISO')}.`
      };
    },
    propose: (context) => {
      const { rig, shelf, project, record } = context;
      const focal = figureOf(record, 'focalLengthWanted') ?? 0;
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
            type: 'together',
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
      const short = figureOf(record, 'densityShort');
      if (short === undefined || short <= DENSITY_TOLERANCE_STOPS) return undefined;
      const need = figureOf(record, 'densityNeeded')!;
      const most = figureOf(record, 'filterMost') ?? 0;
      const thread = rig.lens?.gear?.filterThreadMm;
      return {
        severity: short > DENSITY_STOP_FROM_STOPS ? 'stop' : 'warn',
        lineIds: [...lensLine(rig), ...(rig.filter ? [rig.filter.line.id] : [])],
        figure: 'densityNeeded',
        has: most,
        needs: need,
        unit: 'stops',
        title: () =>
          `${rig.scene.name}: the bright end at ${figureWords(rig.apertureN!, 'f/')} wants ${figureWords(need, 'stops')}`,
        why: () => {
          if (rig.filter && !rig.filterFits) {
            return thread === undefined
              ? `${rig.lens?.name} has no filter thread, so ${fullName(rig.filter.gear)} cannot go before it.`
              : `${fullName(rig.filter.gear)} has ${rig.filter.gear.threadMm} mm and the lens ${thread} mm: a step-up ring is missing.`;
          }
          return rig.filter
            ? `${fullName(rig.filter.gear)} takes ${figureWords(most, 'stops')}; the rest blows out or costs the shutter.`
            : `No neutral density is in the bag: in ${figureWords(figureOf(record, 'lightBright')!, 'lx')} the picture blows out, or the shutter turns motion choppy.`;
        }
      };
    },
    propose: (context) => {
      const { rig, shelf, project, record } = context;
      const proposals: Proposal[] = [];
      const shutterS = figureOf(record, 'shutter');
      const bright = figureOf(record, 'lightBright');
      const base = figureOf(record, 'baseIso');
      const most = figureOf(record, 'filterMost') ?? 0;
      const cap = figureOf(record, 'diffractionCap') ?? Infinity;
      if (shutterS !== undefined && bright !== undefined && base !== undefined) {
        const apertureN = apertureSteps.find(
          (step) =>
            step > rig.apertureN! &&
            neutralDensityStops(step, shutterS, bright, base) <= most + DENSITY_TOLERANCE_STOPS
        );
        if (
          apertureN !== undefined &&
          apertureN <= Math.min(cap, rig.lens?.apertureLeastN ?? Infinity)
        ) {
          proposals.push({
            label: `Stop down to f/${apertureN}`,
            act: setRig(context, { apertureN })
          });
        }
      }
      const smallest = [...apertureSteps]
        .reverse()
        .find((step) => step <= Math.min(cap, rig.lens?.apertureLeastN ?? Infinity));
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
                  neutralDensityStops(step, shutterS, bright, base) <=
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
            act: { type: 'together', acts: [ring.act, setRig(context, { apertureN: stopped })] }
          });
        }
      }
      const thread = rig.lens?.gear?.filterThreadMm;
      if (thread !== undefined) {
        const need = figureOf(record, 'densityNeeded')!;
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
              neutralDensityStops(apertureN, 1 / one, bright, base) <=
                most + DENSITY_TOLERANCE_STOPS
          );
          if (step === undefined) continue;
          proposals.push({
            label:
              `${apertureN === rig.apertureN ? '' : `f/${apertureN}, `}shutter 1/${step} s, motion turns choppy`.replace(
                /^s/,
                'S'
              ),
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
