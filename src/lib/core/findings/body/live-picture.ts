import { fullName } from '../../model/gear';
import { isClosedInBag, whyOpen } from '../../rigs/closings';
import { type Connection, isMissingPort, type MissingPort } from '../../rigs/connection';
import { connectionsOf } from '../../rigs/connections';
import type { PlacedRig } from '../../rigs/placed-rig';
import { chainProposals } from '../chain-proposals';
import { type AngleFindingRow, type Held, rigRow } from '../finding';
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

/** A live picture goes out by HDMI, as far as anybody states. */
const goesOutLive = ({ scene, body }: PlacedRig): boolean =>
  scene.live && body !== undefined && body.gear.usbVideo !== true;

/** What the body itself makes of a live picture, whatever leads there are. */
function pictureThroughBody(rig: PlacedRig): Held | undefined {
  if (!goesOutLive(rig)) return undefined;
  const { gear } = rig.body!;
  const lineIds = bodyLine(rig);
  if (gear.cleanOutput === false && gear.usbVideo === false) {
    return {
      severity: 'stop',
      lineIds,
      has: 0,
      needs: 1,
      unit: 'yes/no',
      title: () => 'The live picture carries the menus',
      why: () =>
        `${fullName(gear)} sends its screen marks over HDMI and is not a camera over USB, so callers would see them.`
    };
  }
  if (gear.cleanOutput !== true && gear.usbVideo === undefined) {
    return {
      severity: 'note',
      lineIds,
      title: () => 'It is not stated whether the live picture is clean',
      why: () =>
        gear.cleanOutput === false
          ? `${fullName(gear)} sends its screen marks over HDMI. Ask before paying whether it shows up as a camera over USB.`
          : `Ask before paying: does ${fullName(gear)} send a picture without menus over HDMI, or show up as a camera over USB?`
    };
  }
  return undefined;
}

/** A lead that is missing. */
function leadOf(rig: PlacedRig): Held | undefined {
  const unjoined = unjoinedPicture(rig);
  return (
    unjoined && {
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
    }
  );
}

/** Nothing that brings the picture into the computer. */
function wayIntoComputer(rig: PlacedRig): Held | undefined {
  if (!goesOutLive(rig) || rig.kit.of('capture device').length > 0) return undefined;
  return {
    severity: 'stop',
    lineIds: bodyLine(rig),
    has: 0,
    needs: 1,
    unit: 'count',
    title: () => 'The computer cannot take the picture',
    why: () =>
      `${fullName(rig.body!.gear)} ${rig.body!.gear.cleanOutput === true ? 'sends a clean picture over HDMI' : 'is not a camera over USB'}, and nothing in the kit brings its picture into the computer.`
  };
}

/** B5. */
export const livePictureFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'B5',
    family: 'body',
    about: 'no live picture',
    judge: (rig) => pictureThroughBody(rig) ?? leadOf(rig) ?? wayIntoComputer(rig),
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
