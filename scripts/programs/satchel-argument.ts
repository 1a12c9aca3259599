import { readFileSync } from 'node:fs';
import { faultSentence } from '$lib/core/formats/faults';
import { readSatchel, type SatchelFile } from '$lib/core/formats/satchel-file';

/** The satchel file a program was given by its path; where there is none it says why, and the answer is undefined. */
export function satchelArgument(args: readonly string[], program: string): SatchelFile | undefined {
  const path = args.find((arg) => !arg.startsWith('--'));
  if (!path) {
    console.error(`Which file? Say: npm run ${program} -- file.satchel.json [--json]`);
    return undefined;
  }
  let text: string;
  try {
    text = readFileSync(path, 'utf8');
  } catch {
    console.error(`There is no file to read at ${path}.`);
    return undefined;
  }
  const reading = readSatchel(text);
  if (reading.ok) return reading.file;
  console.error(reading.faults.map(faultSentence).join('\n'));
  return undefined;
}
