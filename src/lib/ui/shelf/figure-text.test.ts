import { describe, expect, it } from 'vitest';
import { catalogue } from '../../catalogue/load-catalogue';
import { fullName, type GearItem } from '../../core/model/gear';
import { sheetOf } from '../../core/model/gear/spec-sheet';
import { sheetLines, sheetQuestions } from './figure-text';

const lineOf = (gear: GearItem, key: string, units: 'metric' | 'imperial' = 'metric') =>
  sheetLines(gear, units).find((line) => line.key === key)!;
const linnet = catalogue.byId.get('orrowby-linnet')!;
const lens = catalogue.byId.get('orrowby-10-5-f-2')!;

describe('a part’s sheet', () => {
  it('has a line for every field of its kind, in the maker’s order', () => {
    for (const gear of catalogue.items.slice(0, 80))
      expect(sheetLines(gear, 'metric').map(({ key }) => key)).toEqual(
        sheetOf(gear).map(({ key }) => key)
      );
  });

  it('writes figures as makers do', () => {
    expect(lineOf(lens, 'apertureWideN').text).toBe('f/2');
    expect(lineOf(lens, 'apertureWideT').text).toBe('T2.2');
    expect(lineOf(lens, 'stabilised').text).toBe('no');
    expect(lineOf(linnet, 'baseIso').text).toMatch(/^ISO \d+$/);
    expect(lineOf(linnet, 'drawW').text).toBe('5.9 W');
  });

  it('weighs in grams, or in pounds for those who do', () => {
    expect(lineOf(lens, 'massG').text).toBe('176 g');
    expect(lineOf(lens, 'massG', 'imperial').text).toMatch(/ (lb|oz)$/);
  });

  it('leaves unsaid what nobody has stated: no line makes a figure of it', () => {
    const silent = { ...linnet, drawW: undefined, baseIso: undefined } as unknown as GearItem;
    expect(lineOf(silent, 'drawW').text).toBeUndefined();
    expect(lineOf(silent, 'baseIso').text).toBeUndefined();
    for (const gear of catalogue.items)
      for (const { text } of sheetLines(gear, 'metric'))
        expect(text ?? '').not.toMatch(/undefined|NaN/);
  });

  it('asks a seller for what nobody has stated, and nobody for what one knows oneself', () => {
    const silent = { ...lens, minimumFocusDistanceM: undefined, stabilised: undefined } as GearItem;
    const questions = sheetQuestions(silent, sheetLines(silent, 'metric'));
    expect(questions).toContain(`What is the minimum focus distance of ${fullName(lens)}?`);
    expect(questions).toContain(`${fullName(lens)}: stabilisation, yes or no?`);
    expect(questions.join(' ')).not.toMatch(/made at home|note/);
    const stated = sheetLines(lens, 'metric').map((line) => ({ ...line, text: 'said' }));
    expect(sheetQuestions(lens, stated)).toEqual([]);
  });
});
