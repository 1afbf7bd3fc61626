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

function mergeValue(
  path: string,
  [base, mine, theirs]: readonly [unknown, unknown, unknown],
  prefer: Prefer,
  conflicts: FieldConflict[],
): unknown {
  if (equal(mine, theirs) || equal(base, mine)) return theirs;
  if (equal(base, theirs)) return mine;
  if (
    isFields(base) &&
    isFields(mine) &&
    isFields(theirs) &&
    base['kind'] === mine['kind'] &&
    base['by'] === mine['by']
  )
    return mergeFields(path, [base, mine, theirs], prefer, conflicts);
  if (prefer === null) conflicts.push({ field: path, mine, theirs });
  return prefer === 'theirs' ? theirs : mine;
}

function mergeFields(
  path: string,
  [base, mine, theirs]: readonly [Fields, Fields, Fields],
  prefer: Prefer,
  conflicts: FieldConflict[],
): Fields {
  const names = [...new Set([...Object.keys(theirs), ...Object.keys(mine)])];
  const entries = names.map((name) => {
    const at = path === '' ? name : `${path}.${name}`;
    return [
      name,
      mergeValue(at, [base[name], mine[name], theirs[name]], prefer, conflicts),
    ] as const;
  });
  return Object.fromEntries(entries.filter(([, value]) => value !== undefined));
}

/**
 * Brings two changes of one record together, field by field.
 * @param base the record that `mine` was made from @param mine what is to be saved
 * @param theirs the record as it stands now @param prefer which side wins where both changed one field
 * @returns fields changed on one side only take that side; fields changed on both, differently, are told
 * Source: three-way merge, from memory.
 */
export function mergeRecord<T extends object>(
  base: T,
  mine: T,
  theirs: T,
  prefer: Prefer = null,
): Merged<T> {
  const conflicts: FieldConflict[] = [];
  const sides = [base, mine, theirs] as unknown as [Fields, Fields, Fields];
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
  base: readonly T[],
  mine: readonly T[],
  theirs: readonly T[],
  prefer: Prefer = null,
): Merged<readonly T[]> {
  const conflicts: FieldConflict[] = [];
  const byId = (rows: readonly T[], id: string | null) =>
    id === null ? undefined : rows.find((r) => r.id === id);
  const kept = mine.flatMap((row) => {
    const [was, now] = [byId(base, row.id), byId(theirs, row.id)];
    if (!was || row.id === null) return [row];
    // Taken away there: so it is here, unless it was changed here.
    if (!now) return equal(was, row) ? [] : [row];
    const merged = mergeRecord(was, row, now, prefer);
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
