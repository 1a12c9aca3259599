import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import type { Fault } from './faults';
import { readSatchel, type SatchelFile, writeSatchel } from './satchel-file';

/** A backup that unpacks to more than this is not opened. */
const MOST_UNPACKED_BYTES = 200 * 1024 * 1024;
/** Files in a ZIP carry a time; a fixed one makes the same projects the same bytes. */
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
 */
export function writeBackup(
  files: readonly SatchelFile[],
  unreadable: readonly { id: string; value: unknown }[] = []
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
      }))
    ].map(({ name, text }) => [name, [strToU8(text), { mtime: FIXED_TIME }] as const])
  );
  return zipSync(entries as unknown as Parameters<typeof zipSync>[0], {
    level: 6,
    mtime: FIXED_TIME
  });
}

export type BackupReading = { ok: true; files: SatchelFile[] } | { ok: false; faults: Fault[] };

/** Reads a backup; one faulty file and nothing of it is taken. */
export function readBackup(bytes: Uint8Array): BackupReading {
  let unpacked = 0;
  let entries: Record<string, Uint8Array>;
  try {
    entries = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        unpacked += originalSize;
        return name.endsWith('.satchel.json') && unpacked <= MOST_UNPACKED_BYTES;
      }
    });
  } catch {
    return { ok: false, faults: [{ field: '', says: 'The file is no ZIP, or it is damaged' }] };
  }
  if (unpacked > MOST_UNPACKED_BYTES)
    return { ok: false, faults: [{ field: '', says: 'The backup unpacks to more than 200 MB' }] };
  const names = Object.keys(entries);
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
  return faults.length > 0 ? { ok: false, faults } : { ok: true, files };
}
