import type { GearKind } from '../model/gear';
import type { StatedUnit } from '../model/stated';
import { readMeasure } from './measure';

/** A number with thousands, decimals or a fraction. */
export const N = String.raw`[-+−]?(?:\d{1,3}(?:[ \u00a0\u202f]\d{3})+|\d+(?:[.,]\d+)?)(?:[.,]\d+)?`;
/** A few words between the name of a figure and the figure. */
export const GAP = String.raw`[^\d\n;|−+-]{0,28}?[−+-]?\s?`;
export const gap = String.raw`[^\d\n;|−+-]{0,28}?`;

/** One figure a text may give: how it is recognised and how it is read. */
export interface Pattern {
  key: string | ((kind: GearKind | undefined) => string | undefined);
  kinds?: readonly GearKind[];
  pattern: RegExp;
  read: (match: RegExpExecArray, kind: GearKind | undefined, ownCurrency: string) => unknown;
}

export const measured =
  (unit: StatedUnit, group = 1) =>
  (match: RegExpExecArray) =>
    readMeasure(match[group]!.trim(), unit);
export const ci = (source: string) => new RegExp(source, 'giud');
export const cs = (source: string) => new RegExp(source, 'gud');
