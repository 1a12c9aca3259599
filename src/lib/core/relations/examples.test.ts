import { describe, expect, it } from 'vitest';
import { MoneyError } from '../money/minor';
import { RelationError } from './argument';

type Relation = (...inputs: unknown[]) => unknown;

const modules: Record<string, Record<string, unknown>> = import.meta.glob(
  [
    './**/*.ts',
    '../money/minor.ts',
    '../money/days.ts',
    '../money/chance-over.ts',
    '!./**/*.test.ts'
  ],
  { eager: true }
);
const sources: Record<string, string> = import.meta.glob(
  [
    './**/*.ts',
    '../money/minor.ts',
    '../money/days.ts',
    '../money/chance-over.ts',
    '!./**/*.test.ts'
  ],
  { eager: true, query: '?raw', import: 'default' }
);
const names: Record<string, unknown> = Object.assign({}, ...Object.values(modules));

/** A piece of an example, run with every relation at hand. */
function run(code: string): unknown {
  return new Function(...Object.keys(names), `return ${code};`)(...Object.values(names));
}

interface Example {
  call: string;
  /** What stands behind the two strokes. */
  says: string;
  name: string;
}

const examples: Example[] = Object.values(sources).flatMap((source) =>
  [...source.matchAll(/@example (.+?) \/\/ (.+?)(?:\s*\*\/)?$/gm)].map(([, call, says]) => ({
    call: call!,
    says: says!,
    name: call!.slice(0, call!.indexOf('('))
  }))
);

/** Numbers in a text, with the half of the last place each is written to. */
function numbersIn(text: string): { value: number; within: number }[] {
  return [...text.replace(/(?<=\d) (?=\d{3}\b)/g, '').matchAll(/-?\d+(?:\.(\d+))?/g)].map(
    ([written, decimals]) => ({
      value: Number(written),
      within: 0.5000001 * 10 ** -(decimals?.length ?? 0)
    })
  );
}

/** Numbers of a result, in the order in which they are named. */
function numbersOf(result: unknown): number[] {
  if (typeof result === 'number') return [result];
  if (typeof result === 'object' && result !== null)
    return Object.values(result as object).flatMap(numbersOf);
  return [];
}

describe('worked examples', () => {
  it('stand beside every relation', () => {
    const exported = Object.entries(modules)
      .filter(([file]) => file.startsWith('./') && file !== './argument.ts')
      .flatMap(([, module]) => Object.entries(module))
      .filter(([, value]) => typeof value === 'function')
      .map(([name]) => name);
    const shown = new Set(examples.map(({ name }) => name));
    expect(exported.filter((name) => !shown.has(name))).toEqual([]);
  });

  it.each(examples.map((example) => [example.call, example.says] as const))(
    '%s is %s',
    (call, says) => {
      const result = run(call);
      if (typeof result === 'boolean') {
        expect(String(result)).toBe(says);
        return;
      }
      if (typeof result === 'string') {
        expect(`'${result}'`).toBe(says);
        return;
      }
      // A fraction such as 1/100 is read as one number.
      const fraction = /^1\/(\d+)/.exec(says);
      if (fraction) {
        expect(result).toBeCloseTo(1 / Number(fraction[1]), 9);
        return;
      }
      const told = numbersIn(says.split(',').length > 2 ? says : says.split(':')[0]!);
      const got = numbersOf(result);
      const pairs = typeof result === 'number' ? told.slice(0, 1) : numbersIn(says);
      expect(pairs.length).toBeGreaterThan(0);
      for (const { value, within } of pairs)
        expect(
          got.some((number) => Math.abs(number - value) <= within),
          `${String(got)} for ${value}`
        ).toBe(true);
    }
  );
});

describe('a number that is none', () => {
  const numeric = examples.flatMap(({ call, name }) => {
    const inputs = run(
      `[${call.slice(call.indexOf('(') + 1, call.lastIndexOf(')'))}]`
    ) as unknown[];
    return inputs.flatMap((input, index) =>
      typeof input === 'number' ? [[name, index, inputs] as [string, number, unknown[]]] : []
    );
  });

  it.each(numeric)(
    'of %s at the ends of input %i is refused or has its figure',
    (name, index, inputs) => {
      const relation = names[name] as Relation;
      for (const end of [-1e9, -1, 0, 1e-9, 1e9, Infinity, -Infinity]) {
        const moved = inputs.map((input, place) => (place === index ? end : input));
        let result: unknown;
        try {
          result = relation(...moved);
        } catch (error) {
          expect(error, String(error)).toSatisfy(
            (error) => error instanceof RelationError || error instanceof MoneyError
          );
          continue;
        }
        expect(numbersOf(result).some(Number.isNaN), `${name} at ${end} gave NaN`).toBe(false);
      }
    }
  );

  it.each(numeric)(
    'is refused by %s as input %i, and never becomes a figure',
    (name, index, inputs) => {
      const relation = names[name] as Relation;
      for (const bad of [NaN, undefined]) {
        const spoilt = inputs.map((input, place) => (place === index ? bad : input));
        let result: unknown;
        try {
          result = relation(...spoilt);
        } catch (error) {
          expect(error, String(error)).toSatisfy(
            (error) => error instanceof RelationError || error instanceof MoneyError
          );
          continue;
        }
        // What is left out may be what a relation does without; it must not come out as no number.
        expect(numbersOf(result).some(Number.isNaN), `${name} gave ${String(result)}`).toBe(false);
        expect(bad, `${name} took NaN and gave ${String(result)}`).toBeUndefined();
      }
    }
  );
});
