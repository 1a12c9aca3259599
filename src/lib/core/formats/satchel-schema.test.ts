import { Ajv2020 } from 'ajv/dist/2020.js';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue } from '../../catalogue/load-catalogue';
import { checkSatchel, makeSatchel, writeSatchel } from './satchel-file';
import { satchelSchema } from './satchel-schema';

const validate = new Ajv2020({ strict: false, allErrors: true }).compile(satchelSchema());
const whole = () => {
  const file = JSON.parse(writeSatchel(makeSatchel(demoProject(), catalogue)));
  file.shelf = structuredClone(catalogue.items);
  return file;
};

/** Every place in a value, as a path. */
function paths(value: unknown, path: (string | number)[] = []): (string | number)[][] {
  if (typeof value !== 'object' || value === null) return [path];
  return [
    path,
    ...Object.entries(value).flatMap(([key, inner]) =>
      paths(inner, [...path, Array.isArray(value) ? Number(key) : key])
    )
  ];
}

function put(file: unknown, path: readonly (string | number)[], value: unknown): void {
  let target = file as Record<string | number, unknown>;
  for (const step of path.slice(0, -1)) target = target[step] as Record<string | number, unknown>;
  const last = path.at(-1)!;
  if (value === undefined) delete target[last];
  else target[last] = value;
}

describe('the published schema', () => {
  it('accepts what the classes accept: the demo and the whole shelf', () => {
    expect(validate(whole()), JSON.stringify(validate.errors?.slice(0, 3))).toBe(true);
    expect(checkSatchel(whole()).ok).toBe(true);
  });

  it('and the classes agree on any one place spoilt', () => {
    const file = JSON.parse(writeSatchel(makeSatchel(demoProject(), catalogue)));
    const places = paths(file).filter((path) => path.length > 0);
    const spoils = fc.constantFrom<unknown>(null, -1, 1e15, 'nonsense', true, [], {}, 0.5);
    // Faults across fields are the classes' alone; a schema cannot see them.
    const across =
      /activePlanId|\.id$|gearId|lightDimLx|lightBrightLx|longestTakeMin|recordedMin|kind$/;
    fc.assert(
      fc.property(fc.constantFrom(...places), spoils, (path, value) => {
        const name = path.join('.');
        fc.pre(
          !across.test(name) && !/\.(?:id)$/.test(name) && path.at(-1) !== 'id' && name !== 'shelf'
        );
        const spoilt = structuredClone(file);
        put(spoilt, path, value);
        const isValid = validate(spoilt);
        const checked = checkSatchel(spoilt);
        if (isValid !== checked.ok)
          throw new Error(
            `${name} = ${JSON.stringify(value)}: ${JSON.stringify(checked).slice(0, 200)} ${JSON.stringify(validate.errors?.slice(0, 2))}`
          );
      }),
      { numRuns: 300 }
    );
  });
});
