import { ledgerOf, type CoatView } from '@/shop/coatView';

/** What the ledger of a coat asks for, m³. */
export const volumeOf = (view: CoatView): number => {
  const ledger = ledgerOf(view);
  return ledger.ok ? ledger.value.totalM3 : 0;
};
