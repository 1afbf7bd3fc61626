import type { TableName } from '@/records';

/** A row of any table. */
export interface AnyRow {
  readonly id: string;
  readonly [field: string]: unknown;
}
export type Rows = Readonly<Record<TableName, readonly AnyRow[]>>;

/** What belongs to one machine and not to the shop: it is neither compared nor taken over. */
export const OWN_SETTINGS = [
  ...['lastBackupMs', 'look', 'hours', 'benchLook', 'sound', 'scale', 'sensor', 'person'],
] as const;

/** The parts of a row that are compared: a picture never changes under its id, so its size stands for it. */
function compared(table: TableName, row: AnyRow): AnyRow {
  if (table === 'photos') return { ...row, blob: (row['blob'] as Blob).size };
  if (table !== 'settings') return row;
  const own: readonly string[] = OWN_SETTINGS;
  return Object.fromEntries(Object.entries(row).filter(([name]) => !own.includes(name))) as AnyRow;
}

/** JSON in which the order of fields says nothing. */
const steady = (_name: string, value: unknown): unknown =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
    ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
    : value;

const { imul } = Math;

/** 53 bits of a text, as letters. Source: two multiply-and-shift streams after MurmurHash3’s finish (from memory). */
function hash(text: string): string {
  let [a, b] = [0x9e3779b9, 0x85ebca6b];
  for (let i = 0; i < text.length; i += 1) {
    const code = text.charCodeAt(i);
    a = imul(a ^ code, 0x9e3779b1);
    b = imul(b ^ code, 0x5f356495);
  }
  a = imul(a ^ (a >>> 16), 0x85ebca6b) ^ imul(b ^ (b >>> 13), 0xc2b2ae35);
  b = imul(b ^ (b >>> 16), 0x85ebca6b) ^ imul(a ^ (a >>> 13), 0xc2b2ae35);
  return (2 ** 32 * (b & 0x1fffff) + (a >>> 0)).toString(36);
}

const known = new WeakMap<object, string>();

/** Says of two rows whether they are alike: a short text, the same for the same content. */
export function digest(table: TableName, row: AnyRow): string {
  const before = known.get(row);
  if (before !== undefined) return before;
  const made = hash(JSON.stringify(compared(table, row), steady));
  known.set(row, made);
  return made;
}
