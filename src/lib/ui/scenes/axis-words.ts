import type { Axis } from '../../core/merit/axis-curves';
import type { AxisScore } from '../../core/merit/axis-scores';

/** Short names beneath the bars. */
export const axisShort: Readonly<Record<Axis, string>> = {
  sound: 'sound',
  light: 'light',
  picture: 'pict',
  steadiness: 'still',
  endurance: 'last',
  ease: 'ease',
  'safety net': 'safe'
};

/** From which points a bar is good, middling, or a worry: a colour, a hatching and a word each. */
export function axisLevel(points: number): 'good' | 'fair' | 'poor' {
  return points >= 70 ? 'good' : points >= 45 ? 'fair' : 'poor';
}

/** The bar in words, for those who hear it. */
export function axisSentence(axis: Axis, score: AxisScore | undefined): string {
  if (!score) return `${axis}: not wanted here`;
  const low = Math.round(score.low);
  const high = Math.round(score.high);
  return `${axis}: ${low}${high > low ? ` to ${high}` : ''} of 100`;
}
