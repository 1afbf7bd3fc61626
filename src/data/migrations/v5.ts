import type { Migration } from './migration';

const FIRST_MS = Date.UTC(2000, 0, 1);
const LAST_MS = Date.UTC(2200, 0, 1);

type Row = Readonly<Record<string, unknown>>;

/**
 * An instant that a record may hold. One from before 2000 comes from a clock that was never set: it is moved as
 * far as that clock was behind, so that order and spans stay.
 */
function instant(value: unknown): unknown {
  if (typeof value !== 'number') return value;
  return value < FIRST_MS ? FIRST_MS + Math.max(0, value) : Math.min(value, LAST_MS);
}

const timed = (row: Row, fields: readonly string[]): Row => ({
  ...row,
  ...Object.fromEntries(fields.filter((f) => f in row).map((f) => [f, instant(row[f])])),
});

const rowsOf = (rows: readonly unknown[] | undefined): readonly Row[] => (rows ?? []) as Row[];

const piece = (row: Row): Row => {
  const level = row['level'] as Row | null | undefined;
  return {
    ...timed(row, ['createdMs']),
    ...(level && { level: timed(level, ['readMs']) }),
  };
};

const batch = (row: Row): Row => ({
  ...timed(row, ['mixedMs', 'stirStartedMs', 'stirredMs', 'pouredMs', 'coveredMs']),
  aBy: row['aKg'] === null ? null : 'not told',
  bBy: row['bKg'] === null ? null : 'not told',
  addedAKg: 0,
  reading: null,
});

const coat = (row: Row): Row => ({
  ...timed(row, ['pouredMs', 'coveredMs']),
  history: rowsOf(row['history'] as unknown[]).map((step) => timed(step, ['fromMs'])),
});

const resin = (row: Row): Row => ({ ...row, sheet: { ...(row['sheet'] as Row), stirS: 120 } });

/** The log in the order in which it was written, as far as the times tell. */
const log = (rows: readonly Row[]): Row[] =>
  rows
    .map((row) => timed(row, ['atMs']))
    .sort((a, b) => Number(a['atMs']) - Number(b['atMs']))
    .map((row, i) => ({ ...row, seq: i + 1 }));

/** The log is numbered, weighings say how they became known, sheets say the shortest stir, instants are bounded. */
export const v5: Migration = {
  version: 5,
  name: 'order of the log, how a weight became known',
  stores: { log: 'id, seq, atMs, pieceId, coatId, batchId, sessionId, kind' },
  up: (tables) => ({
    ...tables,
    settings: rowsOf(tables['settings']).map((row) => ({ ...row, lastBackupMs: null })),
    resins: rowsOf(tables['resins']).map(resin),
    pieces: rowsOf(tables['pieces']).map(piece),
    sessions: rowsOf(tables['sessions']).map((row) => timed(row, ['startedMs', 'endedMs'])),
    batches: rowsOf(tables['batches']).map(batch),
    coats: rowsOf(tables['coats']).map(coat),
    defects: rowsOf(tables['defects']).map((row) => timed(row, ['foundMs', 'repairedMs'])),
    photos: rowsOf(tables['photos']).map((row) => timed(row, ['takenMs'])),
    tasks: rowsOf(tables['tasks']).map((row) => timed(row, ['doneMs'])),
    air: rowsOf(tables['air']).map((row) => timed(row, ['fromMs'])),
    log: log(rowsOf(tables['log'])),
  }),
};
