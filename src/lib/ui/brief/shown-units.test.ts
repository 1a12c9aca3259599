import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { roomFigure, shownFigure, shownUnit } from './shown-units';

describe('figures in a person’s own units', () => {
  it('stay as they are kept in metric', () => {
    for (const unit of ['m', 'm²', 'm/s', '°C', 'dB(A)', 'lx'])
      expect(shownUnit(unit, 'metric')).toBeUndefined();
    expect(shownFigure(6, 'm/s', 'metric')).toBe('6 m/s');
    expect(shownFigure(8, '°C', 'metric')).toBe('8 °C');
  });

  it('are inches, square feet, miles an hour and Fahrenheit in imperial', () => {
    expect(shownFigure(6, 'm/s', 'imperial')).toBe('13 mph');
    expect(shownFigure(8, '°C', 'imperial')).toBe('46 °F');
    expect(shownFigure(-40, '°C', 'imperial')).toBe('-40 °F');
    expect(shownFigure(2, 'm²', 'imperial')).toBe('22 ft²');
    expect(shownFigure(1.1, 'm', 'imperial')).toBe('43 in');
    expect(shownFigure(42, 'dB(A)', 'imperial')).toBe('42 dB(A)');
  });

  it('give a room by its sides, in feet where those are asked for', () => {
    const room = { lengthM: 3.6, widthM: 3.1, heightM: 2.4 };
    expect(roomFigure(room, 'metric')).toBe('3.6 × 3.1 × 2.4 m');
    expect(roomFigure(room, 'imperial')).toBe('12 × 10 × 8 ft');
  });

  it('come back as they went', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('m', 'm²', 'm/s', '°C'),
        fc.double({ min: -40, max: 60, noNaN: true }),
        (unit, si) => {
          const shown = shownUnit(unit, 'imperial')!;
          expect(shown.toSi(shown.fromSi(si))).toBeCloseTo(si, 9);
        }
      )
    );
  });
});
