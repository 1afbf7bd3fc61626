import { type LogEntry, LOG, type Share, TABLE_NAMES, type TableName } from '@/records';
import type { RowFault } from '@/records/validate';
import { refuseOvertaken, type ReplacingTransaction, type ShopDb } from '../../db';
import type { ActionContext } from '../../write';
import { linkFaults } from '../links';
import type { TryOut } from '../shopFile';
import type { Bundle } from './bundleFile';
import { type AnyRow, digest, type Rows } from './digest';
import { forgotten, readAll, shareOf } from './makeBundle';
import {
  type Base,
  type Choices,
  compareBundle,
  mergedRows,
  type RowFate,
  type UnitPlan,
  unitOfFault,
} from './threeWay';
import { idOf, kindOf, type UnitKey, type UnitKind } from './units';

/** What the newest bundle that both sides know was like. */
function baseOf(mine: Rows, bundle: Bundle): Base {
  const seen = new Set([...bundle.head.seen, bundle.head.id]);
  const known = (mine.shares as unknown as readonly Share[]).filter((s) => seen.has(s.id));
  return known.reduce<Share | null>((a, b) => (a && a.atMs >= b.atMs ? a : b), null)?.rows ?? {};
}

/** One unit of a bundle as a hand looks at it before it is taken in. */
export interface UnitPreview {
  readonly unit: UnitKey;
  readonly kind: UnitKind;
  readonly id: string;
  /** Its name, or the instant of its start where it has none. */
  readonly name: string;
  readonly startedMs: number | null;
  readonly fate: UnitPlan['fate'];
  /** How many rows of each table stand how, the same ones left out. */
  readonly rows: readonly {
    readonly table: TableName;
    readonly fate: RowFate;
    readonly count: number;
  }[];
}

export interface MergePreview {
  readonly units: readonly UnitPreview[];
  /** Entries of the log that are not here yet. */
  readonly entries: number;
}

function previewOf({ unit, fate, rows }: UnitPlan): UnitPreview {
  const kind = kindOf(unit);
  const head = rows.find((r) => r.id === idOf(unit)) ?? rows[0];
  const named = head?.theirs ?? head?.mine;
  const counts = new Map<string, { table: TableName; fate: RowFate; count: number }>();
  for (const row of rows) {
    if (row.fate === 'same') continue;
    const at = `${row.table} ${row.fate}`;
    const known = counts.get(at);
    if (known) known.count += 1;
    else counts.set(at, { table: row.table, fate: row.fate, count: 1 });
  }
  return {
    ...{ unit, kind, id: idOf(unit), fate },
    name: kind === 'settings' ? '' : String(named?.['name'] ?? ''),
    startedMs: kind === 'session' ? Number(named?.['startedMs']) : null,
    rows: [...counts.values()],
  };
}

/** What taking a bundle in would do, as the shop stands. Nothing is changed. */
export async function previewMerge(db: ShopDb, bundle: Bundle): Promise<MergePreview> {
  const mine = await readAll(db);
  const known = new Set(mine.log.map((e) => e.id));
  return {
    units: compareBundle(mine, bundle.rows, baseOf(mine, bundle)).map(previewOf),
    entries: bundle.rows.log.filter((e) => !known.has(e.id)).length,
  };
}

export type MergeResult =
  | {
      readonly ok: true;
      readonly changed: number;
      /** Units whose rows do not fit together: all of each is as one side has it. */
      readonly whole: readonly UnitKey[];
    }
  | { readonly ok: false; readonly faults: readonly RowFault[] };

/** How often what was found wrong is put right by taking units whole, before the bundle is refused. */
const ROUNDS = 4;

interface Tried {
  readonly rows: Rows;
  readonly whole: readonly UnitKey[];
  readonly faults: readonly RowFault[];
}

/** Lays the bundle in; units whose rows do not fit together are taken whole from the side that was chosen, else kept. */
async function fit(
  mine: Rows,
  bundle: Bundle,
  choices: Choices,
  check: (rows: Rows) => Promise<readonly RowFault[]>,
): Promise<Tried> {
  const plan = compareBundle(mine, bundle.rows, baseOf(mine, bundle));
  const mixed = new Set(plan.filter((p) => p.fate !== 'new').map((p) => p.unit));
  const chosen = new Map(choices);
  const whole = new Set<UnitKey>();
  for (let round = 0; ; round += 1) {
    const rows = mergedRows(mine, bundle.rows, plan, chosen);
    const faults = await check(rows);
    const units = faults.map((f) => unitOfFault(rows, f.path));
    const more = units.filter((u): u is UnitKey => u !== null && mixed.has(u) && !whole.has(u));
    if (faults.length === 0 || more.length === 0 || round === ROUNDS)
      return { rows, whole: [...whole], faults };
    for (const unit of more) {
      whole.add(unit);
      chosen.set(unit, { side: choices.get(unit)?.side ?? 'mine', whole: true });
    }
  }
}

/** Whether what was read is still what is stored. */
const isStill = (then: Rows, now: Rows): boolean =>
  TABLE_NAMES.every(
    (t) =>
      t === 'drafts' ||
      (then[t].length === now[t].length &&
        then[t].every((row, i) => {
          const other = now[t][i] as AnyRow;
          return row.id === other.id && digest(t, row) === digest(t, other);
        })),
  );

/** Writes what is not stored already; inside a transaction that may replace the log. */
async function writeChanges(db: ShopDb, before: Rows, after: Rows): Promise<number> {
  let changed = 0;
  for (const table of TABLE_NAMES) {
    const known = new Map(before[table].map((row) => [row.id, row]));
    const put = after[table].filter((row) => known.get(row.id) !== row);
    const kept = new Set(after[table].map((row) => row.id));
    const gone = before[table].filter((row) => !kept.has(row.id)).map((row) => row.id);
    // An entry of the log is never changed: one that stands at another place is written anew.
    const moved = table === 'log' ? put.map((row) => row.id) : [];
    await db.table(table).bulkDelete([...gone, ...moved]);
    // Where nothing stood, nothing has to be looked up first.
    const isNew = (row: AnyRow) => table === 'log' || !known.has(row.id);
    await db.table(table).bulkAdd(put.filter(isNew));
    await db.table(table).bulkPut(put.filter((row) => !isNew(row)));
    changed += put.length + gone.length - (table === 'log' ? moved.length : 0);
  }
  return changed;
}

const entryOf = (bundle: Bundle, log: readonly AnyRow[], c: ActionContext): LogEntry => ({
  ...LOG.defaults,
  id: c.newId(),
  seq: log.length + 1,
  atMs: c.nowMs,
  kind: 'bundle taken in',
  by: c.by,
  text: bundle.head.name.slice(0, 200),
  figures: { madeMs: bundle.head.madeMs, ...(bundle.head.by && { madeBy: bundle.head.by }) },
});

/** Changes by others while the bundle was tried, before it is given up. */
const TRIES = 3;

/**
 * Takes a bundle in: all of it in one transaction, with its entry in the log, or nothing and the list of faults.
 * @param choices for units that both sides changed; without one, the rows that are here stay
 * @param tryOut tries the merged shop through everything that the screens would say of it
 * @throws ActionError `overtaken`; whatever the browser's storage throws
 */
export async function mergeBundle(
  db: ShopDb,
  bundle: Bundle,
  choices: Choices,
  tryOut: TryOut,
  context: ActionContext,
): Promise<MergeResult> {
  const check = async (rows: Rows): Promise<readonly RowFault[]> => {
    const linked = linkFaults(rows);
    return linked.length > 0
      ? linked
      : tryOut(rows as unknown as Parameters<TryOut>[0], context.nowMs);
  };
  for (let tries = 0; tries < TRIES; tries += 1) {
    const mine = await readAll(db);
    const { rows, whole, faults } = await fit(mine, bundle, choices, check);
    if (faults.length > 0) return { ok: false, faults };
    const changed = await db.transaction(
      'rw',
      [...TABLE_NAMES],
      async (transaction: ReplacingTransaction) => {
        refuseOvertaken(db);
        const now = await Promise.all(TABLE_NAMES.map((t) => db.table(t).toArray()));
        const stored = Object.fromEntries(
          TABLE_NAMES.map((t, i) => [t, now[i]]),
        ) as unknown as Rows;
        if (!isStill(mine, stored)) return null;
        transaction.replacingShop = true;
        const count = await writeChanges(db, mine, { ...rows, drafts: mine.drafts });
        await db.log.add(entryOf(bundle, rows.log, context));
        const shares = mine.shares as unknown as readonly Share[];
        await db.shares.bulkDelete([...forgotten(shares)]);
        await db.shares.put(shareOf(bundle, 'in', context.nowMs));
        return count;
      },
    );
    if (changed !== null) return { ok: true, changed, whole };
  }
  const message = 'The shop was changed all the while: nothing was taken in. Try again.';
  return { ok: false, faults: [{ path: '', message }] };
}
