// Do the tests notice where a sum is changed? Slow, and asked for by hand: `npm run mutate -- --mutate src/core/place/check/posts.ts`.
export default {
  mutate: ['src/core/{place,fabric}/**/*.ts', '!src/core/**/*.test.ts'],
  testRunner: 'jest',
  jest: { projectType: 'custom', configFile: 'jest.mutate.config.cjs' },
  coverageAnalysis: 'perTest',
  // What is only said in words is read by people; tests hold to numbers, codes and holes.
  mutator: { excludedMutations: ['StringLiteral'] },
  ignoreStatic: true,
  concurrency: 2,
  timeoutMS: 20_000,
  reporters: ['clear-text', 'progress-append-only'],
  clearTextReporter: { allowColor: false, logTests: false, reportTests: false, reportMutants: true },
  ignorePatterns: ['dist', '.expo', 'docs', 'public', 'e2e', 'test-results', 'playwright-report'],
  tempDirName: '.mutants',
  allowEmpty: false,
};
