import type { FilterGear } from '../filter';
import type { KindDescriptor } from '../kind-descriptor';
import { thread } from '../implied-port';

const stops = (min: number | undefined, max: number | undefined) =>
  min === undefined || max === undefined
    ? 'stops not stated'
    : min === max
      ? `${max} stops`
      : `${min} to ${max} stops`;

export const filterKind = {
  pocket: 'accessories',
  name: 'filter',
  fields: {
    threadMm: 'thread',
    stopsMin: 'least density',
    stopsMax: 'most density',
    castMired: 'colour cast'
  },
  job: (gear) => (gear.form.endsWith('density') ? 'neutral density' : undefined),
  impliedPorts: (part) => [thread(part.threadMm, 'plug', 'filter')],
  gist: (gear) => `${gear.threadMm} mm, ${gear.form}, ${stops(gear.stopsMin, gear.stopsMax)}`
} satisfies KindDescriptor<FilterGear>;
