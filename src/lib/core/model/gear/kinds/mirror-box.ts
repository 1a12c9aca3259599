import type { MirrorBoxGear } from '../mirror-box';
import type { KindDescriptor } from '../kind-descriptor';

export const mirrorBoxKind = {
  pocket: 'accessories',
  name: 'mirror box',
  gist: () => 'shows the rear screen to the front'
} satisfies KindDescriptor<MirrorBoxGear>;
