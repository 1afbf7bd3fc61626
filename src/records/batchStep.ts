import type { Batch } from './batch';

export const BATCH_STEPS = [
  'weigh A',
  'weigh B',
  'stir',
  'stirring',
  'pour',
  'cover',
  'done',
] as const;
export type BatchStep = (typeof BATCH_STEPS)[number];

/** Where a batch stands, from its timestamps alone, so that a reload loses nothing. */
export function batchStep(batch: Batch): BatchStep {
  if (batch.coveredMs !== null) return 'done';
  if (batch.pouredMs !== null) return 'cover';
  if (batch.stirredMs !== null) return 'pour';
  if (batch.stirStartedMs !== null) return 'stirring';
  if (batch.mixedMs !== null) return 'stir';
  return batch.aKg === null ? 'weigh A' : 'weigh B';
}
