// `npm test`: install, Chromium, format, lint, types, unit tests, build, browser tests; then one line of counts.
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
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
/** What took how long, and how many times slower than at its best the machine was then. */
const parts = [];
/** How slow it was when the part before ended. */
let lastSlowness = 1;
/** Runs a part; the machine’s speed is taken when nothing else is done. */
async function part(name, work) {
  console.log(`\n── ${name}`);
  const from = Date.now();
  await work();
  const seconds = (Date.now() - from) / 1000;
  const slow = slowness();
  const factor = (lastSlowness + slow) / 2;
  lastSlowness = slow;
  parts.push({ name, seconds, factor });
  console.log(`   ${name}: ${seconds.toFixed(0)} s`);
}
const step = (name, command) =>
  part(name, () => {
    if (!command()) failures.push(name);
  });
/** Runs steps side by side, so that no core waits; what they print comes when they end. */
const together = (steps) =>
  part(steps.map(([name]) => name).join(', '), async () => {
    const done = await Promise.all(steps.map(([, commands]) => runQuietly(commands)));
    done.forEach(({ ok, output }, i) => {
      if (output.trim()) console.log(output.trimEnd());
      if (!ok) failures.push(steps[i][0]);
    });
  });

ensureNode();
ensureInstalled();
ensureChromium(HEADLESS);
lastSlowness = slowness();
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
]);
// Two workers: by itself Jest leaves a core free, and on two cores it would run on one.
await step('unit', () =>
  runBin('jest', ['--maxWorkers=2', '--json', '--outputFile=test-results/unit.json', '--silent']),
);
await step('build', () => (ensureBuilt(), true));
await step('browser', () => runBin('playwright', ['test']));

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

console.log(`\nunit ${unit.passed}, hostile ${hostile.passed}, browser ${browser.passed}`);
for (const { name, seconds, factor } of parts)
  console.log(
    `${name}: ${seconds.toFixed(0)} s, fixed work took ${factor.toFixed(1)} times its best: ${(seconds / factor).toFixed(0)} s at the machine’s best`,
  );
const minutes = (Date.now() - started) / 60_000;
const atBest = parts.reduce((sum, { seconds, factor }) => sum + seconds / factor, 0) / 60;
console.log(`all of it: ${minutes.toFixed(1)} min, ${atBest.toFixed(1)} min at the machine’s best`);
// `npm run bench -- gate` takes the figure from here.
writeFileSync('test-results/gate.json', JSON.stringify({ minutes, atBest, parts }));
if (failures.length > 0) console.log(`not passed: ${failures.join(', ')}`);
const failed = unit.failed + browser.failed + hostile.failed;
const passed = unit.passed + browser.passed + hostile.passed;
console.log(`${passed} passed, ${Math.max(failed, failures.length > 0 ? 1 : 0)} failed`);
process.exit(failures.length > 0 ? 1 : 0);
