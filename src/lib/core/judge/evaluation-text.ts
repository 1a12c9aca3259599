import { formatMoney } from '../money/format';
import type { Evaluation } from './evaluation';

const severityWords: Readonly<Record<string, string>> = {
  stop: 'STOP',
  warn: 'cost',
  note: 'note'
};

/** An evaluation as a person reads it in a terminal. */
export function evaluationText(
  evaluation: Evaluation,
  names: { project: string; plan: string; scenes: Readonly<Record<string, string>> }
): string {
  const { money, merit, findings } = evaluation;
  const amount = (minor: number) => formatMoney(minor, money.currency, { locale: 'en-GB' });
  const out = [
    `${names.project}, ${names.plan}`,
    `${amount(money.firmMinor)} of ${amount(money.spendableMinor)} that may be spent: ${amount(Math.abs(money.remainingMinor))} ${money.remainingMinor < 0 ? 'over' : 'left'}`,
    ''
  ];
  for (const scene of merit.scenes) {
    const state = scene.works
      ? String(Math.round(scene.low))
      : `stopped, would be ${Math.round(scene.low)}`;
    const axes = Object.entries(scene.axes).map(
      ([axis, score]) =>
        `${axis} ${Math.round(score.low)}${score.high - score.low > 1 ? `–${Math.round(score.high)}` : ''}`
    );
    out.push(
      `${names.scenes[scene.sceneId] ?? scene.sceneId}: ${state}${scene.works && scene.heldBackBy ? `, held back by ${scene.heldBackBy}` : ''}`,
      `  ${axes.join(' · ')}`
    );
  }
  out.push('');
  for (const finding of findings)
    out.push(
      `${severityWords[finding.severity]} ${finding.code} ${finding.title}`,
      `     ${finding.why}`
    );
  if (findings.length === 0) out.push('Nothing stands in the way.');
  return `${out.join('\n')}\n`;
}
