import { figureWords, lengthWords } from '../../figures/figure-words';
import { exposureSeverity } from '../exposure-severity';
import { type AngleFindingRow, figureRow, type Proposal } from '../finding';
import { lensLine } from '../lens-proposals';
import { cheapestOf } from '../part-candidates';
import { releasedSettings } from '../release-settings';
import { severityOfWant } from '../wants';

/** Within a mark of what is needed the depth is there, and what it costs is sharpness. */
const SAME_APERTURE = 2 ** (-1 / 6);

/** L4. */
export const lensFocusFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'L4',
    family: 'lens',
    about: 'the face or the row is deeper than the depth of field',
    reads: [
      'depthShort',
      'apertureForSharp',
      'apertureForFace',
      'apertureForRow',
      'rowFocus',
      'aperture',
      'apertureBright',
      'diffractionCap'
    ],
    judge: (rig, figures) => {
      const size = figures.depthShort;
      const severity = size === undefined ? undefined : exposureSeverity(size);
      if (!severity) return undefined;
      const need = figures.apertureForSharp!;
      const have = Math.min(figures.aperture!, figures.apertureBright!);
      const isMet = have >= need * SAME_APERTURE;
      const isRow = (figures.apertureForRow ?? 0) > (figures.apertureForFace ?? 0);
      return {
        severity: isRow ? severity : severityOfWant(rig.scene, 'face sharp', severity),
        about: `${isRow ? 'row' : ''}${isMet ? ' softens' : ''}`.trim(),
        lineIds: lensLine(rig),
        figure: isRow ? 'apertureForRow' : 'apertureForFace',
        has: have,
        needs: need,
        unit: 'f/',
        title: () =>
          isMet
            ? `${rig.scene.name}: the depth of field needs ${figureWords(need, 'f/')}, which softens the picture (sharpest up to ${figureWords(figures.diffractionCap!, 'f/')})`
            : isRow
              ? `${rig.scene.name}: not everyone is sharp at ${figureWords(have, 'f/')} (needs ${figureWords(need, 'f/')})`
              : `${rig.scene.name}: nose and ears are not both in focus at ${figureWords(have, 'f/')} (needs ${figureWords(need, 'f/')})`,
        why: () =>
          `${
            isRow
              ? `Focused at ${lengthWords(figures.rowFocus!, rig.project.units)} the whole row needs ${figureWords(need, 'f/')}`
              : `At ${lengthWords(rig.angle.distanceM, rig.project.units)} and ${figureWords(rig.focalLengthMm!, 'mm')} a face from nose to ears needs ${figureWords(need, 'f/')}`
          }${isMet ? '' : `; ${rig.overrides?.apertureN === undefined ? `in this light, and with the blur asked for, ${figureWords(have, 'f/')} costs the picture least` : `the aperture is set to ${figureWords(have, 'f/')} by hand`}`}.`
      };
    },
    propose: (context, held) => {
      const { rig, shelf, project } = context;
      const proposals: Proposal[] = [
        ...releasedSettings(context),
        held.about?.startsWith('row') === true
          ? {
              label: 'Stand in one line',
              act: {
                type: 'change angle',
                sceneId: rig.scene.id,
                angleId: rig.angle.id,
                patch: { rowDepthM: undefined }
              }
            }
          : {
              label: 'Soft ears are fine here',
              act: {
                type: 'change scene',
                sceneId: rig.scene.id,
                patch: { wantsFaceSharp: false }
              }
            }
      ];
      // In the dark more light lets the aperture close.
      if (rig.scene.lightSource === 'lamps')
        proposals.push({
          parts: cheapestOf(shelf, project, 'lamp'),
          label: (gear) => `Add ${gear.model}`
        });
      return proposals;
    }
  })
];
