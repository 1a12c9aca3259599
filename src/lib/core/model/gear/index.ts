import { GearBase } from './base';
import { BodyGear } from './body';
import { CableGear } from './cable';
import { FilterGear } from './filter';
import { RingGear } from './ring';
import { MountAdapterGear } from './mount-adapter';
import { HandleGear } from './handle';
import { CouplingGear } from './coupling';
import { CageGear } from './cage';
import { MonitorGear } from './monitor';
import { MirrorBoxGear } from './mirror-box';
import { CaptureDeviceGear } from './capture-device';
import { SundryGear } from './sundry';
import { LampGear } from './lamp';
import { LensGear } from './lens';
import { MicrophoneGear } from './microphone';
import { CellGear } from './cell';
import { MainsBlockGear } from './mains-block';
import { PowerBankGear } from './bank';
import { ChargerGear } from './charger';
import { SunPanelGear } from './sun-panel';
import { RecorderGear } from './recorder';
import { CardGear } from './card';
import { DriveGear } from './drive';
import { ReaderGear } from './reader';
import { ComputerGear } from './computer';
import { SupportGear } from './support';
import { BallastGear } from './ballast';
import { WindCoverGear } from './wind-cover';
import type { Pocket } from '../pocket';

export type GearItem =
  | BodyGear
  | LensGear
  | MicrophoneGear
  | WindCoverGear
  | RecorderGear
  | LampGear
  | SupportGear
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

/** Every kind: its class, the pocket it goes into and what a person calls it. */
export const gearKinds = {
  body: { make: BodyGear, pocket: 'body', name: 'body' },
  lens: { make: LensGear, pocket: 'lens', name: 'lens' },
  microphone: { make: MicrophoneGear, pocket: 'sound', name: 'microphone' },
  'wind cover': { make: WindCoverGear, pocket: 'sound', name: 'wind cover' },
  recorder: { make: RecorderGear, pocket: 'sound', name: 'recorder' },
  lamp: { make: LampGear, pocket: 'light', name: 'lamp' },
  support: { make: SupportGear, pocket: 'support', name: 'support' },
  ballast: { make: BallastGear, pocket: 'support', name: 'bag of sand' },
  card: { make: CardGear, pocket: 'storage', name: 'card' },
  drive: { make: DriveGear, pocket: 'storage', name: 'drive' },
  reader: { make: ReaderGear, pocket: 'storage', name: 'card reader' },
  computer: { make: ComputerGear, pocket: 'storage', name: 'editing computer' },
  cell: { make: CellGear, pocket: 'power', name: 'cell' },
  'mains block': { make: MainsBlockGear, pocket: 'power', name: 'mains block' },
  bank: { make: PowerBankGear, pocket: 'power', name: 'power bank' },
  charger: { make: ChargerGear, pocket: 'power', name: 'charger' },
  'sun panel': { make: SunPanelGear, pocket: 'power', name: 'sun panel' },
  cable: { make: CableGear, pocket: 'joining', name: 'cable' },
  filter: { make: FilterGear, pocket: 'joining', name: 'filter' },
  ring: { make: RingGear, pocket: 'joining', name: 'step-up ring' },
  'mount adapter': { make: MountAdapterGear, pocket: 'joining', name: 'mount adapter' },
  coupling: { make: CouplingGear, pocket: 'joining', name: 'thread, plate or shoe piece' },
  handle: { make: HandleGear, pocket: 'joining', name: 'handle or rail' },
  cage: { make: CageGear, pocket: 'joining', name: 'cage' },
  monitor: { make: MonitorGear, pocket: 'joining', name: 'monitor' },
  'mirror box': { make: MirrorBoxGear, pocket: 'joining', name: 'mirror box' },
  'capture device': { make: CaptureDeviceGear, pocket: 'joining', name: 'capture device' },
  sundry: { make: SundryGear, pocket: 'joining', name: 'small thing' }
} as const satisfies {
  [K in GearKind]: { make: new () => GearOf<K>; pocket: Pocket; name: string };
};

export const gearKindNames = Object.keys(gearKinds) as GearKind[];

/** For class-transformer: which class a plain object with this `kind` becomes. */
export const gearDiscriminator = {
  discriminator: {
    property: 'kind',
    subTypes: gearKindNames.map((name) => ({ name, value: gearKinds[name].make }))
  },
  keepDiscriminatorProperty: true
};

export function pocketOf(gear: GearItem): Pocket {
  return gearKinds[gear.kind].pocket;
}

/** The name people see: maker and model. */
export function fullName(gear: GearItem): string {
  return `${gear.maker} ${gear.model}`;
}

export { GearBase };
export type {
  BodyGear,
  LensGear,
  MicrophoneGear,
  WindCoverGear,
  RecorderGear,
  LampGear,
  SupportGear,
  CardGear,
  CellGear,
  MainsBlockGear,
  FilterGear
};
