import { fullName } from '../../model/gear';
import { isClosedInBag, whyOpen } from '../../rigs/closings';
import {
  type Connection,
  type ConnectionPurpose,
  type MissingPort,
  isMissingPort
} from '../../rigs/connection';
import { connectionsOf } from '../../rigs/connections';
import type { Kit } from '../../rigs/kit';
import type { PlacedRig } from '../../rigs/placed-rig';
import { chainProposals } from '../chain-proposals';
import { rigRow, type AngleFindingRow } from '../finding';
import { capital, sentence } from '../sentence';

/** What is held, what matters most first: of several that are not, the first is told. */
const heldPurposes: readonly ConnectionPurpose[] = [
  'camera held',
  'microphone held',
  'lamp held',
  'monitor held'
];

function openJoint(rig: PlacedRig): Connection | MissingPort | undefined {
  let worst: Connection | MissingPort | undefined;
  let place = heldPurposes.length;
  for (const need of connectionsOf(rig)) {
    const index = heldPurposes.indexOf(need.purpose);
    if (index < 0 || index >= place || (!isMissingPort(need) && isClosedInBag(need, rig.kit)))
      continue;
    [worst, place] = [need, index];
  }
  return worst;
}

/** Why a part is not on what should hold it. */
export const whyNotHeld = (need: Connection | MissingPort, kit: Kit): string =>
  isMissingPort(need)
    ? `Something has to hold it, and it has neither thread nor foot for that.`
    : sentence(whyOpen(need, kit));

/** S5. */
export const threadsFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'S5',
    family: 'support',
    about: 'the chain of threads and plates is broken',
    judge: (rig) => {
      const need = openJoint(rig);
      if (!need) return undefined;
      return {
        severity:
          need.purpose === 'camera held'
            ? 'stop'
            : // A monitor that nothing holds stays in the bag.
              need.purpose === 'monitor held'
              ? 'note'
              : 'warn',
        has: 0,
        needs: 1,
        unit: 'yes/no',
        about: need.purpose,
        lineIds: isMissingPort(need)
          ? [need.part.line.id]
          : [need.from, need.to].flatMap((part) => (part ? [part.line.id] : [])),
        title: () =>
          isMissingPort(need)
            ? `${fullName(need.part.gear)} has nowhere to screw on`
            : capital(
                `${need.fromPorts[0]!.type} meets ${need.toPorts[0]!.type}: nothing joins them`
              ),
        why: () => whyNotHeld(need, rig.kit)
      };
    },
    propose: (context) => {
      const need = openJoint(context.rig);
      return need ? chainProposals(context, need.purpose) : [];
    }
  })
];
