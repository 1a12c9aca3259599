import type { ThreadAdapterGear } from '../thread-adapter';
import type { KindDescriptor } from '../kind-descriptor';

export const threadAdapterKind = {
  pocket: 'accessories',
  name: 'thread adapter, plate or cold shoe',
  fields: {
    movesShoeAside: 'moves the shoe aside'
  },
  gist: (gear) => gear.ports.map((port) => `${port.type} ${port.end}`).join(' to ')
} satisfies KindDescriptor<ThreadAdapterGear>;
