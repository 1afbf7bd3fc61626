'use client';
import { liveQuery } from 'dexie';
import equal from 'fast-deep-equal';
import { createContext, useContext, useEffect, useState, type ReactNode } from 'react';
import { openShop, shopDb, type ShopDb } from '../db';
import { asError } from './useRead';
import { shareRows } from './shareRows';
import {
  DEFAULT_SETTINGS,
  type AirReading,
  type Area,
  type Batch,
  type Coat,
  type Defect,
  type Piece,
  type PrepRecord,
  type Resin,
  type Settings,
  type WetSession,
} from '../records/types';

/** All small tables of the shop as they are now; log and photos are asked for where they are shown. */
export interface Shop {
  readonly settings: Settings;
  readonly pieces: readonly Piece[];
  readonly areas: readonly Area[];
  readonly resins: readonly Resin[];
  readonly coats: readonly Coat[];
  readonly sessions: readonly WetSession[];
  readonly batches: readonly Batch[];
  readonly defects: readonly Defect[];
  readonly tasks: readonly PrepRecord[];
  readonly air: readonly AirReading[];
}

async function readShop(db: ShopDb): Promise<Shop> {
  const read = [
    db.settings,
    ...[db.pieces, db.areas, db.resins, db.coats, db.sessions, db.batches],
    ...[db.defects, db.tasks, db.air],
  ];
  return db.transaction('r', read, async () => {
    const [settings, pieces, areas, resins, coats, sessions, batches, defects, tasks, air] =
      await Promise.all([
        db.settings.get('shop'),
        db.pieces.orderBy('createdMs').toArray(),
        db.areas.toArray(),
        db.resins.orderBy('name').toArray(),
        db.coats.toArray(),
        db.sessions.toArray(),
        db.batches.toArray(),
        db.defects.toArray(),
        db.tasks.toArray(),
        db.air.orderBy('fromMs').toArray(),
      ]);
    coats.sort((a, b) => a.order - b.order);
    return {
      settings: settings ?? DEFAULT_SETTINGS,
      ...{ pieces, areas, resins, coats, sessions, batches, defects, tasks, air },
    };
  });
}

/** A fresh read, sharing with the one before whatever is equal in both. */
const shared = (before: Shop | null, fresh: Shop): Shop =>
  before
    ? {
        settings: equal(before.settings, fresh.settings) ? before.settings : fresh.settings,
        pieces: shareRows(before.pieces, fresh.pieces),
        areas: shareRows(before.areas, fresh.areas),
        resins: shareRows(before.resins, fresh.resins),
        coats: shareRows(before.coats, fresh.coats),
        sessions: shareRows(before.sessions, fresh.sessions),
        batches: shareRows(before.batches, fresh.batches),
        defects: shareRows(before.defects, fresh.defects),
        tasks: shareRows(before.tasks, fresh.tasks),
        air: shareRows(before.air, fresh.air),
      }
    : fresh;

/** What the opening waits for: the browser, another tab that holds the older shop, or a browser that does not answer. */
export type Opening = 'opening' | 'blocked' | 'silent';
/** After this long without an answer it is said, ms. */
const SILENT_MS = 4000;
/** A read that failed is tried again after this long, ms. */
const AGAIN_MS = 3000;

const ShopContext = createContext<Shop | null>(null);
const TroubleContext = createContext<Error | null>(null);

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
  useEffect(() => {
    if (!open) return;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const subscription = liveQuery(() => readShop(shopDb())).subscribe({
      next: (fresh) => {
        setTrouble(null);
        setShop((before) => shared(before, fresh));
      },
      error: (e) => {
        setTrouble(asError(e));
        timer = setTimeout(() => setAttempt((n) => n + 1), AGAIN_MS);
      },
    });
    return () => {
      subscription.unsubscribe();
      clearTimeout(timer);
    };
  }, [open, attempt]);
  return { shop, trouble };
}

/** Keeps every tab's view of the shop the same as the database, whichever tab writes. */
export function ShopProvider({ children, opening, failed, overtaken }: Props) {
  const { phase, error, again } = useOpening();
  const { shop, trouble } = useShopRead(phase === 'open');
  if (error) return failed(error, again);
  if (!shop) {
    if (phase === 'overtaken') return overtaken;
    return trouble ? failed(trouble, again) : opening(phase === 'open' ? 'opening' : phase);
  }
  return (
    <ShopContext value={shop}>
      <TroubleContext value={trouble}>
        {phase === 'overtaken' && overtaken}
        {children}
      </TroubleContext>
    </ShopContext>
  );
}

/** Why the newest read of the shop failed; what is on screen is from the read before. */
export const useReadTrouble = (): Error | null => useContext(TroubleContext);

/** A shop that stands still, for what is drawn from rows that are not in the browser. */
export function StillShop({ shop, children }: { shop: Shop; children: ReactNode }) {
  return <ShopContext value={shop}>{children}</ShopContext>;
}

export function useShop(): Shop {
  const shop = useContext(ShopContext);
  if (!shop) throw new Error('useShop: outside ShopProvider');
  return shop;
}
