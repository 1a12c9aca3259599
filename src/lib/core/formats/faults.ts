import type { ValidationError } from 'class-validator';

/** One thing wrong with what came in: where, and how to mend it. */
export interface Fault {
  field: string;
  says: string;
}

/** class-validator's tree of errors as flat sentences with field paths such as `project.scenes[0].fps`. */
export function faultsOf(errors: readonly ValidationError[], path: string): Fault[] {
  return errors.flatMap((error) => {
    const here = /^\d+$/.test(error.property)
      ? `${path}[${error.property}]`
      : path
        ? `${path}.${error.property}`
        : error.property;
    const { isArray, ...others } = error.constraints ?? {};
    // What is not a list at all is not told that it holds the wrong things.
    const first = isArray ?? Object.values(others)[0];
    const own = first === undefined ? [] : [{ field: here, says: wordsOf(first, error.property) }];
    return [...own, ...faultsOf(error.children ?? [], here)];
  });
}

/** Our own messages read after the field name; the library's default ones begin with it. */
function wordsOf(message: string, property: string): string {
  return message.startsWith(`${property} `) ? message.slice(property.length + 1) : message;
}

/** A fault as a sentence. */
export function faultSentence({ field, says }: Fault): string {
  return field ? `${field} ${says}.` : `${says}.`;
}
