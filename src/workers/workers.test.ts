import { answer } from './answer';
import { ComputeError, createComputeClient, type WorkerLike } from './client';
import { isCancelRequest, isTraceRequest, type WorkerRequest } from './protocol';

const disc = { kind: 'disc', diameterM: 0.3 } as const;

/** A worker in the same thread that answers when it is told to. */
class FakeWorker implements WorkerLike {
  onmessage: WorkerLike['onmessage'] = null;
  onerror: WorkerLike['onerror'] = null;
  terminated = false;
  readonly sent: WorkerRequest[] = [];
  postMessage(message: WorkerRequest) {
    this.sent.push(message);
  }
  terminate() {
    this.terminated = true;
  }
  reply(index = 0) {
    this.onmessage?.({ data: answer(this.sent[index]) });
  }
}

function setUp() {
  const workers: FakeWorker[] = [];
  const client = createComputeClient(() => {
    const worker = new FakeWorker();
    workers.push(worker);
    return worker;
  });
  return { client, workers };
}

describe('answer', () => {
  it('ignores what is no request', () => {
    expect(
      [null, 'x', {}, { type: 'compute' }, { type: 'other', id: 1, compute: 'measureShape' }].map(
        answer,
      ),
    ).toEqual([null, null, null, null, null]);
  });
  it('gives result or faults, with the id', () => {
    expect(answer({ type: 'compute', id: 7, compute: 'measureShape', input: disc })).toMatchObject({
      type: 'result',
      id: 7,
    });
    expect(answer({ type: 'compute', id: 8, compute: 'nothing', input: 1 })).toMatchObject({
      type: 'failure',
      id: 8,
    });
  });
});

describe('createComputeClient', () => {
  it('matches answers to requests by id, in any order', async () => {
    const { client, workers } = setUp();
    const small = client.compute('measureShape', disc);
    const large = client.compute('measureShape', { kind: 'disc', diameterM: 0.6 });
    workers[0]?.reply(1);
    workers[0]?.reply(0);
    expect((await large).areaM2 / (await small).areaM2).toBeCloseTo(4, 10);
    expect(workers).toHaveLength(1);
  });

  it('rejects with the faults of the input', async () => {
    const { client, workers } = setUp();
    const bad = client.compute('measureShape', { kind: 'disc', diameterM: -1 });
    workers[0]?.reply();
    await expect(bad).rejects.toMatchObject({
      faults: [{ code: 'out-of-range', path: ['input', 'diameterM'] }],
    });
  });

  it('settles on abort, and an answer that comes later does no harm', async () => {
    const { client, workers } = setUp();
    const stop = new AbortController();
    const cancelled = client.compute('measureShape', disc, { signal: stop.signal });
    stop.abort();
    await expect(cancelled).rejects.toMatchObject({ name: 'AbortError' });
    workers[0]?.reply();
    await expect(
      client.compute('measureShape', disc, { signal: stop.signal }),
    ).rejects.toMatchObject({ name: 'AbortError' });
  });

  it('a client that stops by killing ends a cancelled computation at once, with its worker', async () => {
    const workers: FakeWorker[] = [];
    const client = createComputeClient(() => {
      const worker = new FakeWorker();
      workers.push(worker);
      return worker;
    }, true);
    const stop = new AbortController();
    const slow = client.compute('readSvg', { text: '<svg/>' }, { signal: stop.signal });
    stop.abort();
    await expect(slow).rejects.toMatchObject({ name: 'AbortError' });
    expect(workers[0]?.terminated).toBe(true);
    const next = client.compute('measureShape', disc);
    workers[1]?.reply();
    expect((await next).areaM2).toBeCloseTo(Math.PI * 0.0225, 10);
  });

  it('settles all when the worker dies, and starts another for the next call', async () => {
    const { client, workers } = setUp();
    const lost = client.compute('measureShape', disc);
    workers[0]?.onerror?.({ message: 'out of memory' });
    await expect(lost).rejects.toThrow('out of memory');
    const next = client.compute('measureShape', disc);
    workers[1]?.reply();
    expect((await next).areaM2).toBeCloseTo(Math.PI * 0.0225, 10);
    expect(workers[0]?.terminated).toBe(true);
  });

  it('tells the progress of a trace, and tells the worker when it is cancelled', async () => {
    const { client, workers } = setUp();
    const stop = new AbortController();
    const shares: number[] = [];
    const ask = {
      photo: new Blob(['x']),
      keepSize: false,
      corners: [
        [0, 0],
        [1, 0],
        [1, 1],
        [0, 1],
      ],
      reference: { widthM: 0.297, heightM: 0.21, sigmaM: 0 },
      inside: [[0, 0]],
      outside: [],
      referenceIsPiece: false,
      heightM: 0,
    } as const;
    const traced = client.trace(ask, { signal: stop.signal, onProgress: (s) => shares.push(s) });
    const sent: unknown = workers[0]?.sent[0];
    expect(isTraceRequest(sent)).toBe(true);
    workers[0]?.onmessage?.({ data: { type: 'progress', id: 1, share: 0.4 } });
    workers[0]?.onmessage?.({ data: { type: 'progress', id: 1 } });
    stop.abort();
    await expect(traced).rejects.toMatchObject({ name: 'AbortError' });
    expect(shares).toEqual([0.4]);
    expect(isCancelRequest(workers[0]?.sent[1])).toBe(true);
    for (const bad of [
      null,
      { type: 'trace', id: 1 },
      { type: 'trace', id: 1, ask: { photo: 'x', inside: [] } },
    ])
      expect(isTraceRequest(bad)).toBe(false);
  });

  it('settles after its time limit', async () => {
    jest.useFakeTimers();
    const { client, workers } = setUp();
    const slow = client.compute('measureShape', disc, { timeoutMs: 5000 });
    jest.advanceTimersByTime(5001);
    await expect(slow).rejects.toBeInstanceOf(ComputeError);
    expect(workers[0]?.terminated).toBe(true);
    jest.useRealTimers();
  });
});
