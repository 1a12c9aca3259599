import type { CardGear } from '../card';
import type { KindDescriptor } from '../kind-descriptor';
import { card } from '../implied-port';
import { end, RECORDING } from '../supply-end';

export const cardKind = {
  pocket: 'storage',
  name: 'card',
  fields: {
    speedClass: 'speed class'
  },
  job: (gear) => `card ${gear.cardKind}`,
  impliedPorts: (part) => [card(part.cardKind, 'plug')],
  supplyEnds: (gear) => [end('card', gear.cardKind, 'plug'), end('card', RECORDING.type, 'plug')],
  gist: (gear) =>
    `${gear.cardKind}, ${gear.capacityGb ?? '?'} GB, ${gear.speedClass ?? 'class not stated'}`
} satisfies KindDescriptor<CardGear>;
