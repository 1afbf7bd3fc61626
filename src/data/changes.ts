import { LIVE_TABLES, type LiveTable } from '@/records';
import { Dexie, RangeSet, type ObservabilitySet } from 'dexie';
import {
  changedRows,
  orderedRows,
  shopOf,
  type KeptShop,
  type Settle,
  type ShopChanges,
  type ShopRows,
  type TableChange,
} from '@/shop/shop';
import { breathe } from './breathe';
import type { ShopDb } from './db';

/** Keys of a table that were written, or all of it. */
type Touched = ReadonlySet<string> | 'all';

/** What a commit touched in one table; null: nothing. */
function touched(parts: ObservabilitySet, db: ShopDb, table: LiveTable): Touched | null {
  const tree = parts[`idb://${db.name}/${table}/`];
  if (!tree) return parts['all'] ? 'all' : null;
  const keys = new Set<string>();
  for (const { from, to } of new RangeSet().add(tree)) {
    if (typeof from !== 'string' || from !== to) return 'all';
    keys.add(from);
  }
  return keys;
}

/** So many pieces more than before are neither worked out nor shown in one go. */
const MUCH = 100;
/** Pieces that are worked out between two breaths. */
const AT_A_BREATH = 25;
const isMuch = (before: KeptShop | null, now: ShopRows): boolean =>
  now.pieces.length - (before?.rows.pieces.length ?? 0) >= MUCH;

/** Only a shop with coats needs the rules of films: an empty one is shown before they are here. */
const settleFor = async (coats: number): Promise<Settle> =>
  coats > 0 ? (await import('@/shop/settle')).settle : (rows) => rows.coats;

/** The shop of rows. Much is settled in parts first: what was settled is known when the whole is asked for. */
async function shopFrom(rows: ShopRows, kept: KeptShop | null): Promise<KeptShop> {
  const settle = await settleFor(rows.coats.length);
  for (let from = 0; isMuch(kept, rows) && from < rows.pieces.length; from += AT_A_BREATH) {
    settle({ ...rows, pieces: rows.pieces.slice(from, from + AT_A_BREATH) });
    await breathe();
  }
  return shopOf(rows, kept, settle);
}

/** Rows of a table that are read in one go: more would hold up whoever looks at the screen meanwhile. */
const AT_A_TIME = 500;

/** All rows of a table in the order of their keys, a part at a time. */
async function readAll(db: ShopDb, table: LiveTable): Promise<{ readonly id: string }[]> {
  const rows: { readonly id: string }[] = [];
  const keyed = db.table<{ readonly id: string }, string>(table).where('id');
  let part = await keyed.aboveOrEqual('').limit(AT_A_TIME).toArray();
  rows.push(...part);
  while (part.length === AT_A_TIME) {
    part = await keyed
      .above(rows.at(-1)?.id ?? '')
      .limit(AT_A_TIME)
      .toArray();
    rows.push(...part);
  }
  return rows;
}

/** Every table in one transaction: the shop as it was at one moment. */
export async function readWhole(db: ShopDb): Promise<KeptShop> {
  const tables = await db.transaction('r', [...LIVE_TABLES], async () => {
    const read: unknown[][] = [];
    // One after the other: the page may answer in between.
    for (const table of LIVE_TABLES) read.push(await readAll(db, table));
    return read;
  });
  const entries = LIVE_TABLES.map((table, i) => [table, tables[i] ?? []]);
  return shopFrom(orderedRows(Object.fromEntries(entries) as ShopRows), null);
}

/** Only what was touched, in one transaction. */
async function readTouched(
  db: ShopDb,
  kept: KeptShop,
  wanted: ReadonlyMap<LiveTable, Touched>,
): Promise<KeptShop> {
  const names = [...wanted.keys()];
  const read = await db.transaction('r', names, () =>
    Promise.all(
      names.map(async (table): Promise<TableChange> => {
        const keys = wanted.get(table) ?? 'all';
        const ids = keys === 'all' ? [] : [...keys];
        const found = await (keys === 'all' ? readAll(db, table) : db.table(table).bulkGet(ids));
        const rows = found.filter((row) => row !== undefined);
        const here = new Set(rows.map((row: { id: string }) => row.id));
        const asked = keys === 'all' ? kept.rows[table].map((row) => row.id as string) : ids;
        return { rows, gone: asked.filter((id) => !here.has(id)) };
      }),
    ),
  );
  const changes = Object.fromEntries(names.map((table, i) => [table, read[i]])) as ShopChanges;
  const rows = changedRows(kept.rows, changes);
  return rows === kept.rows ? kept : shopFrom(rows, kept);
}

/** What is told while the shop is followed. */
export interface ShopWatch {
  /** @param much a large part of it is new */
  readonly next: (kept: KeptShop, much: boolean) => void;
  /** Made ready before it is told, where much of it is new. */
  readonly warm?: (kept: KeptShop) => Promise<void>;
  /** A read went well, whether it brought anything new or not. */
  readonly read?: () => void;
  /** A read failed: what was told before stays, and nothing more comes. */
  readonly error: (error: unknown) => void;
}

/** A shop that is followed. */
export interface Followed {
  readonly end: () => void;
  /** Settles once every commit until now is told; at once where it touched nothing that is followed, or very much. */
  readonly caughtUp: () => Promise<void>;
}

/**
 * Follows the shop: reads it whole once, then only the rows that a commit of any tab touched.
 * @param start what was known before: what did not change since then stays the same objects
 */
export function followShop(
  db: ShopDb,
  { next, warm, read, error }: ShopWatch,
  start: KeptShop | null = null,
): Followed {
  let kept = start;
  let ended = false;
  let reading = false;
  const waiting: (() => void)[] = [];
  /** Those whose commits are in the read that is under way. */
  const served: (() => void)[] = [];
  /** The read that is under way is of much: nobody waits for it, what is stored can be said. */
  let long = false;
  const release = (those: (() => void)[]) => those.splice(0).forEach((goOn) => goOn());
  const wanted = new Map<LiveTable, Touched>(
    start ? LIVE_TABLES.map((table) => [table, 'all']) : [],
  );
  const note = (parts: ObservabilitySet) => {
    for (const table of LIVE_TABLES) {
      const keys = touched(parts, db, table);
      if (keys === null) continue;
      const before = wanted.get(table);
      wanted.set(
        table,
        keys === 'all' || before === 'all' ? 'all' : new Set([...(before ?? []), ...keys]),
      );
    }
    void go();
  };
  const end = () => {
    ended = true;
    Dexie.on.storagemutated.unsubscribe(note);
  };
  const go = async () => {
    if (reading || ended) return;
    reading = true;
    try {
      while (!ended && (kept === null || wanted.size > 0)) {
        const now = new Map(wanted);
        wanted.clear();
        served.push(...waiting.splice(0));
        long = [...now.values()].some((keys) => keys === 'all' || keys.size >= MUCH);
        if (long) release(served);
        const before: KeptShop | null = kept;
        kept = before ? await readTouched(db, before, now) : await readWhole(db);
        const much = isMuch(before, kept.rows);
        if (much) await warm?.(kept);
        if (ended) return;
        read?.();
        if (kept !== before) next(kept, much);
        release(served);
      }
    } catch (e) {
      if (!ended) error(e);
      end();
    } finally {
      reading = false;
      release(served);
      release(waiting);
    }
  };
  Dexie.on.storagemutated.subscribe(note);
  void go();
  const caughtUp = () =>
    reading && !long ? new Promise<void>((resolve) => waiting.push(resolve)) : Promise.resolve();
  return { end, caughtUp };
}
