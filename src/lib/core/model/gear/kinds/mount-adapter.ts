import type { MountAdapterGear } from '../mount-adapter';
import type { KindDescriptor } from '../kind-descriptor';
import { mount } from '../implied-port';

export const mountAdapterKind = {
  pocket: 'accessories',
  name: 'mount adapter',
  fields: {
    lensMount: 'mount of the lens',
    bodyMount: 'mount of the body',
    keepsFocus: 'keeps focus',
    keepsAperture: 'keeps aperture'
  },
  impliedPorts: (part) => [
    mount(part.lensMount, 'socket', 'joins'),
    mount(part.bodyMount, 'plug', 'joins')
  ],
  gist: (gear) =>
    `${gear.lensMount} lens on ${gear.bodyMount} body${gear.keepsFocus ? '' : ', focus by hand'}`
} satisfies KindDescriptor<MountAdapterGear>;
