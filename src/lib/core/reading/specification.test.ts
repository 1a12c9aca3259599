import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readSpecification, SPECIFICATION_MOST_CHARACTERS } from './specification';
import sheets from './sheets.fixture.json';

interface Sheet {
  text: string;
  expect: Record<string, unknown>;
}

function near(a: unknown, b: unknown): boolean {
  if (typeof a === 'number' && typeof b === 'number')
    return Math.abs(a - b) <= Math.max(0.005, Math.abs(b) * 0.001);
  return JSON.stringify(a) === JSON.stringify(b);
}

function compare({ text, expect: wanted }: Sheet) {
  const { proposals } = readSpecification(text);
  const got = new Map<string, unknown>();
  for (const { key, value } of proposals) {
    if (key === 'modes') got.set(key, [...((got.get(key) as unknown[]) ?? []), value]);
    else got.set(key, value);
  }
  const missed = Object.entries(wanted)
    .filter(([key, value]) => !near(got.get(key), value))
    .map(([key, value]) => `${key}: ${JSON.stringify(got.get(key))} for ${JSON.stringify(value)}`);
  const extra = [...got.keys()].filter(
    (key) =>
      !(key in wanted) &&
      key !== 'apertureTeleN' &&
      key !== 'focalLengthMaxMm' &&
      key !== 'batteryHours'
  );
  return { missed, extra, count: Object.keys(wanted).length, text };
}

describe('forty-odd invented sheets', () => {
  const results = (sheets as Sheet[]).map(compare);

  it('are read with at least 95 % of their figures right', () => {
    const figures = results.reduce((sum, result) => sum + result.count, 0);
    const wrong = results.flatMap(({ missed, text }) =>
      missed.map((field) => `${text.slice(0, 40)}… ${field}`)
    );
    expect(results.length).toBeGreaterThanOrEqual(40);
    expect(figures).toBeGreaterThan(200);
    expect(wrong.length / figures, wrong.join('\n')).toBeLessThanOrEqual(0.05);
  });

  it('yield no figure nobody stated', () => {
    expect(
      results.flatMap(({ extra, text }) => extra.map((key) => `${text.slice(0, 50)}… ${key}`))
    ).toEqual([]);
  });

  it('show for each figure the words it was read from', () => {
    for (const { text } of sheets as Sheet[]) {
      for (const { from, to } of readSpecification(text).proposals) {
        expect(from).toBeLessThan(to);
        expect(text.slice(from, to).trim().length).toBeGreaterThan(0);
      }
    }
  });

  it('hold for any text without a throw, and no further than a specification can be', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 400 }), (text) => void readSpecification(text)),
      { numRuns: 300 }
    );
    const far = `${' '.repeat(SPECIFICATION_MOST_CHARACTERS)}weight 12 g`;
    expect(readSpecification(far).proposals).toEqual([]);
    expect(readSpecification(far.trimStart()).proposals).toHaveLength(1);
  });
});

describe('a set of radio microphones', () => {
  it.each([
    ['Wireless lavalier set, 2 transmitters and a receiver', 2],
    ['Clip-on wireless microphone. Two TX, one RX. Range 100 m', 2],
    ['Wireless lavalier. Transmitters: 4', 4]
  ])('says how many voices it takes: “%s”', (text, transmitters) => {
    const { proposals } = readSpecification(text, 'microphone');
    expect(proposals.find(({ key }) => key === 'transmitters')?.value).toBe(transmitters);
  });
});
