// Bundles the bench and runs it: medians and ratios of one run on one machine, first the core, then the page.
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import {
  buildWhenChanged,
  bundleWhenChanged,
  installWhenNeeded,
  projectRoot,
  run
} from './own-setup.mjs';

installWhenNeeded();
const core = run(process.execPath, [bundleWhenChanged('bench', 'scripts/bench/main.ts')]);
if (core !== 0 || process.argv.includes('--core')) process.exit(core);

buildWhenChanged();
const program = bundleWhenChanged('bench-page', 'scripts/bench/page.ts');
const { measurePage } = await import(pathToFileURL(join(projectRoot, program)).href);
const { serve } = await import('./serve.mjs');
const { address, close } = await serve(4371);
await measurePage(address);
close();
