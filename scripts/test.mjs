// The whole check, on a fresh clone as well: set-up, types and build beside lint, unit tests, browser tests.
// Ends with a line `N passed, N failed`.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { installWhenNeeded, projectRoot, run } from './own-setup.mjs';

const CHROMIUM = '/usr/bin/chromium';
let passed = 0;
let failed = 0;

/**
 * Steps that leave a core idle, in lanes side by side; what each prints comes at its end, in one piece.
 * @param {Record<string, string[][]>[]} lanes of steps by name, their tools one after the other
 */
const sideBySide = (lanes) =>
  Promise.all(
    lanes.map(async (steps) => {
      for (const [name, tools] of Object.entries(steps)) {
        const begun = Date.now();
        let said = '';
        let good = true;
        for (const args of tools) good &&= await printing(args, (text) => (said += text));
        if (good) passed += 1;
        else failed += 1;
        console.log(
          `\n── ${name}\n${said}── ${name}: ${good ? 'passed' : 'FAILED'} in ${Math.round((Date.now() - begun) / 1000)} s`
        );
      }
    })
  );

/** @param {string[]} args @param {(text: string) => void} say @returns {Promise<boolean>} */
const printing = (args, say) =>
  new Promise((done) => {
    const child = spawn(process.execPath, args, { cwd: projectRoot });
    child.stdout.on('data', (text) => say(String(text)));
    child.stderr.on('data', (text) => say(String(text)));
    child.on('close', (code) => done(code === 0));
  });

/** @param {string} name @param {string[]} args @param {Record<string, string>} [env] */
const tool = (name, args, env) => run(process.execPath, [join('node_modules', name), ...args], env);

function chromiumIsThere() {
  if (existsSync(CHROMIUM)) return true;
  if (process.getuid?.() === 0 && spawnSync('apt-get', ['--version']).status === 0) {
    console.log('Installing Debian’s chromium for the browser tests …');
    const quiet = { DEBIAN_FRONTEND: 'noninteractive' };
    run('apt-get', ['update', '-qq'], quiet);
    run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], quiet);
  }
  if (existsSync(CHROMIUM)) return true;
  console.error(
    'The browser tests need Debian’s Chromium at /usr/bin/chromium. Install it with: sudo apt-get install chromium'
  );
  return false;
}

installWhenNeeded();
const reports = mkdtempSync(join(tmpdir(), 'hearty-satchel-'));

// The types of routes and the compiler's options are written first: types and lint both read them.
if (tool('@sveltejs/kit/svelte-kit.js', ['sync']) !== 0) failed += 1;
await sideBySide([
  {
    types: [
      [
        'node_modules/svelte-check/bin/svelte-check',
        '--tsconfig',
        './tsconfig.json',
        '--fail-on-warnings'
      ]
    ],
    build: [
      ['-e', "import('./scripts/own-setup.mjs').then((setup) => setup.buildWhenChanged(true))"]
    ]
  },
  {
    lint: [
      ['node_modules/eslint/bin/eslint.js', '.', '--max-warnings', '0'],
      ['node_modules/prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.']
    ]
  }
]);

console.log('\n── unit tests');
const unitReport = join(reports, 'unit.json');
const unitCode = tool('vitest/vitest.mjs', [
  'run',
  '--reporter=dot',
  '--reporter=json',
  `--outputFile.json=${unitReport}`
]);
if (existsSync(unitReport)) {
  const { numPassedTests, numFailedTests, numFailedTestSuites } = JSON.parse(
    readFileSync(unitReport, 'utf8')
  );
  passed += numPassedTests;
  failed += numFailedTests;
  if (unitCode !== 0 && numFailedTests === 0) failed += Math.max(1, numFailedTestSuites);
} else failed += 1;

console.log('\n── browser tests');
if (!chromiumIsThere()) failed += 1;
else {
  const browserReport = join(reports, 'browser.json');
  const code = tool('@playwright/test/cli.js', ['test'], {
    PLAYWRIGHT_JSON_OUTPUT_NAME: browserReport
  });
  if (existsSync(browserReport)) {
    const { stats } = JSON.parse(readFileSync(browserReport, 'utf8'));
    passed += stats.expected + stats.flaky;
    failed += stats.unexpected;
    if (code !== 0 && stats.unexpected === 0) failed += 1;
  } else failed += 1;
}

if (passed === 0) failed += 1;
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
