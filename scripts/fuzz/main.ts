import { checkSatchel } from '$lib/core/formats/satchel-file';
import { randomOf, spoiltFile } from './spoil';
import { trial } from './trial';

// `npm run fuzz`: spoilt files, spreadsheets and backups, taken in and judged. With `--files 8` it judges
// nothing and prints so many spoilt files that the check takes, for the browser test of the views.
const option = (name: string, usual: number) => {
  const index = process.argv.indexOf(`--${name}`);
  return index < 0 ? usual : Number(process.argv[index + 1]);
};
const count = option('count', 100_000);
const from = option('seed', 1);
const files = option('files', 0);
const MOST_SHOWN = 20;

/** Spoilt files that are taken all the same: from there on every view has to live with them. */
function printTakenFiles(): void {
  const found: { seed: number; file: unknown }[] = [];
  for (let seed = from; found.length < files; seed++) {
    const file = spoiltFile(randomOf(seed));
    if (checkSatchel(structuredClone(file)).ok) found.push({ seed, file });
  }
  process.stdout.write(JSON.stringify(found));
}

function tryMany(): number {
  let taken = 0;
  const faults = new Map<string, { seed: number; times: number; says: string }>();
  const slow: { seed: number; ms: number }[] = [];
  for (let seed = from; seed < from + count; seed++) {
    const begun = performance.now();
    const tried = trial(randomOf(seed));
    const ms = performance.now() - begun;
    if (ms > 1000) slow.push({ seed, ms });
    if (tried.taken) taken += 1;
    if (tried.fault === undefined) continue;
    // Equal faults differ in their figures only.
    const key = tried.fault.replace(/[\d.,]+/g, '#').slice(0, 200);
    const before = faults.get(key);
    if (before) before.times += 1;
    else faults.set(key, { seed, times: 1, says: tried.fault });
  }
  console.log(`${count} spoilt files from seed ${from}: ${taken} taken, ${count - taken} refused.`);
  for (const { seed, times, says } of [...faults.values()].slice(0, MOST_SHOWN))
    console.log(`\nseed ${seed}, ${times} times:\n${says}`);
  for (const { seed, ms } of slow.slice(0, MOST_SHOWN))
    console.log(`seed ${seed} took ${ms.toFixed(0)} ms`);
  console.log(`\n${faults.size} kinds of fault.`);
  return faults.size === 0 ? 0 : 1;
}

if (files > 0) printTakenFiles();
else process.exitCode = tryMany();
