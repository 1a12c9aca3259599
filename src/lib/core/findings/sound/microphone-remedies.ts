import { fullName } from '../../model/gear';
import type { PlacedRig } from '../../rigs/placed-rig';
import type { AngleContext, Proposal } from '../finding';
import { cheapestOf, setRig } from '../part-candidates';

export const micLine = (rig: PlacedRig) => (rig.mic ? [rig.mic.line.id] : []);

/** What hears the voice, by name. */
export const pickupName = ({ mic, body }: PlacedRig): string =>
  mic ? fullName(mic.gear) : body ? `The microphone in ${fullName(body.gear)}` : 'The microphone';

export function furryCover(context: AngleContext): Proposal[] {
  const { rig, shelf, project } = context;
  if (!rig.mic) return [];
  const { form } = rig.mic.gear;
  return [
    {
      parts: cheapestOf(shelf, project, 'windscreen', (gear) => gear.fitsForms.includes(form)),
      label: (gear) => `Add ${gear.model}`
    }
  ];
}

/** A boom for the microphone that is there, with the microphone put on it. */
export function boomIt(context: AngleContext): Proposal {
  const { shelf, project, rig } = context;
  return {
    parts: cheapestOf(shelf, project, 'support', (gear) => gear.form === 'boom arm'),
    label: (gear) => `Put the microphone on ${gear.model}`,
    act: (line) => ({
      type: 'batch',
      acts: [
        { type: 'add line', line },
        setRig(context, { micLineId: rig.mic?.line.id, micPlace: 'boom arm' })
      ]
    })
  };
}

/** Another microphone beside or for the one that is there, used in this scene. */
export function otherMic(
  context: AngleContext,
  passes: (form: string) => boolean,
  verb: string
): Proposal {
  const { shelf, project } = context;
  return {
    parts: cheapestOf(shelf, project, 'microphone', (gear) => passes(gear.form)),
    label: (gear) => `${verb} ${gear.model}`,
    act: (line) => ({
      type: 'batch',
      acts: [
        { type: 'add line', line },
        setRig(context, { micLineId: line.id, micPlace: undefined })
      ]
    })
  };
}

export function wayNearer(context: AngleContext): Proposal[] {
  const { rig } = context;
  const canBoom =
    rig.scene.room !== undefined &&
    (rig.mic?.gear.form === 'shoe' || rig.mic?.gear.form === 'short shotgun');
  return [
    ...(canBoom ? [boomIt(context)] : []),
    ...(rig.hearsByBody
      ? [otherMic(context, (form) => form === 'shoe' || form === 'short shotgun', 'Add')]
      : []),
    ...(rig.scene.hasDeskFeed === true
      ? [otherMic(context, (form) => form === 'desk feed', 'Take the house’s sound with')]
      : []),
    otherMic(context, (form) => form.startsWith('lavalier'), 'Add'),
    ...(rig.scene.room
      ? [otherMic(context, (form) => form === 'desk' || form === 'dynamic', 'Add')]
      : [])
  ];
}
