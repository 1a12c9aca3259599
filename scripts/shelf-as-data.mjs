/**
 * In the pages, and only there, the shelf's tables are fetched as data instead of being carried as script: 14 kB less
 * of it in the first view. Workers keep them inside, for one that waits while it starts would miss what is asked of it.
 *
 * @returns {import('vite').Plugin}
 */
export function shelfAsData() {
  return {
    name: 'shelf-as-data',
    apply: 'build',
    enforce: 'pre',
    applyToEnvironment: ({ name }) => name === 'client',
    resolveId(source, importer) {
      return source === './shelf-tables'
        ? this.resolve('./shelf-tables-fetched', importer, { skipSelf: true })
        : null;
    }
  };
}
