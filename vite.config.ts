import { sveltekit } from '@sveltejs/kit/vite';
import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';
import { carbonPrune } from './scripts/carbon-prune.mjs';
import { shelfAsData } from './scripts/shelf-as-data.mjs';

/** What packs or walks a whole grid takes minutes in short files, which would come last, with the other core idle. */
class LongestFirst extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const sorted = await super.sort(files);
    const isLong = ({ moduleId }: TestSpecification) =>
      /core\/pack\/|brief-extremes|scripts\/fuzz|project-store/.test(moduleId);
    return [...sorted.filter(isLong), ...sorted.filter((file) => !isLong(file))];
  }
}

/** Tests of what keeps something, or asks for it. */
const keeping = ['src/lib/{data,state,workers}/**/*.test.ts'];

export default defineConfig({
  plugins: [shelfAsData(), sveltekit()],
  // class-validator reads property types from decorator metadata, so the transpiler must emit it.
  oxc: { decorator: { legacy: true, emitDecoratorMetadata: true } },
  // Every browser this runs in reads modules: the database comes in the build without the means for older ones.
  resolve: { alias: [{ find: /^dexie$/, replacement: 'dexie/dist/modern/dexie.mjs' }] },
  css: { postcss: { plugins: [carbonPrune()] } },
  worker: { format: 'es' },
  test: {
    // Property tests take their time on a busy machine; none of them is about speed.
    testTimeout: 300_000,
    // Vitest leaves one core to the watcher of files; there is none here.
    maxWorkers: '100%',
    sequence: { sequencer: LongestFirst },
    projects: [
      {
        extends: true,
        test: {
          // Nothing here keeps anything but memos of pure functions: the modules are loaded, and made fast, once for all.
          name: 'pure',
          isolate: false,
          include: ['src/**/*.test.ts', 'scripts/**/*.test.ts'],
          exclude: keeping
        }
      },
      {
        extends: true,
        // Each of these has a database of its own, or puts something in a module's place.
        test: { name: 'keeping', include: keeping }
      }
    ]
  }
});
