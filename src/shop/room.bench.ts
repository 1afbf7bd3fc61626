import { DEMO_RESINS } from '@/demo/resins';
import { asId, COATS, plainCoat, roomDays, withReadings, type Coat, type RoomDay } from '@/records';
import { clockOf } from './clockOf';
import { roomOf } from './room';

const MINUTE = 60_000;
const DAY = 86_400_000;
const NOW = Date.UTC(2026, 10, 24, 13, 30);
const SOURCE = { how: 'sensor', by: 'shelf', coatId: null, out: false } as const;
const COUNT = 200;

/** A month of one-minute readings that swing by the day. */
function month(): readonly RoomDay[] {
  return roomDays(
    Array.from({ length: 30 * 1440 }, (_, i) => {
      const atMs = NOW - (30 * 1440 - i) * MINUTE;
      const swing = 2 * Math.sin((atMs / DAY) * 2 * Math.PI) + 0.05 * Math.sin(i * 1.7);
      return {
        ...{ atMs, temperatureK: 293.15 + swing, humidity: 0.5, surfaceK: null, source: SOURCE },
      };
    }),
  );
}

const coats: readonly Coat[] = Array.from({ length: COUNT }, (_, i) => {
  const pouredMs = NOW - ((i + 1) * 5 * DAY) / COUNT;
  return {
    ...{ ...COATS.defaults, ...plainCoat(1.6e-3), id: asId<'coat'>(`c${i}`), name: 'Flood' },
    ...{ pieceId: asId<'piece'>('p'), areaIds: [], order: 1 },
    ...{ resinId: asId<'resin'>('r'), mixedMs: pouredMs - 10 * MINUTE, pouredMs },
  } as Coat;
});
const sheets = DEMO_RESINS.map((r) => r.sheet);

/** State at now of every coat that cures. */
function states(days: readonly RoomDay[], nowMs: number): number {
  const room = roomOf(days);
  return coats.filter((coat, i) => {
    const sheet = sheets[i % sheets.length];
    return sheet && clockOf(coat, sheet, room, nowMs)?.state !== 'fully cured';
  }).length;
}

const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

const timed = (work: () => unknown): number => {
  const start = performance.now();
  work();
  return performance.now() - start;
};

/** What a new reading costs, and what a whole month costs when it is read for the first time. */
export function rows() {
  const whole = median(
    Array.from({ length: 5 }, () => {
      const days = month();
      return timed(() => states(days, NOW));
    }),
  );
  let days = month();
  states(days, NOW);
  const each = Array.from({ length: 21 }, (_, i) => {
    const atMs = NOW + i * MINUTE;
    const reading = { atMs, temperatureK: 293 + i / 50, humidity: 0.5, surfaceK: null };
    return timed(() => {
      const { changed } = withReadings(days, [{ ...reading, source: SOURCE }]);
      const ids = new Set(changed.map((d) => d.id));
      days = [...days.filter((d) => !ids.has(d.id)), ...changed];
      if (states(days, atMs) === 0) throw new Error('nothing cures');
    });
  });
  return [
    {
      name: `${COUNT} curing coats, a new reading after 30 days of one-minute readings`,
      figure: Math.round(median(each)),
      unit: 'ms',
      limit: '<= 50',
    },
    {
      name: `the same from the rows of the month, first time`,
      figure: Math.round(whole),
      unit: 'ms',
      limit: '<= 1000',
    },
    {
      name: 'the record of that month alone, as the first screen asks for it',
      figure: Math.round(
        median(
          Array.from({ length: 9 }, () => {
            const rows = month();
            return timed(() => roomOf(rows));
          }),
        ),
      ),
      unit: 'ms',
      limit: '<= 20',
    },
  ];
}
