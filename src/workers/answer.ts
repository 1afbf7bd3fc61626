import { runCompute } from '@/core/compute';
import { isComputeRequest, type WorkerMessage } from './protocol';

/** Answers one message: decode, call core, encode. A message that is no request gets no answer. */
export function answer(data: unknown): WorkerMessage | null {
  if (!isComputeRequest(data)) return null;
  const { id, compute, input } = data;
  try {
    const response = runCompute({ compute, input });
    if (response.ok) return { type: 'result', id, result: response.result };
    return { type: 'failure', id, faults: response.faults };
  } catch (error) {
    return internalFailure(id, error);
  }
}

/** What the worker says when it failed for a reason of its own. */
export function internalFailure(id: number, error: unknown): WorkerMessage {
  const message = error instanceof Error ? error.message : String(error);
  return { type: 'failure', id, faults: [{ code: 'internal', path: [], message }] };
}
