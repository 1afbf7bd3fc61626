import { createJobClient, type JobClient, type WorkerLike } from './client';

/**
 * Knows the shop and all that screens say of it. A file of its own: what that worker runs must not lead back to the place
 * that starts it.
 */
const startWorker = (): WorkerLike =>
  new Worker(new URL('../features/everyView/shop.worker.ts', import.meta.url), {
    type: 'module',
  }) as unknown as WorkerLike;

let shared: JobClient | undefined;

/** Reads and writes the whole shop beside the page; a job that is stopped ends at once, and what it had not stored is not. */
export function shopClient(): JobClient {
  shared ??= createJobClient(startWorker, true);
  return shared;
}
