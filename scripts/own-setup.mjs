// What both commands do first: install from the lock file when needed, build when sources changed.
// Only Node.js itself is used here, for on a fresh clone nothing else is there.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { weighFirstView, weightFaults } from './weigh-first-view.mjs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const projectRoot = dirname(dirname(fileURLToPath(import.meta.url)));

/** Runs a command with its output shown. @param {string} command @param {string[]} args @param {Record<string, string>} [env] */
export function run(command, args, env = {}) {
  const done = spawnSync(command, args, {
    cwd: projectRoot,
    stdio: 'inherit',
    env: { ...process.env, ...env }
  });
  return done.status ?? 1;
}

/** @param {string[]} paths */
function fingerprint(paths) {
  const hash = createHash('sha256');
  const add = (/** @type {string} */ path) => {
    if (!existsSync(path)) return;
    if (statSync(path).isDirectory()) {
      for (const name of readdirSync(path).sort()) add(join(path, name));
    } else {
      hash.update(path).update('\0').update(readFileSync(path)).update('\0');
    }
  };
  for (const path of paths) add(join(projectRoot, path));
  return hash.digest('hex');
}

/** @param {string} stamp @param {string} value */
const isStamped = (stamp, value) => existsSync(stamp) && readFileSync(stamp, 'utf8') === value;

/** Installs the packages of the lock file unless exactly those are there. */
export function installWhenNeeded() {
  const stamp = join(projectRoot, 'node_modules', '.installed-from');
  const lock = fingerprint(['package-lock.json', 'package.json']);
  if (isStamped(stamp, lock)) return;
  console.log('Installing the packages of the lock file …');
  const npm = process.platform === 'win32' ? 'npm.cmd' : 'npm';
  if (run(npm, ['ci', '--no-audit', '--no-fund']) !== 0) {
    console.error('The packages could not be installed. Is the package registry reachable?');
    process.exit(1);
  }
  mkdirSync(dirname(stamp), { recursive: true });
  writeFileSync(stamp, lock);
}

/** Builds the app unless the build was made from exactly these sources; `strict` refuses one whose first view is too heavy. */
export function buildWhenChanged(strict = false) {
  const stamp = join(projectRoot, 'build', '.built-from');
  const sources = fingerprint([
    'src',
    'static',
    'package-lock.json',
    'vite.config.ts',
    'svelte.config.js',
    'tsconfig.json',
    'scripts/carbon-prune.mjs'
  ]);
  if (isStamped(stamp, sources)) return;
  console.log('Building …');
  if (
    run(process.execPath, [
      join('node_modules', 'vite', 'bin', 'vite.js'),
      'build',
      '--logLevel',
      'warn'
    ]) !== 0
  ) {
    console.error('The build failed; its messages stand above.');
    process.exit(1);
  }
  const weights = weighFirstView(projectRoot);
  for (const { route, script, style } of weights)
    console.log(`${route}: ${script.toFixed(0)} kB of script, ${style.toFixed(0)} kB of style`);
  const heavy = weightFaults(weights);
  if (heavy.length > 0) {
    console.error(heavy.join('\n'));
    // Whoever starts the app may start it all the same; the tests do not let it pass.
    if (strict) process.exit(1);
  }
  writeFileSync(stamp, sources);
}

/**
 * Bundles a program of scripts/ that runs the core under Node.js, unless it is bundled from exactly
 * these sources already. Answers with the path of the bundle.
 * @param {string} name @param {string} entry
 */
export function bundleWhenChanged(name, entry, config = 'vite.node.config.ts') {
  const folder = join('.svelte-kit', 'programs', name);
  const stamp = join(projectRoot, folder, '.built-from');
  const sources = fingerprint(['src/lib', 'scripts', 'package-lock.json', config]);
  if (!isStamped(stamp, sources)) {
    // The compiler's options stand in a file that only this writes.
    if (!existsSync(join(projectRoot, '.svelte-kit', 'tsconfig.json')))
      run(process.execPath, [join('node_modules', '@sveltejs', 'kit', 'svelte-kit.js'), 'sync']);
    const built = run(process.execPath, [
      join('node_modules', 'vite', 'bin', 'vite.js'),
      'build',
      '--config',
      config,
      '--logLevel',
      'error',
      ...(config === 'vite.node.config.ts' ? ['--ssr', entry] : []),
      '--outDir',
      folder
    ]);
    if (built !== 0) process.exit(built);
    writeFileSync(stamp, sources);
  }
  return join(folder, `${entry.split('/').pop()?.replace(/\.ts$/, '')}.js`);
}
