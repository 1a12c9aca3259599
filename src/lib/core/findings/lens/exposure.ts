import { FRAMING_RATIO } from '../../relations/optics/framing-ratio';
import { figureWords } from '../../figures/figure-words';
import { fullName } from '../../model/gear';
import { widestApertureN } from '../../rigs/place-lens';
import { figureRow, type AngleFindingRow, type Proposal } from '../finding';
import { lensLine, otherLens } from '../lens-proposals';
import { cheapestOf, setRig } from '../part-candidates';

/** Past the highest usable ISO by this much the picture is lost. */
const ISO_LOST_STOPS = 2;

/** L6. */
export const exposureFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'L6',
    family: 'lens',
    about: 'not enough light at this aperture',
    reads: ['isoMargin', 'isoNeededDim', 'highestUsableIso', 'faceDim'],
    judge: (rig, figures) => {
      const margin = figures.isoMargin;
      if (margin === undefined || margin >= 0) return undefined;
      const needed = figures.isoNeededDim!;
      const usable = figures.highestUsableIso!;
      return {
        severity: margin < -ISO_LOST_STOPS ? 'stop' : 'warn',
        lineIds: [...lensLine(rig), ...(rig.body ? [rig.body.line.id] : [])],
        figure: 'isoNeededDim',
        has: usable,
        needs: needed,
        unit: 'ISO',
        title: () => `${rig.scene.name}: too dark for ${figureWords(rig.apertureN!, 'f/')}`,
        why: () =>
          `${figureWords(figures.faceDim!, 'lx')} on the face needs ${Number.isFinite(needed) ? figureWords(needed, 'ISO') : 'more than any ISO'}; ${fullName(rig.body!.gear)} is clean up to about ${figureWords(usable, 'ISO')}.`
      };
    },
    propose: (context) => {
      const { rig, shelf, project, figures } = context;
      const focal = figures.focalLengthWanted ?? 0;
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
            gear.focalLengthMinMm <= focal * FRAMING_RATIO.fine &&
            gear.focalLengthMaxMm >= focal / FRAMING_RATIO.fine
        )
      );
      return proposals;
    }
  })
];
