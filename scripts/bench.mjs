// Bundles the bench and runs it: medians and ratios of one run on one machine.
import { join } from 'node:path';
import { installWhenNeeded, run } from './own-setup.mjs';

installWhenNeeded();
const built = run(process.execPath, [
  join('node_modules', 'vite', 'bin', 'vite.js'),
  'build',
  '--config',
  'vite.node.config.ts',
  '--logLevel',
  'error'
]);
process.exit(
  built === 0 ? run(process.execPath, [join('.svelte-kit', 'programs', 'main.js')]) : built
);
