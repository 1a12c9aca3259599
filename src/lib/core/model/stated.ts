import './metadata';
import {
  IsBoolean,
  IsIn,
  IsNumber,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min
} from 'class-validator';

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
  | { type: 'number'; unit: StatedUnit; min: number; max: number; needed: boolean }
  | { type: 'word'; words: readonly string[]; needed: boolean }
  | { type: 'yes/no'; needed: boolean }
  | { type: 'text'; maxLength: number; needed: boolean };

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

/**
 * A number a maker states and a part may leave unsaid. Unsaid stays undefined and is treated as
 * unknown everywhere; it is never replaced by a friendly guess.
 */
export function StatedNumber(unit: StatedUnit, min: number, max: number): PropertyDecorator {
  return (target, key) => {
    const says = `must be a number from ${min} to ${max} ${unit}, or left out when unknown`;
    IsOptional()(target, key);
    IsNumber({}, { message: says })(target, key as string);
    Min(min, { message: says })(target, key as string);
    Max(max, { message: says })(target, key as string);
    note(target, key, { type: 'number', unit, min, max, needed: false });
  };
}

/** A number that must be there. */
export function NeededNumber(unit: StatedUnit, min: number, max: number): PropertyDecorator {
  return (target, key) => {
    const says = `must be a number from ${min} to ${max} ${unit}`;
    IsNumber({}, { message: says })(target, key as string);
    Min(min, { message: says })(target, key as string);
    Max(max, { message: says })(target, key as string);
    note(target, key, { type: 'number', unit, min, max, needed: true });
  };
}

/** Yes, no, or unsaid. */
export function StatedYesNo(): PropertyDecorator {
  return (target, key) => {
    IsOptional()(target, key);
    IsBoolean({ message: 'must be true, false, or left out when unknown' })(target, key as string);
    note(target, key, { type: 'yes/no', needed: false });
  };
}

/** One word of a closed list, or unsaid. */
export function StatedWord(words: readonly string[]): PropertyDecorator {
  return (target, key) => {
    IsOptional()(target, key);
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
    IsOptional()(target, key);
    NeededText(maxLength)(target, key);
    note(target, key, { type: 'text', maxLength, needed: false });
  };
}
