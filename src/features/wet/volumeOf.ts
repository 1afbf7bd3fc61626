import type { BatchPlan } from '@/core/coat';
import { batchOf, ledgerOf, type CoatView } from '@/shop/coatView';

/** What is poured for a coat: film, edges and what runs off, m³. Cup and reserve are the batch's. */
export const pouredOf = (view: CoatView): number => {
  const ledger = ledgerOf(view);
  return ledger.ok ? ledger.value.pouredM3 : 0;
};

/** What one batch for these coats comes to; null where one of them has no ledger. */
export const planOfBatch = (chosen: readonly CoatView[]): BatchPlan | null => {
  const plan = batchOf(chosen);
  return plan.ok ? plan.value : null;
};
