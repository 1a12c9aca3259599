import { figureWords, lengthWords } from '../../figures/figure-words';
import { softnessWord } from '../../relations/lighting/softness';
import { figureRow, type AngleFindingRow } from '../finding';
import { cheapestOf, setRig } from '../part-candidates';
import { lampsMoved } from '../../acts/place-lamp';
import { NEAREST_LAMP_M } from './nearest-lamp';

const SOFTNESS_NOTE_DEG = 15;

/** G2. */
export const softnessFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'G2',
    family: 'light',
    about: 'the source is small: hard shadows',
    onlyNotes: true,
    reads: ['keySoftness', 'faceInPicture'],
    judge: (rig, figures) => {
      const degrees = figures.keySoftness;
      if (
        degrees === undefined ||
        degrees >= SOFTNESS_NOTE_DEG ||
        figures.faceInPicture === undefined
      )
        return undefined;
      return {
        severity: 'note',
        lineIds: rig.keyLamp ? [rig.keyLamp.part.line.id] : [],
        figure: 'keySoftness',
        has: degrees,
        needs: SOFTNESS_NOTE_DEG,
        unit: '°',
        title: () =>
          `${rig.scene.name}: ${softnessWord(degrees)} shadows, the key light fills ${figureWords(degrees, '°')} (soft from ${SOFTNESS_NOTE_DEG}°)`,
        why: () =>
          'As the face sees it the key light is small. Nearer, or through a larger dome or cloth, it is softer.'
      };
    },
    propose: (context) => {
      const { rig, shelf, project } = context;
      const lamp = rig.keyLamp!;
      const radius = lamp.part.gear.sourceRadiusM ?? 0;
      const distanceM =
        Math.floor((radius / Math.tan((SOFTNESS_NOTE_DEG * Math.PI) / 360)) * 100) / 100;
      return [
        ...(distanceM >= NEAREST_LAMP_M && distanceM < lamp.distanceM
          ? [
              {
                label: `Lamp to ${lengthWords(distanceM, project.units)}`,
                act: setRig(context, { lamps: lampsMoved(rig, { key: { distanceM } }) })
              }
            ]
          : []),
        {
          parts: cheapestOf(
            shelf,
            project,
            'lamp',
            (gear) =>
              (gear.sourceRadiusM ?? 0) > radius &&
              (gear.illuminanceAt1mLx ?? 0) > (lamp.part.gear.illuminanceAt1mLx ?? 0)
          ),
          label: (gear) => `Add ${gear.model}`
        }
      ];
    }
  })
];
