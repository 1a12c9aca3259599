// `npm run judge -- file.satchel.json [--json]`: what the page says, in a terminal.
import { bundleWhenChanged, installWhenNeeded, run } from './own-setup.mjs';

installWhenNeeded();
const program = bundleWhenChanged('judge', 'scripts/programs/judge.ts');
process.exit(run(process.execPath, [program, ...process.argv.slice(2)]));
