import type { HandleGear } from '../handle';
import type { KindDescriptor } from '../kind-descriptor';

export const handleKind = {
  pocket: 'accessories',
  name: 'handle or rail',
  gist: () => 'somewhere to hold and to screw on'
} satisfies KindDescriptor<HandleGear>;
