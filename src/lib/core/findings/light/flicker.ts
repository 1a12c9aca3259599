import { figureWords } from '../../figures/figure-words';
import { bandsExpected, FLICKER_PERCENT, STEADY_FPS } from '../../relations/exposure/flicker';
import { exposureSeverity } from '../exposure-severity';
import { type AngleFindingRow, figureRow, type Proposal } from '../finding';
import { setRig } from '../part-candidates';
import { releasedSettings } from '../release-settings';

/** G5. */
export const flickerFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'G5',
    family: 'light',
    about: 'flicker: shutter and mains frequency disagree',
    reads: ['flickerSize', 'flickerLeft', 'shutter', 'fps'],
    judge: (rig, figures) => {
      const size = figures.flickerSize;
      if (size === undefined) return undefined;
      const left = figures.flickerLeft ?? 0;
      // Flicker is told from where it can be seen, smear from the usual size on.
      const severity = exposureSeverity(size, false, left >= FLICKER_PERCENT.fine ? 0 : undefined);
      if (!severity) return undefined;
      const shutter = figures.shutter!;
      const flickers = left >= FLICKER_PERCENT.fine;
      return {
        severity,
        about: flickers ? '' : 'smear',
        figure: flickers ? 'flickerLeft' : 'shutter',
        has: flickers ? left : shutter,
        needs: flickers ? FLICKER_PERCENT.fine : 1 / (2 * figures.fps!),
        unit: flickers ? '%' : 's',
        title: () =>
          flickers
            ? `${rig.scene.name}: ${figureWords(left, '%')} of flicker at ${figureWords(shutter, 's')} under ${rig.project.mainsHz} Hz mains`
            : `${rig.scene.name}: ${figureWords(shutter, 's')} smears motion at ${figureWords(figures.fps!, 'fps')}`,
        why: () =>
          flickers
            ? `Up to ${figureWords(left, '%')} of the light’s ripple stays in the picture; below ${FLICKER_PERCENT.fine} % nobody sees it. Lamps with a good driver ripple less.${bandsExpected(shutter, rig.project.mainsHz) ? ' Shorter than half a beat of the mains, it shows as bands across the picture.' : ''}`
            : `Half the frame time is ${figureWords(1 / (2 * figures.fps!), 's')}; ${rig.overrides?.shutterS === undefined ? `a shorter shutter would flicker under ${rig.project.mainsHz} Hz mains` : 'the shutter is set by hand'}.`
      };
    },
    propose: (context) => {
      const { rig, project } = context;
      const proposals: Proposal[] = [...releasedSettings(context)];
      const steady = STEADY_FPS[project.mainsHz];
      if (rig.scene.fps !== steady) {
        proposals.push({
          label: `Film at ${steady} fps`,
          act: {
            type: 'batch',
            acts: [
              { type: 'change scene', sceneId: rig.scene.id, patch: { fps: steady } },
              setRig(context, { shutterS: undefined })
            ]
          }
        });
      }
      return proposals;
    }
  })
];
