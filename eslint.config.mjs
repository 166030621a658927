import expo from 'eslint-config-expo/flat.js';

import { overLimit } from './scripts/overLimit.mjs';

/** How much one function may hold. */
const limits = {
  complexity: ['error', 20],
  'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }],
  'max-params': ['error', 4],
};

export default [
  ...expo,
  { ignores: ['dist/', '.expo/', 'node_modules/', 'test-results/', '.mutants/', '*.tmp.*'] },
  {
    rules: {
      'no-console': 'error',
      eqeqeq: 'error',
    },
  },
  {
    files: ['**/*.ts', '**/*.tsx'],
    // A library takes the app's types by an interface that only extends them.
    rules: {
      '@typescript-eslint/no-empty-object-type': ['error', { allowInterfaces: 'with-single-extends' }],
    },
  },
  {
    files: ['**/*.cjs'],
    languageOptions: { globals: { module: 'writable', require: 'readonly', __dirname: 'readonly' } },
  },
  {
    files: ['app/**/*.tsx', 'src/features/**/*.tsx', 'src/ui/**/*.tsx'],
    ignores: ['**/*.test.tsx'],
    // What a maker reads or hears is said in the language that is spoken.
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'JSXText[value=/[A-Za-z]{2}/]',
          message: 'Say it by t`…` of core/words/language, so that it can be translated.',
        },
        {
          selector:
            'JSXAttribute[name.name=/^(label|title|aside|aria-label|placeholder|words|alt)$/] > Literal[value=/[A-Za-z]{2}/]:not([value="Hoppla"])',
          message: 'Say it by t`…` of core/words/language, so that it can be translated.',
        },
        {
          selector:
            'JSXAttribute[name.name=/^(label|title|aside|aria-label|words|alt)$/] > JSXExpressionContainer > TemplateLiteral > TemplateElement[value.raw=/[A-Za-z]{2}/]',
          message: 'Say it by t`…` of core/words/language, so that it can be translated.',
        },
      ],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex:
                '^(react|react-native.*|expo.*|@expo.*|@tamagui/.*|tamagui|@tanstack/.*|zustand.*|node:.*|fs|path|os)(/.*)?$',
              message: 'The core is plain TypeScript: no interface, browser or Node code.',
            },
          ],
        },
      ],
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'localStorage',
        'navigator',
        'fetch',
        'process',
        'performance',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'The core is deterministic.' },
        { object: 'Date', property: 'now', message: 'The core has no clock.' },
      ],
    },
  },
  {
    files: ['src/core/**/*.test.ts'],
    // A test may go through the whole chain to set up what it looks at.
    rules: { 'no-restricted-imports': 'off' },
  },
  { files: ['**/*.ts', '**/*.tsx'], ignores: ['**/*.test.ts', 'e2e/**'], rules: limits },
  ...Object.entries(overLimit).flatMap(([rule, files]) =>
    Object.entries(files).map(([file, max]) => ({
      files: [file],
      rules: { [rule]: ['error', typeof limits[rule][1] === 'number' ? max : { ...limits[rule][1], max }] },
    })),
  ),
];
