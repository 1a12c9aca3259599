import { figureWords } from '../../figures/figure-words';
import { figureRow, type AngleFindingRow } from '../finding';
import { cheapestOf } from '../part-candidates';

/** Light of the place may swing by this much before two takes no longer match. */
const SWING_STOPS = 1;

/** G4. */
export const daylightFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'G4',
    family: 'light',
    about: 'daylight changes',
    reads: ['lightSwing', 'faceDim', 'faceBright'],
    judge: (rig, figures) => {
      const swing = figures.lightSwing;
      if (
        (rig.scene.lightSource !== 'window' && rig.scene.window === undefined) ||
        swing === undefined ||
        swing <= SWING_STOPS
      )
        return undefined;
      return {
        severity: 'warn',
        figure: 'lightSwing',
        has: swing,
        needs: SWING_STOPS,
        unit: 'stops',
        title: () => `${rig.scene.name}: the daylight swings by ${figureWords(swing, 'stops')}`,
        why: () =>
          `Clouds and the hour take the window from ${figureWords(figures.faceDim!, 'lx')} to ${figureWords(figures.faceBright!, 'lx')} on the face; takes cut together will not match. Some like it free and alive, others block it and light with lamps.`
      };
    },
    propose: (context) => {
      const { rig } = context;
      const blocked = {
        type: 'change scene' as const,
        sceneId: rig.scene.id,
        patch: {
          lightSource: 'lamps' as const,
          window: undefined,
          lightDimLx: Math.min(rig.scene.lightDimLx, 20),
          lightBrightLx: Math.min(rig.scene.lightDimLx, 20)
        }
      };
      return [
        {
          label: 'Film it all within the hour',
          act: {
            type: 'change scene',
            sceneId: rig.scene.id,
            patch: {
              lightBrightLx: rig.scene.lightDimLx * 2,
              ...(rig.scene.window
                ? {
                    window: {
                      ...rig.scene.window,
                      skyBrightCdM2: rig.scene.window.skyDimCdM2 * 2
                    }
                  }
                : {})
            }
          }
        },
        {
          parts: cheapestOf(
            context.shelf,
            context.project,
            'small item',
            (gear) => gear.use === 'foil'
          ),
          label: (gear) => `Block the window with ${gear.model}`,
          act: (line) => ({ type: 'batch', acts: [{ type: 'add line', line }, blocked] })
        }
      ];
    }
  })
];
