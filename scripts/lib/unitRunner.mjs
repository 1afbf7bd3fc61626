// How Jest runs our unit tests: all files bundled once by esbuild and run in two threads, without a sandbox, which looks every
// global up anew and evaluates every module again for every file: a third of the time went into that. Pure files share a
// thread; any other has one of its own, a world for itself, so that nothing that it does is seen by another.
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import process from 'node:process';
import { pathToFileURL } from 'node:url';
import { Worker } from 'node:worker_threads';
import { createEmptyTestResult } from '@jest/test-result';
import { build } from 'esbuild';
import { formatResultsErrors } from 'jest-message-util';
import { packagesOutside, REQUIRE } from './bundling.mjs';

/** Packages of the older kind whose names Node cannot find in them by itself, and those that ship no file it would take. */
const INSIDE = /^(@dagrejs\/|@flatten-js\/|ajv\/|fit-curve|jstat|next\/|polygon-clipping)/;

/** A file of ours asks where it lies, not where the bundle does. */
const ownPlaces = {
  name: 'own places',
  setup(bundler) {
    bundler.onLoad({ filter: /src\/.*\.tsx?$/ }, async ({ path: file }) => {
      const text = await readFile(file, 'utf8');
      if (!text.includes('import.meta.url')) return null;
      return {
        contents: text.replaceAll('import.meta.url', JSON.stringify(pathToFileURL(file))),
        loader: file.endsWith('x') ? 'tsx' : 'ts',
      };
    });
  },
};

/** Bundles test files, what they share apart from them. @returns the folder that holds them */
async function bundle(rootDir, files) {
  const outdir = path.join(rootDir, '.tmp', `unit-${process.pid}`);
  rmSync(outdir, { recursive: true, force: true });
  mkdirSync(outdir, { recursive: true });
  await build({
    absWorkingDir: rootDir,
    entryPoints: files,
    outdir,
    outbase: rootDir,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    splitting: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    tsconfig: 'tsconfig.json',
    jsx: 'automatic',
    sourcemap: 'linked',
    sourcesContent: false,
    loader: { '.css': 'empty' },
    logLevel: 'error',
    plugins: [packagesOutside(INSIDE), ownPlaces],
    banner: { js: REQUIRE },
  });
  return outdir;
}

/** What a file asks for only for what it does (`import 'x'`): loaded before the bundle, in which what is shared comes first. */
const firstOf = (file) =>
  [...readFileSync(file, 'utf8').matchAll(/^import '([^.@'][^']*)';$/gm)].map(([, name]) => name);

/** Files that need nothing but the language and touch nothing that another file sees: they share a thread, and what it loaded. */
const PURE = /^src\/(core|records|shop)\//;

/** A thread that runs test files, one at a time. */
class Thread {
  #worker;
  #waits = null;

  constructor(silent) {
    this.#worker = new Worker(new URL('./unitThread.mjs', import.meta.url), {
      workerData: { silent },
    });
    this.#worker.on('message', (outcome) => this.#waits?.resolve(outcome));
    this.#worker.on('error', (error) => this.#waits?.reject(error));
    this.#worker.on('exit', (code) =>
      this.#waits?.reject(new Error(`its thread ended by itself (${code})`)),
    );
  }

  /** @returns what circus found, or how the thread died */
  async run(job) {
    try {
      return await new Promise((resolve, reject) => {
        this.#waits = { resolve, reject };
        this.#worker.postMessage(job);
      });
    } finally {
      this.#waits = null;
    }
  }

  close() {
    return this.#worker.terminate();
  }
}

/** As Jest’s report wants it. */
function reported(test, outcome, globalConfig) {
  const { config } = test.context;
  const testResults = outcome.results;
  const many = (status) => testResults.filter((r) => r.status === status).length;
  const failureMessage = [
    formatResultsErrors(testResults, config, globalConfig, test.path),
    ...outcome.unhandled,
  ];
  return {
    ...createEmptyTestResult(),
    testFilePath: test.path,
    displayName: config.displayName,
    failureMessage: failureMessage.filter(Boolean).join('\n\n') || null,
    numPassingTests: many('passed'),
    numFailingTests: many('failed'),
    numPendingTests: many('pending'),
    numTodoTests: many('todo'),
    ...(outcome.unhandled.length > 0 && {
      testExecError: { message: '', stack: outcome.unhandled.join('\n') },
    }),
    perfStats: { ...createEmptyTestResult().perfStats, ...outcome.stats },
    testResults,
  };
}

/** Files that take seconds, the longest first: they start before all others, so that none is waited for at the end. */
const LONG = JSON.parse(readFileSync(new URL('./unitLong.json', import.meta.url), 'utf8'));
const rank = (file, rootDir) => {
  const at = LONG.indexOf(path.relative(rootDir, file));
  return at < 0 ? LONG.length : at;
};

export default class UnitRunner {
  supportsEventEmitters = false;
  isSerial = false;
  #globalConfig;

  constructor(globalConfig) {
    this.#globalConfig = globalConfig;
  }

  async runTests(tests, watcher, onStart, onResult, onFailure, { serial }) {
    const globalConfig = this.#globalConfig;
    const { rootDir } = globalConfig;
    const outdir = await bundle(
      rootDir,
      tests.map((t) => t.path),
    );
    const waiting = [...tests].sort((a, b) => rank(a.path, rootDir) - rank(b.path, rootDir));
    const work = async () => {
      let shared = null;
      for (let test = waiting.shift(); test && !watcher.isInterrupted(); test = waiting.shift()) {
        const file = path.relative(rootDir, test.path);
        const pure = PURE.test(file);
        const thread = (pure ? shared : null) ?? new Thread(globalConfig.silent);
        shared = pure ? thread : shared;
        await onStart(test);
        try {
          const outcome = await thread.run({
            file: path.join(outdir, file.replace(/\.tsx?$/, '.mjs')),
            first: firstOf(test.path),
            timeoutMs: test.context.config.testTimeout ?? 5000,
            namePattern: globalConfig.testNamePattern ?? '',
          });
          const [died] = outcome.unhandled;
          if (outcome.results.length === 0 && died) throw new Error(died);
          await onResult(test, reported(test, outcome, globalConfig));
        } catch (error) {
          shared = pure ? null : shared;
          await onFailure(test, { message: String(error), stack: error.stack });
        }
        if (thread !== shared) await thread.close();
      }
      await shared?.close();
    };
    const hands = serial ? 1 : Math.max(1, globalConfig.maxWorkers);
    try {
      await Promise.all(Array.from({ length: hands }, work));
    } finally {
      rmSync(outdir, { recursive: true, force: true });
    }
  }
}
