import { believedHumidity, dewPoint, forecastSpread, type AirStep } from '@/core/climate';
import type { Explanation } from '@/core/explain';
import {
  DEW_MARGIN_K,
  dewExplanation,
  dewMargin,
  dryingRate,
  dryingRateExplanation,
  METER_K,
} from '@/core/prep';
import { readingsOf, type RoomDay, type SourcedReading } from '@/records';
import { pieceViews } from '@/shop/coatView';
import { airAt } from '@/shop/prepFacts';
import { doubtsOfDay, roomAir, type Room } from '@/shop/room';
import type { Shop } from '@/shop/shop';

const HOUR = 3_600_000;

/** How far the chart looks, hours back and ahead of now. */
export const SPANS = [
  { id: 'day', label: 'a day', backH: 24, aheadH: 24 },
  { id: 'days', label: '3 days', backH: 72, aheadH: 48 },
  { id: 'month', label: 'a month', backH: 30 * 24, aheadH: 72 },
] as const;
export type SpanId = (typeof SPANS)[number]['id'];

/** One instant of the chart, K and shares; what is read and what is forecast stand apart. */
export interface ChartPoint {
  readonly atMs: number;
  readonly readK: number | null;
  readonly dewK: number | null;
  readonly humidity: number | null;
  readonly aheadK: number | null;
  /** Nine rooms in ten. */
  readonly bandK: readonly [number, number] | null;
}

const NINE_IN_TEN = 1.645;
/** More points than this no screen shows. */
const MOST_POINTS = 500;

function thinned(steps: readonly AirStep[]): readonly AirStep[] {
  const every = Math.ceil(steps.length / MOST_POINTS);
  return every <= 1 ? steps : steps.filter((_, i) => i % every === 0 || i === steps.length - 1);
}
const dew = (air: AirStep): number | null =>
  air.humidity > 0 && air.humidity <= 1 && air.temperatureK <= 333 ? dewPoint(air) : null;

/** Points of the chart between two instants. */
export function chartPoints(room: Room, fromMs: number, toMs: number): ChartPoint[] {
  const before = room.read.findLast((s) => s.fromMs <= fromMs);
  const read = thinned(room.read.filter((s) => s.fromMs > fromMs && s.fromMs <= toMs));
  const none = { readK: null, dewK: null, humidity: null, aheadK: null, bandK: null };
  const told = [...(before ? [{ ...before, fromMs }] : []), ...read].map((s): ChartPoint => ({
    ...{ ...none, atMs: s.fromMs, readK: s.temperatureK, humidity: s.humidity, dewK: dew(s) },
  }));
  const last = room.read.at(-1);
  if (!last || last.fromMs > toMs) return told;
  const steps = room.forecast.byPattern
    ? room.forecast.steps.filter((s) => s.fromMs <= toMs)
    : [{ ...last, fromMs: toMs }];
  const ahead = [last, ...steps].map((s): ChartPoint => {
    const spread = NINE_IN_TEN * forecastSpread(room.forecast, (s.fromMs - last.fromMs) / HOUR);
    return {
      ...{ ...none, atMs: s.fromMs, aheadK: s.temperatureK },
      bandK: [s.temperatureK - spread, s.temperatureK + spread],
    };
  });
  return [...told, ...ahead.filter((p) => p.atMs >= fromMs)];
}

/** A coat on the chart: when it was wet, and when it may be coated again without sanding. */
export interface CoatRow {
  readonly name: string;
  readonly wet: readonly [number, number];
  readonly recoat: readonly [number, number];
}

/** Coats whose wet span or window touches the chart, newest first. */
export function coatRows(shop: Shop, nowMs: number, fromMs: number, toMs: number): CoatRow[] {
  return pieceViews(shop, nowMs)
    .flatMap((p) => p.coats)
    .flatMap(({ coat, piece, clock }): (CoatRow & { pouredMs: number })[] => {
      const recoat = clock?.windows.find((w) => w.kind === 'recoat');
      const set = clock?.spans[0]?.toMs;
      if (coat.pouredMs === null || !recoat || typeof set !== 'number') return [];
      const shuts = recoat.closesMs ?? recoat.opensMs;
      if (shuts < fromMs || coat.pouredMs > toMs) return [];
      const clip = (a: number, b: number): [number, number] => [
        Math.min(toMs, Math.max(fromMs, a)),
        Math.min(toMs, Math.max(fromMs, b)),
      ];
      return [
        {
          name: `${piece.name}, ${coat.name}`,
          wet: clip(coat.pouredMs, set),
          recoat: clip(recoat.opensMs, shuts),
          pouredMs: coat.pouredMs,
        },
      ];
    })
    .sort((a, b) => b.pouredMs - a.pouredMs)
    .slice(0, 6);
}

export interface RoomTile {
  readonly id: 'temperature' | 'humidity' | 'dew' | 'surface' | 'blush' | 'drying';
  readonly label: string;
  /** A figure in SI where there is one, with what it is. */
  readonly value: number | null;
  readonly words: string;
  readonly verdict: 'plain' | 'fine' | 'watch' | 'stop';
  /** How it is worked out; left out for what was read. */
  readonly explanation?: Explanation;
}

/** What the room is now, in six figures. */
export function roomTiles(room: Room, nowMs: number): readonly RoomTile[] {
  const air = airAt(room, nowMs);
  const known = room.last !== null && air !== null;
  const here = air ?? { ...roomAir(room), surfaceK: null };
  const margin = air && room.last?.humidity !== null ? dewMargin({ air }) : null;
  const verdict =
    margin === null
      ? 'plain'
      : margin.marginK < DEW_MARGIN_K
        ? 'stop'
        : margin.marginK < DEW_MARGIN_K + METER_K
          ? 'watch'
          : 'fine';
  const plain = { verdict: 'plain' } as const;
  const rate = dryingRate(here);
  return [
    {
      ...{ id: 'temperature', label: 'Air', value: here.temperatureK, ...plain },
      words: known ? 'as it was read last' : 'taken as usual: nobody read it',
    },
    {
      ...{ id: 'humidity', label: 'Humidity', value: here.humidity, ...plain },
      words: room.last?.humidity === null || !known ? 'taken as usual: not read' : 'relative',
    },
    {
      ...{ id: 'dew', label: 'Dew point', value: margin?.dewK ?? null, ...plain },
      ...(air && margin && { explanation: dewExplanation(air, margin) }),
      words: margin ? 'water settles below it' : 'needs the humidity',
    },
    {
      ...{ id: 'surface', label: 'Surface above it', value: margin?.marginK ?? null, verdict },
      words: !margin ? 'needs the humidity' : margin.read ? 'as read' : 'taken as warm as the air',
    },
    {
      ...{ id: 'blush', label: 'Blush, clouding', value: null, verdict },
      words: { plain: 'not known', fine: 'small', watch: 'watch it', stop: 'high: do not coat' }[
        verdict
      ],
    },
    {
      ...{ id: 'drying', label: 'Paint and glue dry', value: rate, ...plain },
      explanation: dryingRateExplanation(here, known && room.last?.humidity !== null),
      words: rate === 0 ? 'not at all in this air' : 'times as fast as their labels say',
    },
  ];
}

export interface RecordRow {
  readonly reading: SourcedReading;
  readonly doubt: string | null;
}

const DOUBTS = {
  'no room so warm or cold': 'no room is like that: not believed',
  jump: 'jumps out and back: not believed',
  stuck: 'the same for half a day: not believed',
  'same instant': 'read again for this instant',
} as const;

/** The newest readings with what is not believed of them, newest first. */
export function recordRows(days: readonly RoomDay[], most: number): RecordRow[] {
  const rows: RecordRow[] = [];
  for (const day of [...days].reverse()) {
    const doubts = doubtsOfDay(day);
    readingsOf(day)
      .map((reading, i): RecordRow => {
        const doubt = doubts[i] ?? null;
        const out = reading.source.out ? 'taken out' : null;
        const wet = reading.humidity !== null && believedHumidity(reading.humidity) === null;
        return {
          reading,
          doubt: out ?? (doubt ? DOUBTS[doubt] : wet ? 'humidity cannot be: not believed' : null),
        };
      })
      .reverse()
      .forEach((row) => rows.push(row));
    if (rows.length >= most) break;
  }
  return rows.slice(0, most);
}

/** Files and devices in the record, with how many readings each gave. */
export function sourcesOf(days: readonly RoomDay[]) {
  const found = new Map<string, { how: string; by: string; out: boolean; count: number }>();
  for (const day of days)
    for (const [i, source] of day.sources.entries()) {
      if (source.how === 'typed' || source.how === 'kept') continue;
      const key = `${source.how}/${source.by}/${source.out}`;
      const count = day.source.filter((s) => s === i).length;
      const before = found.get(key) ?? {
        how: source.how,
        by: source.by,
        out: source.out,
        count: 0,
      };
      found.set(key, { ...before, count: before.count + count });
    }
  return [...found.values()];
}
