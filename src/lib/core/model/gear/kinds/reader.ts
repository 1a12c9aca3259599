import type { ReaderGear } from '../reader';
import type { KindDescriptor } from '../kind-descriptor';
import { card } from '../implied-port';
import { COMPUTER, end } from '../supply-end';

export const readerKind = {
  pocket: 'storage',
  name: 'card reader',
  impliedPorts: (part) => [card(part.cardKind, 'socket')],
  supplyEnds: (gear) => [end('card', gear.cardKind, 'socket'), end('card', COMPUTER.type, 'plug')],
  gist: (gear) => `${gear.cardKind} to ${gear.plug ?? '?'}`
} satisfies KindDescriptor<ReaderGear>;
