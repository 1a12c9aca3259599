import { bodyFindings } from './body-findings';
import type { AngleFindingRow, FindingRow, PlanFindingRow } from './finding';
import { handlingFindings } from './handling-findings';
import { lensFindings } from './lens-findings';
import { lightFindings } from './light-findings';
import { moneyFindings } from './money-findings';
import { powerFindings } from './power-findings';
import { soundFindings } from './sound-findings';
import { storageFindings } from './storage-findings';
import { supportFindings } from './support-findings';
import { wholeFindings } from './whole-findings';

/** The one table of finding codes judged per angle. */
export const angleFindings: readonly AngleFindingRow[] = [
  ...bodyFindings,
  ...lensFindings,
  ...soundFindings,
  ...lightFindings,
  ...supportFindings,
  ...storageFindings,
  ...powerFindings,
  ...handlingFindings
];

/** Those judged once for the whole plan. */
export const planFindings: readonly PlanFindingRow[] = [...moneyFindings, ...wholeFindings];

export const findingTable: readonly FindingRow[] = [...angleFindings, ...planFindings];
