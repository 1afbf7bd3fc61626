'use client';
import {
  createContext,
  startTransition,
  useCallback,
  useContext,
  useEffect,
  useRef,
  useState,
  type ReactNode,
} from 'react';
import type { KeptShop, Shop } from '@/shop/shop';
import { breathe } from '../breathe';
import { followShop, type Followed } from '../changes';
import { openShop, shopDb } from '../db';
import { tellAnew } from './useNow';
import { asError } from './useRead';

/** What the opening waits for: the browser, another tab that holds the older shop, or a browser that does not answer. */
export type Opening = 'opening' | 'blocked' | 'silent';
/** After this long without an answer it is said, ms. */
const SILENT_MS = 4000;
/** A read that failed is tried again after this long, ms. */
const AGAIN_MS = 3000;

const ShopContext = createContext<Shop | null>(null);
const TroubleContext = createContext<Error | null>(null);
const CaughtUpContext = createContext<Followed['caughtUp']>(() => Promise.resolve());

interface Props {
  readonly children: ReactNode;
  readonly opening: (state: Opening) => ReactNode;
  /** The shop cannot be opened; `again` opens it, without a copy of the old one when there is no room for it. */
  readonly failed: (error: Error, again: (withoutCopy: boolean) => void) => ReactNode;
  /** Another tab brought the shop up to date: this one must not write. */
  readonly overtaken: ReactNode;
}

type Phase = Opening | 'open' | 'overtaken';

/** Opens the shop once; tells where that stands. */
function useOpening() {
  const [phase, setPhase] = useState<Phase>('opening');
  const [error, setError] = useState<Error | null>(null);
  const [attempt, setAttempt] = useState({ withoutCopy: false });
  useEffect(() => {
    let gone = false;
    const set = (next: Phase) => {
      if (!gone) setPhase((now) => (now === 'overtaken' ? now : next));
    };
    const timer = setTimeout(() => {
      if (!gone) setPhase((now) => (now === 'opening' ? 'silent' : now));
    }, SILENT_MS);
    const watch = {
      ...attempt,
      onBlocked: () => set('blocked'),
      onOvertaken: () => set('overtaken'),
    };
    openShop(shopDb(), watch).then(
      () => {
        clearTimeout(timer);
        set('open');
      },
      (e: unknown) => {
        clearTimeout(timer);
        if (!gone) setError(asError(e));
      },
    );
    return () => {
      gone = true;
      clearTimeout(timer);
    };
  }, [attempt]);
  const again = (withoutCopy: boolean) => {
    setError(null);
    setPhase('opening');
    setAttempt({ withoutCopy });
  };
  return { phase, error, again };
}

/** The live read of the whole shop; one that fails is told and tried again, and what was read stays. */
function useShopRead(open: boolean) {
  const [shop, setShop] = useState<Shop | null>(null);
  const [trouble, setTrouble] = useState<Error | null>(null);
  const [attempt, setAttempt] = useState(0);
  const kept = useRef<KeptShop | null>(null);
  const followed = useRef<Followed | null>(null);
  useEffect(() => {
    if (!open) return;
    let timer: ReturnType<typeof setTimeout> | undefined;
    followed.current = followShop(
      shopDb(),
      {
        next: (fresh, much) => {
          kept.current = fresh;
          tellAnew();
          // Much is drawn in slices, so that the page answers in between; a single act is drawn at once.
          if (much) startTransition(() => setShop(fresh.shop));
          else setShop(fresh.shop);
        },
        warm: async ({ shop: read }) => {
          const { warmShop } = await import('@/shop/instant');
          await warmShop(read, Date.now, breathe);
        },
        read: () => setTrouble(null),
        error: (e) => {
          setTrouble(asError(e));
          timer = setTimeout(() => setAttempt((n) => n + 1), AGAIN_MS);
        },
      },
      kept.current,
    );
    return () => {
      followed.current?.end();
      followed.current = null;
      clearTimeout(timer);
    };
  }, [open, attempt]);
  const caughtUp = useCallback(async () => followed.current?.caughtUp(), []);
  return { shop, trouble, caughtUp };
}

/** Keeps every tab's view of the shop the same as the database, whichever tab writes. */
export function ShopProvider({ children, opening, failed, overtaken }: Props) {
  const { phase, error, again } = useOpening();
  const { shop, trouble, caughtUp } = useShopRead(phase === 'open');
  if (error) return failed(error, again);
  if (!shop) {
    if (phase === 'overtaken') return overtaken;
    return trouble ? failed(trouble, again) : opening(phase === 'open' ? 'opening' : phase);
  }
  return (
    <ShopContext value={shop}>
      <TroubleContext value={trouble}>
        <CaughtUpContext value={caughtUp}>
          {phase === 'overtaken' && overtaken}
          {children}
        </CaughtUpContext>
      </TroubleContext>
    </ShopContext>
  );
}

/** Why the newest read of the shop failed; what is on screen is from the read before. */
export const useReadTrouble = (): Error | null => useContext(TroubleContext);

/** Settles once the shop on screen holds every commit until now. */
export const useCaughtUp = (): Followed['caughtUp'] => useContext(CaughtUpContext);

/** A shop that stands still, for what is drawn from rows that are not in the browser. */
export function StillShop({ shop, children }: { shop: Shop; children: ReactNode }) {
  return <ShopContext value={shop}>{children}</ShopContext>;
}

export function useShop(): Shop {
  const shop = useContext(ShopContext);
  if (!shop) throw new Error('useShop: outside ShopProvider');
  return shop;
}
