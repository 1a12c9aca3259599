import type { CageGear } from '../cage';
import type { KindDescriptor } from '../kind-descriptor';

export const cageKind = {
  pocket: 'accessories',
  name: 'cage',
  fields: {
    fitsBodyId: 'made for'
  },
  job: () => 'cage',
  gist: () => 'more threads and shoes'
} satisfies KindDescriptor<CageGear>;
