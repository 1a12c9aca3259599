// Bundles the bench and runs it: medians and ratios of one run on one machine.
import { bundleWhenChanged, installWhenNeeded, run } from './own-setup.mjs';

installWhenNeeded();
process.exit(run(process.execPath, [bundleWhenChanged('bench', 'scripts/bench/main.ts')]));
