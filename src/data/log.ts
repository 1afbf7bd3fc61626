import type { Dexie, EntityTable, Table } from 'dexie';
import type { LogEntry } from '@/records';

/**
 * Where the log lies: what is done adds an entry to `log`; many that come at once (a file, a demo) are kept in pages,
 * for the browser takes in a page as fast as a row. Pages hold the older entries; the newest ones always are rows.
 */
export interface LogStores {
  readonly log: EntityTable<LogEntry, 'id'>;
  readonly logPages: Table<LogPage, number>;
}

/** Entries that follow each other, in the order of writing. */
export interface LogPage {
  /** How many entries of the log come before it: its key. */
  readonly before: number;
  readonly entries: readonly LogEntry[];
  /** What its entries tell of. */
  readonly pieceIds: readonly string[];
  readonly sessionIds: readonly string[];
}

/** Names of the stores of the log, for a transaction. */
export const LOG_STORES = ['log', 'logPages'] as const;

/** The stores of the log in a database or in a transaction. */
export const logStoresOf = (from: Pick<Dexie, 'table'>): LogStores => ({
  log: from.table('log'),
  logPages: from.table('logPages'),
});

/** Entries in a page: with many more, reading what is told of one piece reads too much beside it. */
export const PAGE = 200;

const bySeq = (a: LogEntry, b: LogEntry): number => a.seq - b.seq;

const told = (ids: readonly (string | null)[]): string[] => [
  ...new Set(ids.filter((id) => id !== null)),
];

/** Entries as they are kept: full pages, and the newest ones as rows; at least one, so that the end is found there. */
export function bound(entries: readonly LogEntry[]): {
  readonly pages: readonly LogPage[];
  readonly rows: readonly LogEntry[];
} {
  const sorted = [...entries].sort(bySeq);
  const pages: LogPage[] = [];
  let before = 0;
  for (; sorted.length - before > PAGE; before += PAGE) {
    const own = sorted.slice(before, before + PAGE);
    pages.push({
      ...{ before, entries: own },
      pieceIds: told(own.map((e) => e.pieceId)),
      sessionIds: told(own.map((e) => e.sessionId)),
    });
  }
  return { pages, rows: sorted.slice(before) };
}

/** The whole log from what is stored of it, oldest first. */
export const unbound = (pages: readonly LogPage[], rows: readonly LogEntry[]): LogEntry[] => [
  ...pages.flatMap((page) => page.entries),
  ...[...rows].sort(bySeq),
];

/** The whole log, oldest first. */
export const wholeLog = ({ log, logPages }: LogStores): Promise<LogEntry[]> =>
  Promise.all([logPages.toArray(), log.toArray()]).then(([pages, rows]) => unbound(pages, rows));

/** How many entries there are. */
export const countLog = ({ log, logPages }: LogStores): Promise<number> =>
  Promise.all([logPages.toCollection().last(), log.count()]).then(
    ([last, rows]) => (last ? last.before + last.entries.length : 0) + rows,
  );

/** The newest entries, newest first. */
export async function newestOf({ log, logPages }: LogStores, count: number): Promise<LogEntry[]> {
  const rows = await log.orderBy('seq').reverse().limit(count).toArray();
  let missing = count - rows.length;
  if (missing <= 0) return rows;
  const pages = await logPages
    .reverse()
    .until(({ entries }) => (missing -= entries.length) <= 0, true)
    .toArray();
  return [...rows, ...pages.flatMap(({ entries }) => [...entries].reverse())].slice(0, count);
}

/** What the log tells of a piece or of sessions, oldest first. */
export function entriesAbout(
  { log, logPages }: LogStores,
  about: { readonly pieceId?: string; readonly sessionIds?: readonly string[] },
): Promise<LogEntry[]> {
  const pieces = about.pieceId === undefined ? [] : [about.pieceId];
  const sessions = [...(about.sessionIds ?? [])];
  const asked = new Set<string | null>([...pieces, ...sessions]);
  return Promise.all([
    logPages.where('pieceIds').anyOf(pieces).toArray(),
    logPages.where('sessionIds').anyOf(sessions).distinct().toArray(),
    log.where('pieceId').anyOf(pieces).toArray(),
    log.where('sessionId').anyOf(sessions).toArray(),
  ]).then(([own, wet, ...rows]) => {
    const paged = [...own, ...wet]
      .flatMap((page) => page.entries)
      .filter((e) => asked.has(e.pieceId) || asked.has(e.sessionId));
    return [...new Map([...paged, ...rows.flat()].map((e) => [e.id, e])).values()].sort(bySeq);
  });
}
