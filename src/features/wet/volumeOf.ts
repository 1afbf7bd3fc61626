import { ledgerOf, type CoatView } from '@/shop/coatView';

/** What is poured for a coat: film, edges and what runs off, m³. Cup and reserve are the batch's. */
export const pouredOf = (view: CoatView): number => {
  const ledger = ledgerOf(view);
  return ledger.ok ? ledger.value.pouredM3 : 0;
};
