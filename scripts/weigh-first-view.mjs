// After a build: what the first view loads, compressed as it goes over the wire, against its limits.
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';

/** The first view within these, in kB as sent; the rest is split by view. */
export const FIRST_VIEW_KB = { script: 220, style: 45 };
/** The view one lands on with a project open, and the one without. */
const FIRST_ROUTES = ['satchel/+page.svelte', 'routes/+page.svelte'];

/**
 * Weighs the layout and the first view of a build, and names what is over.
 *
 * @param {string} root of the project
 */
export function weighFirstView(root) {
  const client = join(root, '.svelte-kit', 'output', 'client');
  const manifest = JSON.parse(readFileSync(join(client, '.vite', 'manifest.json'), 'utf8'));
  const generated = join('.svelte-kit', 'generated', 'client-optimized', 'nodes');
  const nodeOf = (route) =>
    readdirSync(join(root, generated))
      .map((file) => join(generated, file).replaceAll('\\', '/'))
      .filter((file) => readFileSync(join(root, file), 'utf8').includes(route));
  const layout = ['0.js', '1.js'].map((file) => `${generated.replaceAll('\\', '/')}/${file}`);
  const entries = Object.keys(manifest).filter((key) => manifest[key].file.includes('/entry/'));
  return FIRST_ROUTES.map((route) => {
    const files = new Set();
    const styles = new Set();
    const walk = (key) => {
      const chunk = manifest[key];
      if (!chunk || files.has(chunk.file)) return;
      files.add(chunk.file);
      for (const style of chunk.css ?? []) styles.add(style);
      for (const next of chunk.imports ?? []) walk(next);
    };
    for (const key of [...entries, ...layout, ...nodeOf(route)]) walk(key);
    const kb = (list) =>
      [...list].reduce(
        (sum, file) => sum + gzipSync(readFileSync(join(client, file)), { level: 9 }).length,
        0
      ) / 1000;
    return { route, script: kb(files), style: kb(styles) };
  });
}

/** Sentences for what is too heavy; none when all is well. */
export function weightFaults(weights) {
  return weights.flatMap(({ route, script, style }) => [
    ...(script > FIRST_VIEW_KB.script
      ? [
          `${route} loads ${script.toFixed(0)} kB of script; ${FIRST_VIEW_KB.script} kB are allowed.`
        ]
      : []),
    ...(style > FIRST_VIEW_KB.style
      ? [`${route} loads ${style.toFixed(0)} kB of style; ${FIRST_VIEW_KB.style} kB are allowed.`]
      : [])
  ]);
}
