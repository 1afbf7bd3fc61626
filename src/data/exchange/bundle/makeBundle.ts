import type { Id, Share, TableName } from '@/records';
import type { ShopDb } from '../../db';
import { readTablesOf } from '../shopFile';
import type { Bundle } from './bundleFile';
import { type AnyRow, digest, type Rows } from './digest';
import { type BundleWhat, scopeOf } from './scope';
import { addressOf, UNIT_TABLES } from './units';

/** Bundles that are remembered: against one of them the next of the other side is merged. */
const REMEMBERED = 12;

/** Every row of the shop, in one consistent read. */
export const readAll = async (db: ShopDb): Promise<Rows> =>
  (await readTablesOf(db)) as unknown as Rows;

/** Rows that a share tells of: its readings are laid together by their instants, so the room is left out. */
const sharedRows = (rows: Rows): readonly (readonly [TableName, AnyRow])[] =>
  UNIT_TABLES.filter((t) => t !== 'room').flatMap((t) => rows[t].map((row) => [t, row] as const));

/** Rows that are digested in one go. */
const DIGESTS = 100;

/** What a share says of the rows, made a little at a time: `shareOf` then finds it made. */
export function* digests({ rows }: Bundle): Generator<readonly never[]> {
  const shared = sharedRows(rows);
  for (let from = 0; from < shared.length; from += DIGESTS) {
    for (const [table, row] of shared.slice(from, from + DIGESTS)) digest(table, row);
    yield [];
  }
}

/** What the rows of a bundle were like. */
export const shareOf = ({ head, rows }: Bundle, way: Share['way'], atMs: number): Share => ({
  id: head.id as Id<'bundle'>,
  atMs,
  way,
  rows: Object.fromEntries(
    sharedRows(rows).map(([t, row]) => [addressOf(t, row.id), digest(t, row)] as const),
  ),
});

/** Shares that are forgotten when one more is remembered. */
export const forgotten = (shares: readonly Share[]): readonly Share['id'][] =>
  [...shares]
    .sort((a, b) => b.atMs - a.atMs)
    .slice(REMEMBERED - 1)
    .map((s) => s.id);

interface Making {
  readonly what: BundleWhat;
  readonly name: string;
  readonly by: string;
  readonly nowMs: number;
  readonly newId: () => string;
}

/** A bundle of what is asked for, as the shop stands; it is not yet remembered as shared. */
export async function makeBundle(db: ShopDb, making: Making): Promise<Bundle> {
  const all = await readAll(db);
  const { what, name, by, nowMs, newId } = making;
  const seen = (all.shares as unknown as readonly Share[]).map((s) => s.id);
  return {
    head: { id: newId(), madeMs: nowMs, by, what, name, seen },
    rows: scopeOf(all, what),
  };
}

/** Remembers that a bundle went out. */
export async function noteShared(db: ShopDb, bundle: Bundle): Promise<void> {
  const share = shareOf(bundle, 'out', bundle.head.madeMs);
  await db.transaction('rw', db.shares, async () => {
    await db.shares.bulkDelete([...forgotten(await db.shares.toArray())]);
    await db.shares.put(share);
  });
}
