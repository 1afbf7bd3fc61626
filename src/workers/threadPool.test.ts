import { EventEmitter } from 'node:events';
import { runCompute } from '@/core/compute';
import { LARGEST_ANSWER, serveJob, type Answer } from './serveJob';
import { createThreadPool, type ThreadLike } from './threadPool';

/** A thread in the same thread that answers when it is told to. */
class FakeThread extends EventEmitter {
  readonly sent: string[] = [];
  ended = false;
  postMessage(text: string) {
    this.sent.push(text);
  }
  terminate() {
    this.ended = true;
  }
}
const fine: Answer = { status: 200, body: '{}' };

function setUp(limits = { runMs: 2000, threads: 2, waiting: 2 }) {
  const threads: FakeThread[] = [];
  const run = createThreadPool(() => {
    const thread = new FakeThread();
    threads.push(thread);
    return thread as unknown as ThreadLike;
  }, limits);
  return { threads, run };
}

describe('the threads of the server', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());

  it('run two at a time, the next as soon as one is free, in the same thread', async () => {
    const { threads, run } = setUp();
    const [a, b, c] = [run('a'), run('b'), run('c')];
    expect(threads.map((t) => t.sent)).toEqual([['a'], ['b']]);
    threads[1]?.emit('message', fine);
    expect(threads.map((t) => t.sent)).toEqual([['a'], ['b', 'c']]);
    threads[0]?.emit('message', fine);
    threads[1]?.emit('message', fine);
    expect(await Promise.all([a, b, c])).toEqual([fine, fine, fine]);
    expect(threads).toHaveLength(2);
  });

  it('end what takes over two seconds, with a fault, and go on with a new thread', async () => {
    const { threads, run } = setUp();
    const slow = run('slow');
    jest.advanceTimersByTime(2001);
    expect(await slow).toMatchObject({
      status: 422,
      body: expect.stringContaining('2000 ms') as unknown,
    });
    expect(threads[0]?.ended).toBe(true);
    const next = run('next');
    expect(threads[1]?.sent).toEqual(['next']);
    threads[1]?.emit('message', fine);
    expect(await next).toEqual(fine);
  });

  it('answer for a thread that ran out of memory or died, once', async () => {
    const { threads, run } = setUp();
    const lost = run('lost');
    threads[0]?.emit('error', new Error('ERR_WORKER_OUT_OF_MEMORY'));
    threads[0]?.emit('exit');
    expect(await lost).toMatchObject({
      status: 422,
      body: expect.stringContaining('memory') as unknown,
    });
    const again = run('again');
    threads[1]?.emit('message', fine);
    expect(await again).toEqual(fine);
    // One that dies while it has nothing to do is not used again.
    threads[1]?.emit('exit');
    void run('later');
    expect(threads[2]?.sent).toEqual(['later']);
  });

  it('refuse what is too much to wait for', async () => {
    const { run } = setUp();
    for (const text of ['a', 'b', 'c', 'd']) void run(text);
    expect(await run('e')).toMatchObject({ status: 503 });
  });
});

describe('requests that were deadly once', () => {
  const ask = (compute: string, input: unknown) => serveJob(JSON.stringify({ compute, input }));
  const strip = (width: number) => ({
    kind: 'outline',
    keepBare: [],
    outer: {
      start: [0, 0],
      segments: [
        { kind: 'line', to: [7, 7] },
        { kind: 'line', to: [7, 7 + width] },
        { kind: 'line', to: [0, width] },
        { kind: 'line', to: [0, 0] },
      ],
    },
  });
  it.each([
    [
      'filmField',
      { shape: strip(1e-3), walls: [true, true, true, true], lengthM: 2e-5, cells: 2e5 },
      'shape',
    ],
    [
      'filmField',
      { shape: { kind: 'disc', diameterM: -1 }, walls: [true], lengthM: 1e-3, cells: 1e4 },
      'shape',
    ],
    [
      'planLifts',
      { thicknessM: 0.01, thinnestM: 1e-9, thickestM: 1e-9, belowM: 0, relief: [], loose: false },
      'thickestM',
    ],
    ['workingTime', { sheet: {}, massKg: 0.1, temperatureK: 4 }, 'temperatureK'],
    ['windowsByTemperature', { sheet: {}, fromK: -4, toK: 1e9, count: 2000 }, 'fromK'],
    ['coatLedger', { areas: Array.from({ length: 201 }, () => ({})), thicknessM: 1e300 }, 'areas'],
  ] as const)('%s is refused at its field', (compute, input, field) => {
    const { status, body } = ask(compute, input);
    expect(status).toBe(422);
    const { faults } = JSON.parse(body) as { faults: { path: string[] }[] };
    expect(faults.some((f) => f.path[1] === field)).toBe(true);
  });
  it('a hundred thousand faults are told as a hundred', () => {
    const ringPx = Array.from({ length: 20_000 }, () => ['x', 'y']);
    const { status, body } = ask('measureTraced', { ringPx });
    expect(status).toBe(422);
    expect((JSON.parse(body) as { faults: unknown[] }).faults).toHaveLength(100);
    expect(body.length).toBeLessThan(LARGEST_ANSWER);
  });
  it('what is no JSON, no request, or has no kind', () => {
    expect(serveJob('{"compute":').status).toBe(400);
    for (const text of [
      'null',
      '7',
      '[]',
      '{"compute":"toString"}',
      '{"compute":"measureShape","input":{}}',
    ])
      expect(serveJob(text).status).toBe(422);
  });
  it('a bug in a computation is a fault, not an exception', () => {
    // A disc of the smallest size with a bare part that has no area at all.
    const shape = {
      kind: 'disc',
      diameterM: 1e-3,
      keepBare: [
        {
          start: [0, 0],
          segments: [
            { kind: 'line', to: [0, 0] },
            { kind: 'line', to: [0, 0] },
          ],
        },
      ],
    };
    expect(runCompute({ compute: 'measureShape', input: shape }).ok).toBe(false);
  });
});
