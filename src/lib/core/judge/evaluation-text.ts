import { formatMoney } from '../money/format';
import type { Evaluation } from './evaluation';

const severityWords: Readonly<Record<string, string>> = {
  stop: 'BLOCKS',
  warn: 'weakens',
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
    `${amount(money.firmMinor)} of ${amount(money.spendableMinor)} budget: ${amount(Math.abs(money.remainingMinor))} ${money.remainingMinor < 0 ? 'over' : 'left'}`,
    `between ${amount(money.range.lowestMinor)} and ${amount(money.range.worstMinor)}; chance of being over ${Math.round(money.range.chanceOver * 100)} %`,
    ''
  ];
  for (const scene of merit.scenes) {
    const state = scene.works
      ? String(Math.round(scene.low))
      : `blocked, would be ${Math.round(scene.low)}`;
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
  if (evaluation.questions.length > 0) out.push('', 'Ask before you pay:');
  for (const { question, effects } of evaluation.questions)
    out.push(
      `  ${question}`,
      ...effects.map(
        ({ answer, brings }) =>
          `     ${answer}: ${brings.length > 0 ? brings.join('; ') : 'nothing is in the way'}`
      )
    );
  for (const { sceneId, angleId, settings } of evaluation.scenes) {
    out.push(
      '',
      `Settings, ${names.scenes[sceneId] ?? sceneId}${angleId === 'a' ? '' : ` ${angleId}`}:`
    );
    for (const { name, set } of settings) out.push(`  ${name}: ${set}`);
  }
  return `${out.join('\n')}\n`;
}
