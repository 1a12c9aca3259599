import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

/** Bundles a program that runs the core under Node.js: the bench, the judge, the methods document. Which one, scripts/own-setup.mjs says. */
export default defineConfig({
  oxc: { decorator: { legacy: true, emitDecoratorMetadata: true } },
  resolve: { alias: { $lib: fileURLToPath(new URL('./src/lib', import.meta.url)) } },
  publicDir: false,
  build: { ssr: true, emptyOutDir: true }
});
