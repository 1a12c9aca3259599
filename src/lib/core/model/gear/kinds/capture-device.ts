import type { CaptureDeviceGear } from '../capture-device';
import type { KindDescriptor } from '../kind-descriptor';

export const captureDeviceKind = {
  pocket: 'accessories',
  name: 'capture device',
  fields: {
    pixelsAcross: 'pixels across',
    fps: 'frames a second',
    lagFrames: 'picture comes late by'
  },
  job: () => 'capture device',
  gist: (gear) => `${gear.pixelsAcross ?? '?'} pixels at ${gear.fps ?? '?'}`
} satisfies KindDescriptor<CaptureDeviceGear>;
