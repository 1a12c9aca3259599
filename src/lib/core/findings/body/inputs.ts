import { fullName } from '../../model/gear';
import { isClosedInBag, whyOpen } from '../../rigs/closings';
import { isMissingPort } from '../../rigs/connection';
import { connectionsOf } from '../../rigs/connections';
import { chainProposals } from '../chain-proposals';
import { rigRow, type AngleFindingRow } from '../finding';
import { cheapestOf, swapFor } from '../part-candidates';
import { sentence } from '../sentence';
import { shortCable } from '../sound/placement';
import { bodyLine } from './body-line';

/** B3. */
export const inputsFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'B3',
    family: 'body',
    about: 'no way in for the microphone, or the plug differs',
    judge: (rig) => {
      const need = connectionsOf(rig).find(({ purpose }) => purpose === 'microphone into input');
      if (!need || !rig.mic) return undefined;
      const lineIds = [...bodyLine(rig), rig.mic.line.id];
      if (isMissingPort(need)) {
        return {
          severity: 'stop',
          has: 0,
          needs: 1,
          unit: 'yes/no',
          lineIds,
          title: () => 'No way in for the microphone',
          why: () =>
            `${fullName(need.part.gear)} has no ${need.role === 'audioIn' ? 'microphone input' : 'sound output'}, so ${fullName(rig.mic!.gear)} cannot be heard on the recording.`
        };
      }
      if (isClosedInBag(need, rig.kit) || shortCable(rig)) return undefined;
      return {
        severity: 'stop',
        has: 0,
        needs: 1,
        unit: 'yes/no',
        lineIds,
        title: () =>
          need.fromPorts[0]!.type === need.toPorts[0]!.type
            ? `${rig.mic!.gear.model} does not work with ${need.to!.gear.model}`
            : `The ${need.fromPorts[0]!.type} plug finds no ${need.toPorts[0]!.type} jack`,
        why: () => sentence(whyOpen(need, rig.kit))
      };
    },
    propose: (context) => {
      const { rig, shelf, project } = context;
      return [
        ...chainProposals(context, 'microphone into input'),
        {
          parts: cheapestOf(shelf, project, 'body', (gear) =>
            gear.ports.some((port) => port.role === 'audioIn')
          ),
          label: (gear) => `Swap to ${gear.model}`,
          act: swapFor(rig.body!.line.id)
        }
      ];
    }
  })
];
