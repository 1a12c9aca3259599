import { figureWords, lengthWords } from '../../figures/figure-words';
import { stoppedDownTo } from '../../relations/exposure/aperture-steps';
import { figureRow, type AngleFindingRow } from '../finding';
import { lensLine } from '../lens-proposals';
import { setRig } from '../part-candidates';
import { severityOfWant } from '../wants';
import { lensLines } from './lens-lines';

/** L4. */
export const lensFocusFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'L4',
    family: 'lens',
    about: 'the face is deeper than the depth in focus',
    reads: ['faceFocusMargin', 'apertureForFace'],
    judge: (rig, figures) => {
      const margin = figures.faceFocusMargin;
      if (margin === undefined || margin >= -0.05) return undefined;
      const need = figures.apertureForFace!;
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
      const need = context.figures.apertureForFace;
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
  }),
  figureRow({
    code: 'L4',
    family: 'lens',
    about: 'the row is deeper than the depth in focus',
    reads: ['rowFocusMargin', 'apertureForRow', 'rowFocus'],
    judge: (rig, figures) => {
      const margin = figures.rowFocusMargin;
      if (margin === undefined || margin >= -0.05) return undefined;
      const need = figures.apertureForRow!;
      return {
        severity: 'warn',
        about: 'row',
        lineIds: lensLines(rig.lens),
        figure: 'aperture',
        has: rig.apertureN!,
        needs: need,
        unit: 'f/',
        title: () => `${rig.scene.name}: not everyone is sharp`,
        why: () =>
          `Focused at ${lengthWords(figures.rowFocus!, rig.project.units)} the whole row needs ${figureWords(need, 'f/')}; the lens stands at ${figureWords(rig.apertureN!, 'f/')}.`
      };
    },
    propose: (context) => {
      const need = context.figures.apertureForRow;
      if (need === undefined) return [];
      const apertureN = stoppedDownTo(need);
      return [
        { label: `Stop down to f/${apertureN}`, act: setRig(context, { apertureN }) },
        {
          label: 'Stand in one line',
          act: {
            type: 'change angle',
            sceneId: context.rig.scene.id,
            angleId: context.rig.angle.id,
            patch: { rowDepthM: undefined }
          }
        }
      ];
    }
  })
];
