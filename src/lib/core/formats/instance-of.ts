import { getMetadataStorage, validateSync, type ValidationError } from 'class-validator';
import { classHeld } from '../model/stated';

type Make = new () => object;

const fieldsByClass = new WeakMap<Make, readonly string[]>();

/** Fields a class checks. */
function checkedFields(make: Make): readonly string[] {
  let fields = fieldsByClass.get(make);
  if (!fields) {
    const rules = getMetadataStorage().getTargetValidationMetadatas(make, '', false, false);
    fields = [...new Set(rules.map(({ propertyName }) => propertyName))];
    fieldsByClass.set(make, fields);
  }
  return fields;
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * An instance of a class with the fields it checks out of a plain object, and nothing else: what a file
 * calls by other names is never looked at here, so it cannot pose as a constructor or nest without end.
 */
function instanceOf(make: Make, plain: Readonly<Record<string, unknown>>): object {
  const instance = new make() as Record<string, unknown>;
  for (const key of checkedFields(make)) {
    if (!Object.hasOwn(plain, key)) continue;
    const value = plain[key];
    const classFor = classHeld(make, key);
    const checked = (entry: unknown) => {
      const own = classFor && isObject(entry) ? classFor(entry) : undefined;
      return own ? instanceOf(own, entry as Record<string, unknown>) : entry;
    };
    instance[key] = Array.isArray(value) ? value.map(checked) : checked(value);
  }
  return instance;
}

/** What is wrong with a plain object that claims to be of a class. */
export function errorsOf(make: Make, plain: Readonly<Record<string, unknown>>): ValidationError[] {
  return validateSync(instanceOf(make, plain));
}
