import nextJest from 'next/jest.js';

/** Packages that ship ES modules only; Jest has to translate them. */
const MODULES_ONLY = ['d3-contour', 'd3-array', 'internmap', 'fast-png', 'fflate', 'iobuffer'];

const prepare = nextJest({ dir: './' })({
  testEnvironment: 'node',
  roots: ['<rootDir>/src'],
  testMatch: process.env.BENCH ? ['**/*.bench.ts'] : ['**/*.test.ts'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
  setupFiles: ['fake-indexeddb/auto'],
  clearMocks: true,
  // Nothing is timed here: a test that waits may wait long beside other work.
  testTimeout: 60_000,
});

/** next/jest sets its own list of what is not translated; it is replaced, not added to. */
export default async function config() {
  return {
    ...(await prepare()),
    transformIgnorePatterns: [`/node_modules/(?!(${MODULES_ONLY.join('|')})/)`],
  };
}
