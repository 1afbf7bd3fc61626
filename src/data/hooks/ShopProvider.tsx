'use client';
import { liveQuery } from 'dexie';
import { createContext, useContext, useEffect, useState, type ReactNode } from 'react';
import { openShop, shopDb, type ShopDb } from '../db';
import {
  DEFAULT_SETTINGS,
  type Area,
  type Batch,
  type Coat,
  type Defect,
  type Piece,
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
}

async function readShop(db: ShopDb): Promise<Shop> {
  return db.transaction(
    'r',
    [db.settings, db.pieces, db.areas, db.resins, db.coats, db.sessions, db.batches, db.defects],
    async () => {
      const [settings, pieces, areas, resins, coats, sessions, batches, defects] =
        await Promise.all([
          db.settings.get('shop'),
          db.pieces.orderBy('createdMs').toArray(),
          db.areas.toArray(),
          db.resins.orderBy('name').toArray(),
          db.coats.toArray(),
          db.sessions.toArray(),
          db.batches.toArray(),
          db.defects.toArray(),
        ]);
      coats.sort((a, b) => a.order - b.order);
      return {
        settings: settings ?? DEFAULT_SETTINGS,
        pieces,
        areas,
        resins,
        coats,
        sessions,
        batches,
        defects,
      };
    },
  );
}

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
      const subscription = liveQuery(() => readShop(db)).subscribe({ next: setShop, error: fail });
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
