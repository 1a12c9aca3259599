import type { PowerBankGear } from '../power-bank';
import type { KindDescriptor } from '../kind-descriptor';
import { end, ENERGY, USB_C } from '../supply-end';

export const powerBankKind = {
  pocket: 'power',
  name: 'power bank',
  fields: {
    passThrough: 'charges while it gives'
  },
  job: () => 'power bank',
  supplyEnds: () => [end('power', USB_C, 'socket'), end('power', ENERGY.type, 'plug')],
  gist: (gear) => `${gear.energyWh ?? '?'} Wh, ${gear.outputW ?? '?'} W`
} satisfies KindDescriptor<PowerBankGear>;
