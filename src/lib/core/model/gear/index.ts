import type { BodyGear } from './body';
import type { CableGear } from './cable';
import type { FilterGear } from './filter';
import type { StepUpRingGear } from './step-up-ring';
import type { MountAdapterGear } from './mount-adapter';
import type { HandleGear } from './handle';
import type { ThreadAdapterGear } from './thread-adapter';
import type { CageGear } from './cage';
import type { MonitorGear } from './monitor';
import type { MirrorBoxGear } from './mirror-box';
import type { CaptureDeviceGear } from './capture-device';
import type { SmallItemGear } from './small-item';
import type { LampGear } from './lamp';
import type { LensGear } from './lens';
import type { MicrophoneGear } from './microphone';
import type { BatteryGear } from './battery';
import type { MainsAdapterGear } from './mains-adapter';
import type { PowerBankGear } from './power-bank';
import type { ChargerGear } from './charger';
import type { SolarPanelGear } from './solar-panel';
import type { RecorderGear } from './recorder';
import type { CardGear } from './card';
import type { DriveGear } from './drive';
import type { ReaderGear } from './reader';
import type { ComputerGear } from './computer';
import type { SupportGear } from './support';
import type { HeadGear } from './head';
import type { SandbagGear } from './sandbag';
import type { WindscreenGear } from './windscreen';
import type { Pocket } from '../pocket';

export type GearItem =
  | BodyGear
  | LensGear
  | MicrophoneGear
  | WindscreenGear
  | RecorderGear
  | LampGear
  | SupportGear
  | HeadGear
  | SandbagGear
  | CardGear
  | DriveGear
  | ReaderGear
  | BatteryGear
  | MainsAdapterGear
  | PowerBankGear
  | ChargerGear
  | CableGear
  | FilterGear
  | StepUpRingGear
  | MountAdapterGear
  | ThreadAdapterGear
  | CageGear
  | MonitorGear
  | MirrorBoxGear
  | CaptureDeviceGear
  | SmallItemGear
  | ComputerGear
  | SolarPanelGear
  | HandleGear;

export type GearKind = GearItem['kind'];
export type GearOf<K extends GearKind> = Extract<GearItem, { kind: K }>;

/** Every kind: the pocket it goes into and what a person calls it. */
export const gearKinds = {
  body: { pocket: 'body', name: 'body' },
  lens: { pocket: 'lens', name: 'lens' },
  microphone: { pocket: 'sound', name: 'microphone' },
  windscreen: { pocket: 'sound', name: 'windscreen' },
  recorder: { pocket: 'sound', name: 'recorder' },
  lamp: { pocket: 'light', name: 'lamp' },
  support: { pocket: 'support', name: 'support' },
  head: { pocket: 'support', name: 'head' },
  sandbag: { pocket: 'support', name: 'sandbag' },
  card: { pocket: 'storage', name: 'card' },
  drive: { pocket: 'storage', name: 'drive' },
  reader: { pocket: 'storage', name: 'card reader' },
  computer: { pocket: 'storage', name: 'editing computer' },
  battery: { pocket: 'power', name: 'battery' },
  'mains adapter': { pocket: 'power', name: 'mains adapter' },
  'power bank': { pocket: 'power', name: 'power bank' },
  charger: { pocket: 'power', name: 'charger' },
  'solar panel': { pocket: 'power', name: 'solar panel' },
  cable: { pocket: 'accessories', name: 'cable' },
  filter: { pocket: 'accessories', name: 'filter' },
  'step-up ring': { pocket: 'accessories', name: 'step-up ring' },
  'mount adapter': { pocket: 'accessories', name: 'mount adapter' },
  'thread adapter': { pocket: 'accessories', name: 'thread adapter, plate or cold shoe' },
  handle: { pocket: 'accessories', name: 'handle or rail' },
  cage: { pocket: 'accessories', name: 'cage' },
  monitor: { pocket: 'accessories', name: 'monitor' },
  'mirror box': { pocket: 'accessories', name: 'mirror box' },
  'capture device': { pocket: 'accessories', name: 'capture device' },
  'small item': { pocket: 'accessories', name: 'small item' }
} as const satisfies {
  [K in GearKind]: { pocket: Pocket; name: string };
};

export const gearKindNames = Object.keys(gearKinds) as GearKind[];

export function pocketOf(gear: GearItem): Pocket {
  return gearKinds[gear.kind].pocket;
}

/** The name people see: maker and model. */
export function fullName(gear: GearItem): string {
  return `${gear.maker} ${gear.model}`;
}

export type {
  BodyGear,
  LensGear,
  MicrophoneGear,
  WindscreenGear,
  RecorderGear,
  LampGear,
  SupportGear,
  HeadGear,
  CardGear,
  BatteryGear,
  MainsAdapterGear,
  FilterGear
};
