import { figureWords, lengthWords } from '../../figures/figure-words';
import { lampDistanceForM } from '../../relations/lighting/lamp-illuminance';
import { widestApertureN } from '../../rigs/place-lens';
import { figureRow, type AngleFindingRow, type Proposal } from '../finding';
import { cheapestOf, setRig } from '../part-candidates';
import { NEAREST_LAMP_M } from './nearest-lamp';

/** A third of a stop is below what anyone sees. */
const LIGHT_TOLERANCE_STOPS = 0.33;

const LIGHT_WARN_STOPS = 1;

/** G1. */
export const illuminanceFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'G1',
    family: 'light',
    about: 'too little light for the settings',
    reads: ['lightMargin', 'faceDim', 'lightNeeded', 'shutter', 'isoNeededDim'],
    judge: (rig, figures) => {
      if (!rig.scene.room || rig.scene.lightSource === 'existing light') return undefined;
      const margin = figures.lightMargin;
      if (margin === undefined || margin >= -LIGHT_TOLERANCE_STOPS) return undefined;
      const have = figures.faceDim!;
      const need = figures.lightNeeded!;
      return {
        severity: margin < -LIGHT_WARN_STOPS ? 'warn' : 'note',
        lineIds: rig.keyLamp ? [rig.keyLamp.part.line.id] : [],
        figure: 'faceDim',
        has: have,
        needs: need,
        unit: 'lx',
        title: () =>
          `${rig.scene.name}: ${figureWords(have, 'lx')} of ${figureWords(need, 'lx')} wanted`,
        why: () =>
          `At ${figureWords(rig.apertureN!, 'f/')} and ${figureWords(figures.shutter!, 's')} a clean picture needs that much on the face; now it is made up with ${figureWords(figures.isoNeededDim!, 'ISO')}.`
      };
    },
    propose: (context) => {
      const { rig, figures, shelf, project } = context;
      const proposals: Proposal[] = [];
      const need = figures.lightNeeded!;
      const rest = need - figures.lightDim! - (figures.fillLight ?? 0);
      const { keyLamp } = rig;
      if (keyLamp && rest > 0) {
        const { illuminanceAt1mLx, sourceRadiusM } = keyLamp.part.gear;
        if (illuminanceAt1mLx !== undefined && sourceRadiusM !== undefined) {
          const distanceM =
            Math.floor(
              lampDistanceForM(illuminanceAt1mLx, 1, sourceRadiusM, rest, 0, keyLamp.angleDeg) * 100
            ) / 100;
          if (distanceM >= NEAREST_LAMP_M && distanceM < keyLamp.distanceM) {
            const others = (rig.overrides?.lamps ?? []).filter(
              (lamp) => lamp.lineId !== keyLamp.part.line.id
            );
            proposals.push({
              label: `Lamp to ${lengthWords(distanceM, project.units)}`,
              act: setRig(context, {
                lamps: [
                  { lineId: keyLamp.part.line.id, distanceM, angleDeg: keyLamp.angleDeg },
                  ...others
                ]
              })
            });
          }
        }
      }
      if (rig.lens && rig.apertureN! > widestApertureN(rig.lens, rig.focalLengthMm!) + 0.01) {
        proposals.push({
          label: 'Open the aperture',
          act: setRig(context, { apertureN: undefined })
        });
      }
      proposals.push({
        parts: cheapestOf(shelf, project, 'lamp'),
        label: (gear) => `Add ${gear.model}`
      });
      return proposals;
    }
  })
];
