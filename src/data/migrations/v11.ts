import type { Migration } from './migration';

type Row = Readonly<Record<string, unknown>>;
const rowsOf = (rows: readonly unknown[] | undefined): readonly Row[] => (rows ?? []) as Row[];

interface Source {
  readonly how: 'kept';
  readonly by: string;
  readonly coatId: string | null;
  readonly out: boolean;
}
interface Reading {
  readonly atMs: number;
  readonly temperatureK: number;
  readonly humidity: number | null;
  readonly surfaceK: number | null;
  readonly source: Source;
}
interface Step {
  readonly fromMs: number;
  readonly temperatureK: number;
}

const DAY_MS = 86_400_000;
const FIRST_MS = Date.UTC(2000, 0, 1);
/** The room of a shop that nobody set. */
const UNTOUCHED = { temperatureK: 295.15, humidity: 0.5 } as const;
/** What was typed with one decimal was the same room. */
const SAME_K = 0.06;

const stepsOf = (rows: readonly Row[]): Step[] =>
  rows
    .map((r) => ({ fromMs: Number(r['fromMs']), temperatureK: Number(r['temperatureK']) }))
    .sort((a, b) => a.fromMs - b.fromMs);
const heldAt = (steps: readonly Step[], atMs: number): number | undefined =>
  (steps.findLast((s) => s.fromMs <= atMs) ?? steps[0])?.temperatureK;

/** Ripe seconds of a film by the law that its sheet had. */
function ripeBy(history: readonly Step[], untilMs: number, sheet: Row): number {
  const perK = Number(sheet['activationEnergyJMol']) / 8.314462618;
  const referenceK = Number(sheet['referenceTemperatureK']);
  return history.reduce((sum, { fromMs, temperatureK }, i) => {
    const toMs = Math.min(untilMs, history[i + 1]?.fromMs ?? untilMs);
    const rate = Math.exp(-perK * (1 / temperatureK - 1 / referenceK));
    return sum + (Math.max(0, toMs - fromMs) / 1000) * rate;
  }, 0);
}

/** What a coat’s own record says that the room’s does not; nothing where they agree while it cured. */
function apart(coat: Row, air: readonly Step[], resins: readonly Row[]): Reading[] {
  const pouredMs = coat['pouredMs'];
  const history = stepsOf(rowsOf(coat['history'] as unknown[] | undefined));
  const last = history.at(-1);
  if (typeof pouredMs !== 'number' || !last) return [];
  const sheet = resins.find((r) => r['id'] === coat['resinId'])?.['sheet'] as Row | undefined;
  const fullS = Number((sheet?.['times'] as Row | undefined)?.['fullS']);
  // Once it had cured nothing was written into its record, and nothing could change it.
  const cures = (atMs: number) => !sheet || !(ripeBy(history, atMs, sheet) >= fullS);
  const later = air.filter((a) => a.fromMs > pouredMs && cures(a.fromMs));
  const steps = [{ fromMs: pouredMs, temperatureK: heldAt(air, pouredMs) ?? NaN }, ...later];
  const instants = new Set([...steps, ...history].map((s) => s.fromMs));
  const agrees = [...instants].every((t) => heldAt(steps, t) === heldAt(history, t));
  if (agrees) return [];
  const source: Source = { how: 'kept', by: '', coatId: String(coat['id']), out: false };
  const none = { humidity: null, surfaceK: null, source };
  const told = history.map((s) => ({ ...none, atMs: s.fromMs, temperatureK: s.temperatureK }));
  // It went on as it was read last, whatever was read of the room since.
  const since = later.at(-1);
  const goesOn = since && since.fromMs > last.fromMs ? [since.fromMs + 1] : [];
  return [...told, ...goesOn.map((atMs) => ({ ...none, atMs, temperatureK: last.temperatureK }))];
}

/** What sessions and settings held and no clock followed: kept, and taken out. */
function unfollowed(tables: Readonly<Record<string, readonly unknown[]>>, air: readonly Step[]) {
  const sessions = rowsOf(tables['sessions']).flatMap((s): Reading[] => {
    const [atMs, temperatureK] = [Number(s['startedMs']), Number(s['temperatureK'])];
    if (Math.abs((heldAt(air, atMs) ?? NaN) - temperatureK) <= SAME_K) return [];
    const source: Source = { how: 'kept', by: 'wet session', coatId: null, out: true };
    return [{ atMs, temperatureK, humidity: null, surfaceK: null, source }];
  });
  const settings = rowsOf(tables['settings']).flatMap((s): Reading[] => {
    const temperatureK = Number(s['roomTemperatureK']);
    const humidity = Number(s['roomHumidity']);
    const newest = air.at(-1);
    const same = newest
      ? newest.temperatureK === temperatureK
      : temperatureK === UNTOUCHED.temperatureK && humidity === UNTOUCHED.humidity;
    if (same) return [];
    // Without any reading, drying followed the room that was set.
    const source: Source = { how: 'kept', by: 'settings', coatId: null, out: newest !== undefined };
    const atMs = newest ? newest.fromMs : FIRST_MS;
    return [{ atMs, temperatureK, humidity, surfaceK: null, source }];
  });
  return [...settings, ...sessions];
}

/** Readings in chunks of a day, in columns. */
function daysOf(readings: readonly Reading[]): Row[] {
  const days = new Map<number, Reading[]>();
  for (const reading of [...readings].sort((a, b) => a.atMs - b.atMs)) {
    const dayMs = Math.floor(reading.atMs / DAY_MS) * DAY_MS;
    days.set(dayMs, [...(days.get(dayMs) ?? []), reading]);
  }
  return [...days].map(([dayMs, own]) => {
    const keys = own.map((r) => JSON.stringify(r.source));
    const kinds = [...new Set(keys)];
    return {
      id: `room-${new Date(dayMs).toISOString().slice(0, 10)}`,
      dayMs,
      readMs: own.map((r) => r.atMs),
      temperatureK: own.map((r) => r.temperatureK),
      humidity: own.map((r) => r.humidity),
      surfaceK: own.map((r) => r.surfaceK),
      source: keys.map((k) => kinds.indexOf(k)),
      sources: kinds.map((k) => JSON.parse(k) as Source),
    };
  });
}

const without = (row: Row, ...fields: readonly string[]): Row =>
  Object.fromEntries(Object.entries(row).filter(([name]) => !fields.includes(name)));

/** Who noted a reading, by the log. */
function readers(log: readonly Row[]): ReadonlyMap<number, string> {
  const noted = log.filter((e) => e['kind'] === 'air noted');
  return new Map(
    noted.map((e) => [Number((e['figures'] as Row)['fromMs']), String(e['by']).slice(0, 120)]),
  );
}

/**
 * One record of the room takes in the four there were: the air, each coat's own, the sessions' and the settings'. A coat
 * that was poured keeps the times it had: its clock started with the pour.
 */
export const v11: Migration = {
  version: 11,
  name: 'one record of the room, clocks from the mix',
  stores: { room: 'id', air: null },
  up: ({ air: before, ...tables }) => {
    const rows = rowsOf(before);
    const air = stepsOf(rows);
    const by = readers(rowsOf(tables['log']));
    const resins = rowsOf(tables['resins']);
    const read = rows.map((row): Reading => {
      const atMs = Number(row['fromMs']);
      return {
        ...{ atMs, temperatureK: Number(row['temperatureK']), humidity: Number(row['humidity']) },
        surfaceK: row['surfaceK'] as number | null,
        source: { how: 'kept', by: by.get(atMs) ?? '', coatId: null, out: false },
      };
    });
    const own = rowsOf(tables['coats']).flatMap((coat) => apart(coat, air, resins));
    return {
      ...tables,
      room: daysOf([...unfollowed(tables, air), ...read, ...own]),
      settings: rowsOf(tables['settings']).map((row) => ({
        ...without(row, 'roomTemperatureK', 'roomHumidity'),
        sensor: null,
      })),
      sessions: rowsOf(tables['sessions']).map((row) => without(row, 'temperatureK')),
      coats: rowsOf(tables['coats']).map((row) => ({
        ...without(row, 'history'),
        mixedMs: row['pouredMs'],
        learned: null,
      })),
      resins: resins.map((row) => ({
        ...row,
        // How it thickens follows from its working time.
        sheet: without(row['sheet'] as Row, 'doublingS'),
        declared: { ...(row['declared'] as Row), curesK: null },
        learnsFromMs: null,
      })),
    };
  },
};
