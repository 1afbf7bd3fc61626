import equal from 'fast-deep-equal';
import type { FieldConflict } from './errors';

/** Which side wins where both changed a field; null asks. */
export type Prefer = 'mine' | 'theirs' | null;

type Fields = Readonly<Record<string, unknown>>;

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' &&
  value !== null &&
  !Array.isArray(value) &&
  Object.getPrototypeOf(value) === Object.prototype;

export interface Merged<T> {
  readonly value: T;
  /** Fields that both sides changed, differently; they stand as `mine` in the value unless the other is preferred. */
  readonly conflicts: readonly FieldConflict[];
}

/** One value on four sides: as it was stored, as this side read it, as this side wants it, as it stands now. */
type Sides<T> = readonly [base: T, read: T, mine: T, theirs: T];

function mergeValue(
  path: string,
  [base, read, mine, theirs]: Sides<unknown>,
  prefer: Prefer,
  conflicts: FieldConflict[],
): unknown {
  if (equal(mine, theirs) || equal(read, mine)) return theirs;
  if (equal(base, theirs)) return mine;
  const all = [base, read, mine, theirs];
  const alike = (name: string) =>
    all.every((v) => isFields(v) && v[name] === (all[0] as Fields)[name]);
  if (alike('kind') && alike('by'))
    return mergeFields(path, all as unknown as Sides<Fields>, prefer, conflicts);
  if (prefer === null) conflicts.push({ field: path, mine, theirs });
  return prefer === 'theirs' ? theirs : mine;
}

function mergeFields(
  path: string,
  [base, read, mine, theirs]: Sides<Fields>,
  prefer: Prefer,
  conflicts: FieldConflict[],
): Fields {
  const names = [...new Set([...Object.keys(theirs), ...Object.keys(mine)])];
  const entries = names.map((name) => {
    const at = path === '' ? name : `${path}.${name}`;
    const sides = [base[name], read[name], mine[name], theirs[name]] as const;
    return [name, mergeValue(at, sides, prefer, conflicts)] as const;
  });
  return Object.fromEntries(entries.filter(([, value]) => value !== undefined));
}

/** What a change was made from. A form reads a row through its own words, which may round it. */
export interface Based<T> {
  /** The record as it was stored when the change was begun. */
  readonly base: T;
  /** The same, as the form reads it when nothing is changed; the record itself when left out. */
  readonly read?: T;
  /** Which side wins where both changed one field. */
  readonly prefer?: Prefer;
}

/**
 * Brings two changes of one record together, field by field.
 * @param mine what is to be saved @param theirs the record as it stands now @param based what `mine` was made from
 * @returns fields changed on one side only take that side; fields changed on both, differently, are told
 * Source: three-way merge, from memory.
 */
export function mergeRecord<T extends object>(
  mine: T,
  theirs: T,
  { base, read = base, prefer = null }: Based<T>,
): Merged<T> {
  const conflicts: FieldConflict[] = [];
  const sides = [base, read, mine, theirs] as unknown as Sides<Fields>;
  return { value: mergeFields('', sides, prefer, conflicts) as T, conflicts };
}

interface Named {
  readonly id: string | null;
  readonly name: string;
}

/**
 * Brings two changes of one list together: rows are matched by id, a row added or taken away on one side only is
 * so, a row taken away here but changed there stays.
 */
export function mergeRows<T extends Named>(
  mine: readonly T[],
  theirs: readonly T[],
  { base, read = base, prefer = null }: Based<readonly T[]>,
): Merged<readonly T[]> {
  const conflicts: FieldConflict[] = [];
  const byId = (rows: readonly T[], id: string | null) =>
    id === null ? undefined : rows.find((r) => r.id === id);
  const kept = mine.flatMap((row) => {
    const [was, now] = [byId(base, row.id), byId(theirs, row.id)];
    if (!was) return [row];
    const seen = byId(read, row.id) ?? was;
    // Taken away there: so it is here, unless it was changed here.
    if (!now) return equal(seen, row) ? [] : [row];
    const merged = mergeRecord(row, now, { base: was, read: seen, prefer });
    conflicts.push(...merged.conflicts.map((c) => ({ ...c, field: `${row.name}: ${c.field}` })));
    return [merged.value];
  });
  const others = theirs.filter((row) => {
    const was = byId(base, row.id);
    if (byId(mine, row.id)) return false;
    return !was || !equal(was, row);
  });
  return { value: [...kept, ...others], conflicts };
}
