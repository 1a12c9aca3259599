import type { Judgement } from '../../core/judge/judgement';
import type { Ignored } from '../../core/model/project';
import { groupFindings } from '../settle/group-findings';

/** The verdict in a sentence: what blocks, what weakens, how good the kit is or would be. */
export function verdictWords(judgement: Judgement, ignored: readonly Ignored[]): string {
  const groups = groupFindings(judgement.findings, ignored);
  const count = (severity: 'stop' | 'warn') =>
    groups.filter(({ finding }) => finding.severity === severity).length;
  const [blocks, weakens] = [count('stop'), count('warn')];
  const worth = Math.round(
    (blocks > 0 ? judgement.merit.onceSettledHundredths : judgement.merit.meritHundredths) / 100
  );
  return `${blocks === 0 ? 'Nothing blocks a scene' : `${blocks} ${blocks === 1 ? 'finding blocks' : 'findings block'} a scene`}, ${weakens} ${weakens === 1 ? 'weakens' : 'weaken'} one. The kit is worth ${worth} of 100${blocks > 0 ? ' once that is settled' : ''}.`;
}
