import { strToU8 } from 'fflate';
import { demoProject } from '$lib/catalogue/demos/saltmarsh-loom';
import { catalogue } from '$lib/catalogue/load-catalogue';
import { readBackup, writeBackup } from '$lib/core/formats/backup';
import { guessColumns, readGearRows } from '$lib/core/formats/csv-columns';
import { readCsvText, writeShelfCsv } from '$lib/core/formats/csv-file';
import { faultSentence } from '$lib/core/formats/faults';
import { checkSatchel, makeSatchel } from '$lib/core/formats/satchel-file';
import { cautionsFor } from '$lib/core/judge/cautions';
import { evaluationOf } from '$lib/core/judge/evaluation';
import { judgePlan } from '$lib/core/judge/judge-plan';
import { activePlan } from '$lib/core/model/active-plan';
import { makeShelf } from '$lib/core/model/shelf';
import { type Random, spoiltFile } from './spoil';

/** What came of one trial; a fault is whatever threw, or a sentence that is none. */
export interface Trial {
  taken: boolean;
  fault: string | undefined;
}

/** No sentence of ours holds these; what a person typed is taken out before it is looked at. */
const BROKEN = /\bNaN\b|undefined|\[object Object\]|Infinity|\bnull\b/;

/** Every sentence of a judgement, with the names a person gave taken out. */
function brokenSentence(value: unknown, typed: readonly string[]): string | undefined {
  const stack: unknown[] = [value];
  while (stack.length > 0) {
    const value = stack.pop();
    if (typeof value === 'string') {
      let text = value;
      for (const name of typed) if (name.length > 2) text = text.replaceAll(name, '');
      if (BROKEN.test(text)) return value.slice(0, 300);
    } else if (typeof value === 'number' && !Number.isFinite(value)) return `the number ${value}`;
    else if (typeof value === 'object' && value !== null) stack.push(...Object.values(value));
  }
  return undefined;
}

function namesIn(value: unknown): string[] {
  const names: string[] = [];
  const stack: unknown[] = [value];
  while (stack.length > 0) {
    const value = stack.pop();
    if (typeof value === 'string') names.push(value);
    else if (typeof value === 'object' && value !== null) stack.push(...Object.values(value));
  }
  return names.filter((name) => BROKEN.test(name)).sort((a, b) => b.length - a.length);
}

function trySatchel(random: Random): Trial {
  const spoilt = spoiltFile(random);
  const reading = checkSatchel(spoilt);
  if (!reading.ok) {
    const says = reading.faults.map(faultSentence);
    return { taken: false, fault: brokenSentence(says, namesIn(spoilt)) };
  }
  const { project, shelf } = reading.file;
  const all = makeShelf(catalogue.items, shelf, project.ownGear);
  const plan = activePlan(project);
  const judgement = judgePlan(project, plan, all);
  const evaluation = evaluationOf(project, plan, all, judgement);
  const said = [evaluation, cautionsFor(judgement)];
  return { taken: true, fault: brokenSentence(said, namesIn(spoilt)) };
}

/** Text with some signs lost, doubled or changed. */
function spoiltText(text: string, random: Random): string {
  let spoilt = text;
  for (let count = 1 + Math.floor(random() * 8); count > 0; count--) {
    const index = Math.floor(random() * spoilt.length);
    const sign = ['"', ';', ',', '\n', '\r', '=', '€', '\u0000', '-', '9', ''][
      Math.floor(random() * 11)
    ]!;
    spoilt = spoilt.slice(0, index) + sign + spoilt.slice(index + Math.floor(random() * 4));
  }
  return spoilt;
}

function tryCsv(random: Random): Trial {
  const from = Math.floor(random() * (catalogue.items.length - 12));
  const text = spoiltText(writeShelfCsv(catalogue.items.slice(from, from + 12)), random);
  const csv = readCsvText(text);
  if (!csv.ok) return { taken: false, fault: brokenSentence(csv.says, []) };
  const { gear, refused } = readGearRows(csv.headers, csv.rows, guessColumns(csv.headers), {
    currency: 'GBP',
    day: '2026-11-01',
    source: 'spreadsheet',
    kind: undefined
  });
  const said = refused.flatMap(({ faults }) => faults.map(faultSentence));
  const fault = brokenSentence(said, namesIn(csv.rows));
  if (fault || gear.length === 0) return { taken: false, fault };
  const satchel = checkSatchel(makeSatchel({ ...demoProject(), ownGear: gear }, catalogue));
  return {
    taken: true,
    fault: satchel.ok
      ? undefined
      : `a taken row is refused in a file: ${satchel.faults.map(faultSentence).join(' ')}`
  };
}

function tryZip(random: Random): Trial {
  const bytes = writeBackup([makeSatchel(demoProject(), catalogue)]);
  for (let count = Math.floor(random() * 4); count > 0; count--)
    bytes[Math.floor(random() * bytes.length)] = Math.floor(random() * 256);
  const cut = random() < 0.3 ? bytes.slice(0, Math.floor(random() * bytes.length)) : bytes;
  const reading = readBackup(random() < 0.05 ? strToU8('no ZIP at all') : cut);
  return {
    taken: reading.ok,
    fault: reading.ok ? undefined : brokenSentence(reading.faults.map(faultSentence), [])
  };
}

/** One file, spreadsheet or backup, spoilt and taken in. */
export function trial(random: Random): Trial {
  const dice = random();
  try {
    return dice < 0.9 ? trySatchel(random) : dice < 0.97 ? tryCsv(random) : tryZip(random);
  } catch (error) {
    return {
      taken: true,
      fault: error instanceof Error ? (error.stack ?? error.message) : String(error)
    };
  }
}
