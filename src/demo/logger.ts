import { saturationPressure } from '@/core/climate';
import type { SourcedReading } from '@/records';

const HALF_HOUR = 1_800_000;
const DAY = 86_400_000;
const C = 273.15;
const SOURCE = { how: 'file', by: 'bench-shelf-logger.csv', coatId: null, out: false } as const;
/** Outside air, its vapour the same indoors, hPa, by days before the story ends: it turned damp six days ago. */
const VAPOUR: readonly (readonly [days: number, hPa: number])[] = [
  [30, 12.2],
  [17, 11.6],
  [6.5, 14.2],
  [2, 13.4],
  [0.4, 14.6],
  [-1, 14.6],
];
/** Mean of the room by days before the end; nobody heated it the night before last. */
const MEAN: readonly (readonly [days: number, celsius: number])[] = [
  [30, 20.4],
  [17, 20.6],
  [16, 19],
  [9, 19.6],
  [6.5, 20.8],
  [2, 20.6],
  [1.7, 17.2],
  [1.3, 18],
  [0.9, 21.4],
  [-1, 21.6],
];

/** Straight between the marks. */
function between(marks: readonly (readonly [number, number])[], days: number): number {
  const after = marks.findIndex(([at]) => at <= days);
  const [a, b] = [marks[after - 1], marks[after]];
  if (!a) return marks[0]?.[1] ?? NaN;
  if (!b) return marks.at(-1)?.[1] ?? NaN;
  return a[1] + ((b[1] - a[1]) * (a[0] - days)) / (a[0] - b[0]);
}

/** A walk that is the same for the same reading, −½…½. */
const wobble = (i: number): number => Math.sin(i * 2.4) * 0.3 + Math.sin(i * 0.71) * 0.2;

/** A month of an invented logger on the shelf over the bench, every half hour, with one reading of a loose wire. */
function loggerMonth(endMs: number): readonly SourcedReading[] {
  const count = (30 * DAY) / HALF_HOUR;
  return Array.from({ length: count }, (_, i): SourcedReading => {
    const atMs = endMs - (count - i) * HALF_HOUR + HALF_HOUR / 2;
    const days = (endMs - atMs) / DAY;
    // Warmest in the afternoon, when the story ends.
    const swing = 0.9 * Math.cos((days + 0.06) * 2 * Math.PI);
    const celsius = between(MEAN, days) + swing + 0.4 * wobble(i);
    const loose = i === 900;
    const humidity = (between(VAPOUR, days) * 100) / saturationPressure(celsius + C);
    return {
      atMs,
      temperatureK: Math.round((loose ? -60 : celsius) * 10) / 10 + C,
      humidity: loose ? 1.4 : Math.round(humidity * 100) / 100,
      surfaceK: null,
      source: SOURCE,
    };
  });
}

/** The month as it is read out now and then, each time what the logger has since the last. */
export function loggerReadOuts(endMs: number, instants: readonly number[]) {
  const month = loggerMonth(endMs);
  return instants.map((atMs, i) => {
    const sinceMs = instants[i - 1] ?? 0;
    return { atMs, readings: month.filter((r) => r.atMs > sinceMs && r.atMs <= atMs) };
  });
}
