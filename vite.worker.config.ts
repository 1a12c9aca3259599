import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

/** Bundles the bench of the core into one file that runs in a worker of the browser. */
export default defineConfig({
  oxc: { decorator: { legacy: true, emitDecoratorMetadata: true } },
  resolve: { alias: { $lib: fileURLToPath(new URL('./src/lib', import.meta.url)) } },
  define: { 'process.env.NODE_ENV': JSON.stringify('production') },
  publicDir: false,
  build: {
    emptyOutDir: true,
    lib: {
      entry: 'scripts/bench/worker.ts',
      formats: ['iife'],
      name: 'bench',
      fileName: () => 'worker.js'
    }
  }
});
