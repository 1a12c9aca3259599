import type { RouterGear } from '../router';
import type { KindDescriptor } from '../kind-descriptor';

export const routerKind = {
  pocket: 'accessories',
  name: 'mobile router',
  fields: { uploadMbps: 'upload' },
  job: () => 'router',
  gist: (gear) =>
    `${gear.uploadMbps ?? '?'} Mb/s up, ${gear.internalBatteryWh === undefined ? 'no battery inside' : `${gear.internalBatteryWh} Wh inside`}`
} satisfies KindDescriptor<RouterGear>;
