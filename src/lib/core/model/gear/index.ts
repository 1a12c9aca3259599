import type { BodyGear } from './body';
import type { CableGear } from './cable';
import type { FilterGear } from './filter';
import type { RingGear } from './ring';
import type { MountAdapterGear } from './mount-adapter';
import type { HandleGear } from './handle';
import type { CouplingGear } from './coupling';
import type { CageGear } from './cage';
import type { MonitorGear } from './monitor';
import type { MirrorBoxGear } from './mirror-box';
import type { CaptureDeviceGear } from './capture-device';
import type { SundryGear } from './sundry';
import type { LampGear } from './lamp';
import type { LensGear } from './lens';
import type { MicrophoneGear } from './microphone';
import type { CellGear } from './cell';
import type { MainsBlockGear } from './mains-block';
import type { PowerBankGear } from './bank';
import type { ChargerGear } from './charger';
import type { SunPanelGear } from './sun-panel';
import type { RecorderGear } from './recorder';
import type { CardGear } from './card';
import type { DriveGear } from './drive';
import type { ReaderGear } from './reader';
import type { ComputerGear } from './computer';
import type { SupportGear } from './support';
import type { HeadGear } from './head';
import type { BallastGear } from './ballast';
import type { WindCoverGear } from './wind-cover';
import type { Pocket } from '../pocket';

export type GearItem =
  | BodyGear
  | LensGear
  | MicrophoneGear
  | WindCoverGear
  | RecorderGear
  | LampGear
  | SupportGear
  | HeadGear
  | BallastGear
  | CardGear
  | DriveGear
  | ReaderGear
  | CellGear
  | MainsBlockGear
  | PowerBankGear
  | ChargerGear
  | CableGear
  | FilterGear
  | RingGear
  | MountAdapterGear
  | CouplingGear
  | CageGear
  | MonitorGear
  | MirrorBoxGear
  | CaptureDeviceGear
  | SundryGear
  | ComputerGear
  | SunPanelGear
  | HandleGear;

export type GearKind = GearItem['kind'];
export type GearOf<K extends GearKind> = Extract<GearItem, { kind: K }>;

/** Every kind: the pocket it goes into and what a person calls it. */
export const gearKinds = {
  body: { pocket: 'body', name: 'body' },
  lens: { pocket: 'lens', name: 'lens' },
  microphone: { pocket: 'sound', name: 'microphone' },
  'wind cover': { pocket: 'sound', name: 'wind cover' },
  recorder: { pocket: 'sound', name: 'recorder' },
  lamp: { pocket: 'light', name: 'lamp' },
  support: { pocket: 'support', name: 'support' },
  head: { pocket: 'support', name: 'head' },
  ballast: { pocket: 'support', name: 'bag of sand' },
  card: { pocket: 'storage', name: 'card' },
  drive: { pocket: 'storage', name: 'drive' },
  reader: { pocket: 'storage', name: 'card reader' },
  computer: { pocket: 'storage', name: 'editing computer' },
  cell: { pocket: 'power', name: 'cell' },
  'mains block': { pocket: 'power', name: 'mains block' },
  bank: { pocket: 'power', name: 'power bank' },
  charger: { pocket: 'power', name: 'charger' },
  'sun panel': { pocket: 'power', name: 'sun panel' },
  cable: { pocket: 'joining', name: 'cable' },
  filter: { pocket: 'joining', name: 'filter' },
  ring: { pocket: 'joining', name: 'step-up ring' },
  'mount adapter': { pocket: 'joining', name: 'mount adapter' },
  coupling: { pocket: 'joining', name: 'thread, plate or shoe piece' },
  handle: { pocket: 'joining', name: 'handle or rail' },
  cage: { pocket: 'joining', name: 'cage' },
  monitor: { pocket: 'joining', name: 'monitor' },
  'mirror box': { pocket: 'joining', name: 'mirror box' },
  'capture device': { pocket: 'joining', name: 'capture device' },
  sundry: { pocket: 'joining', name: 'small thing' }
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
  WindCoverGear,
  RecorderGear,
  LampGear,
  SupportGear,
  HeadGear,
  CardGear,
  CellGear,
  MainsBlockGear,
  FilterGear
};
