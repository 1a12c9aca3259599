import { BodyGear } from './body';
import { CableGear } from './cable';
import { FilterGear } from './filter';
import { StepUpRingGear } from './step-up-ring';
import { MountAdapterGear } from './mount-adapter';
import { HandleGear } from './handle';
import { ThreadAdapterGear } from './thread-adapter';
import { CageGear } from './cage';
import { MonitorGear } from './monitor';
import { MirrorBoxGear } from './mirror-box';
import { RouterGear } from './router';
import { CaptureDeviceGear } from './capture-device';
import { SmallItemGear } from './small-item';
import { LampGear } from './lamp';
import { LensGear } from './lens';
import { MicrophoneGear } from './microphone';
import { BatteryGear } from './battery';
import { MainsAdapterGear } from './mains-adapter';
import { PowerBankGear } from './power-bank';
import { ChargerGear } from './charger';
import { SolarPanelGear } from './solar-panel';
import { RecorderGear } from './recorder';
import { CardGear } from './card';
import { DriveGear } from './drive';
import { ReaderGear } from './reader';
import { ComputerGear } from './computer';
import { SupportGear } from './support';
import { HeadGear } from './head';
import { SandbagGear } from './sandbag';
import { WindscreenGear } from './windscreen';
import type { GearKind, GearOf } from './index';

/** The class of every kind: what a part may state, and how it is checked. */
export const gearClasses: { [K in GearKind]: new () => GearOf<K> } = {
  body: BodyGear,
  lens: LensGear,
  microphone: MicrophoneGear,
  windscreen: WindscreenGear,
  recorder: RecorderGear,
  lamp: LampGear,
  support: SupportGear,
  head: HeadGear,
  sandbag: SandbagGear,
  card: CardGear,
  drive: DriveGear,
  reader: ReaderGear,
  computer: ComputerGear,
  battery: BatteryGear,
  'mains adapter': MainsAdapterGear,
  'power bank': PowerBankGear,
  charger: ChargerGear,
  'solar panel': SolarPanelGear,
  cable: CableGear,
  filter: FilterGear,
  'step-up ring': StepUpRingGear,
  'mount adapter': MountAdapterGear,
  'thread adapter': ThreadAdapterGear,
  handle: HandleGear,
  cage: CageGear,
  monitor: MonitorGear,
  'mirror box': MirrorBoxGear,
  'capture device': CaptureDeviceGear,
  router: RouterGear,
  'small item': SmallItemGear
};
