import { Worker } from 'node:worker_threads';
import { refusal, type Answer } from './serveJob';

/** Limits of a computation on the server. */
export const SERVER_LIMITS = {
  /** Longest run, ms. */
  runMs: 2000,
  /** Memory of the thread, MB. */
  memoryMb: 256,
  /** Threads at a time, and requests that may wait. */
  threads: 2,
  waiting: 32,
} as const;

/** The part of a thread that the pool needs; a test passes its own. */
export interface ThreadLike {
  postMessage(text: string): void;
  terminate(): unknown;
  on(event: 'message', listener: (answer: Answer) => void): unknown;
  on(event: 'error', listener: (error: Error) => void): unknown;
  on(event: 'exit', listener: () => void): unknown;
}

interface Job {
  readonly text: string;
  readonly settle: (answer: Answer) => void;
}

/**
 * Runs requests in threads, each with a limit of time and memory. A thread that takes too long, runs out of
 * memory or dies is replaced; its request is answered with a fault. Every request is answered.
 */
export function createThreadPool(
  createThread: () => ThreadLike,
  limits: { readonly runMs: number; readonly threads: number; readonly waiting: number },
): (text: string) => Promise<Answer> {
  const idle: ThreadLike[] = [];
  const queue: Job[] = [];
  let busy = 0;

  const start = (job: Job) => {
    busy += 1;
    const thread = idle.pop() ?? createThread();
    let done = false;
    const finish = (answer: Answer, keep: boolean) => {
      if (done) return;
      done = true;
      clearTimeout(timer);
      current.delete(thread);
      busy -= 1;
      if (keep) idle.push(thread);
      else void thread.terminate();
      job.settle(answer);
      const next = queue.shift();
      if (next) start(next);
    };
    const timer = setTimeout(
      () =>
        finish(
          refusal(422, `The computation took over ${limits.runMs} ms.`, 'does-not-fit'),
          false,
        ),
      limits.runMs,
    );
    current.set(thread, finish);
    thread.postMessage(job.text);
  };

  /** How the request that runs in a thread is ended. */
  const current = new Map<ThreadLike, (answer: Answer, keep: boolean) => void>();
  const fresh = createThread;
  createThread = () => {
    const thread = fresh();
    const died = () => {
      const at = idle.indexOf(thread);
      if (at >= 0) idle.splice(at, 1);
      current.get(thread)?.(
        refusal(422, 'The computation needed too much memory.', 'does-not-fit'),
        false,
      );
    };
    thread.on('message', (answer) => current.get(thread)?.(answer, true));
    thread.on('error', died);
    thread.on('exit', died);
    return thread;
  };

  return (text) =>
    new Promise((settle) => {
      if (busy < limits.threads) start({ text, settle });
      else if (queue.length < limits.waiting) queue.push({ text, settle });
      else settle(refusal(503, 'Too many computations wait: try again in a moment.'));
    });
}

let shared: ((text: string) => Promise<Answer>) | undefined;

/** Runs a request in the threads of this server. */
export function runInThread(text: string): Promise<Answer> {
  shared ??= createThreadPool(
    () =>
      new Worker(new URL('./thread.ts', import.meta.url), {
        resourceLimits: { maxOldGenerationSizeMb: SERVER_LIMITS.memoryMb },
      }),
    SERVER_LIMITS,
  );
  return shared(text);
}
