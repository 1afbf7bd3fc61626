import type { ComputeInput, ComputeName, ComputeOutput, Fault } from '@/core/compute';
import type { Point } from '@/core/geometry';
import type { Break } from '@/core/inspect/photo';
import type { Traced, TraceInput } from '@/core/trace';

/** Asks the worker for one job; `id` ties what it answers to it. */
export interface JobRequest {
  readonly type: 'job';
  readonly id: number;
  readonly job: string;
  readonly input: unknown;
}

/** Stops a job that is under way. */
export interface CancelRequest {
  readonly type: 'cancel';
  readonly id: number;
}

export type WorkerRequest = JobRequest | CancelRequest;

/** What is asked of a photo: everything but its pixels, which the worker reads itself. Places in px of the photo as shown. */
export type TraceAsk = Omit<TraceInput, 'picture'> & {
  readonly photo: Blob;
  /** Keep the photo at its own size instead of at most 2000 px. */
  readonly keepSize: boolean;
};

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

/** What is asked of a photo of a face in raking light. */
export interface BreaksAsk {
  readonly photo: Blob;
  /** Corners of the box of the face, as shares of the photo: top left, top right, bottom right, bottom left. */
  readonly corners: readonly Point[];
  readonly widthM: number;
  readonly heightM: number;
  /** Outline in its box from the top left corner, y down, m. */
  readonly outline: readonly Point[];
}

/** Jobs by name: the computations of core, and those that need what only a browser has. */
export type JobName = ComputeName | 'tracePhoto' | 'findBreaks';
export type JobInput<N extends JobName> = N extends ComputeName
  ? ComputeInput<N>
  : N extends 'tracePhoto'
    ? TraceAsk
    : BreaksAsk;
export type JobOutput<N extends JobName> = N extends ComputeName
  ? ComputeOutput<N>
  : N extends 'tracePhoto'
    ? TraceAnswer
    : readonly Break[];

/** What the worker answers. */
export type WorkerMessage =
  | { readonly type: 'result'; readonly id: number; readonly result: unknown }
  | { readonly type: 'progress'; readonly id: number; readonly share: number }
  | { readonly type: 'failure'; readonly id: number; readonly faults: readonly Fault[] };

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null;

export const isJobRequest = (value: unknown): value is JobRequest =>
  isRecord(value) &&
  value['type'] === 'job' &&
  typeof value['id'] === 'number' &&
  typeof value['job'] === 'string';

export const isTraceAsk = (value: unknown): value is TraceAsk =>
  isRecord(value) && value['photo'] instanceof Blob && Array.isArray(value['inside']);

export const isBreaksAsk = (value: unknown): value is BreaksAsk =>
  isRecord(value) &&
  value['photo'] instanceof Blob &&
  Array.isArray(value['corners']) &&
  value['corners'].length === 4 &&
  Array.isArray(value['outline']) &&
  Number(value['widthM']) > 0 &&
  Number(value['heightM']) > 0;

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
