import { figureIndex } from '../figures/table';
import { accountFindings } from './account-findings';
import { bodyCareFindings } from './body-care-findings';
import { bodyFindings } from './body-findings';
import type { AngleFindingRow, FindingRow, PlanFindingRow } from './finding';
import { bodyHoldFindings } from './body-hold-findings';
import { lampFindings } from './lamp-findings';
import { tripodFindings } from './tripod-findings';
import { soundRelianceFindings } from './sound-reliance-findings';
import { lensFindings } from './lens-findings';
import { lensLightFindings } from './lens-light-findings';
import { lensUseFindings } from './lens-use-findings';
import { lightFindings } from './light-findings';
import { lightPlaceFindings } from './light-place-findings';
import { missingFindings } from './missing-findings';
import { moneyFindings } from './money-findings';
import { powerAwayFindings } from './power-away-findings';
import { powerFindings } from './power-findings';
import { relianceFindings } from './reliance-findings';
import { ruleFindings } from './rule-findings';
import { soundFindings } from './sound-findings';
import { soundPlaceFindings } from './sound-place-findings';
import { stabilityFindings } from './stability-findings';
import { storageFindings } from './storage-findings';
import { supportFindings } from './support-findings';
import { cuttingFindings, wholeFindings } from './whole-findings';

/** The one table of finding codes judged per angle. A code may have several rows, one a cause. */
export const angleFindings: readonly AngleFindingRow[] = [
  ...bodyFindings,
  ...bodyCareFindings,
  ...lensFindings,
  ...lensLightFindings,
  ...lensUseFindings,
  ...soundFindings,
  ...soundPlaceFindings,
  ...lightFindings,
  ...lightPlaceFindings,
  ...supportFindings,
  ...stabilityFindings,
  ...storageFindings,
  ...powerFindings,
  ...powerAwayFindings,
  ...bodyHoldFindings,
  ...soundRelianceFindings,
  ...lampFindings,
  ...tripodFindings,
  ...relianceFindings,
  ...cuttingFindings
];

/** Those judged once for the whole plan. */
export const planFindings: readonly PlanFindingRow[] = [
  ...moneyFindings,
  ...missingFindings,
  ...accountFindings,
  ...ruleFindings,
  ...wholeFindings
];

export const findingTable: readonly FindingRow[] = [...angleFindings, ...planFindings];

/** What each row asks of an angle, by its place: read from a list, since rows have many shapes. */
export const judgesOfAngle: readonly AngleFindingRow['judge'][] = angleFindings.map(
  ({ judge }) => judge
);

/** What each row asks of a plan, by its place. */
export const judgesOfPlan: readonly PlanFindingRow['judge'][] = planFindings.map(
  ({ judge }) => judge
);

/** Places in the record of the figures each row reads. */
export const readsOfFinding: readonly (readonly number[])[] = angleFindings.map((row) =>
  row.reads.map((id) => figureIndex[id])
);
