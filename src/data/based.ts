import { ActionError, type FieldConflict } from './errors';

/** @throws ActionError `conflict` when there are any */
export function refuseConflicts(fields: readonly FieldConflict[]): void {
  if (fields.length > 0) throw new ActionError('conflict', { fields });
}
