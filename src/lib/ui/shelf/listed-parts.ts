import { type GearItem, type GearKind } from '../../core/model/gear';
import { specSheet } from '../../core/model/gear/spec-sheet';
import type { ListedPart } from '../../core/reading/part-list';
import { guessKind, readSpecification } from '../../core/reading/specification';
import { tokensOf, type WordSearch } from '../search/word-search';
import { amountText, emptyDraft, type PartDraft, readDraft } from './part-draft';

/** What a listed part is taken for: one of the shelf, a new one of a kind, or nothing. */
export type TakenFor = { gearId: string } | { kind: GearKind | undefined } | 'nothing';

/** A line of the list with what it may be and what it is taken for. */
export interface MatchedPart {
  listed: ListedPart;
  /** Parts of the shelf that every word of the line fits, the best first. */
  candidates: readonly GearItem[];
  takenFor: TakenFor;
  /** Of a new part: who makes it, where the list or the person says. */
  maker: string;
  /** Of a new part: its name without the maker. */
  model: string;
  /** Of a new part: what its kind cannot do without, as typed. */
  fields: Record<string, string>;
}

const MOST_CANDIDATES = 6;

/**
 * Finds the listed parts on the shelf. One whose whole name is in the line, or the only one that fits, is taken; where
 * several fit, the person chooses.
 */
export function matchListed(
  listed: readonly ListedPart[],
  search: WordSearch<GearItem>,
  makers: readonly string[]
): MatchedPart[] {
  return listed.map((part) => {
    const candidates = (search(part.name) ?? []).slice(0, MOST_CANDIDATES);
    const words = new Set(tokensOf(part.name));
    const wholeName = candidates.find((gear) =>
      tokensOf(gear.model).every((word) => words.has(word))
    );
    const sure = wholeName ?? (candidates.length === 1 ? candidates[0] : undefined);
    const takenFor: TakenFor = sure ? { gearId: sure.id } : { kind: guessKind(part.name) };
    const named = nameApart(part.name, makers);
    const match: MatchedPart = { listed: part, candidates, takenFor, ...named, fields: {} };
    return 'kind' in takenFor ? asNew(match, takenFor.kind) : match;
  });
}

/** A maker the shelf knows, at the beginning of a name, told apart from the model. */
function nameApart(name: string, makers: readonly string[]): { maker: string; model: string } {
  const maker = makers.find((maker) => name.toLowerCase().startsWith(`${maker.toLowerCase()} `));
  return { maker: maker ?? '', model: maker ? name.slice(maker.length).trim() : name };
}

/** The same line taken for a new part of a kind, with the figures its words tell. */
export function asNew(match: MatchedPart, kind: GearKind | undefined): MatchedPart {
  const fields: Record<string, string> = {};
  if (kind)
    for (const { key, value } of readSpecification(match.listed.name, kind).proposals)
      if (neededOf(kind).some((field) => field.key === key)) fields[key] = String(value as string);
  return { ...match, takenFor: { kind }, fields };
}

/** What a new part of a kind has to state. */
export const neededOf = (kind: GearKind) => specSheet(kind).filter(({ ask }) => ask.needed);

/** A new part in the form, as far as the list tells. */
function draftOfNew(
  { listed, fields, maker, model }: MatchedPart,
  kind: GearKind,
  currency: string
): PartDraft {
  const draft = emptyDraft(kind);
  draft.maker = maker.trim() || 'not stated';
  draft.model = model.trim() || listed.name;
  draft.fields = { ...fields };
  if (listed.price)
    draft.prices.priceNew.likely = amountText(listed.price.minor, listed.price.currency, currency);
  draft.prices.priceNew.source = listed.price ? 'a pasted list' : '';
  return draft;
}

export interface ListedReading {
  /** The part as it goes on the shelf; the shelf's own where nothing of it changes. */
  gear: GearItem | undefined;
  /** Whether the shelf gets or changes it. */
  changed: boolean;
  /** Sentences by field that stand in the way. */
  faults: Record<string, string>;
}

/** What a line comes to, with what is still missing. */
export function readMatched(
  match: MatchedPart,
  shelf: ReadonlyMap<string, GearItem>,
  id: string,
  currency: string,
  today: string
): ListedReading {
  const { listed, takenFor } = match;
  if (takenFor === 'nothing') return { gear: undefined, changed: false, faults: {} };
  if (listed.fault) return { gear: undefined, changed: false, faults: { line: listed.fault } };
  if ('gearId' in takenFor) {
    const gear = shelf.get(takenFor.gearId);
    if (!gear || !listed.price) return { gear, changed: false, faults: {} };
    const { minor, currency: priced } = listed.price;
    const priceNew = { likely: minor, currency: priced, date: today, source: 'a pasted list' };
    return { gear: { ...gear, priceNew } as GearItem, changed: true, faults: {} };
  }
  if (takenFor.kind === undefined)
    return {
      gear: undefined,
      changed: false,
      faults: { kind: `What kind of part is “${listed.name}”?` }
    };
  const { gear, faults } = readDraft(
    draftOfNew(match, takenFor.kind, currency),
    id,
    currency,
    today
  );
  return { gear, changed: gear !== undefined, faults };
}
