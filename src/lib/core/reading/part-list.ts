import { type Amount, currencyPattern, readAmount } from './amount';
import { minor } from '../money/minor';
import { MeasureError } from './measure';
import { usualCurrencies } from '../money/rates';

/** One line of a list as people keep them: `2 × Ember 8 battery – 24,90 €`. */
export interface ListedPart {
  /** Line of the text, the first being 1. */
  line: number;
  text: string;
  name: string;
  quantity: number;
  price?: Amount;
  /** What is left after the part by a sum done by hand; below zero where it is over. */
  remaining?: Amount;
  /** What in the line cannot be read. */
  fault?: string;
}

/** Longer lists are refused with a sentence. */
export const LIST_MOST_LINES = 200;
/** The most of one part a line may ask for; a slip of the finger above it. */
const MOST_OF_ONE = 99;

const CODES = usualCurrencies.join('|');
const FIGURES = String.raw`\d[\d.,'’\u00a0\u2009\u202f]*(?:[ ]\d{3}(?!\d)[.,\d]*)*`;
/** A price with its sign or code, wherever it stands in the line. */
const signedPrice = new RegExp(
  String.raw`(?:(?:${currencyPattern}|\b(?:${CODES}))\s?${FIGURES}(?:[.,]?[-–—]+)?|${FIGURES}(?:[.,]?[-–—]+)?\s?(?:${currencyPattern}|kr\b|(?:${CODES})(?!\w)))`,
  'i'
);
/** A bare number is a price only at the end, behind a separator or with its decimals: else it is part of a name. */
const barePrice = new RegExp(
  String.raw`(?:[\t;|]\s*|:\s+|\s[-–—=]+\s*|\s{2,})(${FIGURES})\s*$|\s(\d+[.,]\d{2})\s*$`
);
const lastNumber = new RegExp(String.raw`\s(${FIGURES})\s*$`);
const LEFT = 'left|remaining|remainder|remains?|leaves';
const OVER = 'over|short';
const AMOUNT = String.raw`[-−]?\s?(?:(?:${currencyPattern}|\b(?:${CODES}))\s?)?${FIGURES}(?:\s?(?:${currencyPattern}|kr\b|(?:${CODES})(?!\w)))?`;
/** What a hand has left at the end of a line: `(451 left)`, `leaves 451`, `→ remaining: £451`, `58 over`. */
const claimedRemainder = new RegExp(
  String.raw`[\s,;(|=→>–—-]+(?:(${LEFT}|${OVER})\b\s*[:=]?\s*(${AMOUNT})|(${AMOUNT})\s*(${LEFT}|${OVER})\b)\s*\)?\s*$`,
  'i'
);
const leadingCount = /^(\d{1,3})\s*(?:[x×]|pcs\.?|pieces?(?: of)?)\s+/i;
const trailingCount = /[\s,(]+(?:[x×]\s*(\d{1,3})|(\d{1,3})\s*[x×])\)?\s*$/i;
const bullet = /^\s*(?:[-–—*•·☐☑✓]|\[[ x]?\]|\d{1,2}[.)])\s+/i;
const edges = /^[\s,;:|=–—-]+|[\s,;:|=–—-]+$/g;

/**
 * Reads a pasted list, a part a line: how many, its name, its price. Empty lines are passed over.
 *
 * @param own the currency of a bare number
 * @throws MeasureError where the list is too long
 * @example readPartList('2 × Ember 8 battery – 24,90 €', 'GBP')[0] // { quantity: 2, name: 'Ember 8 battery', price: 24.90 EUR }
 */
export function readPartList(text: string, own: string): ListedPart[] {
  const lines = text.split(/\r\n|\r|\n/);
  const written = lines.filter((line) => line.trim() !== '');
  if (written.length > LIST_MOST_LINES)
    throw new MeasureError(
      `The list has ${written.length} lines; at most ${LIST_MOST_LINES} are read at once. Paste it in pieces.`
    );
  return lines.flatMap((line, index) =>
    line.trim() === '' ? [] : [readLine(line, index + 1, own)]
  );
}

function readLine(text: string, line: number, own: string): ListedPart {
  let rest = text.replace(bullet, '');
  const listed: ListedPart = { line, text: text.trim(), name: '', quantity: 1 };
  const claimed = claimedRemainder.exec(rest);
  if (claimed) {
    const isOver = new RegExp(`^(?:${OVER})$`, 'i').test(claimed[1] ?? claimed[4] ?? '');
    try {
      listed.remaining = readRemaining(claimed[2] ?? claimed[3] ?? '', own, isOver);
      rest = rest.slice(0, claimed.index);
    } catch (error) {
      if (!(error instanceof MeasureError)) throw error;
      listed.fault = error.message;
    }
  }
  const signed = signedPrice.exec(rest);
  // Before what is left stands what was paid, separated or not.
  const bare = signed ? null : (barePrice.exec(rest) ?? (claimed ? lastNumber.exec(rest) : null));
  const priceText = signed?.[0] ?? bare?.[1] ?? bare?.[2];
  if (priceText !== undefined) {
    try {
      listed.price = readAmount(priceText, own);
      const found = (signed ?? bare)!;
      rest = `${rest.slice(0, found.index)} ${rest.slice(found.index + found[0].length)}`;
    } catch (error) {
      if (!(error instanceof MeasureError)) throw error;
      listed.fault = error.message;
    }
  }
  rest = rest.replace(edges, '');
  const count = leadingCount.exec(rest) ?? trailingCount.exec(rest);
  if (count) {
    listed.quantity = Number(count[1] ?? count[2]);
    rest = `${rest.slice(0, count.index)} ${rest.slice(count.index + count[0].length)}`;
    if (listed.quantity < 1 || listed.quantity > MOST_OF_ONE) {
      listed.fault = `Line ${line} asks for ${listed.quantity}; a line holds 1 to ${MOST_OF_ONE} of a part.`;
      listed.quantity = 1;
    }
  }
  listed.name = rest.replace(edges, '').replace(/\s+/g, ' ');
  if (listed.name === '')
    listed.fault = `Line ${line} holds no name of a part; write one beside the price.`;
  return listed;
}

function readRemaining(text: string, own: string, isOver: boolean): Amount {
  const isBelow = /^\s*[-−]/.test(text);
  const amount = readAmount(text.replace(/^\s*[-−]\s?/, ''), own);
  if (amount.currency !== own)
    throw new MeasureError(
      `What is left is written in ${amount.currency}, and the money here is ${own}; write it in ${own}, or leave it out.`
    );
  return isOver !== isBelow ? { ...amount, minor: minor(-amount.minor) } : amount;
}
