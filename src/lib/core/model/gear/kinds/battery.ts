import type { BatteryGear } from '../battery';
import type { KindDescriptor } from '../kind-descriptor';
import { end, ENERGY } from '../supply-end';

export const batteryKind = {
  pocket: 'power',
  name: 'battery',
  fields: {
    otherMaker: 'not by the maker of the device'
  },
  job: (gear) => `battery ${gear.batteryType}`,
  supplyEnds: (gear) => [end('power', gear.batteryType, 'plug'), end('power', ENERGY.type, 'plug')],
  gist: (gear) =>
    `${gear.batteryType}, ${gear.energyWh ?? '?'} Wh${gear.otherMaker ? ', another maker’s' : ''}`
} satisfies KindDescriptor<BatteryGear>;
