import type { ComputerGear } from '../computer';
import type { KindDescriptor } from '../kind-descriptor';
import { COMPUTER, end } from '../supply-end';

export const computerKind = {
  pocket: 'storage',
  name: 'editing computer',
  fields: {
    editingRating: 'editing load it plays',
    freeSpaceGb: 'free space',
    hasReader: 'has a card reader',
    usbCPorts: 'USB-C ports'
  },
  supplyEnds: (gear) =>
    gear.hasReader === true
      ? [end('card', 'SD', 'socket'), end('card', COMPUTER.type, 'plug')]
      : [],
  gist: (gear) => `plays load ${gear.editingRating ?? '?'}, ${gear.freeSpaceGb ?? '?'} GB free`
} satisfies KindDescriptor<ComputerGear>;
