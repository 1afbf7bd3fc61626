/** Jest finds the files and reports; how they are run stands in the runner. */
export default {
  roots: ['<rootDir>/src'],
  testMatch: ['**/*.test.ts'],
  runner: '<rootDir>/scripts/lib/unitRunner.mjs',
  transform: {},
  // Nothing is timed here: a test that waits may wait long beside other work.
  testTimeout: 60_000,
};
