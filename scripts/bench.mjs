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
const onlyBig = process.argv.includes('--big');
const onlySet = process.argv.includes('--set');
if (process.argv.includes('--pack'))
  process.exit(run(process.execPath, [bundleWhenChanged('pack-bench', 'scripts/bench/pack.ts')]));
if (process.argv.includes('--proof'))
  process.exit(run(process.execPath, [bundleWhenChanged('proof-bench', 'scripts/bench/proof.ts')]));
if (process.argv.includes('--rehearse'))
  process.exit(
    run(process.execPath, [bundleWhenChanged('rehearse-bench', 'scripts/bench/rehearse.ts')])
  );
if (
  !onlyBig &&
  !onlySet &&
  run(process.execPath, [bundleWhenChanged('tabletop', 'scripts/bench/main.ts')]) !== 0
)
  process.exit(1);

const program = bundleWhenChanged('bench-page', 'scripts/bench/page.ts');
const { measureBigProject, measureInWorker, measurePage, measureSet } = await import(
  pathToFileURL(join(projectRoot, program)).href
);
if (!onlyBig && !onlySet)
  await measureInWorker(
    join(
      projectRoot,
      bundleWhenChanged('bench-worker', 'scripts/bench/worker.ts', 'vite.worker.config.ts')
    )
  );
if (process.argv.includes('--core')) process.exit(0);

buildWhenChanged();
const { serve } = await import('./serve.mjs');
const { address, close } = await serve(4371);
if (!onlyBig && !onlySet) await measurePage(address);
if (!onlyBig) await measureSet(address);
if (!onlySet) await measureBigProject(address);
close();
