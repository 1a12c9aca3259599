import { bundleWhenChanged, installWhenNeeded, projectRoot, run } from './own-setup.mjs';
import { join } from 'node:path';

installWhenNeeded();
const program = bundleWhenChanged('fuzz', 'scripts/fuzz/main.ts');
process.exit(run(process.execPath, [join(projectRoot, program), ...process.argv.slice(2)]));
