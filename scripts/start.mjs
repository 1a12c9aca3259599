import { buildWhenChanged, installWhenNeeded } from './own-setup.mjs';

const [major = 0, minorVersion = 0] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minorVersion < 19)) {
  console.error(`Hearty Satchel needs Node.js 20.19 or newer; this is ${process.versions.node}.`);
  process.exit(1);
}
installWhenNeeded();
buildWhenChanged();
const { serve } = await import('./serve.mjs');
const { address } = await serve();
console.log(`\nHearty Satchel is open at ${address}/?open=demo with the demo packed.`);
console.log(`(${address}/ goes on where you left off. Ctrl C ends it.)`);
