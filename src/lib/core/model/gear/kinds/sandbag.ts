import type { SandbagGear } from '../sandbag';
import type { KindDescriptor } from '../kind-descriptor';

export const sandbagKind = {
  pocket: 'support',
  name: 'sandbag',
  fields: {
    filledKg: 'weight filled'
  },
  gist: (gear, { mass }) =>
    gear.filledKg === undefined ? 'weight not stated' : `${mass(gear.filledKg)} filled`
} satisfies KindDescriptor<SandbagGear>;
