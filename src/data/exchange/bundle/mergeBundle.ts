import type { Share, TableName } from '@/records';
import type { RowFault } from '@/records/validate';
import type { ShopDb } from '../../db';
import type { ActionContext } from '../../write';
import { allFaults, type FaultSteps, meanwhile, Unsound } from '../faultSteps';
import { linkFaults } from '../links';
import type { TryOut } from '../shopFile';
import type { Bundle } from './bundleFile';
import type { Rows } from './digest';
import { digests, readAll } from './makeBundle';
import { changesOf, rowsOf, storeMerged, type Laying } from './storeMerged';
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

/** Rows that do not fit together; or the rows changed, null when the shop was changed meanwhile. */
type Tried = { readonly faults: readonly RowFault[] } | { readonly changed: number | null };

/** Lays the bundle in; units whose rows do not fit together are taken whole from the side that was chosen, else kept. */
async function fit(
  mine: Rows,
  bundle: Bundle,
  choices: Choices,
  store: (rows: Rows) => Promise<Tried>,
): Promise<Tried & { readonly whole: readonly UnitKey[] }> {
  const plan = compareBundle(mine, bundle.rows, baseOf(mine, bundle));
  const mixed = new Set(plan.filter((p) => p.fate !== 'new').map((p) => p.unit));
  const chosen = new Map(choices);
  const whole = new Set<UnitKey>();
  for (let round = 0; ; round += 1) {
    const rows = mergedRows(mine, bundle.rows, plan, chosen);
    const tried = await store(rows);
    const units = 'faults' in tried ? tried.faults.map((f) => unitOfFault(rows, f.path)) : [];
    const more = units.filter((u): u is UnitKey => u !== null && mixed.has(u) && !whole.has(u));
    if (more.length === 0 || round === ROUNDS) return { ...tried, whole: [...whole] };
    for (const unit of more) {
      whole.add(unit);
      chosen.set(unit, { side: choices.get(unit)?.side ?? 'mine', whole: true });
    }
  }
}

function* oneThenOther(first: FaultSteps, then: FaultSteps): FaultSteps {
  yield* first;
  yield* then;
}

/** From so many rows on they are tried while they are written; with fewer nobody else should wait for the trial. */
const MANY = 2000;

/** Tries and stores the merged rows: all of them or none. */
async function tryAndStore(
  db: ShopDb,
  laying: Laying,
  tryOut: TryOut,
  tell: (share: number) => void,
): Promise<Tried> {
  const { mine, rows, bundle, context } = laying;
  const linked = linkFaults(rows);
  if (linked.length > 0) return { faults: linked };
  const changes = changesOf(mine, rows);
  const trial = tryOut(rows as unknown as Parameters<TryOut>[0], context.nowMs);
  const count = rowsOf(changes);
  const first = count < MANY;
  const faults = first ? await allFaults(trial) : [];
  if (faults.length > 0) return { faults };
  const also = meanwhile(first ? [] : oneThenOther(trial, digests(bundle)), count, tell);
  try {
    return { changed: await storeMerged(db, laying, changes, also) };
  } catch (error) {
    if (error instanceof Unsound) return { faults: error.faults };
    throw error;
  }
}

/** Changes by others while the bundle was tried, before it is given up. */
const TRIES = 3;

/**
 * Takes a bundle in: all of it in one transaction, with its entry in the log, or nothing and the list of faults.
 * @param choices for units that both sides changed; without one, the rows that are here stay
 * @param tryOut tries the merged shop through everything that the screens would say of it @param tell told the share
 *   that is written
 * @throws ActionError `overtaken`; whatever the browser's storage throws
 */
export async function mergeBundle(
  db: ShopDb,
  bundle: Bundle,
  choices: Choices,
  tryOut: TryOut,
  context: ActionContext,
  tell: (share: number) => void = () => undefined,
): Promise<MergeResult> {
  for (let tries = 0; tries < TRIES; tries += 1) {
    const mine = await readAll(db);
    const tried = await fit(mine, bundle, choices, (rows) =>
      tryAndStore(db, { mine, rows, bundle, context }, tryOut, tell),
    );
    if ('faults' in tried) return { ok: false, faults: tried.faults };
    const { changed, whole } = tried;
    if (changed !== null) return { ok: true, changed, whole };
  }
  const message = 'The shop was changed all the while: nothing was taken in. Try again.';
  return { ok: false, faults: [{ path: '', message }] };
}
