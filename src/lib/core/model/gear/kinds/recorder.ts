import type { RecorderGear } from '../recorder';
import type { KindDescriptor } from '../kind-descriptor';

export const recorderKind = {
  pocket: 'sound',
  name: 'recorder',
  fields: {
    clockPpm: 'clock runs off by',
    safetyTrack: 'safety track'
  },
  job: () => 'recorder',
  gist: (gear) => `runs ${gear.batteryHours ?? '?'} h${gear.safetyTrack ? ', safety track' : ''}`
} satisfies KindDescriptor<RecorderGear>;
