export { ShopProvider, useShop, type Shop } from './ShopProvider';
export { ActProvider, useAct, useWriteFailure, type WriteFailure } from './ActProvider';
export { useNow } from './useNow';
