import type { Finding } from '../findings/finding';
import type { KitMerit } from '../merit/kit-merit';
import type { MoneyStatement } from '../money/statement';
import type { Kit } from '../rigs/kit';
import type { AngleJudgement } from './incremental/angle-judgement';

/** Everything the product says of a plan. Same input, same judgement, to the last figure. */
export interface Judgement {
  money: MoneyStatement;
  kit: Kit;
  angles: readonly AngleJudgement[];
  /** Worst first; within a severity in the order of the finding table. */
  findings: Finding[];
  merit: KitMerit;
}
