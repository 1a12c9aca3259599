import { type SensorFormat, sensorFormatNames } from '../sensor-formats';
import { MOST_MODES, MOST_PROFILES } from '../limits';
import {
  Holds,
  HoldsList,
  MayBeLeftOut,
  NeededNumber,
  NeededText,
  NeededWord,
  StatedNumber,
  StatedText,
  StatedWord,
  StatedYesNo
} from '../stated';
import { GearBase } from './base';

export const bodyForms = [
  'interchangeable',
  'fixed lens',
  'phone',
  'action',
  '360',
  'drone'
] as const;
export const screenForms = [
  'fixed',
  'tilts',
  'flips up',
  'flips down',
  'side hinge',
  'front'
] as const;
export type ScreenForm = (typeof screenForms)[number];
export const codecs = ['intra', 'long-GOP', '4:2:2 10-bit'] as const;

/** One way a body can record: a row of its mode table. */
export class RecordingMode {
  @NeededNumber('px', 320, 12_000) pixelsAcross!: number;
  @NeededNumber('px', 240, 12_000) pixelsDown!: number;
  @NeededNumber('fps', 1, 480) fps!: number;
  @NeededNumber('Mb/s', 0.5, 6000) bitRateMbps!: number;
  @StatedNumber('×', 1, 6) crop?: number;
  @StatedWord(codecs) codec?: (typeof codecs)[number];
  /** Longest single clip the firmware allows. */
  @StatedNumber('min', 0.1, 10_000) recordLimitMin?: number;
  /** It records on until the card is full. */
  @StatedYesNo() noRecordLimit?: boolean;
  /** Minutes to the heat limit starting cold at 20 °C. */
  @StatedNumber('min', 0.1, 10_000) heatMinutesAt20C?: number;
  /** The same at 40 °C, where somebody has timed it: both together say how fast the body warms. */
  @StatedNumber('min', 0.1, 10_000) heatMinutesAt40C?: number;
  @StatedYesNo() noHeatLimit?: boolean;
  @StatedYesNo() faceFocus?: boolean;
}

/** A way the body draws its picture. A flat one keeps more range and raises the base ISO. */
export class PictureProfile {
  @NeededText(60) name!: string;
  @NeededNumber('ISO', 25, 25_600) baseIso!: number;
  @StatedYesNo() flat?: boolean;
}

/** The lens that cannot be taken off. */
export class BuiltInLens {
  @NeededNumber('mm', 0.5, 2000) focalLengthMinMm!: number;
  @NeededNumber('mm', 0.5, 2000) focalLengthMaxMm!: number;
  @NeededNumber('f/', 0.7, 64) apertureWideN!: number;
  @NeededNumber('f/', 0.7, 64) apertureTeleN!: number;
  @StatedNumber('f/', 0.7, 64) apertureSmallestN?: number;
  @StatedNumber('m', 0.005, 100) minimumFocusDistanceM?: number;
  @StatedYesNo() stabilised?: boolean;
  @StatedNumber('dB(A)', 0, 80) motorLevelDbA?: number;
}

export class BodyGear extends GearBase {
  kind = 'body' as const;
  @NeededWord(bodyForms) form!: (typeof bodyForms)[number];
  @NeededWord(sensorFormatNames) sensorFormat!: SensorFormat;
  @StatedWord(screenForms) screen?: ScreenForm;
  @HoldsList(() => RecordingMode, { what: 'recording modes', max: MOST_MODES })
  modes!: RecordingMode[];
  @Holds(() => BuiltInLens)
  builtInLens?: BuiltInLens;
  /** Picture profiles with the base ISO each allows. */
  @MayBeLeftOut()
  @HoldsList(() => PictureProfile, { what: 'picture profiles', max: MOST_PROFILES })
  profiles?: PictureProfile[];
  @StatedYesNo() stabilised?: boolean;
  @StatedNumber('ISO', 25, 25_600) baseIso?: number;
  @StatedNumber('ISO', 25, 102_400) highestUsableIso?: number;
  /** A-weighted noise of the microphone input, all gain referred to the plug. */
  @StatedNumber('dBV', -150, -40) inputNoiseDbV?: number;
  /** Voltage at the microphone plug that fills the recording without gain. */
  @StatedNumber('dBV', -80, 20) inputFullScaleDbV?: number;
  /** The microphone plug feeds the small voltage an electret capsule lives by. */
  @StatedYesNo() plugInPower?: boolean;
  /** The input can be turned down for a line-level source. */
  @StatedYesNo() takesLineLevel?: boolean;
  @StatedNumber('W', 0.2, 80) drawW?: number;
  @StatedText(40) batteryType?: string;
  /** Batteries in the box with the body. */
  @StatedNumber('count', 0, 4) batteriesIncluded?: number;
  /** Energy of one battery of the kind in the box. */
  @StatedNumber('Wh', 0.5, 200) includedBatteryWh?: number;
  /** Energy of a battery that cannot be taken out. */
  @StatedNumber('Wh', 0.5, 200) internalBatteryWh?: number;
  @StatedNumber('count', 0, 4) cardSlots?: number;
  @StatedNumber('GB', 1, 16_000) internalStorageGb?: number;
  /** Picture without menus and frames over HDMI. */
  @StatedYesNo() cleanOutput?: boolean;
  /** Shows up as a camera over USB without a capture device. */
  @StatedYesNo() usbVideo?: boolean;
  /** Runs from USB power while recording. */
  @StatedYesNo() runsFromUsb?: boolean;
  @StatedYesNo() weatherCover?: boolean;
  /** Rings and lugs for a strap that clink beside a microphone on the shoe. */
  @StatedYesNo() looseRings?: boolean;
  /** Records sound of its own, if only to line other sound up by. */
  @StatedYesNo() ownMicrophone?: boolean;
  /** Minutes a drone stays up on one battery. */
  @StatedNumber('min', 1, 180) flightMinutes?: number;
  @StatedNumber('m', 10, 20_000) linkRangeM?: number;
  /** The strongest wind a drone's maker lets it fly in. */
  @StatedNumber('m/s', 1, 40) windLimitMps?: number;
  /** A mains adapter can stand in for the battery. */
  @StatedYesNo() runsFromMainsAdapter?: boolean;
}
