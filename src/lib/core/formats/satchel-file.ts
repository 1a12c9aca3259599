import { asStatedGear } from '../money/priced-shelf';
import type { GearItem } from '../model/gear';
import { type Project, Project as ProjectClass, projectFaults } from '../model/project';
import { makeShelf, type Shelf } from '../model/shelf';
import { type Fault, faultsOf } from './faults';
import { checkGear } from './gear-check';
import { errorsOf } from './instance-of';
import { bringForward } from './migrations';
import { SATCHEL_VERSION } from './satchel-version';

export { SATCHEL_VERSION } from './satchel-version';

export const SATCHEL_FORMAT = 'hearty-satchel';
/** Larger files are refused before they are read. */
export const SATCHEL_MOST_BYTES = 20 * 1024 * 1024;

/** The whole project in one file, with the parts its plans name. */
export interface SatchelFile {
  format: typeof SATCHEL_FORMAT;
  version: typeof SATCHEL_VERSION;
  project: Project;
  shelf: GearItem[];
  /** Marks of the files this project has passed through, oldest first, this file's own last. */
  history?: string[];
}

/** Deeper than this nothing of ours nests, and programs begin to fail. */
const DEEPEST = 40;
const MOST_HISTORY = 100;
const MOST_SHELF = 20_000;

export type SatchelReading = { ok: true; file: SatchelFile } | { ok: false; faults: Fault[] };

const fault = (field: string, says: string): SatchelReading => ({
  ok: false,
  faults: [{ field, says }]
});

function isPlainObject(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function gearFaults(list: unknown, path: string): Fault[] {
  if (!Array.isArray(list)) return [{ field: path, says: 'must be a list of parts' }];
  if (list.length > MOST_SHELF)
    return [{ field: path, says: `holds ${list.length} parts; at most ${MOST_SHELF} are read` }];
  return list.flatMap((gear: unknown, index) => checkGear(gear, `${path}[${index}]`));
}

/** What no part of a file may be, whatever it is called: nested without end, or named like an object's own insides. */
function shapeFaults(value: unknown): Fault[] {
  let level: unknown[] = [value];
  for (let depth = 0; level.length > 0; depth++) {
    if (depth > DEEPEST)
      return [
        { field: '', says: `The file nests deeper than ${DEEPEST} levels; nothing of ours does` }
      ];
    const next: unknown[] = [];
    for (const node of level) {
      if (typeof node !== 'object' || node === null) continue;
      if (Object.hasOwn(node, '__proto__'))
        return [{ field: '__proto__', says: 'is not a name a field can have; remove it' }];
      for (const inner of Object.values(node)) next.push(inner);
    }
    level = next;
  }
  return [];
}

/** The same without any `null`: older builds let it stand for something left out. */
export function withoutNulls(value: unknown): unknown {
  if (Array.isArray(value)) return value.filter((other) => other !== null).map(withoutNulls);
  if (!isPlainObject(value)) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, entry]) => entry !== null)
      .map(([key, entry]) => [key, withoutNulls(entry)])
  );
}

function historyFaults(history: unknown): Fault[] {
  const isHistory =
    history === undefined ||
    (Array.isArray(history) &&
      history.length <= MOST_HISTORY &&
      history.every((mark) => typeof mark === 'string' && mark.length <= 60));
  return isHistory
    ? []
    : [{ field: 'history', says: `must be a list of at most ${MOST_HISTORY} marks, or left out` }];
}

function idsTwice(list: readonly { id: string }[], path: string): Fault[] {
  const seen = new Set<string>();
  for (const { id } of list) {
    if (seen.has(id)) return [{ field: path, says: `uses the id "${id}" twice; ids must differ` }];
    seen.add(id);
  }
  return [];
}

/** Checks what claims to be a project. The plain object itself is kept, unknown fields and all. */
export function checkProject(value: unknown, path = 'project'): Fault[] {
  if (!isPlainObject(value)) return [{ field: path, says: 'must be an object' }];
  const own = gearFaults(value.ownGear, `${path}.ownGear`);
  if (own.length > 0) return own;
  const faults = faultsOf(errorsOf(ProjectClass, value), path);
  if (faults.length > 0) return faults;
  return projectFaults(value as unknown as Project).map(({ field, says }) => ({
    field: `${path}.${field}`,
    says
  }));
}

/** Checks a parsed satchel file. All or nothing: any fault and nothing is taken. */
export function checkSatchel(given: unknown): SatchelReading {
  if (!isPlainObject(given)) return fault('', 'The file must hold one JSON object');
  const shape = shapeFaults(given);
  if (shape.length > 0) return { ok: false, faults: shape };
  if (given.format !== SATCHEL_FORMAT)
    return fault('format', `must be "${SATCHEL_FORMAT}"; this is some other file`);
  const { version } = given;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 0) {
    return fault(
      'version',
      `must be a whole number up to ${SATCHEL_VERSION}; the file does not say which version it is`
    );
  }
  if (version > SATCHEL_VERSION) {
    return fault(
      'version',
      `is ${version}; this Hearty Satchel reads up to ${SATCHEL_VERSION}. The file comes from a newer Hearty Satchel, update first`
    );
  }
  const brought = bringForward(given, version);
  if (!brought.ok) return brought;
  const { value } = brought;
  const faults = [
    ...checkProject(value.project),
    ...gearFaults(value.shelf, 'shelf'),
    ...historyFaults(value.history)
  ];
  if (faults.length > 0) return { ok: false, faults };
  const file = value as unknown as SatchelFile;
  const twice = idsTwice(file.shelf, 'shelf');
  if (twice.length > 0) return { ok: false, faults: twice };
  const known = makeShelf(file.shelf, file.project.ownGear);
  const lost = file.project.plans.flatMap((plan, planAt) =>
    plan.lines.flatMap((line, lineAt): Fault[] =>
      known.byId.has(line.gearId)
        ? []
        : [
            {
              field: `project.plans[${planAt}].lines[${lineAt}].gearId`,
              says: `names the part "${line.gearId}", which the file's shelf does not hold`
            }
          ]
    )
  );
  return lost.length > 0 ? { ok: false, faults: lost } : { ok: true, file };
}

/** Reads the text of a satchel file. */
export function readSatchel(text: string): SatchelReading {
  if (new TextEncoder().encode(text).length > SATCHEL_MOST_BYTES) {
    return fault(
      '',
      `The file is larger than ${SATCHEL_MOST_BYTES / 1024 / 1024} MB; export the project again without pictures`
    );
  }
  let value: unknown;
  try {
    value = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return fault('', `The file is not JSON: ${(error as Error).message}`);
  }
  return checkSatchel(value);
}

const withStated = (gear: GearItem | undefined) => (gear ? asStatedGear(gear) : []);

/** The file of a project, with every part its plans name. */
export function makeSatchel(
  project: Project,
  shelf: Shelf,
  history?: readonly string[]
): SatchelFile {
  const named = new Set(project.plans.flatMap((plan) => plan.lines.map((line) => line.gearId)));
  return {
    format: SATCHEL_FORMAT,
    version: SATCHEL_VERSION,
    project,
    shelf: [...named].flatMap((id) => withStated(shelf.byId.get(id))),
    ...(history === undefined ? {} : { history: [...history] })
  };
}

/** Two-space JSON, the same bytes for the same project. */
export function writeSatchel(file: SatchelFile): string {
  return `${JSON.stringify(file, null, 2)}\n`;
}

/**
 * The project to keep after reading a file: parts the local shelf has not, or has otherwise, come
 * along as the person's own.
 */
export function projectFromSatchel(file: SatchelFile, catalogue: Shelf): Project {
  const own = new Map(file.project.ownGear.map((gear) => [gear.id, gear]));
  for (const gear of file.shelf) {
    if (own.has(gear.id)) continue;
    const here = catalogue.byId.get(gear.id);
    if (!here || JSON.stringify(here) !== JSON.stringify(gear)) own.set(gear.id, gear);
  }
  return { ...file.project, ownGear: [...own.values()] };
}
