export { ShopProvider, StillShop, useReadTrouble, useShop, type Opening } from './ShopProvider';
export { type Shop } from '@/shop/shop';
export {
  ActProvider,
  LOAD_DEMO,
  useAct,
  useWriteFailure,
  type Outcome,
  type WriteFailure,
} from './ActProvider';
export { useRead, type LiveRead } from './useRead';
export { useDraft, type DraftStore, type KeptDraft } from './useDraft';
export { SECOND_MS, useNow } from './useNow';
