import nextJest from 'next/jest.js';

/** Packages that ship ES modules only; Jest has to translate them. */
const MODULES_ONLY = ['d3-contour', 'd3-array', 'internmap', 'fast-png', 'fflate', 'iobuffer'];

/**
 * Names that every module gets as arguments of its own: what Jest's sandbox looks up as a global is about ten times slower.
 * Not `Date` and `Promise`, which fake timers put others in place of.
 */
const NEAR = [
  ...[
    'Math',
    'Number',
    'Object',
    'Array',
    'Map',
    'Set',
    'WeakMap',
    'WeakSet',
    'String',
    'Boolean',
    'Symbol',
  ],
  ...[
    'Error',
    'TypeError',
    'RangeError',
    'RegExp',
    'JSON',
    'Reflect',
    'Infinity',
    'isFinite',
    'isNaN',
    'BigInt',
  ],
  ...[
    'ArrayBuffer',
    'DataView',
    'Float64Array',
    'Float32Array',
    'Uint8Array',
    'Uint16Array',
    'Uint32Array',
  ],
  ...['Int8Array', 'Int16Array', 'Int32Array', 'Uint8ClampedArray'],
];

const prepare = nextJest({ dir: './' })({
  testEnvironment: 'node',
  roots: ['<rootDir>/src'],
  testMatch: process.env.BENCH ? ['**/*.bench.ts'] : ['**/*.test.ts'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
  setupFiles: ['fake-indexeddb/auto'],
  clearMocks: true,
  sandboxInjectedGlobals: NEAR,
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
