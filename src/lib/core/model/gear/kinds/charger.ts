import type { ChargerGear } from '../charger';
import type { KindDescriptor } from '../kind-descriptor';

export const chargerKind = {
  pocket: 'power',
  name: 'charger',
  fields: {
    bays: 'bays',
    wattsPerBay: 'watts per bay'
  },
  job: (gear) => `charger ${gear.batteryType}`,
  gist: (gear) => `${gear.batteryType}, ${gear.bays ?? '?'} ${gear.bays === 1 ? 'bay' : 'bays'}`
} satisfies KindDescriptor<ChargerGear>;
