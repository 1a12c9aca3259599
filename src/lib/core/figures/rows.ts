import type { SolvedExposure } from '../exposure/solved-exposure';
import type { StatedUnit } from '../model/stated';
import type { KitPart } from '../rigs/kit';
import type { PlacedRig } from '../rigs/placed-rig';

/** Units of figures: those that are stated, and those that only come out of a relation. */
export type FigureUnit = StatedUnit | 'm³' | 'N·m' | 'ms' | 'word' | 'yes/no';

/** Where a leaf was said: by the person in the brief, by the maker on the part, or by a setting. */
export type LeafSource =
  | 'brief'
  | 'body'
  | 'lens'
  | 'microphone'
  | 'lamp'
  | 'support'
  | 'card'
  | 'battery'
  | 'filter'
  | 'setting'
  | 'kit';

interface RowBase {
  name: string;
  unit: FigureUnit;
  /** For unit `word`: what the numbers stand for. */
  words?: readonly string[];
  /** The same where they are no closed list. */
  wordOf?: (value: number) => string;
}

/** A figure somebody states. `undefined` is unknown; `null` means there is nothing to state it of. */
export interface LeafRow extends RowBase {
  source: LeafSource;
  read: (rig: PlacedRig) => number | undefined | null;
  asks?: Ask;
}

/** What to ask a seller when nobody has stated a leaf. */
export interface Ask {
  /** The part's name stands for %. */
  question: string;
  /** Between these the answer will lie; both ends are tried to see what the answer could change. */
  between: readonly [number, number];
  /** The part's own field the answer fills, and how many of its units make one of the figure's. */
  field?: string;
  perUnit?: number;
  /** The part to ask about, where the source alone does not say. */
  of?: (rig: PlacedRig) => KitPart | undefined;
}

/** A figure computed from others by one relation. */
export interface DerivedRow extends RowBase {
  from: readonly string[];
  /** The relation in symbols, for the why. */
  relation: string;
  /**
   * What an absent input counts as; the first input, which says what the figure is of, must be there
   * all the same. Without it any absent input makes this figure absent.
   */
  whenAbsent?: number;
  compute: (...inputs: number[]) => number;
}

/** The ends of the light an exposure plan is solved for, apart. */
export type LightEnd = 'dim' | 'bright';

/** The exposure plan of one end of the light: its figure is what it costs, and the plan itself is kept beside it. */
export interface SolvedRow extends RowBase {
  from: readonly string[];
  relation: string;
  /** Inputs that must be there, counted from the first; an absent one of the others counts as 0. */
  mustBeThere: number;
  end: LightEnd;
  solve: (inputs: readonly number[]) => SolvedExposure;
}

/** A figure read off the exposure plans; those it reads are among what it is computed from. */
export interface PlannedRow extends RowBase {
  from: readonly string[];
  relation: string;
  ofPlans: (dim: SolvedExposure, bright: SolvedExposure) => number;
}

export type ComputedRow = DerivedRow | SolvedRow | PlannedRow;
export type FigureRow = LeafRow | ComputedRow;
export type FigureRows = Record<string, FigureRow>;

export function isLeaf(row: FigureRow): row is LeafRow {
  return 'read' in row;
}

/** Yes is 1, no is 0, unsaid stays unsaid. */
export function yesNo(value: boolean | undefined): number | undefined {
  return value === undefined ? undefined : value ? 1 : 0;
}

/** Place of a word in a closed list; unsaid stays unsaid. */
export function wordIndex<T extends string>(
  list: readonly T[],
  word: T | undefined
): number | undefined {
  return word === undefined ? undefined : list.indexOf(word);
}

/** What a part does not state is unknown; where there is no part, there is nothing to state. */
export const unstatedOf = (part: object | undefined): undefined | null => (part ? undefined : null);
