import { describe, expect, it } from 'vitest';
import { demoProject } from '../catalogue/demos/saltmarsh-loom';
import { asOfToday, dayHere } from './as-of-today';

describe('today', () => {
  it('is the day on this clock, late in the evening too', () => {
    expect(dayHere(new Date(2026, 10, 25, 23, 59))).toBe('2026-11-25');
    expect(dayHere(new Date(2026, 0, 1, 0, 1))).toBe('2026-01-01');
  });

  it('is put beside the project and not into it', () => {
    const project = Object.freeze(demoProject());
    expect(asOfToday(project).pricesAsOf).toMatch(/^\d{4}-\d{2}-\d{2}$/);
    expect(project.pricesAsOf).toBeUndefined();
  });
});
