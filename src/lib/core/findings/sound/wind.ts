import { figureWords } from '../../figures/figure-words';
import { STILL_BELOW_MPS } from '../../relations/sound/wind';
import { figureRow, type AngleFindingRow } from '../finding';
import { furryCover, micLine, otherMic, pickupName } from './microphone-remedies';

/** From a breeze on, an open capsule is lost. */
const WIND_WARN_MPS = 3;

/** A3. */
export const windFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'A3',
    family: 'sound',
    about: 'wind without a cover',
    reads: ['airSpeed', 'windNoise'],
    judge: (rig, figures) => {
      const v = figures.airSpeed;
      if (
        v === undefined ||
        v < STILL_BELOW_MPS ||
        !(rig.mic || rig.hearsByBody) ||
        rig.cover !== 'none'
      )
        return undefined;
      return {
        severity: v >= WIND_WARN_MPS ? 'warn' : 'note',
        lineIds: micLine(rig),
        figure: 'airSpeed',
        has: v,
        needs: STILL_BELOW_MPS,
        unit: 'm/s',
        title: () =>
          `${rig.scene.name}: ${figureWords(v, 'm/s', rig.project.units)} of wind on a microphone without a windscreen`,
        why: () =>
          `${rig.scene.rideSpeedMps === undefined ? 'Walking' : 'Riding'} included, that rumbles at about ${figureWords(figures.windNoise ?? NaN, 'dB(A)')} in ${pickupName(rig).replace(/^The/, 'the')} without a windscreen.`
      };
    },
    propose: (context) => [
      ...furryCover(context),
      otherMic(context, (form) => form.startsWith('lavalier'), 'Add')
    ]
  })
];
