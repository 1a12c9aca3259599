// `npm run pack -- file.satchel.json [--json]`: the best kits found, at every spend, in a terminal.
import { bundleWhenChanged, installWhenNeeded, run } from './own-setup.mjs';

installWhenNeeded();
const program = bundleWhenChanged('pack', 'scripts/programs/pack.ts');
process.exit(run(process.execPath, [program, ...process.argv.slice(2)]));
