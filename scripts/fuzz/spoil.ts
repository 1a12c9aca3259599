import { catalogue } from '$lib/catalogue/load-catalogue';
import { demoProject } from '$lib/catalogue/demos/saltmarsh-loom';
import { makeSatchel, type SatchelFile } from '$lib/core/formats/satchel-file';
import { activePlan } from '$lib/core/model/active-plan';
import { startScene } from '$lib/core/model/scene-starts';
import { sceneStyles } from '$lib/core/model/word-lists';

/** Random numbers from 0 to 1 that come again with the same seed (mulberry32). */
export function randomOf(seed: number): () => number {
  let state = seed | 0;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

export type Random = () => number;
const oneOf = <T>(random: Random, list: readonly T[]): T =>
  list[Math.floor(random() * list.length)]!;

/** A bag of any parts of the shelf, for scenes of every style. */
export function randomFile(random: Random): SatchelFile {
  const project = demoProject();
  if (random() < 0.6) {
    project.scenes = [];
    for (let count = 1 + Math.floor(random() * 3); count > 0; count--)
      project.scenes.push(startScene(oneOf(random, sceneStyles), project.scenes, 30));
  }
  if (random() < 0.7) {
    const plan = activePlan(project);
    plan.rigs = [];
    plan.lines = Array.from({ length: Math.floor(random() * 30) }, (_, index) => ({
      id: `line-${index}`,
      gearId: oneOf(random, catalogue.items).id,
      quantity: 1 + Math.floor(random() * 3),
      basis: 'new',
      state: 'wanted',
      step: 'now',
      locked: false
    }));
  }
  return structuredClone(makeSatchel(project, catalogue));
}

type Path = (string | number)[];

function paths(value: unknown, path: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [path];
  return [
    path,
    ...Object.entries(value).flatMap(([key, inner]) =>
      paths(inner, [...path, Array.isArray(value) ? Number(key) : key])
    )
  ];
}

type Holder = Record<string | number, unknown>;

/** What holds the place of a path; undefined where an earlier spoiling has taken it away. */
function parentOf(file: unknown, path: Path): Holder | undefined {
  let value = file;
  for (const step of path.slice(0, -1)) {
    if (typeof value !== 'object' || value === null) return undefined;
    value = (value as Holder)[step];
  }
  return typeof value === 'object' && value !== null ? (value as Holder) : undefined;
}

const nested = (levels: number): unknown => {
  let value: unknown = 1;
  for (let level = 0; level < levels; level++) value = [value];
  return value;
};

/** What hostile or careless hands put in a place. */
const odd: readonly unknown[] = [
  null,
  -1,
  0,
  0.1,
  1,
  2,
  60,
  1e9,
  1e20,
  1e308,
  -1e308,
  5e-324,
  '',
  ' ',
  'nonsense',
  'x'.repeat(119),
  'x'.repeat(100_000),
  '<img src=x onerror=alert(1)>',
  '\u202egnirts',
  '\ud800',
  '2026-02-31',
  '9999-12-31',
  true,
  false,
  [],
  {},
  [null],
  { constructor: {} },
  { toString: 1 },
  nested(1000)
];

/** Changes one place of a file: to something odd, to what stands elsewhere under the same name, or away. */
function spoilOnce(file: unknown, random: Random, places: readonly Path[]): void {
  const path = oneOf(random, places);
  const parent = parentOf(file, path);
  const key = path.at(-1);
  if (!parent || key === undefined || !(key in parent)) return;
  const now = parent[key];
  const dice = random();
  if (dice < 0.3) parent[key] = structuredClone(oneOf(random, odd));
  else if (dice < 0.45) {
    if (Array.isArray(parent)) parent.splice(Number(key), 1);
    else delete parent[key];
  } else if (dice < 0.65 && typeof now === 'number') {
    parent[key] = now * oneOf(random, [0, 0.01, 0.1, 0.5, 2, 3, 10, 100, 1000]);
    if (Number.isInteger(now)) parent[key] = Math.round(parent[key] as number);
  } else if (dice < 0.75 && Array.isArray(now) && now.length > 0)
    now.push(structuredClone(oneOf(random, now)));
  else {
    const twin = oneOf(
      random,
      places.filter((other) => other.at(-1) === key)
    );
    const from = parentOf(file, twin);
    if (from && key in from) parent[key] = structuredClone(from[key]);
  }
}

/** A file with up to a handful of places spoilt; the same for the same random numbers. */
export function spoiltFile(random: Random): unknown {
  const file = randomFile(random) as unknown;
  const places = paths(file).filter((path) => path.length > 1);
  for (let count = Math.floor(random() * 5); count >= 0; count--) spoilOnce(file, random, places);
  return file;
}
