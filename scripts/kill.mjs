// `npm run kill`: the browser is killed in the middle of writing, a hundred times over.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import {
  buildWhenChanged,
  bundleWhenChanged,
  installWhenNeeded,
  projectRoot
} from './own-setup.mjs';

const TIMES = Number(process.env.TIMES) || 100;
installWhenNeeded();
buildWhenChanged();
const program = bundleWhenChanged('kill', 'scripts/kill/kill-mid-write.ts');
const { killMidWrite } = await import(pathToFileURL(join(projectRoot, program)).href);
const { serve } = await import('./serve.mjs');
const { address, close } = await serve(4370);
const profile = mkdtempSync(join(tmpdir(), 'hearty-killed-'));
let whole = 0;
for (let time = 0; time < TIMES; time++) {
  const { keptLines, undoWorks } = await killMidWrite(address, profile, time);
  if (keptLines && undoWorks) whole += 1;
  else console.log(`time ${time}: project whole ${keptLines}, undo whole ${undoWorks}`);
}
rmSync(profile, { recursive: true, force: true });
close();
console.log(
  `${whole} of ${TIMES} times the project opened whole after the browser was killed mid-write.`
);
process.exit(whole === TIMES ? 0 : 1);
