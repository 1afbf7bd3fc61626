import { readingsOf, type RoomDay, type TableName, withReadings } from '@/records';
import { type AnyRow, digest, OWN_SETTINGS, type Rows } from './digest';
import { addressOf, sortUnits, UNIT_TABLES, type UnitKey, type UnitTable, unitOf } from './units';

/** Which side wins where both changed one row, or `whole`: all of the unit as one side has it. */
export type Side = 'mine' | 'theirs';

/** How one row of the bundle stands to the one that is here. `gone`: it was removed there. */
export type RowFate = 'new' | 'same' | 'mine' | 'theirs' | 'gone' | 'both';

export interface RowPlan {
  readonly table: UnitTable;
  readonly id: string;
  readonly fate: RowFate;
  readonly mine: AnyRow | null;
  readonly theirs: AnyRow | null;
}

/** A piece, a sheet, a session …: its rows, and what that comes to. */
export interface UnitPlan {
  readonly unit: UnitKey;
  /** `together`: each side changed other rows. */
  readonly fate: 'new' | 'same' | 'mine' | 'theirs' | 'together' | 'both';
  readonly rows: readonly RowPlan[];
}

/** What rows were like when both sides last had the same, by address; empty when they never did. */
export type Base = Readonly<Record<string, string>>;

interface Sides {
  readonly table: UnitTable;
  readonly mine: AnyRow | null;
  readonly theirs: AnyRow | null;
  readonly base: string | undefined;
}

/** Where one list of acts goes on from the other, it is the later one. */
function laterEvents(mine: AnyRow, theirs: AnyRow): RowFate | null {
  const [a, b] = [mine, theirs].map((row) => row['events'] as readonly { id: string }[]) as [
    readonly { id: string }[],
    readonly { id: string }[],
  ];
  const shared = Math.min(a.length, b.length);
  for (let i = 0; i < shared; i += 1) if (a[i]?.id !== b[i]?.id) return null;
  return b.length > a.length ? 'theirs' : a.length > b.length ? 'mine' : null;
}

function rowFate({ table, mine, theirs, base }: Sides): RowFate {
  // Known to nobody before and on one side only: nothing has to be compared.
  if (base === undefined && !mine) return 'new';
  if (base === undefined && !theirs) return 'mine';
  const [here, there] = [mine, theirs].map((row) => (row ? digest(table, row) : undefined));
  if (here === there) return 'same';
  if (!mine) return base === there ? 'mine' : 'both';
  // What a bundle does not hold was removed there only if it is known to have been there.
  if (!theirs) return base === here ? 'gone' : 'both';
  if (base === there) return 'mine';
  if (base === here) return 'theirs';
  return (table === 'batches' && laterEvents(mine, theirs)) || 'both';
}

function unitFate(rows: readonly RowPlan[], isHere: boolean): UnitPlan['fate'] {
  if (!isHere) return 'new';
  const fates = new Set(rows.map((r) => r.fate));
  if (fates.has('both')) return 'both';
  const theirs = (['new', 'theirs', 'gone'] as const).some((fate) => fates.has(fate));
  return fates.has('mine') ? (theirs ? 'together' : 'mine') : theirs ? 'theirs' : 'same';
}

/**
 * Compares a bundle with what is here, row by row, against what both sides last had. The room is left out: its readings
 * are laid together by their instants.
 * @param base digests of the newest bundle that both sides know; without one, rows that differ were changed on both sides
 * @returns a plan for every unit of the bundle
 */
export function compareBundle(mine: Rows, theirs: Rows, base: Base): UnitPlan[] {
  const here = sortUnits(mine);
  const own = new Map(
    UNIT_TABLES.flatMap((t) => mine[t].map((row) => [addressOf(t, row.id), row] as const)),
  );
  return [...sortUnits(theirs)].flatMap(([unit, entries]): UnitPlan[] => {
    if (unit === 'room:all') return [];
    const inBundle = new Set(entries.map(({ table, row }) => addressOf(table, row.id)));
    const plan = (table: UnitTable, id: string, a: AnyRow | null, b: AnyRow | null): RowPlan => {
      const fate = rowFate({ table, mine: a, theirs: b, base: base[addressOf(table, id)] });
      return { table, id, fate, mine: a, theirs: b };
    };
    const rows = [
      ...entries.map(({ table, row }) =>
        plan(table, row.id, own.get(addressOf(table, row.id)) ?? null, row),
      ),
      ...(here.get(unit) ?? []).flatMap(({ table, row }) =>
        inBundle.has(addressOf(table, row.id)) ? [] : [plan(table, row.id, row, null)],
      ),
    ];
    return [{ unit, rows, fate: unitFate(rows, here.has(unit)) }];
  });
}

/** What was chosen for a unit; `whole` takes no row of the other side. */
export interface Choice {
  readonly side: Side;
  readonly whole: boolean;
}
export type Choices = ReadonlyMap<UnitKey, Choice>;

/** Whether a row is as the bundle has it afterwards. */
function takesTheirs(row: RowPlan, choice: Choice | undefined): boolean {
  if (choice?.whole) return choice.side === 'theirs';
  if (row.fate === 'both') return choice?.side === 'theirs';
  return row.fate === 'new' || row.fate === 'theirs' || row.fate === 'gone';
}

/** Their settings, with what belongs to this machine. */
const ownSettings = (mine: AnyRow | null, theirs: AnyRow): AnyRow =>
  mine ? { ...theirs, ...Object.fromEntries(OWN_SETTINGS.map((f) => [f, mine[f]])) } : theirs;

/** Entries of both sides in the order of their times, each side’s own order kept; places are counted anew. */
function mergeLogs(mine: readonly AnyRow[], theirs: readonly AnyRow[]): AnyRow[] {
  const bySeq = (rows: readonly AnyRow[]) =>
    [...rows].sort((a, b) => Number(a['seq']) - Number(b['seq']));
  const known = new Set(mine.map((e) => e.id));
  const [a, b] = [bySeq(mine), bySeq(theirs.filter((e) => !known.has(e.id)))];
  const merged: AnyRow[] = [];
  for (let i = 0, j = 0; i < a.length || j < b.length;) {
    const [left, right] = [a[i], b[j]];
    const takeLeft = !right || (left && Number(left['atMs']) <= Number(right['atMs']));
    const next = (takeLeft ? left : right) as AnyRow;
    if (takeLeft) i += 1;
    else j += 1;
    const seq = merged.length + 1;
    merged.push(next['seq'] === seq ? next : { ...next, seq });
  }
  return merged;
}

/** The days of both sides, every reading once. */
function mergeRooms(mine: readonly AnyRow[], theirs: readonly AnyRow[]): readonly AnyRow[] {
  const days = mine as unknown as readonly RoomDay[];
  const readings = (theirs as unknown as readonly RoomDay[]).flatMap(readingsOf);
  const changed = new Map(withReadings(days, readings).changed.map((d) => [d.id as string, d]));
  const more = [...changed.values()].filter((d) => !days.some((own) => own.id === d.id));
  return [...days.map((d) => changed.get(d.id) ?? d), ...more] as unknown as AnyRow[];
}

/**
 * The shop with a bundle laid into it.
 * @param plan of `compareBundle` for the same rows @param choices for the units that both sides changed; without one,
 *   what is here stays
 */
export function mergedRows(
  mine: Rows,
  theirs: Rows,
  plan: readonly UnitPlan[],
  choices: Choices,
): Rows {
  const put = new Map<string, AnyRow>();
  const drop = new Set<string>();
  for (const { unit, rows } of plan)
    for (const row of rows) {
      if (!takesTheirs(row, choices.get(unit))) continue;
      const address = addressOf(row.table, row.id);
      if (!row.theirs) drop.add(address);
      else if (row.fate !== 'same')
        put.set(address, row.table === 'settings' ? ownSettings(row.mine, row.theirs) : row.theirs);
    }
  const tables = UNIT_TABLES.map((table): [TableName, readonly AnyRow[]] => {
    if (table === 'room') return [table, mergeRooms(mine.room, theirs.room)];
    const kept = mine[table].flatMap((row) => {
      const address = addressOf(table, row.id);
      if (drop.has(address)) return [];
      const changed = put.get(address);
      put.delete(address);
      return [changed ?? row];
    });
    const fresh = theirs[table].filter((row) => put.has(addressOf(table, row.id)));
    return [table, [...kept, ...fresh]];
  });
  return {
    ...mine,
    ...(Object.fromEntries(tables) as Rows),
    drafts: mine.drafts,
    shares: mine.shares,
    log: mergeLogs(mine.log, theirs.log),
  };
}

/** The unit of a fault that a check of all tables found, by its path (`tables.coats[3].order`). */
export function unitOfFault(rows: Rows, path: string): UnitKey | null {
  const match = /^tables\.([a-z]+)\[(\d+)\]/i.exec(path);
  const table = match?.[1] as UnitTable | undefined;
  const row = table && UNIT_TABLES.includes(table) ? rows[table][Number(match?.[2])] : undefined;
  return table && row ? unitOf(table, row) : null;
}
