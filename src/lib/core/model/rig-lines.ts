import type { Rig } from './plan';

/** Fields of a rig that name a line of the plan, or none. */
export const rigLines = [
  'bodyLineId',
  'lensLineId',
  'micLineId',
  'supportLineId',
  'filterLineId',
  'keyLampLineId',
  'fillLampLineId',
  'recorderLineId'
] as const satisfies readonly (keyof Rig)[];
