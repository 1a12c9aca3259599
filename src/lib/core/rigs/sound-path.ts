import type { ChainLimit } from '../joining/chains';
import { memoOn } from '../memo';
import type { BodyGear, GearOf, RecorderGear } from '../model/gear';
import { fullName } from '../model/gear';
import { lengthWords } from '../model/measure-words';
import { portsFor } from '../model/ports-by-role';
import { isRecorded } from '../model/scene-facts';
import { subjectDistanceM } from '../relations/optics/subject-distance';
import { isClosedInBag } from './closings';
import { connect } from './connection';
import { NO_PART } from '../model/word-lists';
import type { KitPart } from './kit';
import type { PlacedRig } from './placed-rig';

/** What records the voice: the camera, or a recorder beside the speaker. */
export type SoundDestination = KitPart<BodyGear> | KitPart<RecorderGear>;

export interface SoundNeeds {
  limit: ChainLimit;
  withoutLength: ChainLimit;
  lengthNeededM: number;
}

/** A lead hangs and bends: this much longer than the straight way. */
export const CABLE_SLACK = 1.15;

/** Sound has to reach the camera, and a microphone that needs 48 V has to get it. */
export function soundNeeds(rig: PlacedRig, into: SoundDestination): SoundNeeds {
  const mic = rig.mic!.gear;
  const { gear } = into;
  // The house's mixing desk stands at the back of the hall, where one films from.
  const atCamera =
    rig.micPlace === 'shoe' ||
    rig.micPlace === 'side arm' ||
    mic.form === 'lavalier wireless' ||
    mic.form === 'desk feed';
  // A recorder lies where the microphone is, or beside the mixing desk.
  const neededM =
    atCamera || gear.kind === 'recorder'
      ? 0
      : subjectDistanceM(rig.angle.distanceM, rig.angle.measuredFrom, rig.focalLengthMm) *
        CABLE_SLACK;
  const needsPhantom =
    mic.power === 'phantom' &&
    !gear.ports.some((port) => port.role === 'audioIn' && port.type === 'XLR');
  const withoutLength: ChainLimit = (parts) => {
    if (
      needsPhantom &&
      !parts.some(({ gear: gear }) => gear.kind === 'cable' && gear.givesPhantom === true)
    ) {
      return `${fullName(mic)} needs phantom power and ${fullName(gear)} gives none`;
    }
    const has = (what: 'givesPlugInPower' | 'attenuates') =>
      parts.some(({ gear: gear }) => gear.kind === 'cable' && gear[what] === true);
    if (
      mic.power === 'plug-in' &&
      gear.kind === 'body' &&
      gear.plugInPower === false &&
      !has('givesPlugInPower')
    ) {
      return `${fullName(mic)} lives by plug-in power and ${fullName(gear)} feeds none`;
    }
    if (
      mic.outputLevel === 'line' &&
      gear.kind === 'body' &&
      gear.takesLineLevel === false &&
      !has('attenuates')
    ) {
      return `${fullName(mic)} gives line level and ${fullName(gear)} takes a microphone’s, so the voice would be crushed`;
    }
    return undefined;
  };
  const limit: ChainLimit = (parts) => {
    const other = withoutLength(parts);
    if (other !== undefined) return other;
    let reachM = mic.cableM ?? 0;
    for (const { gear: gear } of parts) if (gear.kind === 'cable') reachM += gear.lengthM ?? 0;
    return reachM < neededM
      ? `the cable reaches ${lengthWords(reachM, rig.project.units)} of the ${lengthWords(neededM, rig.project.units)} needed`
      : undefined;
  };
  return { limit, withoutLength, lengthNeededM: neededM };
}

/**
 * Where the microphone of a rig records to: where somebody has said, else into the camera where the kit leads there,
 * else into a recorder it leads to. Where it leads to neither, what is missing is told of the camera, or of the recorder if the camera takes none.
 */
export const soundDestinationOf = memoOn((rig: PlacedRig): SoundDestination | undefined => {
  const { body, mic, kit } = rig;
  if (!body || !mic) return undefined;
  const recorders = kit.of('recorder');
  const said = rig.overrides?.recorderLineId;
  const chosen = recorders.find(({ line }) => line.id === said);
  if (chosen) return chosen;
  if (said === NO_PART) return body;
  if (recorders.length === 0 || leadsTo(rig, body)) return body;
  const reached = recorders.find((recorder) => leadsTo(rig, recorder));
  if (reached) return reached;
  return portsFor(body.gear, 'audioIn').length > 0
    ? body
    : (recorders.find(({ gear }) => portsFor(gear, 'audioIn').length > 0) ?? body);
});

/** A microphone on USB speaks to a computer, in the kit or not, and to nothing else. */
export const hearsByComputer = ({ mic }: Pick<PlacedRig, 'mic'>): boolean =>
  mic?.gear.form === 'desk';

/** What the voice is recorded in, or goes out live from; undefined for a computer that is not in the kit. */
export const voiceGoesInto = (
  rig: PlacedRig
): SoundDestination | KitPart<GearOf<'computer'>> | undefined =>
  hearsByComputer(rig) ? rig.kit.of('computer')[0] : soundDestinationOf(rig);

/** Where the voice is recorded when it is not the camera that does it; undefined where it is, and off the record. */
export function recordedApart(rig: PlacedRig): 'recorder' | 'computer' | undefined {
  if (rig.index > 0 || !rig.mic || !isRecorded(rig.scene)) return undefined;
  if (hearsByComputer(rig)) return rig.scene.live ? undefined : 'computer';
  return soundDestinationOf(rig)?.gear.kind === 'recorder' ? 'recorder' : undefined;
}

function leadsTo(rig: PlacedRig, into: SoundDestination): boolean {
  const from = portsFor(rig.mic!.gear, 'audioOut');
  const to = portsFor(into.gear, 'audioIn');
  if (from.length === 0 || to.length === 0) return false;
  const { limit } = soundNeeds(rig, into);
  return isClosedInBag(connect('microphone into input', rig.mic!, into, from, to, limit), rig.kit);
}
