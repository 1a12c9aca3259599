import type { LampGear } from '../model/gear';
import type {
  BodyGear,
  FilterGear,
  HeadGear,
  MicrophoneGear,
  SupportGear,
  WindscreenGear
} from '../model/gear';
import type { RecordingMode } from '../model/gear/body';
import type { LensGear } from '../model/gear/lens';
import type { Windscreen } from '../model/gear/microphone';
import type { FurtherLampRole, LampSide, MicPlace, Rig } from '../model/plan';
import type { Project } from '../model/project';
import type { Angle, Scene } from '../model/scene';
import type { Remembering } from '../memo';
import type { Kit, KitPart } from './kit';

/** A lens as an angle uses it, whether it comes off or not. */
export interface UsedLens {
  lineId: string;
  name: string;
  builtIn: boolean;
  gear: LensGear | undefined;
  focalLengthMinMm: number;
  focalLengthMaxMm: number;
  apertureWideN: number;
  apertureTeleN: number;
  apertureSmallestN: number | undefined;
  minimumFocusDistanceM: number | undefined;
  stabilised: boolean | undefined;
}

export interface PlacedLamp {
  part: KitPart<LampGear>;
  distanceM: number;
  angleDeg: number;
  /** Undefined where nobody has said which. */
  side?: LampSide;
  /** What a person has put it on. */
  standLineId?: string;
}

/** A lamp beside key and fill. */
export interface FurtherLamp extends PlacedLamp {
  role: FurtherLampRole;
}

/** What a project says of all its angles alike. Plans and parts reach a rig by its own corners. */
export type RigProject = Omit<
  Project,
  | 'plans'
  | 'activePlanId'
  | 'ownGear'
  | 'ignored'
  | 'incomes'
  | 'priceObservations'
  | 'priceAlerts'
  | 'videosPlanned'
  | 'consumablesMinor'
  | 'resaleFeePercent'
  | 'rehearsal'
  | 'logbook'
  | 'locks'
>;

/** One angle with every part in its place: what the figures are computed from. */
export interface PlacedRig extends Remembering {
  project: RigProject;
  scene: Scene;
  angle: Angle;
  /** What the person has fixed for this angle; the rest is placed. */
  overrides: Rig | undefined;
  /** Place among the angles of its scene; sound belongs to the first. */
  index: number;
  kit: Kit;
  body: KitPart<BodyGear> | undefined;
  /** Bodies that film at once in this scene, this one among them: they share batteries, banks and cards. */
  bodiesAtOnce: readonly KitPart<BodyGear>[];
  mode: RecordingMode | undefined;
  lens: UsedLens | undefined;
  focalLengthMm: number | undefined;
  mic: KitPart<MicrophoneGear> | undefined;
  micPlace: MicPlace | undefined;
  /** No microphone of the kit goes here, and the body's own hears the voice from where the camera stands. */
  hearsByBody: boolean;
  cover: Windscreen;
  coverPart: KitPart<WindscreenGear> | undefined;
  keyLamp: PlacedLamp | undefined;
  fillLamp: PlacedLamp | undefined;
  /** Lamps with a role that somebody has given them. */
  furtherLamps: readonly FurtherLamp[];
  support: KitPart<SupportGear> | undefined;
  /** The head bought by itself that the camera stands on; a head the support came with is a figure of the support. */
  head: KitPart<HeadGear> | undefined;
  boom: KitPart<SupportGear> | undefined;
  filter: KitPart<FilterGear> | undefined;
  /** The filter screws on, itself or through rings of the kit. */
  filterFits: boolean;
  /** The neutral density the exposure plan can choose from. */
  densityFilters: readonly KitPart<FilterGear>[];
  hasSocket: boolean;
}

/** Batteries of one kind that go into a body. */
export interface BatterySupply {
  /** Undefined where nobody has stated it. */
  wh: number | undefined;
  health: number;
  pieces: number;
}

/** The voice is recorded once, with the first angle. */
export function hearsVoice(rig: Pick<PlacedRig, 'scene' | 'index'>): boolean {
  return rig.scene.voice !== 'none' && rig.index === 0;
}
