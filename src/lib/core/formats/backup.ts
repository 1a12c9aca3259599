import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import type { OwnedPiece } from '../model/owned-piece';
import type { Fault } from './faults';
import { ownedPieceFaults } from './owned-piece-check';
import { readSatchel, type SatchelFile, writeSatchel } from './satchel-file';

/** A backup that unpacks to more than this is not opened. */
const MOST_UNPACKED_BYTES = 200 * 1024 * 1024;
/** Files in a ZIP carry a time; a fixed one makes the same projects the same bytes. */
/** What is written down of owned things, in a backup. */
const INVENTORY_NAME = 'inventory.json';
const MOST_OWNED = 20_000;
const FIXED_TIME = new Date('2000-01-01T00:00:00Z');

/** A name no other entry has, whatever signs the ids are made of. */
function entryName(id: string, ending: string, taken: Set<string>): string {
  const plain = id.replace(/[^\w-]+/g, '-').toLowerCase() || 'project';
  let name = `${plain}${ending}`;
  for (let number = 2; taken.has(name); number++) name = `${plain}-${number}${ending}`;
  taken.add(name);
  return name;
}

/**
 * Every project as a satchel file in one ZIP.
 *
 * @param unreadable what is kept of projects that cannot be read, put in as it lies there
 * @param owned what is written down of owned things, which belong to no project
 */
export function writeBackup(
  files: readonly SatchelFile[],
  unreadable: readonly { id: string; value: unknown }[] = [],
  owned: readonly OwnedPiece[] = []
): Uint8Array {
  const taken = new Set<string>();
  const entries = Object.fromEntries(
    [
      ...files.map((file) => ({
        name: entryName(file.project.id, '.satchel.json', taken),
        text: writeSatchel(file)
      })),
      ...unreadable.map(({ id, value }) => ({
        name: entryName(id, '.unreadable.json', taken),
        text: `${JSON.stringify(value, null, 2)}\n`
      })),
      ...(owned.length === 0
        ? []
        : [{ name: INVENTORY_NAME, text: `${JSON.stringify(owned, null, 2)}\n` }])
    ].map(({ name, text }) => [name, [strToU8(text), { mtime: FIXED_TIME }] as const])
  );
  return zipSync(entries as unknown as Parameters<typeof zipSync>[0], {
    level: 6,
    mtime: FIXED_TIME
  });
}

export type BackupReading =
  { ok: true; files: SatchelFile[]; owned: OwnedPiece[] } | { ok: false; faults: Fault[] };

/** Reads a backup; one faulty file and nothing of it is taken. */
export function readBackup(bytes: Uint8Array): BackupReading {
  let unpacked = 0;
  let entries: Record<string, Uint8Array>;
  try {
    entries = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        unpacked += originalSize;
        const ours = name.endsWith('.satchel.json') || name === INVENTORY_NAME;
        return ours && unpacked <= MOST_UNPACKED_BYTES;
      }
    });
  } catch {
    return { ok: false, faults: [{ field: '', says: 'The file is not a ZIP, or it is damaged' }] };
  }
  if (unpacked > MOST_UNPACKED_BYTES)
    return { ok: false, faults: [{ field: '', says: 'The backup unpacks to more than 200 MB' }] };
  const names = Object.keys(entries).filter((name) => name !== INVENTORY_NAME);
  if (names.length === 0)
    return {
      ok: false,
      faults: [{ field: '', says: 'The ZIP holds no satchel files (*.satchel.json)' }]
    };
  const files: SatchelFile[] = [];
  const faults: Fault[] = [];
  for (const name of names) {
    const reading = readSatchel(strFromU8(entries[name]!));
    if (reading.ok) files.push(reading.file);
    else
      faults.push(
        ...reading.faults.map((fault) => ({ ...fault, field: `${name}: ${fault.field}` }))
      );
  }
  const inventory = readOwned(entries[INVENTORY_NAME]);
  faults.push(...inventory.faults);
  return faults.length > 0 ? { ok: false, faults } : { ok: true, files, owned: inventory.owned };
}

/** The inventory of a backup: every piece of it, or why not. */
function readOwned(bytes: Uint8Array | undefined): { owned: OwnedPiece[]; faults: Fault[] } {
  if (!bytes) return { owned: [], faults: [] };
  const refused = (says: string) => ({ owned: [], faults: [{ field: INVENTORY_NAME, says }] });
  let list: unknown;
  try {
    list = JSON.parse(strFromU8(bytes));
  } catch {
    return refused('cannot be read as JSON');
  }
  if (!Array.isArray(list) || list.length > MOST_OWNED)
    return refused(`must be a list of at most ${MOST_OWNED} owned pieces`);
  const faults = list.flatMap((piece: unknown, index) =>
    ownedPieceFaults(piece, `${INVENTORY_NAME}[${index}]`)
  );
  return faults.length > 0 ? { owned: [], faults } : { owned: list as OwnedPiece[], faults };
}
