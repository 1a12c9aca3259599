import type { CableGear } from '../cable';
import type { KindDescriptor } from '../kind-descriptor';

export const cableKind = {
  pocket: 'accessories',
  name: 'cable',
  fields: {
    lengthM: 'length',
    givesPhantom: 'feeds phantom power',
    givesPlugInPower: 'feeds plug-in power',
    attenuates: 'brings line level down',
    carriesW: 'carries at most'
  },
  gist: (gear) => gear.ports.map((port) => `${port.type} ${port.end}`).join(' to ')
} satisfies KindDescriptor<CableGear>;
