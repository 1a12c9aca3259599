import type { DriveGear } from '../drive';
import type { KindDescriptor } from '../kind-descriptor';

export const driveKind = {
  pocket: 'storage',
  name: 'drive',
  fields: {
    writeMBps: 'write speed'
  },
  job: () => 'drive',
  gist: (gear) => `${gear.capacityGb ?? '?'} GB`
} satisfies KindDescriptor<DriveGear>;
