import { refuseOvertaken, STORES, type ShopDb, type StoreName } from './db';
import { StaleActionError } from './errors';
import { LOG, type Id, type LogEntry, type LogKind, type TableName, type Tables } from '@/records';

/** Clock, identifiers and person of one action; taken when the user acts, kept when it is tried again. */
export interface ActionContext {
  readonly nowMs: number;
  readonly by: string;
  readonly newId: <Name extends string>() => Id<Name>;
}

/** A row did not pass its schema: a bug or a hand-made file, never a typing slip (forms check first). */
export class InvalidRowError extends Error {
  override readonly name = 'InvalidRowError';
}

export interface Writer {
  readonly db: ShopDb;
  readonly context: ActionContext;
  put<T extends Exclude<TableName, 'log'>>(table: T, row: Tables[T]): Promise<void>;
  log(
    kind: LogKind,
    about: Partial<Omit<LogEntry, 'id' | 'seq' | 'atMs' | 'kind' | 'by'>>,
    /** Its own id, when something else goes by it too. */
    id?: Id<'log'>,
  ): Promise<LogEntry>;
}

/** What may still be said of a piece whose record is closed. */
const AFTER_CLOSING: readonly LogKind[] = [
  ...(['piece closed', 'piece opened again', 'correction', 'note', 'undone'] as const),
];

/**
 * Joi is heavy and needed only for writing, so it is not part of the first screen; it must be there
 * before a transaction begins, which would not wait for it. Call it ahead, when the page is idle.
 */
export const loadValidation = () => import('@/records/validate');

/**
 * Runs one action: its changes and its log entries in a single transaction, or nothing at all.
 * @param tables what it writes or reads besides the log
 * @param work the changes; every row is validated before it is written
 * @throws ActionError `overtaken` when another tab brought the shop up to date; whatever the browser's storage throws; the transaction has then changed nothing
 */
export async function act<R>(
  db: ShopDb,
  context: ActionContext,
  tables: readonly StoreName[],
  work: (writer: Writer) => Promise<R>,
): Promise<R> {
  const { rowFaults } = await loadValidation();
  const check = (table: TableName, row: unknown) => {
    const faults = rowFaults(table, row);
    if (faults.length > 0)
      throw new InvalidRowError(
        `${table}: ${faults.map((f) => `${f.path}: ${f.message}`).join('; ')}`,
      );
  };
  // Nobody else writes the log inside the transaction of an act: where it ends is read once.
  let end: PromiseLike<number> | null = null;
  const nextPlace = () =>
    (end = (end ?? db.log.orderBy('seq').last((entry) => entry?.seq ?? 0)).then((seq) => seq + 1));
  const writer: Writer = {
    db,
    context,
    put: async (table, row) => {
      check(table, row);
      await db.table(table).put(row);
    },
    log: async (kind, about, id = context.newId()) => {
      const { pieceId } = about;
      const [seq] = await Promise.all([
        nextPlace(),
        pieceId && !AFTER_CLOSING.includes(kind) && refuseClosed(db, pieceId),
      ]);
      const entry: LogEntry = {
        ...{ id, seq },
        atMs: context.nowMs,
        kind,
        by: context.by,
        ...LOG.defaults,
        ...about,
      };
      check('log', entry);
      await db.log.add(entry);
      return entry;
    },
  };
  refuseOvertaken(db);
  // Every act that tells of a piece asks whether its record is closed.
  return db.transaction('rw', [...new Set([...tables, 'log' as const, 'pieces' as const])], () => {
    refuseOvertaken(db);
    return work(writer);
  });
}

/** Several acts as one: all of them are stored, or none. */
export async function together<R>(db: ShopDb, work: () => Promise<R>): Promise<R> {
  // Each act waits for it; inside a transaction it must be here already.
  await loadValidation();
  return db.transaction('rw', [...STORES], work);
}

/** @throws StaleActionError `piece closed` where its record is closed: it is read, and corrected by entries of the log */
async function refuseClosed(db: ShopDb, pieceId: Id<'piece'>): Promise<void> {
  const piece = await db.pieces.get(pieceId);
  if (piece?.closedMs) throw new StaleActionError('piece closed', { name: piece.name });
}
