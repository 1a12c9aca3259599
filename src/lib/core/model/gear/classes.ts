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
import { HeadGear } from './head';
import { BallastGear } from './ballast';
import { WindCoverGear } from './wind-cover';
import type { GearKind, GearOf } from './index';

/** The class of every kind: what a part may state, and how it is checked. */
export const gearClasses: { [K in GearKind]: new () => GearOf<K> } = {
  body: BodyGear,
  lens: LensGear,
  microphone: MicrophoneGear,
  'wind cover': WindCoverGear,
  recorder: RecorderGear,
  lamp: LampGear,
  support: SupportGear,
  head: HeadGear,
  ballast: BallastGear,
  card: CardGear,
  drive: DriveGear,
  reader: ReaderGear,
  computer: ComputerGear,
  cell: CellGear,
  'mains block': MainsBlockGear,
  bank: PowerBankGear,
  charger: ChargerGear,
  'sun panel': SunPanelGear,
  cable: CableGear,
  filter: FilterGear,
  ring: RingGear,
  'mount adapter': MountAdapterGear,
  coupling: CouplingGear,
  handle: HandleGear,
  cage: CageGear,
  monitor: MonitorGear,
  'mirror box': MirrorBoxGear,
  'capture device': CaptureDeviceGear,
  sundry: SundryGear
};
