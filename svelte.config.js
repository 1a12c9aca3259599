import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';

// Svelte's own announcer and Carbon's tooltip set a style attribute; their texts are known, so
// they are let through by hash instead of opening the policy to every inline style.
const inlineStyleAttributes = [
  'unsafe-hashes',
  'sha256-S8qMpvofolR8Mpjy4kQvEm7m1q8clzU4dfDH0AmvZjo=',
  'sha256-GNF6CI7RMKfagqkHlsI/0UR+OAS0qjXI91xGkBqAMnk='
];

/** @type {import('@sveltejs/kit').Config} */
export default {
  preprocess: vitePreprocess(),
  kit: {
    adapter: adapter({ precompress: true }),
    paths: { relative: false },
    // The only route that takes a body answers JSON alone and looks at the origin itself.
    csrf: { trustedOrigins: ['*'] },
    csp: {
      mode: 'hash',
      directives: {
        'default-src': ['none'],
        'script-src': ['self'],
        'style-src': ['self'],
        'style-src-attr': inlineStyleAttributes,
        'img-src': ['self', 'data:', 'blob:'],
        'media-src': ['self', 'blob:'],
        'font-src': ['self'],
        'connect-src': ['self'],
        'worker-src': ['self'],
        'manifest-src': ['self'],
        'base-uri': ['none'],
        'form-action': ['self'],
        'frame-ancestors': ['none']
      }
    },
    typescript: {
      config: (config) => ({
        ...config,
        include: [
          ...config.include,
          '../e2e/**/*.ts',
          '../scripts/**/*.ts',
          '../scripts/**/*.mjs',
          '../*.config.ts',
          '../*.config.js'
        ]
      })
    }
  }
};
