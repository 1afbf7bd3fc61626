import type { Fault } from '@/core/compute';

/** A request to the compute worker; `id` ties the answer to it. */
export interface ComputeRequest {
  readonly type: 'compute';
  readonly id: number;
  readonly compute: string;
  readonly input: unknown;
}

/** What the worker answers. */
export type WorkerMessage =
  | { readonly type: 'result'; readonly id: number; readonly result: unknown }
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

export function isWorkerMessage(value: unknown): value is WorkerMessage {
  if (!isRecord(value) || typeof value['id'] !== 'number') return false;
  return (
    value['type'] === 'result' || (value['type'] === 'failure' && Array.isArray(value['faults']))
  );
}
