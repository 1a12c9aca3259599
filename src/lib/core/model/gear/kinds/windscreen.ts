import type { WindscreenGear } from '../windscreen';
import type { KindDescriptor } from '../kind-descriptor';

export const windscreenKind = {
  pocket: 'sound',
  name: 'windscreen',
  fields: {
    cover: 'cover'
  },
  gist: (gear) => `${gear.cover}, for ${gear.fitsForms.join(', ')}`
} satisfies KindDescriptor<WindscreenGear>;
