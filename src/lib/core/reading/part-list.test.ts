import { describe, expect, it } from 'vitest';
import { LIST_MOST_LINES, readPartList } from './part-list';

const listed = (line: string, own = 'GBP') => {
  const [{ name, quantity, price, fault } = { name: '', quantity: 0 }] = readPartList(line, own);
  return { name, quantity, price: price && `${price.minor} ${price.currency}`, fault };
};

describe('a pasted list of parts', () => {
  it.each([
    ['Orrowby Linnet 649,00 €', 'Orrowby Linnet', 1, '64900 EUR'],
    ['2 × Ember 8 battery – 24,90 €', 'Ember 8 battery', 2, '2490 EUR'],
    ['Ember 8 battery x3  £18', 'Ember 8 battery', 3, '1800 GBP'],
    ['- Plover; 1.299,00 EUR', 'Plover', 1, '129900 EUR'],
    ['3) USD 89.90 Thimble Two', 'Thimble Two', 1, '8990 USD'],
    ['$ 1,299 Linnet', 'Linnet', 1, '129900 USD'],
    ['Card 128 GB\t24.50', 'Card 128 GB', 1, '2450 GBP'],
    ['Card 128 GB 24.50', 'Card 128 GB', 1, '2450 GBP'],
    ['Pellamund 17 f/1.5', 'Pellamund 17 f/1.5', 1, undefined],
    ['Stand 2', 'Stand 2', 1, undefined],
    ['Stand 2: 22', 'Stand 2', 1, '2200 GBP'],
    ['[x] Grip, 4 pcs', 'Grip, 4 pcs', 1, undefined],
    ['4 pcs Grip', 'Grip', 4, undefined],
    ['Lamp 1 299,50 kr', 'Lamp', 1, '129950 SEK']
  ])('“%s”', (line, name, quantity, price) => {
    expect(listed(line, line.includes('kr') ? 'SEK' : 'GBP')).toEqual({
      name,
      quantity,
      price,
      fault: undefined
    });
  });

  it.each([
    ['Plover 132, left 451', 'Plover', '13200', 45100],
    ['Plover 132.00 (451 left)', 'Plover', '13200', 45100],
    ['2 × Ember 8 battery – £24.90 → remaining: £1,101.20', 'Ember 8 battery', '2490', 110120],
    ['Linnet  325  leaves 88,50 €', 'Linnet', '32500', 8850],
    ['Lamp 165; 58 over', 'Lamp', '16500', -5800],
    ['Lamp 165; left -58', 'Lamp', '16500', -5800],
    ['Lamp 165; short £58.50', 'Lamp', '16500', -5850]
  ])('takes what a hand has left: “%s”', (line, name, price, remaining) => {
    const [part] = readPartList(line, line.includes('€') ? 'EUR' : 'GBP');
    expect(part).toMatchObject({ name, remaining: { minor: remaining } });
    expect(String(part!.price?.minor)).toBe(price);
    expect(part!.fault).toBeUndefined();
  });

  it('says when what is left is of other money, and takes no word of a name for it', () => {
    expect(readPartList('Plover 132, left 451 €', 'GBP')[0]!.fault).toMatch(/written in EUR/);
    expect(readPartList('Over-ear rest 30', 'GBP')[0]).toMatchObject({ name: 'Over-ear rest 30' });
    expect(readPartList('Left hand grip', 'GBP')[0]!.remaining).toBeUndefined();
  });

  it('passes over empty lines and keeps the number of each', () => {
    expect(readPartList('\nA\r\n\r\nB', 'GBP').map(({ line, name }) => [line, name])).toEqual([
      [2, 'A'],
      [4, 'B']
    ]);
  });

  it('says what cannot be read and loses nothing of the line', () => {
    expect(listed('£12').fault).toMatch(/no name of a part/);
    expect(listed('0 x Plover').fault).toMatch(/asks for 0/);
    expect(listed('Lamp 100 kr').fault).toMatch(/Swedish, Norwegian or Danish/);
    expect(readPartList('Lamp 100 kr', 'GBP')[0]!.text).toBe('Lamp 100 kr');
    expect(() => readPartList('x\n'.repeat(LIST_MOST_LINES + 1), 'GBP')).toThrow(/at most 200/);
  });
});
