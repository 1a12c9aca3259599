import { figureWords } from '../../figures/figure-words';
import {
  FLICKER_PERCENT,
  bandsExpected,
  flickerLeftPercent
} from '../../relations/exposure/flicker';
import { shutterForRateS, shutterSteps } from '../../relations/exposure/shutter';
import { figureRow, type AngleFindingRow, type Proposal } from '../finding';
import { setRig } from '../part-candidates';

/** G5. */
export const flickerFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'G5',
    family: 'light',
    about: 'flicker: shutter and mains frequency disagree',
    reads: ['flickerLeft', 'shutter'],
    judge: (rig, figures) => {
      if (rig.scene.lightSource === 'window') return undefined;
      const left = figures.flickerLeft;
      const shutter = figures.shutter;
      if (left === undefined || shutter === undefined) return undefined;
      const bands = bandsExpected(shutter, rig.project.mainsHz);
      if (left < FLICKER_PERCENT.fine && !bands) return undefined;
      return {
        severity: left > FLICKER_PERCENT.warn || bands ? 'warn' : 'note',
        figure: 'flickerLeft',
        has: left,
        needs: FLICKER_PERCENT.fine,
        unit: '%',
        title: () =>
          `${rig.scene.name}: ${figureWords(shutter, 's')} under ${rig.project.mainsHz} Hz lamps ${bands ? 'bands' : 'flickers'}`,
        why: () =>
          `Up to ${figureWords(left, '%')} of a mains lamp’s ripple stays in the picture; below ${FLICKER_PERCENT.fine} % nobody sees it. Lamps with a good driver ripple less.`
      };
    },
    propose: (context) => {
      const { rig, figures, project } = context;
      const mains = project.mainsHz;
      const shutter = figures.shutter!;
      const safe = shutterSteps
        .filter(
          (step) =>
            step >= rig.scene.fps &&
            flickerLeftPercent(1 / step, mains) < FLICKER_PERCENT.fine &&
            !bandsExpected(1 / step, mains)
        )
        .sort((a, b) => Math.abs(Math.log2(a * shutter)) - Math.abs(Math.log2(b * shutter)));
      const proposals: Proposal[] = [];
      if (
        rig.overrides?.shutterS !== undefined &&
        Math.abs(shutterForRateS(rig.scene.fps, mains) - shutter) > 1e-9
      ) {
        proposals.push({
          label: 'Shutter by the frame rate',
          act: setRig(context, { shutterS: undefined })
        });
      }
      if (safe[0] !== undefined) {
        proposals.push({
          label: `Set 1/${safe[0]} s`,
          act: setRig(context, { shutterS: 1 / safe[0] })
        });
      }
      const calmRate = mains === 50 ? 25 : 30;
      if (rig.scene.fps !== calmRate) {
        proposals.push({
          label: `Film at ${calmRate} frames`,
          act: {
            type: 'batch',
            acts: [
              { type: 'change scene', sceneId: rig.scene.id, patch: { fps: calmRate } },
              setRig(context, { shutterS: undefined })
            ]
          }
        });
      }
      return proposals;
    }
  })
];
