import type { Fault } from '@/core/compute';
import type { Traced, TraceInput } from '@/core/trace';

/** A request to the compute worker; `id` ties the answer to it. */
export interface ComputeRequest {
  readonly type: 'compute';
  readonly id: number;
  readonly compute: string;
  readonly input: unknown;
}

/** What is asked of a photo: everything but its pixels, which the worker reads itself. Places in px of the photo as shown. */
export type TraceAsk = Omit<TraceInput, 'picture'> & {
  readonly photo: Blob;
  /** Keep the photo at its own size instead of at most 2000 px. */
  readonly keepSize: boolean;
};

export interface TraceRequest {
  readonly type: 'trace';
  readonly id: number;
  readonly ask: TraceAsk;
}

/** Stops a trace that is under way. */
export interface CancelRequest {
  readonly type: 'cancel';
  readonly id: number;
}

export type WorkerRequest = ComputeRequest | TraceRequest | CancelRequest;

/** A picture as it is stored: written anew, so nothing that a camera adds is kept. */
export interface StoredPicture {
  readonly blob: Blob;
  readonly widthPx: number;
  readonly heightPx: number;
}

/** A trace, in px of the photo as shown, with the pictures to keep. */
export interface TraceAnswer {
  readonly traced: Traced;
  readonly photo: StoredPicture;
  /** The face seen straight from above, over `traced.box`. */
  readonly plan: StoredPicture;
}

/** What the worker answers. */
export type WorkerMessage =
  | { readonly type: 'result'; readonly id: number; readonly result: unknown }
  | { readonly type: 'progress'; readonly id: number; readonly share: number }
  | { readonly type: 'failure'; readonly id: number; readonly faults: readonly Fault[] };

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null;

export function isComputeRequest(value: unknown): value is ComputeRequest {
  return (
    isRecord(value) &&
    value['type'] === 'compute' &&
    typeof value['id'] === 'number' &&
    typeof value['compute'] === 'string'
  );
}

export function isTraceRequest(value: unknown): value is TraceRequest {
  if (!isRecord(value) || value['type'] !== 'trace' || typeof value['id'] !== 'number')
    return false;
  const { ask } = value;
  return isRecord(ask) && ask['photo'] instanceof Blob && Array.isArray(ask['inside']);
}

export const isCancelRequest = (value: unknown): value is CancelRequest =>
  isRecord(value) && value['type'] === 'cancel' && typeof value['id'] === 'number';

export function isWorkerMessage(value: unknown): value is WorkerMessage {
  if (!isRecord(value) || typeof value['id'] !== 'number') return false;
  return (
    value['type'] === 'result' ||
    (value['type'] === 'progress' && typeof value['share'] === 'number') ||
    (value['type'] === 'failure' && Array.isArray(value['faults']))
  );
}
