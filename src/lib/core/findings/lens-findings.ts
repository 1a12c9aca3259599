import { figureAt, figureOf } from '../figures/record';
import { figureIndex } from '../figures/table';
import { figureWords, lengthWords } from '../figures/figure-words';
import { fullName } from '../model/gear';
import { stoppedDownTo } from '../relations/exposure/aperture-steps';
import { distanceForSizeM } from '../relations/optics/picture-size';
import { blurWord } from '../relations/optics/background-blur';
import { NEAR_STRETCH } from '../relations/optics/stretch';
import { chainInBag } from '../rigs/closings';
import { isMissingPort } from '../rigs/connection';
import { connectionsOf } from '../rigs/connections';
import { widestApertureN } from '../rigs/place-rig';
import { lensLine, otherLens } from './lens-proposals';
import { chainProposals } from './chain-proposals';
import type { AngleFindingRow, Proposal } from './finding';
import { setRig } from './part-candidates';
import { severityOfWant } from './wants';

/** Picture against the wanted framing: inside `fine` nobody minds, outside `warn` it is another picture. */
export const FRAMING_RATIO = { fine: 1.15, warn: 1.35 } as const;

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
          title: () => `${need.fromPorts[0]!.type} lens, ${need.toPorts[0]!.type} body`,
          why: () =>
            `${rig.lens!.name} does not mount on ${fullName(rig.body!.gear)}, and no adapter is in the kit.`
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
      const ratio = figureAt(record, figureIndex.framingRatio);
      if (ratio === undefined) return undefined;
      const off = Math.max(ratio, 1 / ratio);
      if (off <= FRAMING_RATIO.fine) return undefined;
      const have = figureAt(record, figureIndex.framed)!;
      const want = figureAt(record, figureIndex.framedWanted)!;
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
          `${figureWords(rig.focalLengthMm!, 'mm')} shows ${lengthWords(have, units)} where ${lengthWords(want, units)} is wanted; ${figureWords(figureAt(record, figureIndex.focalLengthWanted)!, 'mm')} would fit.`
      };
    },
    propose: (context) => {
      const { rig, record } = context;
      const wanted = figureAt(record, figureIndex.focalLengthWanted);
      const proposals: Proposal[] = [];
      const side = figureAt(record, figureIndex.framedSide) === 1 ? 'areaWidth' : 'areaHeight';
      const area = figureOf(record, side);
      const size = figureAt(record, figureIndex.framedWanted);
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
      const stretch = figureAt(record, figureIndex.nearStretch);
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
      const margin = figureAt(record, figureIndex.faceFocusMargin);
      if (margin === undefined || margin >= -0.05) return undefined;
      const need = figureAt(record, figureIndex.apertureForFace)!;
      return {
        severity: severityOfWant(rig.scene, 'face sharp', margin < -1 ? 'warn' : 'note'),
        lineIds: lensLine(rig),
        figure: 'aperture',
        has: rig.apertureN!,
        needs: need,
        unit: 'f/',
        title: () => `${rig.scene.name}: nose and ears are not both in focus`,
        why: () =>
          `At ${lengthWords(rig.angle.distanceM, rig.project.units)} and ${figureWords(rig.focalLengthMm!, 'mm')} a face from nose to ears needs ${figureWords(need, 'f/')}; the lens stands at ${figureWords(rig.apertureN!, 'f/')}.`
      };
    },
    propose: (context) => {
      const need = figureAt(context.record, figureIndex.apertureForFace);
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
      const share = figureAt(record, figureIndex.blurShare);
      if (share === undefined || share >= 0.97) return undefined;
      const have = figureAt(record, figureIndex.backgroundBlur)!;
      const want = figureAt(record, figureIndex.blurWanted)!;
      return {
        severity: severityOfWant(rig.scene, 'soft background', share < 0.5 ? 'warn' : 'note'),
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
      const have = figureAt(record, figureIndex.backgroundBlur)!;
      const proposals: Proposal[] = [];
      if (rig.lens && rig.apertureN! > widestApertureN(rig.lens, rig.focalLengthMm!) + 0.01) {
        proposals.push({
          label: 'Open the aperture',
          act: setRig(context, { apertureN: undefined })
        });
      }
      const focal = figureAt(record, figureIndex.focalLengthWanted)!;
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
  }
];
