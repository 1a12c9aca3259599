import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

/** Bundles a program that runs the core under Node.js: the bench. */
export default defineConfig({
  oxc: { decorator: { legacy: true, emitDecoratorMetadata: true } },
  resolve: { alias: { $lib: fileURLToPath(new URL('./src/lib', import.meta.url)) } },
  publicDir: false,
  build: { ssr: 'scripts/bench/main.ts', outDir: '.svelte-kit/programs', emptyOutDir: true }
});
