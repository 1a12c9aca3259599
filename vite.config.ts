import { sveltekit } from '@sveltejs/kit/vite';
import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';
import { carbonPrune } from './scripts/carbon-prune.mjs';
import { shelfAsData } from './scripts/shelf-as-data.mjs';

/** What packs takes minutes and lies in short files, which would come last, with the other core idle. */
class LongestFirst extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const sorted = await super.sort(files);
    const isLong = ({ moduleId }: TestSpecification) => /core\/pack\//.test(moduleId);
    return [...sorted.filter(isLong), ...sorted.filter((file) => !isLong(file))];
  }
}

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
    include: ['src/**/*.test.ts', 'scripts/**/*.test.ts']
  }
});
