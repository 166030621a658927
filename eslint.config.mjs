import expo from 'eslint-config-expo/flat.js';

/** Folders of the core from the ground up; each may use those before it. */
const core = ['notation', 'fabric', 'shape', 'place', 'join', 'plan', 'safety', 'supplies', 'toy'];
const zones = [
  ...core.map((folder, index) => ({
    target: `./src/core/${folder}`,
    from: core.slice(index + 1).map((later) => `./src/core/${later}`),
    message: 'The core imports downward only: notation and fabric at the bottom, toy at the top.',
  })),
  {
    target: './src/core',
    from: [
      './app',
      './src/features',
      './src/data',
      './src/ui',
      './src/workers',
      './server',
      './cli',
      './demo',
    ],
    message: 'The core knows nothing of what is built on it.',
  },
  {
    target: './src/workers',
    from: ['./app', './src/features', './src/data', './src/ui'],
    message: 'Workers use the core only.',
  },
  {
    target: './src/ui',
    from: ['./app', './src/features', './src/data', './src/workers'],
    message: 'Controls know no data.',
  },
  { target: './src/data', from: ['./app', './src/features'], message: 'Data knows no screens.' },
  { target: './src/features', from: './app', message: 'Features know no routes.' },
  { target: './app', from: ['./src/core'], message: 'Routes are thin: they compose features.' },
];

export default [
  ...expo,
  { ignores: ['dist/', '.expo/', 'node_modules/', 'test-results/', '*.tmp.*'] },
  {
    rules: {
      'import/no-restricted-paths': ['error', { zones }],
      'import/no-cycle': 'error',
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
    rules: { 'no-restricted-imports': 'off', 'import/no-restricted-paths': 'off' },
  },
];
