import { figureWords } from '../../figures/figure-words';
import { SYNC_NOTICED_MS } from '../../relations/sound/sync';
import { figureRow, type AngleFindingRow } from '../finding';
import { swapTo } from '../part-candidates';
import { useMic } from './use-microphone';

/** A13. */
export const syncFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'A13',
    family: 'sound',
    about: 'sound arrives apart from the picture in the live chain',
    reads: ['pictureLag'],
    judge: (rig, figures) => {
      const lag = figures.pictureLag;
      if (lag === undefined || (lag < SYNC_NOTICED_MS.early && lag > -SYNC_NOTICED_MS.late))
        return undefined;
      return {
        severity: 'warn',
        lineIds: [rig.mic!.line.id, ...rig.kit.of('capture device').map(({ line }) => line.id)],
        figure: 'pictureLag',
        has: lag,
        needs: SYNC_NOTICED_MS.early,
        unit: 'ms',
        title: () => `${rig.scene.name}: the voice comes ${figureWords(lag, 'ms')} before the lips`,
        why: () =>
          `The picture takes the way over the capture device, the voice straight into the computer. From ${SYNC_NOTICED_MS.early} ms on it is noticed; delay the sound by the difference, or send it through the camera.`
      };
    },
    propose: (context) => {
      const device = context.rig.kit.of('capture device')[0]!;
      return [
        swapTo(
          context,
          'capture device',
          device.line.id,
          (gear) => (gear.lagFrames ?? Infinity) < device.gear.lagFrames!
        ),
        useMic(context, (form) => form === 'shoe' || form === 'lavalier wired')
      ];
    }
  })
];
