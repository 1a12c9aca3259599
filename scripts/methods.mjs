// `npm run methods`: docs/methods.md anew from the figure table.
import { bundleWhenChanged, installWhenNeeded, run } from './own-setup.mjs';

installWhenNeeded();
process.exit(run(process.execPath, [bundleWhenChanged('methods', 'scripts/programs/methods.ts')]));
