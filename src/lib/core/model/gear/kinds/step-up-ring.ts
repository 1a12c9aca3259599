import type { StepUpRingGear } from '../step-up-ring';
import type { KindDescriptor } from '../kind-descriptor';
import { thread } from '../implied-port';

export const stepUpRingKind = {
  pocket: 'accessories',
  name: 'step-up ring',
  fields: {
    lensThreadMm: 'thread of the lens'
  },
  impliedPorts: (part) => [
    thread(part.lensThreadMm, 'plug', 'joins'),
    thread(part.filterThreadMm, 'socket', 'joins')
  ],
  gist: (gear) => `lens ${gear.lensThreadMm} mm, filter ${gear.filterThreadMm} mm`
} satisfies KindDescriptor<StepUpRingGear>;
