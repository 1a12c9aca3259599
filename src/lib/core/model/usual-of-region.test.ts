import { describe, expect, it } from 'vitest';
import { usualCurrencies } from '../money/rates';
import { usualOf } from './usual-of-region';

describe('what is usual where one lives', () => {
  it.each([
    ['en-GB', 'GBP', 50, 'metric'],
    ['en-US', 'USD', 60, 'imperial'],
    ['en', 'USD', 60, 'imperial'],
    ['fr-CA', 'CAD', 60, 'metric'],
    ['de', 'EUR', 50, 'metric'],
    ['pt-BR', 'BRL', 60, 'metric'],
    ['sv-SE', 'SEK', 50, 'metric'],
    ['', 'GBP', 50, 'metric'],
    ['not a language', 'GBP', 50, 'metric']
  ])('%s', (language, currency, mainsHz, units) => {
    expect(usualOf(language)).toEqual({ currency, mainsHz, units });
    expect(usualCurrencies).toContain(currency);
  });
});
