import { coatClock, type ResinSheet, type TemperatureStep } from '@/core/resin';
import { dryTime } from '@/core/prep';
import { readingsOf, type Coat, type RoomDay } from '@/records';
import { rowFaults } from '@/records/validate';
import { clockOf } from '@/shop/clockOf';
import { roomOf } from '@/shop/room';
import { FIXTURES } from './fixtures';
import { migrate, type AnyTables } from '.';
import v10 from './fixtures/v10.json';

interface OldCoat {
  readonly id: string;
  readonly resinId: string;
  readonly pouredMs: number | null;
  readonly history: readonly TemperatureStep[];
}
const HOUR = 3_600_000;

const sheetOf = (tables: AnyTables, id: string): ResinSheet =>
  (tables['resins'] as { id: string; sheet: ResinSheet }[]).find((r) => r.id === id)
    ?.sheet as ResinSheet;
const roomAfter = (tables: AnyTables) => roomOf(tables['room'] as unknown as RoomDay[]);

/** Every window of every coat that was poured: by its own record as it was, and by the one record of the room. */
function windows(before: AnyTables) {
  const after = migrate(before, 10);
  const room = roomAfter(after);
  return (before['coats'] as OldCoat[]).flatMap(({ id, resinId, pouredMs, history }) => {
    if (pouredMs === null) return [];
    const sheet = sheetOf(before, resinId);
    const coat = (after['coats'] as Coat[]).find((c) => c.id === id) as Coat;
    const was = coatClock({ startMs: pouredMs, nowMs: pouredMs, history, sheet });
    const is = clockOf(coat, sheet, room, pouredMs);
    return [{ was: was.windows.map((w) => w.opensMs), is: is?.windows.map((w) => w.opensMs) }];
  });
}
const tables = v10.tables as unknown as AnyTables;

describe('version 11: one record of the room', () => {
  it('the coats of a shop of version 10 say the same times', () => {
    const all = windows(tables);
    expect(all.length).toBeGreaterThan(3);
    for (const { was, is } of all) was.forEach((ms, i) => expect(is?.[i]).toBeCloseTo(ms, -1));
  });
  it('also where a coat’s own record says what the room’s does not', () => {
    const [first] = (tables['coats'] as OldCoat[]).filter((c) => c.pouredMs !== null);
    if (!first) throw new Error('fixture changed');
    const pouredMs = first.pouredMs ?? 0;
    const apart = [
      [{ fromMs: pouredMs, temperatureK: 301.15 }],
      [
        { fromMs: pouredMs, temperatureK: 285.15 },
        { fromMs: pouredMs + 3 * HOUR, temperatureK: 299.15 },
        { fromMs: pouredMs + 9 * HOUR, temperatureK: 289.15 },
      ],
    ];
    const air = [-5, 1, 4, 30].map((h, i) => ({
      ...{ id: `air-${i}`, fromMs: pouredMs + h * HOUR, temperatureK: 290.15 + i },
      ...{ humidity: 0.5, surfaceK: null },
    }));
    for (const history of apart)
      for (const { was, is } of windows({ ...tables, air, coats: [{ ...first, history }] }))
        was.forEach((ms, i) => expect(is?.[i]).toBeCloseTo(ms, -1));
  });
  it('what dries says the same time; every reading is there, and who read it', () => {
    const room = roomAfter(migrate(tables, 10));
    const air = tables['air'] as { fromMs: number; temperatureK: number; humidity: number }[];
    const paste = { labelS: 86_400, thicknessM: 1e-3, leaves: 'water' } as const;
    for (const { fromMs } of air)
      expect(dryTime(paste, fromMs, room.read, fromMs).dryMs).toBeCloseTo(
        dryTime(paste, fromMs, air, fromMs).dryMs,
        -1,
      );
    const kept = room.days.flatMap(readingsOf);
    for (const { fromMs, temperatureK } of air)
      expect(kept).toContainEqual(expect.objectContaining({ atMs: fromMs, temperatureK }));
    expect(new Set(kept.map((r) => r.source.by))).toContain('Ines');
  });
  it('what only sessions and settings held is kept, and moves nothing', () => {
    const settings = [{ ...(tables['settings']?.[0] as object), roomTemperatureK: 300.15 }];
    const sessions = [{ ...(tables['sessions']?.[0] as object), temperatureK: 301.15 }];
    const plain = roomAfter(migrate(tables, 10));
    const room = roomAfter(migrate({ ...tables, settings, sessions }, 10));
    expect(room.steps).toEqual(plain.steps);
    const out = room.days.flatMap(readingsOf).filter((r) => r.source.out);
    expect(out.map((r) => r.temperatureK).sort()).toEqual([300.15, 301.15]);
  });
  it.each(Object.keys(FIXTURES).map(Number))(
    'every row of version %i passes the schemas of today',
    (v) => {
      for (const day of migrate(FIXTURES[v] ?? {}, v)['room'] ?? [])
        expect(rowFaults('room', day)).toEqual([]);
    },
  );
});
