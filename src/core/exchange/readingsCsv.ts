import Papa from 'papaparse';
import { ICE_POINT_K } from '../units';

/** A reading out of a file. */
export interface CsvReading {
  readonly atMs: number;
  readonly temperatureK: number;
  readonly humidity: number | null;
  readonly surfaceK: number | null;
}

/** Why a row tells nothing. */
export type RowFault =
  'no time' | 'no temperature' | 'a time that the clock skipped' | 'still to come' | 'before 2000';

export interface ReadingsCsv {
  /** Oldest first. */
  readonly readings: readonly CsvReading[];
  /** Rows that tell nothing, by their line in the file, from 1. */
  readonly bad: readonly {
    readonly line: number;
    readonly fault: RowFault;
    readonly text: string;
  }[];
  /** Names of the columns that were read. */
  readonly columns: Readonly<Record<Column, string | null>>;
  /** Days and months could not be told apart: they were read as the options say. */
  readonly ambiguous: boolean;
  /** Longest stretches without a reading, longest first. */
  readonly gaps: readonly { readonly fromMs: number; readonly toMs: number }[];
}

export interface CsvOptions {
  readonly nowMs: number;
  /** Minutes that local time is ahead of UTC at an instant. */
  readonly offsetMinAt: (atMs: number) => number;
  /** 3/4/2026 is the third of April. */
  readonly dayFirst: boolean;
}

const COLUMNS = ['time', 'date', 'temperature', 'humidity', 'surface'] as const;
type Column = (typeof COLUMNS)[number];
/** Words in the head of a column; surface before temperature, date before time. */
const HEADS: readonly (readonly [Column, RegExp])[] = [
  ['surface', /surface|board|infrared|oberfl/i],
  ['temperature', /temp|°\s*[cf]|celsius|fahrenheit/i],
  ['humidity', /hum|\brh\b|r\.h\.|feucht/i],
  ['time', /time|timestamp|zeit|uhr|heure|instant|created/i],
  ['date', /date|datum|day|tag/i],
];
const FAHRENHEIT = /°\s*f\b|fahrenheit|[(\[_ ]f[)\]]?$/i;
/** A room that is read in the fifties and above is told in °F. Judgement, no source. */
const TOO_WARM_C = 50;
/** A stretch without a reading that is told, and how many are, ms. Judgement, no source. */
const GAP = { leastMs: 6 * 3_600_000, most: 5 } as const;
const FIRST_MS = Date.UTC(2000, 0, 1);
/** A device's clock may be a little ahead, ms. Judgement, no source. */
const AHEAD_MS = 120_000;

/** What a clock on the wall said: local, unless it names its offset. */
interface Wall {
  /** The wall's date and time as if it were UTC, ms. */
  readonly asUtcMs: number;
  /** Minutes ahead of UTC, where the text says so. */
  readonly offsetMin: number | null;
}

const ISO =
  /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})(?:[T ]+(\d{1,2}):(\d{2})(?::(\d{2})(?:[.,]\d+)?)?)?\s*(Z|UTC|[+-]\d{2}:?\d{2})?$/i;
const DAY_MONTH =
  /^(\d{1,2})[./-](\d{1,2})[./-](\d{4})(?:[T ,]+(\d{1,2})[:.](\d{2})(?:[:.](\d{2}))?\s*(am|pm)?)?\s*(Z|UTC|[+-]\d{2}:?\d{2})?$/i;

function offsetOf(text: string | undefined): number | null {
  if (!text) return null;
  const found = /([+-])(\d{2}):?(\d{2})/.exec(text);
  if (!found) return 0;
  return (found[1] === '-' ? -1 : 1) * (Number(found[2]) * 60 + Number(found[3]));
}

/** A wall clock from its parts; null where there is no such day or hour. */
function wallOf(
  [year, month, day]: readonly number[],
  [hour = 0, minute = 0, second = 0]: readonly number[],
  offsetMin: number | null,
): Wall | null {
  const asUtcMs = Date.UTC(year ?? NaN, (month ?? NaN) - 1, day, hour, minute, second);
  const back = new Date(asUtcMs);
  const real =
    back.getUTCMonth() === (month ?? NaN) - 1 &&
    back.getUTCDate() === day &&
    hour < 24 &&
    minute < 60;
  return real && second < 60 ? { asUtcMs, offsetMin } : null;
}

const numbers = (parts: readonly (string | undefined)[]) => parts.map((p) => Number(p ?? 0));

function readWall(text: string, dayFirst: boolean): Wall | null {
  const trimmed = text.trim();
  if (/^\d{10}(?:\d{3})?$/.test(trimmed))
    return { asUtcMs: Number(trimmed) * (trimmed.length === 10 ? 1000 : 1), offsetMin: 0 };
  const iso = ISO.exec(trimmed);
  if (iso) return wallOf(numbers(iso.slice(1, 4)), numbers(iso.slice(4, 7)), offsetOf(iso[7]));
  const told = DAY_MONTH.exec(trimmed);
  if (!told) return null;
  const [a = NaN, b = NaN, year = NaN] = numbers(told.slice(1, 4));
  const [h = 0, minute = 0, second = 0] = numbers(told.slice(4, 7));
  const half = told[7]?.toLowerCase();
  const hour = half ? (h % 12) + (half === 'pm' ? 12 : 0) : h;
  const first = a > 12 || (b <= 12 && dayFirst);
  const date = first ? [year, b, a] : [year, a, b];
  return wallOf(date, [hour, minute, second], offsetOf(told[8]));
}

/** Which of the two it may be; the hour that is told twice in autumn is the later one once the rows have passed it. */
function instantAt(
  { asUtcMs, offsetMin }: Wall,
  offsetMinAt: CsvOptions['offsetMinAt'],
  afterMs: number,
): number | null {
  if (offsetMin !== null) return asUtcMs - offsetMin * 60_000;
  const near = [asUtcMs - 86_400_000, asUtcMs + 86_400_000].map(offsetMinAt);
  const may = [...new Set(near)]
    .map((offset) => asUtcMs - offset * 60_000)
    .filter((atMs) => asUtcMs - offsetMinAt(atMs) * 60_000 === atMs)
    .sort((a, b) => a - b);
  return may.find((atMs) => atMs > afterMs) ?? may[0] ?? null;
}

const decimal = (text: string | undefined): number =>
  text === undefined || text.trim() === ''
    ? NaN
    : Number(
        text
          .trim()
          .replace(',', '.')
          .replace(/\s*(°\s*[CF]|%|C|F)$/i, ''),
      );

/** Columns by the words in their heads; by what stands in them where there is no head. */
function placeColumns(head: readonly string[], dayFirst: boolean): Map<Column, number> {
  const at = new Map<Column, number>();
  const isHead = head.every((cell) => !readWall(cell, dayFirst) && Number.isNaN(decimal(cell)));
  if (isHead) {
    for (const [i, cell] of head.entries()) {
      const column = HEADS.find(([c, words]) => !at.has(c) && words.test(cell))?.[0];
      if (column) at.set(column, i);
    }
    return at;
  }
  const time = head.findIndex((cell) => readWall(cell, dayFirst) !== null);
  const figures = head.flatMap((cell, i) =>
    i !== time && Number.isFinite(decimal(cell)) ? [i] : [],
  );
  if (time >= 0) at.set('time', time);
  for (const [n, column] of (['temperature', 'humidity', 'surface'] as const).entries()) {
    const i = figures[n];
    if (i !== undefined) at.set(column, i);
  }
  return at;
}

/** No date of the file has a part above 12 that would tell days from months. */
function isAmbiguous(texts: readonly string[]): boolean {
  const parts = texts.flatMap((t) => {
    const found = DAY_MONTH.exec(t.trim());
    return found && !found[0].includes('.') ? [[Number(found[1]), Number(found[2])]] : [];
  });
  return parts.length > 0 && parts.every(([a = 0, b = 0]) => a <= 12 && b <= 12);
}

function gapsIn(readings: readonly CsvReading[]): ReadingsCsv['gaps'] {
  return readings
    .flatMap((r, i) => {
      const next = readings[i + 1];
      return next && next.atMs - r.atMs >= GAP.leastMs ? [{ fromMs: r.atMs, toMs: next.atMs }] : [];
    })
    .sort((a, b) => b.toMs - b.fromMs - (a.toMs - a.fromMs))
    .slice(0, GAP.most);
}

const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

interface Row {
  readonly line: number;
  readonly cells: readonly string[];
  readonly text: string;
}

function rowsOf(text: string): { readonly rows: readonly Row[]; readonly head: readonly string[] } {
  const { data } = Papa.parse<string[]>(text.replace(/^\ufeff/, ''), { skipEmptyLines: false });
  const all = data.map((cells, i): Row => ({ line: i + 1, cells, text: cells.join(' · ') }));
  const rows = all.filter((r) => r.cells.some((c) => c.trim() !== ''));
  return { rows, head: rows[0]?.cells ?? [] };
}

/** Kelvin of what stands in a column. */
function scaleOf(head: string | undefined, values: readonly number[]): (value: number) => number {
  const fahrenheit =
    FAHRENHEIT.test(head ?? '') || median(values.filter(Number.isFinite)) > TOO_WARM_C;
  return (value) => (fahrenheit ? (value - 32) / 1.8 : value) + ICE_POINT_K;
}

/**
 * Readings of a room out of the text of a CSV file: columns in any order, told by their heads; comma, semicolon or tab
 * between them; decimal comma; °C or °F; % or shares; ISO, 24.11.2026 13:30, 11/24/2026 1:30 PM, seconds since 1970;
 * with an offset or in local time.
 * @returns readings oldest first, and every row that tells none with its reason; values are kept as they were read
 */
export function readReadingsCsv(text: string, options: CsvOptions): ReadingsCsv {
  const { nowMs, offsetMinAt, dayFirst } = options;
  const { rows, head } = rowsOf(text);
  const at = placeColumns(head, dayFirst);
  const named = head.every((cell) => !readWall(cell, dayFirst) && Number.isNaN(decimal(cell)));
  const cell = (row: Row, column: Column): string | undefined => {
    const i = at.get(column);
    return i === undefined ? undefined : row.cells[i];
  };
  const timeText = (row: Row) =>
    [cell(row, 'date'), cell(row, 'time')].filter((t) => t !== undefined).join(' ');
  const body = named ? rows.slice(1) : rows;
  const column = (name: Column) => body.map((row) => decimal(cell(row, name)));
  const headOf = (name: Column) => (named ? head[at.get(name) ?? -1] : undefined);
  const kelvin = scaleOf(headOf('temperature'), column('temperature'));
  const surfaceKelvin = scaleOf(headOf('surface'), column('surface'));
  const humidities = column('humidity').filter(Number.isFinite);
  const share = humidities.every((h) => h <= 1) ? 1 : 0.01;
  const walls = body.map((row) => ({ row, wall: readWall(timeText(row), dayFirst) }));
  const known = walls.flatMap(({ wall }) => (wall ? [wall.asUtcMs] : []));
  // The hour that comes twice is told apart by the order of the rows.
  const ordered = (known[0] ?? 0) > (known.at(-1) ?? 0) ? [...walls].reverse() : walls;
  const readings: CsvReading[] = [];
  const bad: { line: number; fault: RowFault; text: string }[] = [];
  let lastMs = -Infinity;
  for (const { row, wall } of ordered) {
    const fail = (fault: RowFault) => bad.push({ line: row.line, fault, text: row.text });
    const temperature = decimal(cell(row, 'temperature'));
    const atMs = wall && instantAt(wall, offsetMinAt, lastMs);
    if (!wall) fail('no time');
    else if (atMs === null) fail('a time that the clock skipped');
    else if (!Number.isFinite(temperature)) fail('no temperature');
    else if (atMs > nowMs + AHEAD_MS) fail('still to come');
    else if (atMs < FIRST_MS) fail('before 2000');
    else {
      lastMs = atMs;
      const [humidity, surface] = [decimal(cell(row, 'humidity')), decimal(cell(row, 'surface'))];
      readings.push({
        ...{ atMs, temperatureK: kelvin(temperature) },
        humidity: Number.isFinite(humidity) ? humidity * share : null,
        surfaceK: Number.isFinite(surface) ? surfaceKelvin(surface) : null,
      });
    }
  }
  readings.sort((a, b) => a.atMs - b.atMs);
  return {
    ...{ readings, bad: bad.sort((a, b) => a.line - b.line) },
    columns: Object.fromEntries(
      COLUMNS.map((c) => [c, at.has(c) ? (headOf(c) ?? `column ${(at.get(c) ?? 0) + 1}`) : null]),
    ) as ReadingsCsv['columns'],
    ambiguous: isAmbiguous(body.map(timeText)),
    gaps: gapsIn(readings),
  };
}
