import { fullName, type MicrophoneGear } from '../../model/gear';
import { voicesIn } from '../../model/scene-facts';
import type { PlacedRig } from '../../rigs/placed-rig';
import { type AngleFindingRow, rigRow } from '../finding';
import { cheapestOf, oneMore, setRig } from '../part-candidates';

const isWorn = ({ form }: MicrophoneGear): boolean => form.startsWith('lavalier');

/** Voices that the microphones of a kit take where each is worn, or stands before one person. */
const voicesTaken = ({ kit, mic }: PlacedRig): number =>
  kit
    .of('microphone')
    .filter(({ gear }) => isWorn(gear) === isWorn(mic!.gear))
    .reduce((sum, { gear, line }) => sum + line.quantity * (gear.transmitters ?? 1), 0);

/** A14. */
export const voicesFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'A14',
    family: 'sound',
    about: 'more voices than microphones that are worn or stand before one person',
    judge: (rig) => {
      const voices = voicesIn(rig.scene);
      if (voices < 2 || !rig.mic || (rig.micPlace !== 'lavalier' && rig.micPlace !== 'desk'))
        return undefined;
      const taken = voicesTaken(rig);
      if (taken >= voices) return undefined;
      return {
        severity: 'warn',
        lineIds: [rig.mic.line.id],
        has: taken,
        needs: voices,
        unit: 'count',
        title: () => `${rig.scene.name}: one microphone for ${voices} voices`,
        why: () =>
          `${fullName(rig.mic!.gear)} is ${rig.micPlace === 'lavalier' ? 'worn by' : 'set before'} one of them; the other is heard from across the room, and every turn of the talk sounds of another place.`
      };
    },
    propose: (context) => {
      const { rig, shelf, project } = context;
      return [
        ...oneMore(context, rig.mic!),
        {
          parts: cheapestOf(
            shelf,
            project,
            'microphone',
            (worn) => isWorn(worn) && (worn.transmitters ?? 1) >= voicesIn(rig.scene)
          ),
          label: (gear) => `Use ${gear.model}, with a transmitter for each`,
          act: (line) => ({
            type: 'batch',
            acts: [
              { type: 'add line', line: line },
              setRig(context, { micLineId: line.id, micPlace: 'lavalier' })
            ]
          })
        },
        {
          parts: cheapestOf(
            shelf,
            project,
            'microphone',
            ({ form }) => form === 'short shotgun' || form === 'shoe'
          ),
          label: (gear) => `Use ${gear.model} between them`,
          act: (line) => ({
            type: 'batch',
            acts: [
              { type: 'add line', line: line },
              setRig(context, { micLineId: line.id, micPlace: undefined })
            ]
          })
        }
      ];
    }
  })
];
