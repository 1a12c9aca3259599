import { NeededWord, StatedNumber, StatedText, StatedWord, StatedYesNo } from '../stated';
import { GearBase } from './base';
import { microphoneForms, pickupPatterns, windscreens, microphonePowers } from '../word-lists';

export type MicrophoneForm = (typeof microphoneForms)[number];
export type PickupPattern = (typeof pickupPatterns)[number];
export type Windscreen = (typeof windscreens)[number];

export class MicrophoneGear extends GearBase {
  kind = 'microphone' as const;
  @NeededWord(microphoneForms) form!: MicrophoneForm;
  @StatedWord(pickupPatterns) pattern?: PickupPattern;
  @StatedNumber('dB(A)', 0, 60) selfNoiseDbA?: number;
  /** Output for one pascal; −38 is a typical camera microphone. */
  @StatedNumber('dBV/Pa', -80, 10) sensitivityDbVPerPa?: number;
  /** Gain inside the microphone that can be switched on. */
  @StatedNumber('dB', 0, 40) boostDb?: number;
  /** A switch on the microphone that can be left off. */
  @StatedYesNo() hasSwitch?: boolean;
  @StatedWord(microphonePowers) power?: (typeof microphonePowers)[number];
  /** What the plug carries: a receiver may give line level, some sixty times a microphone's. */
  @StatedWord(['microphone', 'line']) outputLevel?: 'microphone' | 'line';
  @StatedNumber('h', 0.2, 2000) batteryHours?: number;
  @StatedText(40) batteryType?: string;
  @StatedWord(windscreens) windscreenIncluded?: Windscreen;
  /** Cable from capsule to plug, or from transmitter to capsule. */
  @StatedNumber('m', 0.05, 30) cableM?: number;
  @StatedNumber('m', 1, 2000) radioRangeM?: number;
  /** Voices it takes at once, each with a capsule and a transmitter of its own; one unless said. */
  @StatedNumber('count', 1, 8) transmitters?: number;
  /** Records inside itself as well as sending. */
  @StatedYesNo() recordsItself?: boolean;
}
