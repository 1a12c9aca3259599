import type { HeadGear } from '../head';
import type { KindDescriptor } from '../kind-descriptor';

export const headKind = {
  pocket: 'support',
  name: 'head',
  fields: {
    ratedAtMm: 'payload holds up to a height of'
  },
  job: () => 'head',
  gist: (gear, { mass }) =>
    `${gear.form}, payload ${gear.payloadKg === undefined ? 'not stated' : mass(gear.payloadKg)}${gear.ratedAtMm === undefined ? '' : ` up to ${gear.ratedAtMm} mm over the plate`}`
} satisfies KindDescriptor<HeadGear>;
