import type { SmallItemGear } from '../small-item';
import type { KindDescriptor } from '../kind-descriptor';

export const smallItemKind = {
  pocket: 'accessories',
  name: 'small item',
  fields: {
    use: 'use',
    areaM2: 'area',
    absorption: 'absorption'
  },
  gist: (gear) => gear.use,
  drawing: (gear) =>
    gear.use === 'remote' || gear.use === 'tape' || gear.use === 'blanket' ? gear.use : 'small item'
} satisfies KindDescriptor<SmallItemGear>;
