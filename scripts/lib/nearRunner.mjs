// A test runner for `npm run mutation`: it bundles the tests of a folder once and runs them in its own process, each change in
// milliseconds. Jest, which makes its whole world anew for each, takes seconds. It knows what tests of the core use of Jest.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import process from 'node:process';
import vm from 'node:vm';
import { declareClassPlugin, PluginKind } from '@stryker-mutator/api/plugin';
import {
  determineHitLimitReached,
  TestStatus,
  toMutantRunResult,
} from '@stryker-mutator/api/test-runner';
import { build } from 'esbuild';
import { expect } from 'expect';
import { ModuleMocker } from 'jest-mock';
import { packagesOutside } from './bundling.mjs';
import { isDrawn } from './drawn.mjs';

const mocks = new ModuleMocker(globalThis);
const require = createRequire(import.meta.url);
/** Where a change is switched on and what runs is counted: code that was made ready for changes looks here. */
const changes = (globalThis.__stryker__ ??= {});

/** Packages stay outside the bundle, but for those that ship ES modules only. */
const MODULES_ONLY = /^(d3-|internmap|fast-png|fflate|iobuffer)/;
/** Each test file with all that it asks for, as one function. */
async function bundled(files) {
  const { outputFiles } = await build({
    absWorkingDir: process.cwd(),
    ...{ entryPoints: files, bundle: true, write: false, outdir: 'bundled', outbase: '.' },
    ...{ platform: 'node', format: 'cjs', tsconfig: 'tsconfig.json', logLevel: 'error' },
    plugins: [packagesOutside(MODULES_ONLY)],
  });
  return outputFiles.map(({ text, path: made }) => {
    const name = path.relative('bundled', path.relative(process.cwd(), made));
    const code = `(function (require, module, exports, describe, it, test, expect, jest) {${text}\n})`;
    return { name, run: new vm.Script(code, { filename: name }).runInThisContext() };
  });
}

const jest = { requireActual: require, fn: (how) => mocks.fn(how), setTimeout: () => undefined };

/** Fills `%s`, `%#` and the like of a name as far as needed to tell cases apart. */
const named = (name, row, i) => `${name} ${i} ${String(Array.isArray(row) ? row[0] : row)}`;

/** The tests of a file, made anew: what it computes while it is loaded is computed with the change that is switched on. */
function testsOf({ name, run }) {
  const tests = [];
  let within = [{ path: name }];
  const it = (title, body) => {
    const id = `${within.map((w) => w.path).join(' › ')} › ${title} #${tests.length}`;
    tests.push({ id, body, fileName: path.resolve(name.replace(/\.js$/, '.ts')) });
  };
  it.each = (rows) => (title, body) =>
    rows.forEach((row, i) =>
      it(named(title, row, i), () => body(...(Array.isArray(row) ? row : [row]))),
    );
  const describe = (title, body) => {
    const outer = within;
    within = [...outer, { path: title }];
    body();
    within = outer;
  };
  describe.each = (rows) => (title, body) =>
    rows.forEach((row, i) =>
      describe(named(title, row, i), () => body(...(Array.isArray(row) ? row : [row]))),
    );
  const module = { exports: {} };
  run(require, module, module.exports, describe, it, it, expect, jest);
  return tests;
}

/** How long each test took, for all processes. */
const TOOK = '.near-times.json';

/**
 * Longest that tests are asked about one change, by the time that they take, ms: what only slower ones would notice counts as
 * not noticed, so that the score is rather too low. `LONGEST_MS=1500 npm run mutation coat` is sooner done.
 */
const LONGEST_MS = Number(process.env.LONGEST_MS ?? 5000);

/** Folders whose tests are asked. */
const TESTS = (process.env.TESTS ?? path.join('src', 'core')).split(',');

class NearRunner {
  took = {};

  capabilities() {
    return { reloadEnvironment: true };
  }

  async init() {
    const files = TESTS.flatMap((root) =>
      readdirSync(root, { recursive: true })
        .filter((file) => file.endsWith('.test.ts'))
        .map((file) => path.join(root, file)),
    );
    this.files = await bundled(files);
  }

  /** The tests that are wanted, the quickest first: most changes are noticed by many of them. */
  #wanted(ids) {
    changes.currentTestId = undefined;
    const files = this.files.filter(
      ({ name }) => !ids || ids.some((id) => id.startsWith(`${name} ›`)),
    );
    const wanted = ids && new Set(ids);
    const tests = files.flatMap(testsOf).filter(({ id }) => !wanted || wanted.has(id));
    const took = ({ id }) => this.took[id] ?? 0;
    let sum = 0;
    return tests
      .sort((a, b) => took(a) - took(b))
      .filter((test, i) => (sum += took(test)) <= LONGEST_MS || i === 0);
  }

  /** Runs tests one after the other, to the first that fails when `bail` says so. */
  async #run(tests, bail) {
    const told = [];
    for (const { id, body, fileName } of tests) {
      const from = performance.now();
      changes.currentTestId = id;
      const failureMessage = await Promise.resolve()
        .then(body)
        .then(
          () => null,
          (error) => String(error?.stack ?? error),
        );
      const timeSpentMs = performance.now() - from;
      const status = failureMessage === null ? TestStatus.Success : TestStatus.Failed;
      told.push({
        id,
        name: id,
        fileName,
        timeSpentMs,
        status,
        ...(failureMessage === null ? {} : { failureMessage }),
      });
      if (failureMessage !== null && bail) break;
    }
    return told;
  }

  async dryRun({ disableBail }) {
    changes.activeMutant = undefined;
    changes.mutantCoverage = { static: {}, perTest: {} };
    const tests = await this.#run(this.#wanted(null), !disableBail);
    // The other processes have not run them.
    writeFileSync(
      TOOK,
      JSON.stringify(Object.fromEntries(tests.map((t) => [t.id, t.timeSpentMs]))),
    );
    return { status: 'complete', tests, mutantCoverage: changes.mutantCoverage };
  }

  async mutantRun({ activeMutant, testFilter, disableBail, hitLimit }) {
    // Not drawn: nobody is asked, and the score does not count it.
    if (!isDrawn(activeMutant)) return toMutantRunResult({ status: 'complete', tests: [] }, false);
    this.took = JSON.parse(readFileSync(TOOK, 'utf8'));
    Object.assign(changes, {
      activeMutant: activeMutant.id,
      hitCount: hitLimit === undefined ? undefined : 0,
      hitLimit,
    });
    let tests;
    try {
      tests = await this.#run(this.#wanted(testFilter), !disableBail);
    } catch (error) {
      // What cannot even be loaded is noticed.
      const [id = 'loading'] = testFilter ?? [];
      tests = [
        { id, name: id, timeSpentMs: 0, status: TestStatus.Failed, failureMessage: String(error) },
      ];
    }
    return toMutantRunResult(
      determineHitLimitReached(changes.hitCount, hitLimit) ?? { status: 'complete', tests },
      false,
    );
  }
}

export const strykerPlugins = [declareClassPlugin(PluginKind.TestRunner, 'near', NearRunner)];
