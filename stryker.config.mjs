// `npm run mutation [folder …]`: changes an operator or a number in the computation and looks whether a test notices.
// Outside `npm test`: a folder takes minutes. Folders come from the command line, all of them when none is named.

/** @type {import('@stryker-mutator/api/core').PartialStrykerOptions} */
export default {
  plugins: ['./scripts/lib/nearRunner.mjs'],
  testRunner: 'near',
  coverageAnalysis: 'perTest',
  mutator: { excludedMutations: ['StringLiteral', 'ObjectLiteral', 'ArrayDeclaration'] },
  ignoreStatic: true,
  thresholds: { high: 95, low: 85, break: 85 },
  concurrency: 2,
  timeoutMS: 8_000,
  dryRunTimeoutMinutes: 20,
  reporters: ['clear-text', 'json', 'progress-append-only'],
  jsonReporter: { fileName: 'test-results/mutation.json' },
  clearTextReporter: { allowColor: false, logTests: false },
  tempDirName: '.tmp/mutation',
  cleanTempDir: 'always',
};
