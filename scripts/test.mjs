// `npm test`: install, Chromium, format, lint, types, unit tests, build, browser tests; then one line of counts.
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import process from 'node:process';
import {
  ensureBuilt,
  ensureChromium,
  ensureInstalled,
  ensureNode,
  HEADLESS,
  runBin,
  runQuietly,
} from './lib/prepare.mjs';
import { slowness } from './lib/speed.mjs';

/** The compiler in the machine’s own code checks types; lint asks the one that it can talk to. */
const TSC = 'node_modules/typescript-native/bin/tsc';
const started = Date.now();
const failures = [];
const step = (name, command) => {
  const from = Date.now();
  console.log(`\n── ${name}`);
  if (!command()) failures.push(name);
  console.log(`   ${name}: ${((Date.now() - from) / 1000).toFixed(0)} s`);
};
/** Runs steps side by side, so that no core waits; what they print comes when they end. */
async function together(steps) {
  const from = Date.now();
  console.log(`\n── ${steps.map(([name]) => name).join(', ')}`);
  const done = await Promise.all(steps.map(([, commands]) => runQuietly(commands)));
  done.forEach(({ ok, output }, i) => {
    if (output.trim()) console.log(output.trimEnd());
    if (!ok) failures.push(steps[i][0]);
  });
  console.log(`   ${((Date.now() - from) / 1000).toFixed(0)} s`);
}

ensureNode();
ensureInstalled();
ensureChromium(HEADLESS);
/** How slow the machine is, while nothing else is done: the minutes below are told with it. */
const speeds = [slowness()];
rmSync('test-results', { recursive: true, force: true });
mkdirSync('test-results', { recursive: true });

await together([
  // A slice of `npm run hostile`, outside Jest: each kind of input counts as one test.
  ['hostile inputs', [['node', 'scripts/hostileSlice.mjs']]],
  [
    'lint',
    [
      ['eslint', '.'],
      ['node', 'lint/bites.mjs'],
    ],
  ],
  [
    'format and types',
    [
      ['prettier', '--check', '--log-level', 'warn', '.'],
      ['node', TSC, '--noEmit'],
      ['node', TSC, '--noEmit', '-p', 'src/core'],
    ],
  ],
  // Two workers: by itself Jest leaves a core free, and on two cores it would run on one.
  [
    'unit',
    [['jest', '--maxWorkers=2', '--json', '--outputFile=test-results/unit.json', '--silent']],
  ],
]);
speeds.push(slowness());
step('build', () => (ensureBuilt(), true));
step('browser', () => runBin('playwright', ['test']));

speeds.push(slowness());

/** Counts of a report, or one failure when the run left none. */
function count(file, read) {
  try {
    return read(JSON.parse(readFileSync(file, 'utf8')));
  } catch {
    return { passed: 0, failed: 1 };
  }
}
const unit = count('test-results/unit.json', (r) => ({
  passed: r.numPassedTests,
  failed: r.numFailedTests + r.numRuntimeErrorTestSuites,
}));
const hostile = count('test-results/hostile.json', (r) => r);
const browser = count('test-results/browser.json', (r) => ({
  passed: r.stats.expected,
  failed: r.stats.unexpected + r.stats.flaky,
}));

const minutes = ((Date.now() - started) / 60_000).toFixed(1);
const slow = speeds.map((s) => s.toFixed(1)).join(', ');
console.log(
  `\nunit ${unit.passed}, hostile ${hostile.passed}, browser ${browser.passed}, ${minutes} min; fixed work took ${slow} times its best`,
);
if (failures.length > 0) console.log(`not passed: ${failures.join(', ')}`);
const failed = unit.failed + browser.failed + hostile.failed;
const passed = unit.passed + browser.passed + hostile.passed;
console.log(`${passed} passed, ${Math.max(failed, failures.length > 0 ? 1 : 0)} failed`);
process.exit(failures.length > 0 ? 1 : 0);
