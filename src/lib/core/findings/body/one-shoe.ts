import { fullName } from '../../model/gear';
import { portsFor } from '../../model/ports-by-role';
import type { KitPart } from '../../rigs/kit';
import { receiverInShoe, selfScreenOf, SHOE, shoesOf, soundFeet } from '../../rigs/on-camera';
import type { PlacedRig } from '../../rigs/placed-rig';
import { type AngleFindingRow, rigRow } from '../finding';
import { addOne, leaveOut, setRig } from '../part-candidates';

/** Parts of a rig that slide into an accessory shoe while it films. */
function shoeFeet(rig: PlacedRig): KitPart[] {
  const screen = selfScreenOf(rig);
  // A monitor comes with a thread below, and stands in the shoe by a ball or an arm.
  return [...soundFeet(rig), ...(screen ? [screen] : [])];
}

/** B18. */
export const oneShoeFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'B18',
    family: 'body',
    about: 'two parts for one accessory shoe',
    judge: (rig) => {
      const feet = shoeFeet(rig);
      const shoes = shoesOf(rig);
      // A body with no shoe at all is told by the joint that stays open.
      if (feet.length < 2 || shoes === 0 || feet.length <= shoes) return undefined;
      return {
        severity: 'warn',
        lineIds: feet.map(({ line }) => line.id),
        has: shoes,
        needs: feet.length,
        unit: 'count',
        title: () =>
          `${rig.body!.gear.model} has one shoe for ${feet.map(({ gear }) => gear.model).join(' and ')}`,
        why: () =>
          `${fullName(feet[0]!.gear)} and ${fullName(feet[1]!.gear)} both slide into the accessory shoe, and one fits at a time. A cage made for the body has a shoe of its own.`
      };
    },
    propose: (context) => {
      const { rig } = context;
      const screen = selfScreenOf(rig);
      return [
        addOne(
          context,
          'cage',
          (gear) =>
            gear.fitsBodyId === rig.body!.gear.id &&
            portsFor(gear, 'carries').some(({ type }) => type === SHOE)
        ),
        ...(receiverInShoe(rig)
          ? []
          : [
              {
                label: 'Microphone on the boom',
                act: setRig(context, { micPlace: 'boom arm' })
              }
            ]),
        ...(screen ? [leaveOut(screen.line, screen.gear.model)] : [])
      ];
    }
  })
];
