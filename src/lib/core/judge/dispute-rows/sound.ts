import type { GearOf } from '../../model/gear';
import type { DisputeContext, DisputeRow } from './dispute';
import { add, eachInstead, isRoom } from './ways';

const micsUsed = ({ judgement }: DisputeContext) =>
  judgement.angles.flatMap(({ rig }) => (rig.mic ? [rig.mic.gear] : []));

const talksInRoom = ({ judgement }: DisputeContext) =>
  judgement.angles.filter(
    ({ scene, rig }) => rig.index === 0 && scene.voice !== 'none' && isRoom(scene)
  );

const roomMicForms = ['dynamic', 'condenser', 'short shotgun'] as const;

export const soundDisputes = {
  'switch on the microphone': {
    question: 'A microphone without a switch, or a better one with it?',
    sides: [
      {
        name: 'no switch',
        says: 'What cannot be left off is never left off; a silent take is a lost day.'
      },
      {
        name: 'with a switch',
        says: 'The better capsule is worth a habit, and the pre-roll list carries the switch.'
      }
    ],
    where: 'sound',
    arises: (context) => micsUsed(context).length > 0,
    standing: (context) => [
      micsUsed(context).some(({ hasSwitch }) => hasSwitch === false),
      micsUsed(context).some(({ hasSwitch }) => hasSwitch === true)
    ],
    ways: (context, side) =>
      eachInstead(context, 'microphone', ({ hasSwitch }) => hasSwitch === (side === 1))
  },
  'microphone in a room': {
    question: 'Dynamic, condenser or short shotgun in a room nobody has treated?',
    sides: [
      {
        name: 'dynamic',
        says: 'Spoken into at a hand’s breadth it hears the mouth and hardly the room.'
      },
      {
        name: 'condenser',
        says: 'It hears the voice in full; hang a blanket or two and come near.'
      },
      {
        name: 'short shotgun',
        says: 'It stays out of the picture, just above the frame, and takes less of the sides.'
      }
    ],
    where: 'sound',
    arises: (context) => talksInRoom(context).some(({ scene }) => scene.room!.feel !== 'treated'),
    standing: (context) =>
      roomMicForms.map((form) =>
        talksInRoom(context).some(({ rig }) => rig.mic?.gear.form === form)
      ),
    ways: (context, side) => {
      const isForm = ({ form }: GearOf<'microphone'>) => form === roomMicForms[side];
      // A voice outdoors may need the one that is there: beside it as well as in its place.
      return [...eachInstead(context, 'microphone', isForm), ...add(context, 'microphone', isForm)];
    }
  }
} as const satisfies Record<string, DisputeRow>;
