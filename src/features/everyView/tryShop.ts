import { settle } from '@/shop/settle';
import { keepShop, type Shop, type ShopRows } from '@/shop/shop';
import type { AnyTables } from '@/data/migrations';
import { LIVE_TABLES, type LogEntry } from '@/records';
import type { RowFault } from '@/records/validate';
import { entryWords, filterLog } from '../book/model';
import { checkWords } from '../coats/checkWords';
import { draftOfIntent } from '../coats/intents';
import { ruleWords } from '../coats/model';
import { jobCost } from '../coats/money';
import { clockText } from '../common/clockText';
import {
  filmChecksOf,
  mixingChecksOf,
  splitOf,
  ledgerOf,
  viewPiece,
  type CoatView,
  type PieceView,
} from '@/shop/coatView';
import { daySheet } from '@/features/prepare/daySheet';
import { atInstant, pieceAt } from '@/shop/instant';
import { prepOf } from '@/shop/prepView';
import { each, RowTrouble } from '@/shop/rowTrouble';
import { formatOf, type Format } from '../common/useFormat';
import { windowRows } from '../cure/model';
import { pieceWords } from '../pieces/model';
import { taskGroups } from '../prepare/model';
import { draftOfResin, readSheet } from '../common/sheet/model';
import { draftOfSettings } from '../settings/model';
import { readStrip } from '../shell/stripModel';
import { draftOf } from '../survey/draftOf';
import { readSurvey } from '../survey/readSurvey';
import { lanes, nextOf } from '../today/model';
import { timeScale } from '../today/timeScale';
import { ratioGauge, wantedB, wetView } from '../wet/model';

/** The shop that tables make, in the order in which a live read gives it. */
export const shopOf = (tables: AnyTables): Shop =>
  keepShop(
    Object.fromEntries(LIVE_TABLES.map((table) => [table, tables[table] ?? []])) as ShopRows,
    settle,
  ).shop;

function tryCoat(view: CoatView, shop: Shop, nowMs: number, format: Format) {
  const { coat, resin } = view;
  const ledger = ledgerOf(view);
  windowRows(view, shop, nowMs);
  draftOfIntent(coat.intent, format);
  const split = ledger.ok ? splitOf(ledger.value, resin) : null;
  if (!split) return;
  checkWords(mixingChecksOf(view, split, shop.settings, shop.room), format);
  checkWords(filmChecksOf(view, null, shop.room), format);
}

/** Everything that the screens of a piece say of it. */
function tryPiece(view: PieceView, shop: Shop, nowMs: number, format: Format): void {
  const { piece, areas, coats } = view;
  taskGroups(prepOf(shop, piece, nowMs));
  readSurvey(draftOf(piece, areas, format), format);
  for (const coat of coats)
    try {
      tryCoat(coat, shop, nowMs, format);
    } catch (error) {
      throw new RowTrouble('coats', coat.coat, error);
    }
  // The same sum whichever of its coats is looked at.
  jobCost(view, '', null, shop.settings.consumables);
}

const trySession = (shop: Shop, id: string, nowMs: number): void => {
  const view = wetView(shop, id, nowMs);
  if (!view) return;
  if ((view.done.aKg ?? 1) > 0) {
    wantedB(view);
    ratioGauge(view.done.aKg ?? view.batch.targetAKg, view.done.bKg ?? 0, view.resin);
  }
};

/** Views of the whole shop, and of each row; in steps, so that others can work between them. */
function* tryViews(tables: AnyTables, nowMs: number): Generator<readonly RowTrouble[]> {
  const shop = shopOf(tables);
  const format = formatOf(shop.settings);
  const { opensMin, closesMin } = shop.settings;
  yield each('settings', [shop.settings], draftOfSettings).troubles;
  yield each('resins', shop.resins, (r) => readSheet(draftOfResin(r, format), format)).troubles;
  // Each on its own first: together they would hold others up.
  for (const piece of shop.pieces)
    yield each('pieces', [piece], (p) => pieceAt(shop, viewPiece(shop, p, nowMs), nowMs)).troubles;
  const instant = atInstant(shop, nowMs);
  yield instant.troubles;
  for (const here of instant.pieces)
    yield each('pieces', [here.view.piece], () => {
      pieceWords(here, nowMs);
      tryPiece(here.view, shop, nowMs, format);
    }).troubles;
  yield readStrip(shop, nowMs).troubles;
  yield nextOf(shop, nowMs, format).troubles;
  const whole = each('settings', [shop.settings], () => {
    const scale = timeScale(nowMs, opensMin, closesMin);
    lanes(shop, nowMs, scale.startMs, scale.endMs);
    daySheet(shop, nowMs, format);
    ruleWords(shop.settings.rule, 1);
  });
  yield whole.troubles;
  yield each('sessions', shop.sessions, ({ id }) => trySession(shop, id, nowMs)).troubles;
  const log = (tables['log'] ?? []) as readonly LogEntry[];
  const named = filterLog(log, shop, '');
  for (let from = 0; from < named.length; from += LOG_STEP)
    yield each(
      'log',
      named.slice(from, from + LOG_STEP).map((n) => ({ ...n, id: n.entry.id })),
      (n) => `${clockText(n.entry.atMs, nowMs)} ${entryWords(n, format)}`,
    ).troubles;
}

/** Entries of the log that are tried in one go. */
const LOG_STEP = 200;

/**
 * Tries a shop through everything that the screens would say of it.
 * @returns the rows that cannot be shown, with their paths in a shop file; none when all can
 */
export function* tryShop(tables: AnyTables, nowMs: number): Generator<readonly RowFault[]> {
  for (const troubles of tryViews(tables, nowMs))
    yield troubles.map(({ table, row, message }) => {
      const at = (tables[table] ?? []).findIndex((r) => (r as { id: string }).id === row.id);
      return { path: `tables.${table}[${at}]`, message: `It cannot be shown: ${message}` };
    });
}
