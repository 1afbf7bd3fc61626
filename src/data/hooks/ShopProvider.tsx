'use client';
import { liveQuery } from 'dexie';
import equal from 'fast-deep-equal';
import { createContext, useContext, useEffect, useState, type ReactNode } from 'react';
import { openShop, shopDb, type ShopDb } from '../db';
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

const ShopContext = createContext<Shop | null>(null);

interface Props {
  readonly children: ReactNode;
  readonly opening: ReactNode;
  readonly failed: (error: Error) => ReactNode;
}

/** Keeps every tab's view of the shop the same as the database, whichever tab writes. */
export function ShopProvider({ children, opening, failed }: Props) {
  const [shop, setShop] = useState<Shop | null>(null);
  const [error, setError] = useState<Error | null>(null);
  useEffect(() => {
    let stop: () => void = () => undefined;
    let gone = false;
    const fail = (e: unknown) => setError(e instanceof Error ? e : new Error(String(e)));
    openShop(shopDb()).then((db) => {
      if (gone) return;
      const subscription = liveQuery(() => readShop(db)).subscribe({
        next: (fresh) => setShop((before) => shared(before, fresh)),
        error: fail,
      });
      stop = () => subscription.unsubscribe();
    }, fail);
    return () => {
      gone = true;
      stop();
    };
  }, []);
  if (error) return failed(error);
  if (!shop) return opening;
  return <ShopContext value={shop}>{children}</ShopContext>;
}

export function useShop(): Shop {
  const shop = useContext(ShopContext);
  if (!shop) throw new Error('useShop: outside ShopProvider');
  return shop;
}
