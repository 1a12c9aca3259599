import type { Project } from '../model/project';
import { minor, percentOf, roundHalfAwayFromZero } from './minor';
import type { MoneyStatement } from './statement';

/** What one finished video costs, and of what that is made. */
export interface CostPerVideo {
  videos: number;
  /** Rounded to the minor unit; the whole is exact. */
  eachMinor: number;
  wholeMinor: number;
  feeMinor: number;
  resaleMinor: number;
  consumablesMinor: number;
}

/**
 * What each finished video costs once the kit is sold again; undefined while nobody says how many there will be.
 * Relation: (price − resale × (1 − fees) + consumables) ÷ videos, the price being the firm total.
 */
export function costPerVideo(
  {
    videosPlanned,
    consumablesMinor = 0,
    resaleFeePercent = 0
  }: Pick<Project, 'videosPlanned' | 'consumablesMinor' | 'resaleFeePercent'>,
  { firmMinor, afterCashBackMinor, afterResaleMinor }: MoneyStatement
): CostPerVideo | undefined {
  if (videosPlanned === undefined) return undefined;
  const resaleMinor = minor(afterCashBackMinor - afterResaleMinor);
  const feeMinor = percentOf(resaleMinor, resaleFeePercent);
  const wholeMinor = firmMinor - (resaleMinor - feeMinor) + consumablesMinor;
  return {
    videos: videosPlanned,
    eachMinor: roundHalfAwayFromZero(wholeMinor / videosPlanned),
    wholeMinor,
    feeMinor,
    resaleMinor,
    consumablesMinor
  };
}
