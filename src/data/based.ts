import { ActionError, type FieldConflict } from './errors';
import type { Prefer } from './merge';

/** What a change was made from, and which side wins where another changed the same field meanwhile. */
export interface Based<T> {
  readonly base: T;
  readonly prefer?: Prefer;
}

/** @throws ActionError `conflict` when there are any */
export function refuseConflicts(fields: readonly FieldConflict[]): void {
  if (fields.length > 0) throw new ActionError('conflict', { fields });
}
