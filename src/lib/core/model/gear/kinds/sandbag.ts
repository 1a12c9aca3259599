import type { SandbagGear } from '../sandbag';
import type { KindDescriptor } from '../kind-descriptor';

export const sandbagKind = {
  pocket: 'support',
  name: 'sandbag',
  fields: {
    filledKg: 'weight filled'
  },
  gist: (gear) => `${gear.filledKg ?? '?'} kg filled`
} satisfies KindDescriptor<SandbagGear>;
