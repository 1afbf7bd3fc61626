import type { Fault } from '@/core/compute';
import {
  isWorkerMessage,
  type JobInput,
  type JobName,
  type JobOutput,
  type TraceAnswer,
  type TraceAsk,
  type WorkerRequest,
} from './protocol';

/** The computation refused its input, or the worker died or took too long. */
export class ComputeError extends Error {
  override readonly name = 'ComputeError';
  constructor(readonly faults: readonly Fault[]) {
    super(faults.map((f) => f.message).join('; '));
  }
}

/** The part of a Worker that the client needs; a test passes its own. */
export interface WorkerLike {
  postMessage(message: WorkerRequest, transfer: Transferable[]): void;
  terminate(): void;
  onmessage: ((event: { data: unknown }) => void) | null;
  onerror: ((event: { message?: string; preventDefault?: () => void }) => void) | null;
}

interface Waiting {
  readonly settle: (outcome: { value: unknown } | { error: Error }) => void;
  readonly onProgress: ((share: number) => void) | undefined;
}

const internal = (message: string) => new ComputeError([{ code: 'internal', path: [], message }]);

export interface ComputeOptions {
  readonly signal?: AbortSignal;
  readonly timeoutMs?: number;
  readonly onProgress?: (share: number) => void;
  /** Memory of the input that is handed over instead of copied; it is gone here. */
  readonly transfer?: readonly ArrayBuffer[];
}

export interface ComputeClient {
  /** Has one job done: a computation of core, or `tracePhoto`. */
  run<N extends JobName>(
    job: N,
    input: JobInput<N>,
    options?: ComputeOptions,
  ): Promise<JobOutput<N>>;
}

/** Has jobs done by name. */
export interface JobClient {
  /** Has the worker made ready: a job is soon asked for. */
  wake(): void;
  run(job: string, input: unknown, options?: ComputeOptions): Promise<unknown>;
}

/**
 * Talks to a worker that does jobs. Every promise settles: with the result, with the faults of the
 * input, on abort, when the worker crashes and after `timeoutMs` (30 s); a worker that crashed, or
 * that took too long, is replaced on the next call.
 * @param stopsByKilling a cancelled computation ends at once, with its worker: for a client that has one job at a time
 */
export function createJobClient(createWorker: () => WorkerLike, stopsByKilling = false): JobClient {
  let worker: WorkerLike | null = null;
  let nextId = 1;
  const waiting = new Map<number, Waiting>();

  const drop = (error: Error) => {
    worker?.terminate();
    worker = null;
    for (const { settle } of [...waiting.values()]) settle({ error });
  };

  const ready = (): WorkerLike => {
    if (worker) return worker;
    const fresh = createWorker();
    fresh.onmessage = ({ data }) => {
      if (!isWorkerMessage(data)) return;
      const entry = waiting.get(data.id);
      if (data.type === 'progress') entry?.onProgress?.(data.share);
      else if (data.type === 'result') entry?.settle({ value: data.result });
      else entry?.settle({ error: new ComputeError(data.faults) });
    };
    fresh.onerror = (event) => {
      event.preventDefault?.();
      drop(internal(`The compute worker stopped: ${event.message ?? 'unknown reason'}`));
    };
    worker = fresh;
    return fresh;
  };

  const ask = (
    job: string,
    input: unknown,
    { signal, timeoutMs = 30_000, onProgress, transfer = [] }: ComputeOptions,
  ): Promise<unknown> =>
    new Promise((resolve, reject) => {
      const id = nextId;
      nextId += 1;
      const onAbort = () => {
        settle({ error: new DOMException('Cancelled', 'AbortError') });
        if (stopsByKilling) drop(internal('Cancelled'));
        else worker?.postMessage({ type: 'cancel', id }, []);
      };
      const timer = setTimeout(
        () => drop(internal(`The computation took longer than ${timeoutMs / 1000} s.`)),
        timeoutMs,
      );
      const settle: Waiting['settle'] = (outcome) => {
        clearTimeout(timer);
        signal?.removeEventListener('abort', onAbort);
        waiting.delete(id);
        if ('error' in outcome) reject(outcome.error);
        else resolve(outcome.value);
      };
      waiting.set(id, { settle, onProgress });
      if (signal?.aborted) return onAbort();
      signal?.addEventListener('abort', onAbort);
      ready().postMessage({ type: 'job', id, job, input }, [...transfer]);
    });

  return {
    wake: () => void ready(),
    run: (job, input, options = {}) => ask(job, input, options),
  };
}

/** Talks to the compute worker: the jobs of a client, each with what it takes and gives. */
export const createComputeClient = (
  createWorker: () => WorkerLike,
  stopsByKilling = false,
): ComputeClient => createJobClient(createWorker, stopsByKilling) as ComputeClient;

const startWorker = (): WorkerLike =>
  new Worker(new URL('./compute.worker.ts', import.meta.url), {
    type: 'module',
  }) as unknown as WorkerLike;

let shared: ComputeClient | undefined;
let files: ComputeClient | undefined;

/** The one client of this tab. */
export function computeClient(): ComputeClient {
  shared ??= createComputeClient(startWorker);
  return shared;
}

/** Reads files in a worker of its own: what nobody waits for any more is ended at once. */
export function fileClient(): ComputeClient {
  files ??= createComputeClient(startWorker, true);
  return files;
}

export type { TraceAnswer, TraceAsk };
