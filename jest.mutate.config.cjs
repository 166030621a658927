const { projects } = require('./jest.config.cjs');

/** The tests of placing and fabric alone, in the surroundings that count which line each test reaches. */
module.exports = {
  ...projects[0],
  displayName: undefined,
  testEnvironment: '@stryker-mutator/jest-runner/jest-env/node',
  setupFiles: ['<rootDir>/jest.mutate.setup.cjs'],
  testMatch: ['<rootDir>/src/core/{place,fabric}/**/*.test.ts'],
};
