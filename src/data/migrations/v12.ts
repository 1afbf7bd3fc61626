import type { Migration } from './migration';

type Row = Readonly<Record<string, unknown>>;
const rowsOf = (rows: readonly unknown[] | undefined): readonly Row[] => (rows ?? []) as Row[];

/** How a sheet was filled in from a label: its note said so, and these densities were taken. */
const FROM_LABEL = /^From its label:/;
const TAKEN = { A: 1100, B: 1000 } as const;

/** A sheet that was filled in from a label told no densities; where they still are those that were taken, it says so. */
function withAssumed(row: Row): Row {
  const sheet = row['sheet'] as Row;
  if (!FROM_LABEL.test(String(row['note']))) return row;
  const assumedDensity = [
    ...(sheet['densityAKgM3'] === TAKEN.A ? ['A'] : []),
    ...(sheet['densityBKgM3'] === TAKEN.B ? ['B'] : []),
  ];
  return assumedDensity.length > 0 ? { ...row, sheet: { ...sheet, assumedDensity } } : row;
}

const at = (row: Row, field: string): number | null =>
  typeof row[field] === 'number' ? row[field] : null;

/** Entries of the log that stand, by batch. */
function standingByBatch(log: readonly Row[]): ReadonlyMap<unknown, readonly Row[]> {
  const taken = new Set(log.filter((e) => e['kind'] === 'undone').map((e) => e['aboutId']));
  const found = new Map<unknown, Row[]>();
  for (const entry of [...log].sort((a, b) => Number(a['seq']) - Number(b['seq']))) {
    const batchId = entry['batchId'];
    if (typeof batchId !== 'string' || taken.has(entry['id'])) continue;
    found.set(batchId, [...(found.get(batchId) ?? []), entry]);
  }
  return found;
}

/** What was done with a batch, from the fields that it had; each under the id that it has in the log. */
function eventsOf(batch: Row, coats: readonly Row[], log: readonly Row[]): Row[] {
  const events: Row[] = [];
  const idOf = (entry: Row | undefined) =>
    String(entry?.['id'] ?? `${String(batch['id'])}-e${events.length}`);
  const entryOf = (kind: string, coatId: unknown = null) =>
    log.findLast((e) => e['kind'] === kind && (coatId === null || e['coatId'] === coatId));
  const tell = (is: string, atMs: number, told: Row = {}, entry = entryOf(is)) =>
    events.push({ is, id: idOf(entry), atMs, ...told });
  const kg = (field: string, target: string) => {
    const told = at(batch, field);
    return told !== null && told > 0 ? told : Number(batch[target]);
  };
  const mixedMs = at(batch, 'mixedMs');
  if (at(batch, 'aKg') === null) return events;
  const added = at(batch, 'addedAKg') ?? 0;
  const weighed = entryOf('weighed A');
  const weighedMs = Number(weighed?.['atMs'] ?? mixedMs ?? Date.UTC(2000, 0, 1));
  const by = (weighed?.['figures'] as Row | undefined)?.['by'] ?? batch['aBy'] ?? 'not told';
  tell('weighed A', weighedMs, { kg: Math.max(1e-9, kg('aKg', 'targetAKg') - added), by });
  if (added > 0)
    tell('added A', Number(entryOf('added A')?.['atMs'] ?? mixedMs ?? weighedMs), { kg: added });
  if (mixedMs === null) return events;
  tell('mixed', mixedMs, { kg: kg('bKg', 'targetBKg'), by: batch['bBy'] ?? 'not told' });
  const [started, stirred] = [at(batch, 'stirStartedMs'), at(batch, 'stirredMs')];
  if (started === null) return events;
  tell('stir started', started);
  if (stirred === null) return events;
  tell('stirred', stirred);
  const own = (batch['coatIds'] as unknown[]).flatMap((id): Row[] =>
    coats.filter((c) => c['id'] === id),
  );
  const poured = own
    .filter((c) => c['batchId'] === batch['id'] && at(c, 'pouredMs') !== null)
    .sort((a, b) => Number(a['pouredMs']) - Number(b['pouredMs']));
  for (const c of poured)
    tell('poured', Number(c['pouredMs']), { coatId: c['id'] }, entryOf('poured', c['id']));
  for (const c of poured)
    if (at(c, 'coveredMs') !== null)
      tell('covered', Number(c['coveredMs']), { coatId: c['id'] }, entryOf('covered', c['id']));
  return events;
}

const FOLDED = [
  ...['aKg', 'bKg', 'aBy', 'bBy', 'addedAKg', 'mixedMs'],
  ...['stirStartedMs', 'stirredMs', 'pouredMs', 'coveredMs'],
];

/**
 * Bottles have lots, densities may be assumed, a touch tells what was touched (until now always the coat), a batch is the
 * list of what was done with it, and its alarms are sounded.
 */
export const v12: Migration = {
  version: 12,
  name: 'lots, assumed densities, what was touched, batches as events',
  stores: { lots: 'id, resinId' },
  up: (tables) => {
    const log = standingByBatch(rowsOf(tables['log']));
    const coats = rowsOf(tables['coats']);
    return {
      ...tables,
      lots: [],
      settings: rowsOf(tables['settings']).map((row) => ({ ...row, sound: true })),
      batches: rowsOf(tables['batches']).map((row) => ({
        ...Object.fromEntries(Object.entries(row).filter(([name]) => !FOLDED.includes(name))),
        lotId: null,
        measure: 'weight',
        events: eventsOf(row, coats, log.get(row['id']) ?? []),
      })),
      resins: rowsOf(tables['resins']).map(withAssumed),
      coats: coats.map((row) => ({
        ...row,
        touches: rowsOf(row['touches'] as unknown[]).map((touch) => ({ ...touch, on: 'coat' })),
      })),
    };
  },
};
