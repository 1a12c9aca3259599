// `npm run rehearse -- file.satchel.json [--json]`: every day of a plan, run as planned and a thousand times by chance.
import { bundleWhenChanged, installWhenNeeded, run } from './own-setup.mjs';

installWhenNeeded();
const program = bundleWhenChanged('rehearse', 'scripts/programs/rehearse.ts');
process.exit(run(process.execPath, [program, ...process.argv.slice(2)]));
