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
import type { RouterGear } from './router';
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
import type { Port } from '../ports';
import type { KindDescriptor } from './kind-descriptor';
import { bodyKind } from './kinds/body';
import { lensKind } from './kinds/lens';
import { microphoneKind } from './kinds/microphone';
import { windscreenKind } from './kinds/windscreen';
import { recorderKind } from './kinds/recorder';
import { lampKind } from './kinds/lamp';
import { supportKind } from './kinds/support';
import { headKind } from './kinds/head';
import { sandbagKind } from './kinds/sandbag';
import { cardKind } from './kinds/card';
import { driveKind } from './kinds/drive';
import { readerKind } from './kinds/reader';
import { computerKind } from './kinds/computer';
import { batteryKind } from './kinds/battery';
import { mainsAdapterKind } from './kinds/mains-adapter';
import { powerBankKind } from './kinds/power-bank';
import { chargerKind } from './kinds/charger';
import { solarPanelKind } from './kinds/solar-panel';
import { cableKind } from './kinds/cable';
import { filterKind } from './kinds/filter';
import { stepUpRingKind } from './kinds/step-up-ring';
import { mountAdapterKind } from './kinds/mount-adapter';
import { threadAdapterKind } from './kinds/thread-adapter';
import { handleKind } from './kinds/handle';
import { cageKind } from './kinds/cage';
import { monitorKind } from './kinds/monitor';
import { mirrorBoxKind } from './kinds/mirror-box';
import { captureDeviceKind } from './kinds/capture-device';
import { routerKind } from './kinds/router';
import { smallItemKind } from './kinds/small-item';

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
  | RouterGear
  | SmallItemGear
  | ComputerGear
  | SolarPanelGear
  | HandleGear;

export type GearKind = GearItem['kind'];
export type GearOf<K extends GearKind> = Extract<GearItem, { kind: K }>;

/** Every kind of part, described. A kind that is not described does not compile. */
export const gearKinds = {
  body: bodyKind,
  lens: lensKind,
  microphone: microphoneKind,
  windscreen: windscreenKind,
  recorder: recorderKind,
  lamp: lampKind,
  support: supportKind,
  head: headKind,
  sandbag: sandbagKind,
  card: cardKind,
  drive: driveKind,
  reader: readerKind,
  computer: computerKind,
  battery: batteryKind,
  'mains adapter': mainsAdapterKind,
  'power bank': powerBankKind,
  charger: chargerKind,
  'solar panel': solarPanelKind,
  cable: cableKind,
  filter: filterKind,
  'step-up ring': stepUpRingKind,
  'mount adapter': mountAdapterKind,
  'thread adapter': threadAdapterKind,
  handle: handleKind,
  cage: cageKind,
  monitor: monitorKind,
  'mirror box': mirrorBoxKind,
  'capture device': captureDeviceKind,
  router: routerKind,
  'small item': smallItemKind
} satisfies { [K in GearKind]: KindDescriptor<GearOf<K>> };

export const gearKindNames = Object.keys(gearKinds) as GearKind[];

/** The descriptor of a part's kind. */
export function describeKind<G extends GearItem>(gear: G): KindDescriptor<G> {
  return gearKinds[gear.kind] as unknown as KindDescriptor<G>;
}

/** Ports that follow from other figures of a part, so that they are not stated twice. */
export function impliedPorts(kind: GearKind, part: Readonly<Record<string, unknown>>): Port[] {
  return (gearKinds[kind] as KindDescriptor<never>).impliedPorts?.(part) ?? [];
}

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
