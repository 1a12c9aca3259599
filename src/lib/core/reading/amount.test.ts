import { describe, expect, it } from 'vitest';
import { readAmount } from './amount';
import { MeasureError } from './measure';
import { readSpecification } from './specification';

const minorIn = (text: string, own = 'GBP') => {
  const { minor, currency } = readAmount(text, own);
  return `${minor} ${currency}`;
};

describe('an amount of money', () => {
  it.each([
    ['649,00 €', '64900 EUR'],
    ['89.90 EUR', '8990 EUR'],
    ['eur 89,9', '8990 EUR'],
    ['$ 1,299', '129900 USD'],
    ['US$1,299.99', '129999 USD'],
    ['1.299,00 €', '129900 EUR'],
    ['1 299,50 €', '129950 EUR'],
    ['1 299,50 €', '129950 EUR'],
    ['1 299 €', '129900 EUR'],
    ['1.299,- €', '129900 EUR'],
    ['1.299,– €', '129900 EUR'],
    ['€1.299', '129900 EUR'],
    ["CHF 1'299.–", '129900 CHF'],
    ['CHF 1’299.50', '129950 CHF'],
    ['1.234.567,89 €', '123456789 EUR'],
    ['£1,234,567.89', '123456789 GBP'],
    ['¥12,980', '12980 JPY'],
    ['12 980 JPY', '12980 JPY'],
    ['₹1,23,4', 'refused'],
    ['1.250 KWD', '1250 KWD'],
    ['1,250 KWD', '1250000 KWD'],
    ['129', '12900 GBP'],
    ['129.5', '12950 GBP'],
    ['12,50', '1250 GBP'],
    ['1,299', '129900 GBP'],
    ['1.299', '129900 GBP'],
    ['0.999', '100 GBP'],
    ['£0', '0 GBP'],
    ['1.049 zł', '104900 PLN'],
    ['SEK 4 990', '499000 SEK'],
    ['Fr. 89.90', '8990 CHF']
  ])('%s is read as %s', (text, read) => {
    if (read === 'refused') expect(() => minorIn(text)).toThrow(MeasureError);
    else expect(minorIn(text)).toBe(read);
  });

  it.each([
    '',
    'free',
    '12 or 13',
    '-5',
    '−5 €',
    '1,2,3',
    '12.3.4',
    '5 XQZ',
    '5 abc',
    '1e9',
    '999999999999'
  ])('“%s” is refused in a sentence', (text) => expect(() => minorIn(text)).toThrow(MeasureError));

  it('takes a shared sign for the currency one pays in, and asks where nobody can tell', () => {
    expect(minorIn('$10', 'AUD')).toBe('1000 AUD');
    expect(minorIn('$10', 'GBP')).toBe('1000 USD');
    expect(minorIn('¥10', 'CNY')).toBe('1000 CNY');
    expect(minorIn('4 990 kr', 'SEK')).toBe('499000 SEK');
    expect(() => minorIn('4 990 kr', 'GBP')).toThrow(/write SEK, NOK or DKK/);
  });

  it.each([
    ['Ring lamp, 649,00 € at the fair', 64900, 'EUR'],
    ['Price: 89.90 EUR', 8990, 'EUR'],
    ['now $1,299.00 only', 129900, 'USD'],
    ['1.299,- € incl. stand', 129900, 'EUR'],
    ['CHF 1’299.50', 129950, 'CHF'],
    ['£ 49', 4900, 'GBP']
  ])('is found in running text: %s', (text, likely, currency) => {
    const price = readSpecification(text, 'lamp').proposals.find(({ key }) => key === 'priceNew');
    expect(price?.value).toMatchObject({ likely, currency });
  });
});
