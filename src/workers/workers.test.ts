import { createJobServer } from './jobServer';
import { isCancelRequest, isTraceAsk, type WorkerMessage, type WorkerRequest } from './protocol';
import { ComputeError, createComputeClient, type WorkerLike } from './client';

const disc = { kind: 'disc', diameterM: 0.3 } as const;

/** The other end of the protocol in the same thread; it answers what it was sent when it is told to. */
class FakeWorker implements WorkerLike {
  onmessage: WorkerLike['onmessage'] = null;
  onerror: WorkerLike['onerror'] = null;
  terminated = false;
  readonly sent: WorkerRequest[] = [];
  readonly transferred: unknown[] = [];
  private readonly serve = createJobServer((data) => this.onmessage?.({ data }));
  postMessage(message: WorkerRequest, transfer: Transferable[]) {
    this.sent.push(message);
    this.transferred.push(...transfer);
  }
  terminate() {
    this.terminated = true;
  }
  reply(index = 0) {
    return this.serve(this.sent[index]);
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

/** Serves messages one after the other, and gives what was posted. */
async function served(...messages: unknown[]) {
  const posted: { message: WorkerMessage; transfer: ArrayBuffer[] }[] = [];
  const serve = createJobServer((message, transfer) => posted.push({ message, transfer }));
  await Promise.all(messages.map(serve));
  return posted;
}

describe('createJobServer', () => {
  const strip = { kind: 'rectangle', widthM: 0.3, heightM: 0.2 } as const;
  const walls = [false, false, false, false];
  const field = { shape: strip, walls, lengthM: 1.5e-3, cells: 4000 };

  // Every look at the clock is half a second later, so that each step lets messages in.
  beforeEach(() => {
    let nowMs = 0;
    jest.spyOn(Date, 'now').mockImplementation(() => (nowMs += 500));
  });
  afterEach(() => jest.restoreAllMocks());

  it('ignores what is no request', async () => {
    const none = [null, 'x', {}, { type: 'job' }, { type: 'other', id: 1, job: 'measureShape' }];
    expect(await served(...none)).toEqual([]);
  });
  it('gives result or faults, with the id', async () => {
    const posted = await served(
      { type: 'job', id: 7, job: 'measureShape', input: disc },
      { type: 'job', id: 8, job: 'nothing', input: 1 },
      { type: 'job', id: 9, job: 'tracePhoto', input: { photo: 'x', inside: [] } },
    );
    expect(posted.map(({ message }) => message)).toMatchObject([
      { type: 'result', id: 7 },
      { type: 'failure', id: 8, faults: [{ code: 'unknown-name' }] },
      { type: 'failure', id: 9, faults: [{ code: 'not-allowed' }] },
    ]);
  });
  it('hands the memory of typed arrays over, and tells how far it is', async () => {
    const posted = await served({ type: 'job', id: 1, job: 'filmField', input: field });
    const shares = posted.flatMap(({ message }) =>
      message.type === 'progress' ? [message.share] : [],
    );
    expect(shares.length).toBeGreaterThan(2);
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    expect(shares.every((s) => s >= 0 && s <= 1)).toBe(true);
    const last = posted.at(-1);
    expect(last?.message.type).toBe('result');
    expect(last?.transfer).toHaveLength(2);
  });
  it('a job that is cancelled is left and not answered; one cancelled before or after is forgotten', async () => {
    const cancel = { type: 'cancel', id: 5 };
    const job = { type: 'job', id: 5, job: 'filmField', input: field };
    const left = await served(job, cancel);
    expect(left.map(({ message }) => message.type)).toEqual(['progress']);
    expect((await served(cancel, job)).at(-1)?.message.type).toBe('result');
  });
});

describe('createComputeClient', () => {
  it('matches answers to requests by id, in any order', async () => {
    const { client, workers } = setUp();
    const small = client.run('measureShape', disc);
    const large = client.run('measureShape', { kind: 'disc', diameterM: 0.6 });
    await workers[0]?.reply(1);
    await workers[0]?.reply(0);
    expect((await large).areaM2 / (await small).areaM2).toBeCloseTo(4, 10);
    expect(workers).toHaveLength(1);
  });

  it('rejects with the faults of the input', async () => {
    const { client, workers } = setUp();
    const bad = client.run('measureShape', { kind: 'disc', diameterM: -1 });
    await workers[0]?.reply();
    await expect(bad).rejects.toMatchObject({
      faults: [{ code: 'out-of-range', path: ['input', 'diameterM'] }],
    });
  });

  it('settles on abort, and an answer that comes later does no harm', async () => {
    const { client, workers } = setUp();
    const stop = new AbortController();
    const cancelled = client.run('measureShape', disc, { signal: stop.signal });
    stop.abort();
    await expect(cancelled).rejects.toMatchObject({ name: 'AbortError' });
    await workers[0]?.reply();
    await expect(client.run('measureShape', disc, { signal: stop.signal })).rejects.toMatchObject({
      name: 'AbortError',
    });
  });

  it('a client that stops by killing ends a cancelled computation at once, with its worker', async () => {
    const workers: FakeWorker[] = [];
    const client = createComputeClient(() => {
      const worker = new FakeWorker();
      workers.push(worker);
      return worker;
    }, true);
    const stop = new AbortController();
    const slow = client.run('readSvg', { text: '<svg/>' }, { signal: stop.signal });
    stop.abort();
    await expect(slow).rejects.toMatchObject({ name: 'AbortError' });
    expect(workers[0]?.terminated).toBe(true);
    const next = client.run('measureShape', disc);
    await workers[1]?.reply();
    expect((await next).areaM2).toBeCloseTo(Math.PI * 0.0225, 10);
  });

  it('settles all when the worker dies, and starts another for the next call', async () => {
    const { client, workers } = setUp();
    const lost = client.run('measureShape', disc);
    workers[0]?.onerror?.({ message: 'out of memory' });
    await expect(lost).rejects.toThrow('out of memory');
    const next = client.run('measureShape', disc);
    await workers[1]?.reply();
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
      places: [],
      referenceIsPiece: false,
      heightM: 0,
    } as const;
    const bytes = new ArrayBuffer(8);
    const traced = client.run('tracePhoto', ask, {
      signal: stop.signal,
      onProgress: (s) => shares.push(s),
      transfer: [bytes],
    });
    const [sent] = workers[0]?.sent ?? [];
    expect(sent?.type === 'job' && isTraceAsk(sent.input)).toBe(true);
    expect(workers[0]?.transferred).toEqual([bytes]);
    workers[0]?.onmessage?.({ data: { type: 'progress', id: 1, share: 0.4 } });
    workers[0]?.onmessage?.({ data: { type: 'progress', id: 1 } });
    stop.abort();
    await expect(traced).rejects.toMatchObject({ name: 'AbortError' });
    expect(shares).toEqual([0.4]);
    expect(isCancelRequest(workers[0]?.sent[1])).toBe(true);
  });

  it('settles after its time limit', async () => {
    jest.useFakeTimers();
    const { client, workers } = setUp();
    const slow = client.run('measureShape', disc, { timeoutMs: 5000 });
    jest.advanceTimersByTime(5001);
    await expect(slow).rejects.toBeInstanceOf(ComputeError);
    expect(workers[0]?.terminated).toBe(true);
    jest.useRealTimers();
  });
});
