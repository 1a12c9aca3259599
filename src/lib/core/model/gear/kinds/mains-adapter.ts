import type { MainsAdapterGear } from '../mains-adapter';
import type { KindDescriptor } from '../kind-descriptor';
import { end, ENERGY, USB_C } from '../supply-end';

export const mainsAdapterKind = {
  pocket: 'power',
  name: 'mains adapter',
  job: (gear) => `mains adapter ${gear.batteryType}`,
  supplyEnds: (gear) => [
    end('power', gear.batteryType, gear.batteryType === USB_C ? 'socket' : 'plug'),
    end('power', ENERGY.type, 'plug')
  ],
  gist: (gear) => `in place of ${gear.batteryType}`
} satisfies KindDescriptor<MainsAdapterGear>;
