import './metadata';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateBy,
  ValidateIf,
  ValidateNested
} from 'class-validator';
import { MOST_MINOR } from './limits';

/** The unit a stated figure is kept in. Shown units are the interface's business. */
export type StatedUnit =
  | 'mm'
  | 'm'
  | 'g'
  | 'kg'
  | 's'
  | 'min'
  | 'h'
  | 'W'
  | 'Wh'
  | 'GB'
  | 'MB/s'
  | 'Mb/s'
  | 'dB(A)'
  | 'dBV'
  | 'dBV/Pa'
  | 'dB'
  | 'lx'
  | 'cd/m²'
  | 'K'
  | 'Hz'
  | 'stops'
  | 'f/'
  | 'T'
  | 'ISO'
  | 'fps'
  | '×'
  | 'count'
  | '°'
  | 'm/s'
  | '°C'
  | '%'
  | 'px'
  | 'in'
  | 'days'
  | 'Mpx/s'
  | 'm²'
  | 'mired'
  | 'ppm'
  | 'frames';

/** What one field of a part asks for: how it is written, in which unit, from where to where. */
export type FieldAsk =
  | {
      type: 'number';
      unit: StatedUnit;
      min: number;
      max: number;
      /** Where it nearly always lies: what a slider spans. */
      usual?: readonly [number, number];
      needed: boolean;
    }
  | { type: 'word'; words: readonly string[]; needed: boolean }
  | { type: 'yes/no'; needed: boolean }
  | { type: 'text'; maxLength: number; minLength?: number; needed: boolean };

const asks = new Map<object, Map<string, FieldAsk>>();

/** The decorators note what they check, so that forms, readers and tables ask for the same. */
function note(target: object, key: string | symbol, ask: FieldAsk): void {
  let own = asks.get(target);
  if (!own) asks.set(target, (own = new Map()));
  // A field may be redeclared by a wrapper such as StatedText; the last word counts.
  own.set(String(key), ask);
}

/** Fields of a class in the order they are declared, its own before those it inherits. */
export function fieldsOfClass(make: abstract new () => object): Map<string, FieldAsk> {
  const fields = new Map<string, FieldAsk>();
  for (
    let target: object | null = make.prototype as object;
    target;
    target = Object.getPrototypeOf(target) as object | null
  ) {
    for (const [key, ask] of asks.get(target) ?? []) if (!fields.has(key)) fields.set(key, ask);
  }
  return fields;
}

/** Left out means unknown or none. What is there must be right: `null` is no way of leaving out. */
export function MayBeLeftOut(): PropertyDecorator {
  return ValidateIf((_, value) => value !== undefined);
}

/** Which class checks what lies in a place; one that depends on the value is asked with it. */
type ClassFor = (value: Readonly<Record<string, unknown>>) => (new () => object) | undefined;

/** Places of a class that hold objects checked by a class of their own. */
const held = new Map<object, Map<string, ClassFor>>();

function noteHeld(target: object, key: string | symbol, classFor: ClassFor): void {
  let own = held.get(target);
  if (!own) held.set(target, (own = new Map()));
  own.set(String(key), classFor);
}

/** The class that checks what a field of a class holds; undefined where it holds no objects. */
export function classHeld(make: abstract new () => object, key: string): ClassFor | undefined {
  for (
    let target: object | null = make.prototype as object;
    target;
    target = Object.getPrototypeOf(target) as object | null
  ) {
    const classFor = held.get(target)?.get(key);
    if (classFor) return classFor;
  }
  return undefined;
}

/** An object with fields of its own, or left out. */
export function Holds(classFor: ClassFor): PropertyDecorator {
  return (target, key) => {
    MayBeLeftOut()(target, key);
    IsObject({ message: 'must be an object, or left out' })(target, key as string);
    ValidateNested()(target, key as string);
    noteHeld(target, key, classFor);
  };
}

/** A list of objects with fields of their own. */
export function HoldsList(
  classFor: ClassFor,
  { what, min, max }: { what: string; min?: number; max: number }
): PropertyDecorator {
  return (target, key) => {
    ListOf(what, max)(target, key);
    if (min !== undefined)
      ArrayMinSize(min, { message: `must hold at least ${min} of the ${what}` })(
        target,
        key as string
      );
    IsObject({ each: true, message: 'must hold objects only' })(target, key as string);
    ValidateNested({ each: true })(target, key as string);
    noteHeld(target, key, classFor);
  };
}

/** A list, whatever it holds. */
export function ListOf(what: string, max: number): PropertyDecorator {
  return (target, key) => {
    IsArray({ message: `must be a list of ${what}` })(target, key as string);
    ArrayMaxSize(max, { message: `holds at most ${max} ${what}` })(target, key as string);
  };
}

/** A list of words of a closed list, each once. */
export function WordList(words: readonly string[], what: string): PropertyDecorator {
  return (target, key) => {
    ListOf(what, words.length)(target, key);
    IsIn([...words], { each: true, message: `must each be one of: ${words.join(', ')}` })(
      target,
      key as string
    );
    ArrayUnique({ message: 'must hold each only once' })(target, key as string);
  };
}

/** Money in whole minor units (pence, cents). */
export function MinorUnits(): PropertyDecorator {
  return (target, key) => {
    const message = 'must be a whole number of minor units (pence, cents), not negative';
    IsInt({ message })(target, key as string);
    Min(0, { message })(target, key as string);
    Max(MOST_MINOR, { message: `${message}, at most ${MOST_MINOR}` })(target, key as string);
  };
}

/** Money that may be owed: whole minor units, below zero where it is. */
export function SignedMinorUnits(): PropertyDecorator {
  return (target, key) => {
    const message = `must be a whole number of minor units (pence, cents), from -${MOST_MINOR} to ${MOST_MINOR}`;
    IsInt({ message })(target, key as string);
    Min(-MOST_MINOR, { message })(target, key as string);
    Max(MOST_MINOR, { message })(target, key as string);
  };
}

/** A day of the calendar. */
export function Day(): PropertyDecorator {
  return ValidateBy(
    {
      name: 'day',
      validator: {
        validate: (value) =>
          typeof value === 'string' &&
          /^\d{4}-\d{2}-\d{2}$/.test(value) &&
          !Number.isNaN(Date.parse(value)) &&
          new Date(value).toISOString().startsWith(value)
      }
    },
    { message: 'must be a day of the calendar written as YYYY-MM-DD' }
  );
}

/** A currency by its code. */
export function CurrencyCode(): PropertyDecorator {
  return Matches(/^[A-Z]{3}$/, { message: 'must be a three-letter currency code such as GBP' });
}

/** A name that other things refer to: text that is there and can stand in an address. */
export function Id(maxLength = 60): PropertyDecorator {
  return (target, key) => {
    NeededText(maxLength)(target, key);
    MinLength(1, { message: 'must not be empty' })(target, key as string);
    note(target, key, { type: 'text', maxLength, minLength: 1, needed: true });
    ValidateBy(
      { name: 'well-formed', validator: { validate: isWellFormed } },
      { message: 'must be whole characters' }
    )(target, key as string);
  };
}

/** Ids of other things, each once. */
export function IdList(what: string, max: number, maxLength = 60): PropertyDecorator {
  return (target, key) => {
    ListOf(what, max)(target, key);
    const message = `must each be an id of at most ${maxLength} characters`;
    IsString({ each: true, message })(target, key as string);
    MinLength(1, { each: true, message })(target, key as string);
    MaxLength(maxLength, { each: true, message })(target, key as string);
    ArrayUnique({ message: 'must hold each only once' })(target, key as string);
  };
}

/** Half of a pair of code units is no character and cannot stand in an address. */
function isWellFormed(value: unknown): boolean {
  return typeof value === 'string' && !/[\uD800-\uDFFF]/u.test(value);
}

/**
 * A number a maker states and a part may leave unsaid. Unsaid stays undefined and is treated as
 * unknown everywhere; it is never replaced by a friendly guess.
 */
export function StatedNumber(
  unit: StatedUnit,
  min: number,
  max: number,
  usual?: readonly [number, number]
): PropertyDecorator {
  return (target, key) => {
    const says = `must be a number from ${min} to ${max} ${unit}, or left out when unknown`;
    MayBeLeftOut()(target, key);
    IsNumber({}, { message: says })(target, key as string);
    Min(min, { message: says })(target, key as string);
    Max(max, { message: says })(target, key as string);
    note(target, key, { type: 'number', unit, min, max, usual, needed: false });
  };
}

/** A number that must be there. */
export function NeededNumber(
  unit: StatedUnit,
  min: number,
  max: number,
  usual?: readonly [number, number]
): PropertyDecorator {
  return (target, key) => {
    const says = `must be a number from ${min} to ${max} ${unit}`;
    IsNumber({}, { message: says })(target, key as string);
    Min(min, { message: says })(target, key as string);
    Max(max, { message: says })(target, key as string);
    note(target, key, { type: 'number', unit, min, max, usual, needed: true });
  };
}

/** Yes, no, or unsaid. */
export function StatedYesNo(): PropertyDecorator {
  return (target, key) => {
    MayBeLeftOut()(target, key);
    IsBoolean({ message: 'must be true, false, or left out when unknown' })(target, key as string);
    note(target, key, { type: 'yes/no', needed: false });
  };
}

/** One word of a closed list, or unsaid. */
export function StatedWord(words: readonly string[]): PropertyDecorator {
  return (target, key) => {
    MayBeLeftOut()(target, key);
    IsIn([...words], { message: `must be one of: ${words.join(', ')}; or left out when unknown` })(
      target,
      key as string
    );
    note(target, key, { type: 'word', words, needed: false });
  };
}

/** One word of a closed list that must be there. */
export function NeededWord(words: readonly string[]): PropertyDecorator {
  return (target, key) => {
    IsIn([...words], { message: `must be one of: ${words.join(', ')}` })(target, key as string);
    note(target, key, { type: 'word', words, needed: true });
  };
}

/** Free text, kept as text and never longer than a label can bear. */
export function NeededText(maxLength = 200): PropertyDecorator {
  return (target, key) => {
    const says = `must be text of at most ${maxLength} characters`;
    IsString({ message: says })(target, key as string);
    MaxLength(maxLength, { message: says })(target, key as string);
    note(target, key, { type: 'text', maxLength, needed: true });
  };
}

/** Free text that may be left out. */
export function StatedText(maxLength = 2000): PropertyDecorator {
  return (target, key) => {
    MayBeLeftOut()(target, key);
    NeededText(maxLength)(target, key);
    note(target, key, { type: 'text', maxLength, needed: false });
  };
}
