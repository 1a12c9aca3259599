import { describe, expect, it } from 'vitest';
import type { OtherWay } from '../../core/judge/disputes';
import { effectWords } from './effect-words';

const way: OtherWay = {
  act: { type: 'batch', acts: [] },
  takes: [],
  costMinor: 0,
  meritBeforeHundredths: 5717,
  meritAfterHundredths: 5717,
  settles: [],
  breaks: []
};
const change = (title: string) => ({ code: 'A1', severity: 'warn', title });

describe('what going the other way would do', () => {
  it('says when nothing moves', () => {
    expect(effectWords(way, 'GBP')).toEqual({
      sum: 'The kit stays at 57 at no price.',
      settles: '',
      breaks: ''
    });
  });

  it('says worth, price and the parts that come in', () => {
    const dearer = {
      ...way,
      meritAfterHundredths: 6245,
      costMinor: 12_000,
      takes: ['Ledge Low', 'Lead']
    };
    expect(effectWords(dearer, 'GBP').sum).toBe(
      'The kit goes from 57 to 62 for £120 more, with Ledge Low and Lead.'
    );
    expect(effectWords({ ...way, costMinor: -4_550 }, 'GBP').sum).toBe(
      'The kit stays at 57 for £45.50 less.'
    );
  });

  it('names what it settles and what it breaks', () => {
    const words = effectWords(
      { ...way, settles: [change('the voice drowns')], breaks: [change('one'), change('two')] },
      'GBP'
    );
    expect(words.settles).toBe('settles: the voice drowns');
    expect(words.breaks).toBe('side effects: one; two');
  });
});
