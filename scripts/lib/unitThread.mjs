// Files of unit tests in a thread: Jest's own describe, it, expect, mocks and timers, on this thread's globals.
import { createRequire } from 'node:module';
import process from 'node:process';
import { pathToFileURL } from 'node:url';
import { parentPort, workerData } from 'node:worker_threads';
import { ModernFakeTimers } from '@jest/fake-timers';
import { expect } from 'expect';
import * as circus from 'jest-circus';
import { ModuleMocker } from 'jest-mock';

const { silent } = workerData;
process.setSourceMapsEnabled(true);
if (silent) for (const how of ['log', 'info', 'warn', 'error', 'debug']) console[how] = () => {};

const mocks = new ModuleMocker(globalThis);
const timers = new ModernFakeTimers({ config: { fakeTimers: {} }, global: globalThis });
const jest = {
  fn: (how) => mocks.fn(how),
  spyOn: (...of) => mocks.spyOn(...of),
  restoreAllMocks: () => mocks.restoreAllMocks(),
  useFakeTimers: (how) => timers.useFakeTimers(how),
  useRealTimers: () => timers.useRealTimers(),
  advanceTimersByTime: (ms) => timers.advanceTimersByTime(ms),
  setTimeout: (ms) => (circus.getState().testTimeout = ms),
  requireActual: createRequire(import.meta.url),
  getTimerCount: () => timers.getTimerCount(),
};
const { describe, it, test, beforeAll, beforeEach, afterAll, afterEach } = circus;
const given = { describe, it, test, beforeAll, beforeEach, afterAll, afterEach, expect, jest };
Object.assign(globalThis, given);

circus.addEventHandler(({ name, test: of }) => {
  if (name === 'test_start') mocks.clearAllMocks();
  if (name === 'test_done')
    for (const { error } of expect.extractExpectedAssertionsErrors()) of.errors.push(error);
});

/** A result as Jest's report has it. */
function reported(result) {
  const [title, ...around] = result.testPath.slice(1).reverse();
  const ancestorTitles = around.reverse();
  return {
    ancestorTitles,
    duration: result.duration,
    failing: result.failing,
    failureDetails: [],
    failureMessages: [...result.errors],
    fullName: [...ancestorTitles, title].join(' '),
    invocations: result.invocations,
    location: result.location,
    numPassingAsserts: result.numPassingAsserts,
    retryReasons: [],
    status:
      { skip: 'pending', done: result.errors.length > 0 ? 'failed' : 'passed' }[result.status] ??
      result.status,
    title,
  };
}

let unhandled = [];
const failed = (error) => unhandled.push(String(error?.stack ?? error));
process.on('uncaughtException', failed);
process.on('unhandledRejection', failed);

parentPort.on('message', async ({ file, first, timeoutMs, namePattern }) => {
  const start = Date.now();
  let results = [];
  unhandled = [];
  circus.resetState();
  const state = circus.getState();
  state.testTimeout = timeoutMs;
  if (namePattern) state.testNamePattern = new RegExp(namePattern, 'i');
  try {
    for (const name of first) await import(name);
    await import(pathToFileURL(file).href);
    const run = await circus.run();
    results = run.testResults.map(reported);
    unhandled.push(...run.unhandledErrors);
  } catch (error) {
    failed(error);
  }
  const end = Date.now();
  const stats = { start, end, runtime: end - start, slow: end - start > 5000 };
  parentPort.postMessage({ results, unhandled, stats });
});
