import { isWorn } from '../../model/scene-facts';
import { figureWords, lengthWords } from '../../figures/figure-words';
import { distanceForSizeM } from '../../relations/optics/picture-size';
import { FRAMING_RATIO, framingMissRatio } from '../../relations/optics/framing-ratio';
import {
  distanceForEdgeStretchM,
  distanceForNearStretchM,
  EDGE_STRETCH_WARN,
  NEAR_STRETCH
} from '../../relations/optics/stretch';
import { tapeReadingM } from '../../relations/optics/subject-distance';
import { figureRow, type AngleFindingRow, type Proposal, type SettingProposal } from '../finding';
import type { Project } from '../../model/project';
import type { PlacedRig } from '../../rigs/placed-rig';
import { lensLine, otherLens } from '../lens-proposals';
import { setRig } from '../part-candidates';
import { lensLines } from './lens-lines';

/** Moves the camera so that the lens is a distance off; the tape is read where it was read before. */
function standAt(rig: PlacedRig, project: Project, distanceM: number): SettingProposal {
  const read = tapeReadingM(distanceM, rig.angle.measuredFrom, rig.focalLengthMm);
  const tapeM = Math.ceil(Math.round(read * 1e6) / 1e4) / 100;
  return {
    label: `Move back to ${lengthWords(tapeM, project.units)}`,
    act: {
      type: 'change angle',
      sceneId: rig.scene.id,
      angleId: rig.angle.id,
      patch: { distanceM: tapeM }
    }
  };
}

/** L2, L3. */
export const framingFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'L2',
    family: 'lens',
    about: 'the framing is missed at the measured distance',
    reads: ['framingRatio', 'framed', 'framedWanted', 'focalLengthWanted'],
    judge: (rig, figures) => {
      const ratio = figures.framingRatio;
      if (ratio === undefined) return undefined;
      const off = framingMissRatio(ratio);
      if (off <= FRAMING_RATIO.fine) return undefined;
      const have = figures.framed!;
      const want = figures.framedWanted!;
      const units = rig.project.units;
      return {
        severity: off > FRAMING_RATIO.warn ? 'warn' : 'note',
        lineIds: lensLine(rig),
        figure: 'framed',
        has: have,
        needs: want,
        unit: 'm',
        title: () =>
          `${rig.scene.name}: framing is ${ratio < 1 ? 'too tight' : 'too wide'}, ${lengthWords(have, units)} at the subject (wanted ${lengthWords(want, units)})`,
        why: () =>
          `${figureWords(rig.focalLengthMm!, 'mm')} shows that at ${lengthWords(rig.angle.distanceM, units)}; ${figureWords(figures.focalLengthWanted!, 'mm')} would fit.`
      };
    },
    propose: (context) => {
      const { rig, figures } = context;
      const wanted = figures.focalLengthWanted;
      const proposals: Proposal[] = [];
      const side = figures.framedSide === 1 ? 'areaWidth' : 'areaHeight';
      const area = figures[side];
      const size = figures.framedWanted;
      if (
        area !== undefined &&
        size !== undefined &&
        rig.focalLengthMm !== undefined &&
        rig.angle.cameraPlace !== 'hand' &&
        !isWorn(rig.angle)
      ) {
        const distanceM =
          Math.round(
            tapeReadingM(
              distanceForSizeM(area, rig.focalLengthMm, size),
              rig.angle.measuredFrom,
              rig.focalLengthMm
            ) * 100
          ) / 100;
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
      if (rig.overrides?.focalLengthMm !== undefined) {
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
  }),
  figureRow({
    code: 'L3',
    family: 'lens',
    about: 'the face is too near',
    reads: ['nearStretch'],
    judge: (rig, figures) => {
      const stretch = figures.nearStretch;
      if (stretch === undefined || stretch <= NEAR_STRETCH.note) return undefined;
      return {
        severity: stretch > NEAR_STRETCH.warn ? 'warn' : 'note',
        figure: 'nearStretch',
        has: stretch,
        needs: NEAR_STRETCH.note,
        unit: '×',
        title: () =>
          `${rig.scene.name}: the nose looks ${figureWords(stretch, '×')} as large as the ears (natural up to ${NEAR_STRETCH.note}×)`,
        why: () =>
          `At ${lengthWords(rig.angle.distanceM, rig.project.units)} a face is so near that its nose is drawn larger, whatever the lens. From farther away, with a longer lens, it looks natural.`
      };
    },
    propose: ({ rig, project }) => [
      standAt(rig, project, distanceForNearStretchM(NEAR_STRETCH.note))
    ]
  }),
  figureRow({
    code: 'L3',
    family: 'lens',
    about: 'a face at the edge is pulled outwards',
    ownCause: true,
    reads: ['edgeStretch'],
    judge: (rig, figures) => {
      const stretch = figures.edgeStretch;
      if (stretch === undefined || stretch <= EDGE_STRETCH_WARN) return undefined;
      return {
        severity: 'warn',
        about: 'edge',
        lineIds: lensLines(rig.lens),
        figure: 'edgeStretch',
        has: stretch,
        needs: EDGE_STRETCH_WARN,
        unit: '×',
        title: () =>
          `${rig.scene.name}: the outer faces are stretched ${figureWords(stretch, '×')} wide (seen from ${EDGE_STRETCH_WARN}×)`,
        why: () =>
          `${rig.angle.people} people beside each other stand so far off the axis at ${lengthWords(rig.angle.distanceM, rig.project.units)} that the outermost are stretched outwards. From farther away they are not.`
      };
    },
    propose: ({ rig, figures, project }) => {
      return [standAt(rig, project, distanceForEdgeStretchM(figures.edgeFace!))];
    }
  })
];
