import type { DisputeRow } from './dispute-rows/dispute';
import { settingDisputes } from './dispute-rows/settings';
import { buyingDisputes } from './dispute-rows/buying';
import { lensDisputes } from './dispute-rows/lens';
import { soundDisputes } from './dispute-rows/sound';
import { lightDisputes } from './dispute-rows/light';
import { livePictureDisputes } from './dispute-rows/live-picture';

export type { DisputeContext, DisputeRow, Side } from './dispute-rows/dispute';

/** Places where practitioners disagree, in the order one meets them. */
export const disputes = {
  ...settingDisputes,
  ...buyingDisputes,
  ...lensDisputes,
  ...soundDisputes,
  ...lightDisputes,
  ...livePictureDisputes
} as const satisfies Record<string, DisputeRow>;
export type DisputeId = keyof typeof disputes;
