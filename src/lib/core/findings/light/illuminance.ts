import { lengthWords } from '../../figures/figure-words';
import { lampDistanceForM } from '../../relations/lighting/lamp-illuminance';
import { type AngleFindingRow, figureRow, type Proposal } from '../finding';
import { fasterLens, litByOwnLamps, tooDark } from '../lens/exposure';
import { cheapestOf, setRig } from '../part-candidates';
import { lampsMoved } from '../../acts/place-lamp';
import { releasedSettings } from '../release-settings';
import { NEAREST_LAMP_M } from './nearest-lamp';

/** G1. */
export const illuminanceFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'G1',
    family: 'light',
    about: 'too little light of your own for a clean picture',
    reads: [
      'tooDark',
      'tooDarkBlocked',
      'isoNeededDim',
      'highestUsableIso',
      'faceInUse',
      'aperture',
      'shutter'
    ],
    judge: (rig, figures) =>
      litByOwnLamps(rig)
        ? tooDark(rig, figures, rig.keyLamp ? [rig.keyLamp.part.line.id] : [])
        : undefined,
    propose: (context) => {
      const { rig, figures, shelf, project } = context;
      const proposals: Proposal[] = [...releasedSettings(context)];
      const rest =
        (figures.lightNeeded ?? 0) -
        (figures.placeLightDim ?? 0) -
        (figures.fillLight ?? 0) -
        (figures.overheadLight ?? 0);
      const { keyLamp } = rig;
      if (keyLamp && rest > 0) {
        const { illuminanceAt1mLx, sourceRadiusM } = keyLamp.part.gear;
        if (illuminanceAt1mLx !== undefined && sourceRadiusM !== undefined) {
          const distanceM =
            Math.floor(
              lampDistanceForM(illuminanceAt1mLx, 1, sourceRadiusM, rest, 0, keyLamp.angleDeg) * 100
            ) / 100;
          if (distanceM >= NEAREST_LAMP_M && distanceM < keyLamp.distanceM) {
            proposals.push({
              label: `Lamp to ${lengthWords(distanceM, project.units)}`,
              act: setRig(context, { lamps: lampsMoved(rig, { key: { distanceM } }) })
            });
          }
        }
      }
      proposals.push({
        parts: cheapestOf(shelf, project, 'lamp'),
        label: (gear) => `Add ${gear.model}`
      });
      return [...proposals, ...fasterLens(context)];
    }
  })
];
