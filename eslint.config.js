import js from '@eslint/js';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

/** The core is told the time, the dice and the data; it never looks for them itself. */
const CORE_MAY_NOT = [
  ...['window', 'document', 'navigator', 'localStorage', 'fetch', 'process', 'crypto', 'performance'].map(
    (name) => ({
      name,
      message: 'The core knows no browser and no server: pass in what it needs.'
    })
  ),
  ...['setTimeout', 'setInterval', 'console'].map((name) => ({
    name,
    message: 'The core is pure: it neither waits nor prints.'
  }))
];

/** Kinds of material, which are asked for inside their own folder only: everywhere else a trait is. */
const KINDS = '/^(resin|gypsum|concrete|soap|melt and pour|plastisol|rubber)$/';
const ASKED_FOR = [
  'BinaryExpression',
  'SwitchCase',
  'ArrayExpression',
  'CallExpression',
  'LogicalExpression',
  'TSLiteralType'
];
const NO_KIND = ASKED_FOR.map((where) => ({
  selector: `${where} > Literal[value=${KINDS}]`,
  message:
    'Ask for a trait of the material (materials.has), or let its definition in core/material/kinds say it.'
}));
/** A function is seen at once, and its ways through can be held in the head. */
const SHORT = {
  'max-lines-per-function': ['error', { max: 60, skipComments: true, skipBlankLines: true }],
  complexity: ['error', 15],
  'max-params': ['error', 4]
};
/** What a part is given belongs together in a few things. */
const FEW_PROPS = {
  selector: "VariableDeclarator[init.callee.name='$props'] > ObjectPattern[properties.length>12]",
  message: 'More than twelve props: pass what belongs together as one.'
};
const NO_CLOCK = {
  selector: "NewExpression[callee.name='Date'][arguments.length=0]",
  message: 'Time is passed in to the core.'
};

export default ts.config(
  { ignores: ['.svelte-kit/', 'build/', 'node_modules/', 'data/', 'drizzle/', 'coverage/'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  { languageOptions: { globals: { ...globals.browser, ...globals.node } } },
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: { parserOptions: { parser: ts.parser, svelteConfig } },
    rules: {
      'svelte/no-navigation-without-resolve': 'off',
      // Sets and search parameters here are made, read and dropped within one call.
      'svelte/prefer-svelte-reactivity': 'off'
    }
  },
  {
    rules: {
      'no-undef': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-non-null-assertion': 'off'
    }
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['src/core/**/*.test.ts', 'src/core/**/*.testing.ts'],
    rules: {
      ...SHORT,
      'no-restricted-globals': ['error', ...CORE_MAY_NOT],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Randomness is passed in to the core.' },
        { object: 'Date', property: 'now', message: 'Time is passed in to the core.' }
      ],
      'no-restricted-syntax': ['error', NO_CLOCK, ...NO_KIND],
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: [
                '$lib*',
                '$app*',
                'svelte*',
                '@sveltejs/*',
                'node:*',
                'drizzle-orm*',
                '@libsql/*',
                '**/lib/**',
                '**/routes/**',
                '**/demo/**'
              ],
              message: 'The core imports nothing but itself and small pure libraries.'
            }
          ]
        }
      ]
    }
  },
  {
    files: ['src/lib/**/*.{ts,svelte}', 'src/routes/**/*.{ts,svelte}'],
    ignores: ['**/*.test.ts'],
    rules: { ...SHORT, 'no-restricted-syntax': ['error', ...NO_KIND, FEW_PROPS] }
  },
  {
    // A screen is read from top to bottom: what is longer has parts of its own.
    files: ['src/lib/**/*.svelte', 'src/routes/**/*.svelte'],
    rules: { 'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }] }
  },
  {
    files: ['src/core/material/kinds/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: { 'no-restricted-syntax': ['error', NO_CLOCK] }
  }
);
