import next from 'eslint-config-next/core-web-vitals';
import nextTypescript from 'eslint-config-next/typescript';
import jsxA11y from 'eslint-plugin-jsx-a11y';
import tseslint from 'typescript-eslint';

const impureGlobals = [
  'window',
  'document',
  'navigator',
  'localStorage',
  'indexedDB',
  'fetch',
  'performance',
  'process',
];

const config = [
  {
    ignores: ['.next/**', 'node_modules/**', 'next-env.d.ts', 'playwright-report/**', 'test-results/**', 'coverage/**'],
  },
  ...next,
  ...nextTypescript,
  ...tseslint.configs.strict,
  { files: ['src/**/*.tsx'], rules: jsxA11y.flatConfigs.strict.rules },
  {
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/no-explicit-any': 'error',
      eqeqeq: 'error',
      // It warns the React Compiler's users; the compiler is not used here.
      'react-hooks/incompatible-library': 'off',
    },
  },
  // Playwright's fixtures take a function that is called `use` and is no hook.
  { files: ['e2e/**/*.ts'], rules: { 'react-hooks/rules-of-hooks': 'off' } },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['src/core/**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', ...impureGlobals],
      'no-restricted-imports': [
        'error',
        { patterns: ['react*', 'next*', 'dexie*', 'node:*', '@/*', 'zustand*', 'comlink'] },
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Pass randomness in.' },
        { object: 'Date', property: 'now', message: 'Pass the clock in.' },
      ],
      'no-restricted-syntax': [
        'error',
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'Pass the clock in.' },
      ],
    },
  },
];

export default config;
