import { describe, expect, it } from 'vitest';
import { plainNumber } from './measure-words';

describe('a number for reading', () => {
  it('has no more digits than asked for, and no thousands that part at a line’s end', () => {
    expect(plainNumber(1739.46, 0)).toBe('1\u00a0739');
    expect(plainNumber(2.3, 2)).toBe('2.3');
  });

  it('has a minus of its own, and none where it is rounded to nought', () => {
    expect(plainNumber(-9.2, 0)).toBe('−9');
    expect(plainNumber(-0.04, 1)).toBe('0');
    expect(plainNumber(-0.4, 0)).toBe('0');
  });

  it('has words where there is no end', () => {
    expect(plainNumber(Infinity, 1)).toBe('unlimited');
    expect(plainNumber(-Infinity, 1)).toBe('none');
  });
});
