// Carbon ships one stylesheet for every component and fonts from a remote host. This PostCSS step
// runs before file names are hashed: it drops every @font-face that is not ours and keeps only the
// rules whose selectors belong to Carbon components this app imports.
import { readFileSync, readdirSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { createRequire } from 'node:module';
import { PurgeCSS } from 'purgecss';

const require = createRequire(import.meta.url);
const carbonRoot = dirname(dirname(require.resolve('carbon-components-svelte/css/all.css')));

/** Every file under a folder, depth first. @param {string} folder @returns {string[]} */
function filesUnder(folder) {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    return statSync(path).isDirectory() ? filesUnder(path) : [path];
  });
}

/** The Carbon component folders the app's own sources import. @returns {Set<string>} */
export function importedCarbonFolders() {
  const sources = filesUnder('src').filter((file) => /\.(svelte|ts)$/.test(file));
  const folders = new Set();
  const statement = /import\s*\{([^}]*)\}\s*from\s*['"]carbon-components-svelte['"]/g;
  for (const file of sources) {
    for (const [, names] of readFileSync(file, 'utf8').matchAll(statement)) {
      for (const name of names.split(',').map((word) => word.trim().split(/\s+as\s+/)[0])) {
        if (name) folders.add(name);
      }
    }
  }
  return folders;
}

/** Carbon's Svelte sources reachable from the imported components. @returns {string[]} */
function carbonSourcesInUse() {
  const all = filesUnder(join(carbonRoot, 'src')).filter((file) => file.endsWith('.svelte'));
  const byName = new Map(all.map((file) => [file.split('/').pop().replace('.svelte', ''), file]));
  const wanted = new Set();
  const follow = (/** @type {string} */ name) => {
    const file = byName.get(name);
    if (!file || wanted.has(file)) return;
    wanted.add(file);
    const source = readFileSync(file, 'utf8');
    for (const [, path] of source.matchAll(/from\s+['"]([^'"]+)['"]/g)) {
      follow(path.split('/').pop().replace('.svelte', ''));
    }
  };
  for (const name of importedCarbonFolders()) follow(name);
  return [...wanted];
}

/** @returns {import('postcss').Plugin} */
export function carbonPrune() {
  return {
    postcssPlugin: 'carbon-prune',
    async OnceExit(root, { result, postcss }) {
      const from = root.source?.input.file ?? '';
      const holdsCarbon = from.includes('carbon-components-svelte') || /app\.css/.test(from);
      if (!holdsCarbon) return;
      root.walkAtRules('font-face', (rule) => {
        if (/https?:/.test(rule.toString())) rule.remove();
      });
      if (process.env.NODE_ENV !== 'production' && !process.env.CARBON_PRUNE) return;
      for (const layer of root.nodes.filter(
        (node) =>
          node.type === 'atrule' && node.name === 'layer' && node.params === 'carbon' && node.nodes
      )) {
        const content = carbonSourcesInUse().map((file) => ({
          raw: readFileSync(file, 'utf8'),
          extension: 'svelte'
        }));
        const [pruned] = await new PurgeCSS().purge({
          content,
          css: [{ raw: layer.nodes.map(String).join('\n') }],
          safelist: { standard: ['html', 'body', ':root'] },
          defaultExtractor: (text) => text.match(/[A-Za-z0-9_-]+/g) ?? [],
          variables: false
        });
        const kept = postcss.parse(pruned.css, { from });
        layer.removeAll();
        layer.append(kept.nodes);
      }
      void result;
    }
  };
}
carbonPrune.postcss = true;
