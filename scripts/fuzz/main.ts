import { randomOf } from './spoil';
import { trial } from './trial';

// `npm run fuzz`: spoilt files, spreadsheets and backups, taken in and judged.
const option = (name: string, usual: number) => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? usual : Number(process.argv[at + 1]);
};
const count = option('count', 100_000);
const from = option('seed', 1);
const MOST_SHOWN = 20;

let taken = 0;
const faults = new Map<string, { seed: number; times: number; says: string }>();
const slow: { seed: number; ms: number }[] = [];
for (let seed = from; seed < from + count; seed++) {
  const begun = performance.now();
  const one = trial(randomOf(seed));
  const ms = performance.now() - begun;
  if (ms > 1000) slow.push({ seed, ms });
  if (one.taken) taken += 1;
  if (one.fault === undefined) continue;
  // Equal faults differ in their figures only.
  const key = one.fault.replace(/[\d.,]+/g, '#').slice(0, 200);
  const before = faults.get(key);
  if (before) before.times += 1;
  else faults.set(key, { seed, times: 1, says: one.fault });
}
console.log(`${count} spoilt files from seed ${from}: ${taken} taken, ${count - taken} refused.`);
for (const { seed, times, says } of [...faults.values()].slice(0, MOST_SHOWN))
  console.log(`\nseed ${seed}, ${times} times:\n${says}`);
for (const { seed, ms } of slow.slice(0, MOST_SHOWN))
  console.log(`seed ${seed} took ${ms.toFixed(0)} ms`);
console.log(`\n${faults.size} kinds of fault.`);
process.exitCode = faults.size === 0 ? 0 : 1;
