import { figureWords } from '../../figures/figure-words';
import { SHARED_SILENT_STOPS } from '../../exposure/solved-exposure';
import { figureRow, type AngleFindingRow } from '../finding';
import { cheapestOf } from '../part-candidates';

/** G4. */
export const daylightFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'G4',
    family: 'light',
    about: 'the light changes by more than ISO alone can follow',
    onlyNotes: true,
    reads: [
      'lightChangeCost',
      'lightSwing',
      'aperture',
      'apertureBright',
      'shutter',
      'shutterBright',
      'densityDim',
      'densityBright'
    ],
    judge: (rig, figures) => {
      const cost = figures.lightChangeCost;
      if (cost === undefined || cost <= SHARED_SILENT_STOPS) return undefined;
      const setting = (end: 'dim' | 'bright') => {
        const [n, t, density] =
          end === 'dim'
            ? [figures.aperture!, figures.shutter!, figures.densityDim!]
            : [figures.apertureBright!, figures.shutterBright!, figures.densityBright!];
        return `${figureWords(n, 'f/')} and ${figureWords(t, 's')}${density > 0.05 ? ` with ${figureWords(density, 'stops')} of ND` : ''}`;
      };
      return {
        severity: 'note',
        figure: 'lightChangeCost',
        has: cost,
        needs: SHARED_SILENT_STOPS,
        unit: 'stops',
        title: () =>
          `${rig.scene.name}: the light changes by ${figureWords(figures.lightSwing!, 'stops')}; reset the camera as it does`,
        why: () =>
          `At the dimmest ${setting('dim')}, at the brightest ${setting('bright')}. Left as it is, ISO alone cannot follow without a cost. Takes of different hours do not match in colour either.`
      };
    },
    propose: (context) => {
      const { rig, shelf, project } = context;
      const { scene } = rig;
      const shorter = {
        label: 'Film it all within the hour',
        act: {
          type: 'change scene' as const,
          sceneId: scene.id,
          patch: {
            lightBrightLx: scene.lightDimLx * 2,
            ...(scene.window
              ? { window: { ...scene.window, skyBrightCdM2: scene.window.skyDimCdM2 * 2 } }
              : {})
          }
        }
      };
      if (!scene.room || (scene.lightSource !== 'window' && scene.window === undefined))
        return [shorter];
      const blocked = {
        type: 'change scene' as const,
        sceneId: scene.id,
        patch: {
          lightSource: 'lamps' as const,
          window: undefined,
          lightDimLx: Math.min(scene.lightDimLx, 20),
          lightBrightLx: Math.min(scene.lightDimLx, 20)
        }
      };
      return [
        shorter,
        {
          parts: cheapestOf(shelf, project, 'small item', (gear) => gear.use === 'foil'),
          label: (gear) => `Block the window with ${gear.model}`,
          act: (line) => ({ type: 'batch', acts: [{ type: 'add line', line }, blocked] })
        }
      ];
    }
  })
];
