import { figureWords } from '../../figures/figure-words';
import { blurWord } from '../../relations/optics/background-blur';
import { exposureSeverity } from '../exposure-severity';
import { figureRow, type AngleFindingRow } from '../finding';
import { lensLine } from '../lens-proposals';
import { releasedSettings } from '../release-settings';
import { severityOfWant } from '../wants';
import { fasterLens } from './exposure';
import { densityProposals } from './filters';

/** L5. */
export const backgroundFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'L5',
    family: 'lens',
    about: 'the background cannot be as soft as asked',
    reads: ['blurShort', 'apertureForBlur', 'aperture', 'apertureBright', 'blurWanted'],
    judge: (rig, figures) => {
      const size = figures.blurShort;
      const severity = size === undefined ? undefined : exposureSeverity(size);
      if (!severity) return undefined;
      const want = figures.blurWanted!;
      const have =
        (want * figures.apertureForBlur!) / Math.max(figures.aperture!, figures.apertureBright!);
      return {
        severity: severityOfWant(rig.scene, 'soft background', severity),
        lineIds: lensLine(rig),
        figure: 'backgroundBlur',
        has: have,
        needs: want,
        unit: '%',
        title: () =>
          `${rig.scene.name}: the background stays ${blurWord(have)}, ${figureWords(have, '%')} of blur (asked for ${figureWords(want, '%')})`,
        why: () =>
          `A wider aperture, a longer lens from farther away, or more room behind would soften it; in bright light neutral density keeps the aperture open.`
      };
    },
    propose: (context, { has = 0 }) => {
      const { rig } = context;
      const asBlurred = Math.floor(has * 100) / 100;
      return [
        ...releasedSettings(context),
        ...densityProposals(context),
        ...fasterLens(context),
        {
          label: `Accept ${figureWords(asBlurred, '%')} of blur`,
          act: {
            type: 'change scene',
            sceneId: rig.scene.id,
            patch: { wantsBlurPercent: asBlurred }
          }
        }
      ];
    }
  })
];
