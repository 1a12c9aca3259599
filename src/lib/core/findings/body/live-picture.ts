import { fullName } from '../../model/gear';
import { isClosedInBag, whyOpen } from '../../rigs/closings';
import { type Connection, isMissingPort, type MissingPort } from '../../rigs/connection';
import { connectionsOf } from '../../rigs/connections';
import type { PlacedRig } from '../../rigs/placed-rig';
import { chainProposals } from '../chain-proposals';
import { rigRow, type AngleFindingRow } from '../finding';
import { cheapestOf, swapFor } from '../part-candidates';
import { sentence } from '../sentence';
import { bodyLine } from './body-line';

/** The only way into the computer leads over HDMI, as far as anybody states. */
const needsCapture = ({ body }: PlacedRig): boolean =>
  body?.gear.usbVideo === false && body.gear.cleanOutput === true;

type PictureOut = Connection | MissingPort;

const isOfMonitor = (need: PictureOut): boolean =>
  !isMissingPort(need) && need.to?.gear.kind === 'monitor';

/** What nothing joins of the ways the picture goes, the one into the computer first. */
function unjoinedPicture(rig: PlacedRig): PictureOut | undefined {
  const unjoined = connectionsOf(rig).filter(
    (need) =>
      need.purpose === 'picture out' && (isMissingPort(need) || !isClosedInBag(need, rig.kit))
  );
  return unjoined.find((need) => !isOfMonitor(need)) ?? unjoined[0];
}

/** B5. */
export const livePictureFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'B5',
    family: 'body',
    about: 'no live picture',
    judge: (rig) => {
      const unjoined = unjoinedPicture(rig);
      if (unjoined) {
        return {
          // A monitor that cannot be joined stays in the bag; callers see nothing without a way into the computer.
          severity: rig.scene.live && needsCapture(rig) && !isOfMonitor(unjoined) ? 'stop' : 'note',
          about: 'lead',
          has: 0,
          needs: 1,
          unit: 'count',
          lineIds: bodyLine(rig),
          title: () => 'No cable for the video output',
          why: () =>
            isMissingPort(unjoined)
              ? `${fullName(unjoined.part.gear)} has no picture ${unjoined.role === 'videoOut' ? 'output' : 'input'}.`
              : sentence(whyOpen(unjoined, rig.kit))
        };
      }
      const { body } = rig;
      if (!rig.scene.live || !body || body.gear.usbVideo === true) return undefined;
      const lineIds = bodyLine(rig);
      if (body.gear.cleanOutput === false) {
        return {
          severity: 'stop',
          lineIds,
          has: 0,
          needs: 1,
          unit: 'yes/no',
          title: () => 'The live picture carries the menus',
          why: () =>
            `${fullName(body.gear)} sends its screen marks over HDMI and is no camera over USB, so callers would see them.`
        };
      }
      if (body.gear.cleanOutput === undefined && body.gear.usbVideo === undefined) {
        return {
          severity: 'note',
          lineIds,
          title: () => 'It is not stated whether the live picture is clean',
          why: () =>
            `Ask before paying: does ${fullName(body.gear)} send a picture without menus over HDMI, or show up as a camera over USB?`
        };
      }
      if (rig.kit.of('capture device').length > 0) return undefined;
      return {
        severity: 'stop',
        lineIds,
        has: 0,
        needs: 1,
        unit: 'count',
        title: () => 'The computer cannot take the picture',
        why: () =>
          `${fullName(body.gear)} sends a clean picture over HDMI, but nothing in the kit brings it into the computer.`
      };
    },
    propose: (context) => {
      const { shelf, project, rig } = context;
      return [
        ...chainProposals(context, 'picture out'),
        {
          parts: cheapestOf(shelf, project, 'capture device'),
          label: (gear) => `Add ${gear.model}`
        },
        {
          parts: cheapestOf(
            shelf,
            project,
            'body',
            (gear) => gear.usbVideo === true || gear.cleanOutput === true
          ),
          label: (gear) => `Swap to ${gear.model}`,
          act: swapFor(rig.body!.line.id)
        }
      ];
    }
  })
];
