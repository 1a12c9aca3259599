import { FRAMING_RATIO } from '../../relations/optics/framing-ratio';
import { figureWords } from '../../figures/figure-words';
import { blurWord } from '../../relations/optics/background-blur';
import { widestApertureN } from '../../rigs/place-lens';
import { figureRow, type AngleFindingRow, type Proposal } from '../finding';
import { lensLine, otherLens } from '../lens-proposals';
import { setRig } from '../part-candidates';
import { severityOfWant } from '../wants';

/** L5. */
export const backgroundFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'L5',
    family: 'lens',
    about: 'the background cannot be as soft as wanted',
    reads: ['blurShare', 'backgroundBlur', 'blurWanted'],
    judge: (rig, figures) => {
      const share = figures.blurShare;
      if (share === undefined || share >= 0.97) return undefined;
      const have = figures.backgroundBlur!;
      const want = figures.blurWanted!;
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
      const { rig, figures } = context;
      const have = figures.backgroundBlur!;
      const proposals: Proposal[] = [];
      if (rig.lens && rig.apertureN! > widestApertureN(rig.lens, rig.focalLengthMm!) + 0.01) {
        proposals.push({
          label: 'Open the aperture',
          act: setRig(context, { apertureN: undefined })
        });
      }
      const focal = figures.focalLengthWanted!;
      proposals.push(
        ...otherLens(
          context,
          (gear) =>
            gear.apertureWideN < rig.apertureN! &&
            gear.focalLengthMinMm <= focal * FRAMING_RATIO.fine &&
            gear.focalLengthMaxMm >= focal / FRAMING_RATIO.fine
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
  })
];
