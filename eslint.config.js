import boundaries from 'eslint-plugin-boundaries';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

// The rooms of the house, top to bottom: a room may use itself and what stands below it.
// docs/architecture.md draws the same list.
const coreRooms = [
  'takes',
  'rehearse',
  'cards',
  'ledger',
  'practise',
  'set',
  'pack',
  'judge',
  'merit',
  'findings',
  'acts',
  'supplies',
  'figures',
  'rigs',
  'joining',
  'exposure',
  'formats',
  'proof',
  'reading',
  'relations',
  'money',
  'model'
];
const below = (room) => coreRooms.slice(coreRooms.indexOf(room));
const outer = {
  routes: ['routes', 'ui', 'state', 'data', 'workers', 'catalogue'],
  ui: ['ui', 'state', 'workers', 'catalogue'],
  state: ['state', 'data', 'workers', 'catalogue'],
  workers: ['workers', 'data', 'catalogue'],
  data: ['data', 'catalogue'],
  catalogue: ['catalogue']
};

export default ts.config(
  {
    ignores: ['build/', '.svelte-kit/', 'node_modules/', 'test-results/', 'playwright-report/']
  },
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  {
    languageOptions: { globals: { ...globals.browser, ...globals.node } },
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
      'no-console': 'error',
      // What a thing is says more than that it is one.
      'no-restricted-syntax': [
        'error',
        ...[
          'VariableDeclarator > Identifier.id',
          ':function > Identifier.params',
          'ArrayPattern > Identifier.elements',
          'SvelteEachBlock > Identifier.context'
        ].map((place) => ({
          selector: `${place}[name="one"]`,
          message: 'Call it by the noun for what it holds.'
        }))
      ],
      'svelte/no-navigation-without-resolve': 'off',
      'svelte/require-each-key': 'error'
    }
  },
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: { parserOptions: { parser: ts.parser, svelteConfig } }
  },
  { files: ['scripts/**', 'e2e/**'], rules: { 'no-console': 'off' } },
  {
    files: ['src/**'],
    ignores: ['src/**/*.test.ts', 'src/**/tests/*.ts', 'src/**/*.bench.ts'],
    plugins: { boundaries },
    settings: {
      'import/resolver': { typescript: true },
      'boundaries/root-path': import.meta.dirname,
      'boundaries/elements': [
        ...coreRooms.map((room) => ({ type: `core-${room}`, pattern: `src/lib/core/${room}` })),
        ...Object.keys(outer)
          .filter((room) => room !== 'routes')
          .map((room) => ({ type: room, pattern: `src/lib/${room}` })),
        { type: 'routes', pattern: 'src/routes' }
      ]
    },
    rules: {
      'boundaries/dependencies': [
        'error',
        {
          default: 'disallow',
          policies: [
            ...coreRooms.map((room) => ({
              from: { element: { type: `core-${room}` } },
              allow: {
                to: { element: { types: { anyOf: below(room).map((to) => `core-${to}`) } } }
              }
            })),
            ...Object.entries(outer).map(([room, rooms]) => ({
              from: { element: { type: room } },
              allow: {
                to: {
                  element: { types: { anyOf: [...rooms, ...coreRooms.map((to) => `core-${to}`)] } }
                }
              }
            })),
            { allow: { to: { module: { origin: 'external' } } } },
            {
              from: { element: { types: { anyOf: coreRooms.map((room) => `core-${room}`) } } },
              disallow: {
                to: {
                  module: {
                    origin: 'external',
                    source: '{svelte,svelte/**,dexie,comlink,@sveltejs/**,carbon-*}'
                  }
                }
              }
            }
          ]
        }
      ]
    }
  },
  {
    files: ['src/lib/core/**'],
    ignores: ['src/lib/core/**/*.test.ts', 'src/lib/core/**/tests/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: [
                'svelte',
                'svelte/*',
                'dexie',
                'comlink',
                '@sveltejs/*',
                '$app/*',
                'carbon-*'
              ],
              message: 'The core computes and knows nobody outside itself.'
            }
          ]
        }
      ],
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'localStorage',
        'indexedDB',
        'fetch',
        'self'
      ]
    }
  }
);
