import { allFaults } from '@/data/exchange/faultSteps';
import { readFileSync } from 'node:fs';
import { outlineFromDrawing, readDxf, readSvg } from '@/core/exchange';
import { readReadingsCsv } from '@/core/exchange/readingsCsv';
import { measureShape, workRegion } from '@/core/geometry';
import { seededRandom } from '@/core/numeric';
import { readBundle } from '@/data/exchange/bundle';
import { compareBundle } from '@/data/exchange/bundle/threeWay';
import type { AnyTables } from '@/data/migrations';
import { calendarText } from '@/features/book/calendarFile';
import { CSV_TABLES, csvTable } from '@/features/book/csvTables';
import { formatOf } from '@/features/common/useFormat';
import { readPieceList, type ListedPiece } from '@/features/survey/pieceList';
import { DEFAULT_SETTINGS } from '@/records';
import { shopDates } from '@/shop/calendar';
import { hostileBundle } from './bundles';
import { readShopFile } from '@/data/exchange/shopFile';
import { shopOf, tryShop } from '@/features/everyView/tryShop';
import { LARGEST_ANSWER, serveJob } from '@/workers/serveJob';
import { brokenViews } from './everyView';
import { hostileList } from './lists';
import { hostileDxf, hostileRequest, hostileShop, hostileSvg, smallShop } from './inputs';

/** Limits of one input. */
export const HOSTILE_LIMITS = { ms: 2000, bytes: 500e6 } as const;

export interface HostileRow {
  readonly what: string;
  readonly inputs: number;
  accepted: number;
  refused: number;
  slowestMs: number;
  largestBytes: number;
  /** Seeds whose input was accepted and cannot be shown, threw, or broke a limit; with why. */
  readonly wrong: string[];
}

/** What became of one input: nothing to say, or what is wrong with that. */
type Verdict = { readonly accepted: boolean; readonly wrong?: string };
type Attempt = (random: () => number) => Verdict | Promise<Verdict>;

export { hostilePhoto } from './photos';

const nowMs = Date.UTC(2026, 10, 25, 12);
const faultless = (faults: readonly { path: unknown; message: string }[]): string | undefined =>
  faults.length === 0 || faults.some((f) => typeof f.message !== 'string' || f.message === '')
    ? 'refused without words'
    : undefined;
const because = (wrong: string | undefined, accepted: boolean): Verdict =>
  wrong === undefined ? { accepted } : { accepted, wrong };

function shopAttempt(): Attempt {
  const base = smallShop();
  return async (random) => {
    const read = await readShopFile(hostileShop(random, base));
    if (!read.ok) return because(faultless(read.faults), false);
    const tried = await allFaults(tryShop(read.tables, nowMs));
    if (tried.length > 0) return because(faultless(tried), false);
    const broken = brokenViews(shopOf(read.tables));
    return because(broken[0] && `accepted, but ${broken[0]}`, true);
  };
}

/** A bundle that is taken is one that can be merged and shown; its dates go into a calendar, its tables into CSV. */
function bundleAttempt(): Attempt {
  const base = smallShop();
  return async (random) => {
    const read = await readBundle(hostileBundle(random, base), () => Promise.resolve());
    if (!read.ok) return because(faultless(read.faults), false);
    const tables = read.bundle.rows as unknown as AnyTables;
    const tried = await allFaults(tryShop(tables, nowMs));
    if (tried.length > 0) return because(faultless(tried), false);
    const shop = shopOf(tables);
    const plan = compareBundle(read.bundle.rows, read.bundle.rows, {});
    if (plan.some((u) => u.fate !== 'same'))
      return because('accepted, but it differs from itself', true);
    const dates = shopDates(shop, nowMs);
    const told = calendarText(dates, nowMs).match(/BEGIN:VEVENT/g)?.length ?? 0;
    if (told !== dates.length) return because('accepted, but its calendar lacks a date', true);
    for (const table of CSV_TABLES) csvTable(table, shop, nowMs);
    const broken = brokenViews(shop);
    return because(broken[0] && `accepted, but ${broken[0]}`, true);
  };
}

function drawingAttempt(read: typeof readSvg, make: (random: () => number) => string): Attempt {
  return (random) => {
    const found = read(make(random));
    if (!found.ok)
      return because(found.issues.length === 0 ? 'refused without words' : undefined, false);
    const { shapes, unitM } = found.value;
    const closed = shapes.flatMap((s, i) => (s.closed ? [i] : []));
    const [outer = 0, ...others] = closed;
    const made = outlineFromDrawing(
      shapes,
      { outer, bare: others.slice(0, 3), recess: others.slice(3, 5) },
      unitM ?? 1e-3,
    );
    if (!made.ok) return { accepted: false };
    const { areaM2, perimeterM } = measureShape(made.value.outline);
    const region = workRegion([{ shape: made.value.outline, at: [0, 0] }]);
    const sound = areaM2 >= 0 && perimeterM > 0 && Number.isFinite(region.areaM2);
    return because(sound ? undefined : `accepted with area ${areaM2}`, true);
  };
}

const METRIC = formatOf(DEFAULT_SETTINGS);
/** What is wrong with what was made of a list of pieces; undefined: nothing. */
function wrongPiece({ line, survey, faults }: ListedPiece): string | undefined {
  if (!survey) return faults.some((f) => f.trim() !== '') ? undefined : `line ${line}: no words`;
  const areas = survey.areas.map(({ shape }) => measureShape(shape));
  const sound = areas.every((m) => m.areaM2 > 0 && m.perimeterM > 0);
  return sound && survey.name !== '' ? undefined : `line ${line} is accepted and is nothing`;
}

/** A table is read as a list of pieces and as the readings of a logger; what is taken can be measured and is in order. */
function listAttempt(): Attempt {
  return (random) => {
    const text = hostileList(random);
    const { rows } = readPieceList(text, METRIC);
    const wrong = rows.map(wrongPiece).find((w) => w !== undefined);
    if (wrong) return because(wrong, true);
    const { readings } = readReadingsCsv(text, { nowMs, offsetMinAt: () => 0, dayFirst: true });
    const odd = readings.some(
      (r, i) =>
        !(r.temperatureK > 0) || r.atMs < (readings[i - 1]?.atMs ?? 0) || r.atMs > nowMs + 6e5,
    );
    const accepted = readings.length > 0 || rows.some((r) => r.survey !== null);
    return because(
      odd ? 'accepted, but its readings are out of order or of sense' : undefined,
      accepted,
    );
  };
}

function requestAttempt(): Attempt {
  const text = readFileSync('docs/api.md', 'utf8');
  const examples = [...text.matchAll(/```json request\n([\s\S]*?)```/g)].map(
    ([, json = '']) => JSON.parse(json) as unknown,
  );
  return (random) => {
    const { status, body } = serveJob(hostileRequest(random, examples));
    if (body.length > LARGEST_ANSWER) return { accepted: true, wrong: 'too large an answer' };
    if (status === 200) return { accepted: true };
    const { faults } = JSON.parse(body) as { faults: { path: unknown; message: string }[] };
    return because(
      status === 400 || status === 422 ? faultless(faults) : `status ${status}`,
      false,
    );
  };
}

async function run(
  what: string,
  seed: number,
  inputs: number,
  attempt: Attempt,
  limitMs: number,
): Promise<HostileRow> {
  const row: HostileRow = {
    ...{ what, inputs, accepted: 0, refused: 0, slowestMs: 0, largestBytes: 0 },
    wrong: [],
  };
  for (let i = 0; i < inputs; i += 1) {
    const own = seed * 1_000_000 + i;
    const before = process.memoryUsage();
    const from = performance.now();
    let verdict: Verdict;
    try {
      verdict = await attempt(seededRandom(own));
    } catch (error) {
      verdict = {
        accepted: false,
        wrong: `threw ${error instanceof Error ? error.message : String(error)}`,
      };
    }
    const ms = performance.now() - from;
    const after = process.memoryUsage();
    const grown = (k: 'heapUsed' | 'arrayBuffers') => Math.max(0, after[k] - before[k]);
    const bytes = grown('heapUsed') + grown('arrayBuffers');
    row.slowestMs = Math.max(row.slowestMs, ms);
    row.largestBytes = Math.max(row.largestBytes, bytes);
    if (verdict.accepted) row.accepted += 1;
    else row.refused += 1;
    if (verdict.wrong) row.wrong.push(`${own}: ${verdict.wrong}`);
    if (ms > limitMs) row.wrong.push(`${own}: took ${Math.round(ms)} ms`);
    if (bytes > HOSTILE_LIMITS.bytes) row.wrong.push(`${own}: took ${Math.round(bytes / 1e6)} MB`);
  }
  return row;
}

/**
 * Runs seeded hostile inputs of every kind; `total` is shared out among the kinds.
 * @param limitMs longest that one may take; more of it where other work runs beside
 */
export async function runHostile(
  total: number,
  seed: number,
  limitMs: number = HOSTILE_LIMITS.ms,
): Promise<HostileRow[]> {
  const kinds: readonly (readonly [string, number, number, Attempt])[] = [
    ['shop files', 1, 0.22, shopAttempt()],
    ['bundles', 5, 0.12, bundleAttempt()],
    ['SVG', 2, 0.2, drawingAttempt(readSvg, hostileSvg)],
    ['DXF', 3, 0.2, drawingAttempt(readDxf, hostileDxf)],
    ['requests', 4, 0.16, requestAttempt()],
    ['CSV', 6, 0.1, listAttempt()],
  ];
  const rows: HostileRow[] = [];
  for (const [what, more, share, attempt] of kinds)
    rows.push(await run(what, seed + more, Math.round(total * share), attempt, limitMs));
  return rows;
}
