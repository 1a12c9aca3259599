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
  | 'Mpx/s';

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
  };
}

/** A number that must be there. */
export function NeededNumber(unit: StatedUnit, min: number, max: number): PropertyDecorator {
  return (target, key) => {
    const says = `must be a number from ${min} to ${max} ${unit}`;
    IsNumber({}, { message: says })(target, key as string);
    Min(min, { message: says })(target, key as string);
    Max(max, { message: says })(target, key as string);
  };
}

/** Yes, no, or unsaid. */
export function StatedYesNo(): PropertyDecorator {
  return (target, key) => {
    IsOptional()(target, key);
    IsBoolean({ message: 'must be true, false, or left out when unknown' })(target, key as string);
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
  };
}

/** One word of a closed list that must be there. */
export function NeededWord(words: readonly string[]): PropertyDecorator {
  return IsIn([...words], { message: `must be one of: ${words.join(', ')}` });
}

/** Free text, kept as text and never longer than a label can bear. */
export function NeededText(maxLength = 200): PropertyDecorator {
  return (target, key) => {
    const says = `must be text of at most ${maxLength} characters`;
    IsString({ message: says })(target, key as string);
    MaxLength(maxLength, { message: says })(target, key as string);
  };
}

/** Free text that may be left out. */
export function StatedText(maxLength = 2000): PropertyDecorator {
  return (target, key) => {
    IsOptional()(target, key);
    NeededText(maxLength)(target, key);
  };
}
