import type { LensGear } from '../lens';
import type { KindDescriptor } from '../kind-descriptor';
import { thread, mount } from '../implied-port';

export const lensKind = {
  pocket: 'lens',
  name: 'lens',
  fields: {
    mount: 'mount',
    focalLengthMinMm: 'shortest focal length',
    focalLengthMaxMm: 'longest focal length',
    apertureWideN: 'widest aperture, short end',
    apertureTeleN: 'widest aperture, long end',
    apertureWideT: 'T-number, widest at the short end',
    apertureSmallestN: 'smallest aperture',
    coversWidthMm: 'covers a sensor width of',
    minimumFocusDistanceM: 'minimum focus distance',
    motorLevelDbA: 'focus motor at 0.1 m',
    protrudingFront: 'front element protrudes'
  },
  job: () => 'lens',
  impliedPorts: (part) => [
    ...(part.mount === undefined ? [] : [mount(part.mount, 'plug', 'lens')]),
    ...(part.filterThreadMm === undefined ? [] : [thread(part.filterThreadMm, 'socket', 'filter')])
  ],
  gist: (gear) =>
    `${gear.mount} mount, ${gear.focalLengthMinMm === gear.focalLengthMaxMm ? gear.focalLengthMinMm : `${gear.focalLengthMinMm}–${gear.focalLengthMaxMm}`} mm, f/${gear.apertureWideN}`,
  drawing: (gear) => (gear.focalLengthMaxMm > gear.focalLengthMinMm ? 'zoom' : 'lens')
} satisfies KindDescriptor<LensGear>;
