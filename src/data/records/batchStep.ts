import type { Batch, Coat } from './types';

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

/** What undoing the last step of a batch changes in it, or null when nothing was done yet. */
export function undoneBatch(
  batch: Batch,
  coats: readonly Coat[],
): { batch: Batch; coat: Coat | null } | null {
  const lastPoured = coats
    .filter((c) => c.pouredMs !== null)
    .sort((a, b) => (b.pouredMs ?? 0) - (a.pouredMs ?? 0))[0];
  const unpoured = (coat: Coat): Coat => ({ ...coat, pouredMs: null, history: [] });
  if (batch.coveredMs !== null) return { batch: { ...batch, coveredMs: null }, coat: null };
  if (lastPoured) return { batch: { ...batch, pouredMs: null }, coat: unpoured(lastPoured) };
  if (batch.stirredMs !== null) return { batch: { ...batch, stirredMs: null }, coat: null };
  if (batch.stirStartedMs !== null) return { batch: { ...batch, stirStartedMs: null }, coat: null };
  if (batch.mixedMs !== null) return { batch: { ...batch, mixedMs: null, bKg: null }, coat: null };
  if (batch.aKg !== null) return { batch: { ...batch, aKg: null }, coat: null };
  return null;
}
