import { fullName } from '../../model/gear';
import { whyOpen } from '../../rigs/closings';
import { openConnection } from '../../rigs/open-connections';
import { soundDestinationOf } from '../../rigs/sound-path';
import { chainProposals } from '../chain-proposals';
import { rigRow, type AngleFindingRow } from '../finding';
import { cheapestOf } from '../part-candidates';
import { sentence } from '../sentence';

/** P7. */
export const otherDevicesFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'P7',
    family: 'power',
    about: 'the other batteries are not covered',
    judge: (rig) => {
      const open = openConnection(rig, 'power for its own');
      if (!open) return undefined;
      const { gear, line } = open.from;
      return {
        // Without a monitor one still films, and it stays in the bag; without the microphone there is no voice.
        severity:
          gear.kind === 'microphone' || soundDestinationOf(rig)?.line === line ? 'stop' : 'note',
        about: line.id,
        lineIds: [line.id],
        has: 0,
        needs: 1,
        unit: 'count',
        title: () => `No ${open.fromPorts[0]!.type} batteries for ${gear.model}`,
        why: () =>
          `${fullName(gear)} runs from a battery of its own. ${sentence(whyOpen(open, rig.kit))}`
      };
    },
    propose: (context) => {
      const { rig, shelf, project } = context;
      const open = openConnection(rig, 'power for its own');
      const type = open?.fromPorts[0]!.type;
      return [
        ...chainProposals(context, 'power for its own'),
        {
          parts: cheapestOf(shelf, project, 'battery', (gear) => gear.batteryType === type),
          label: (gear) => `Add ${gear.model}`
        }
      ];
    }
  })
];
