import { sveltekit } from '@sveltejs/kit/vite';
import { defineConfig } from 'vitest/config';
import { carbonPrune } from './scripts/carbon-prune.mjs';
import { shelfAsData } from './scripts/shelf-as-data.mjs';

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
    include: ['src/**/*.test.ts', 'scripts/**/*.test.ts']
  }
});
