import { instantAtRipe, ripeSeconds, type TemperatureStep } from './ripeHours';
import type { ResinSheet, SheetTimes } from './sheet';

/** States of a coat from the first drop on, in order. `planned` and `mixed` come before. */
export const CURING_STATES = [
  'wet',
  'set',
  'leathery',
  'recoat open',
  'sand first',
  'hard',
  'fully cured',
] as const;
export type CuringState = (typeof CURING_STATES)[number];
export type CoatState = 'planned' | 'mixed' | CuringState;

export type WindowKind = 'unmask' | 'recoat' | 'handle' | 'warm load';

/** Relative error of a sheet's times as one standard deviation. From memory (predictions ±12 %). */
export const SHEET_TIME_SIGMA = 0.12;

export interface CoatWindow {
  readonly kind: WindowKind;
  readonly opensMs: number;
  /** null: it stays open. */
  readonly closesMs: number | null;
  /** One standard deviation of the opening and of the closing, ms. */
  readonly opensSigmaMs: number;
  readonly closesSigmaMs: number | null;
  readonly opensRipeS: number;
  readonly closesRipeS: number | null;
  readonly status: 'before' | 'open' | 'shut';
}

export interface StateSpan {
  readonly state: CuringState;
  readonly fromMs: number;
  readonly toMs: number | null;
}

export interface CoatClock {
  readonly ripeS: number;
  readonly state: CuringState;
  /** The next change of state, or null when fully cured. */
  readonly next: { readonly state: CuringState; readonly atMs: number } | null;
  readonly spans: readonly StateSpan[];
  readonly windows: readonly CoatWindow[];
  readonly pace: ClockPace;
}

export interface CoatClockInput {
  readonly pouredMs: number;
  readonly nowMs: number;
  readonly history: readonly TemperatureStep[];
  readonly sheet: ResinSheet;
  /** As touches tell; the sheet's own pace when left out. */
  readonly pace?: ClockPace;
}

/** How fast a coat ripens against its sheet, and one standard deviation of the logarithm of that. */
export interface ClockPace {
  readonly factor: number;
  readonly sigma: number;
}
/** Nothing was touched. */
const AS_SHEET: ClockPace = { factor: 1, sigma: SHEET_TIME_SIGMA };

/**
 * Ripe ages at which states begin. A recoat window that opens before the film is leathery hides the
 * leathery state; it never changes the order of the others.
 */
function beginnings(t: SheetTimes): readonly (readonly [CuringState, number])[] {
  const begins: [CuringState, number][] = [
    ['wet', 0],
    ['set', t.noFlowS],
    ['leathery', Math.min(t.leatheryS, t.recoatOpensS)],
    ['recoat open', t.recoatOpensS],
    ['sand first', t.recoatClosesS],
    ['hard', t.hardS],
    ['fully cured', t.fullS],
  ];
  return begins.filter(([, from], i) => {
    const next = begins[i + 1];
    return next === undefined || from < next[1];
  });
}

/** The state of a film of this ripe age, s. */
export function stateAt(ripeS: number, times: SheetTimes): CuringState {
  let state: CuringState = 'wet';
  for (const [name, from] of beginnings(times)) if (ripeS >= from) state = name;
  return state;
}

function sheetWindows(t: SheetTimes): readonly (readonly [WindowKind, number, number | null])[] {
  return [
    ['unmask', t.leatheryS, t.unmaskClosesS],
    ['recoat', t.recoatOpensS, t.recoatClosesS],
    ['handle', t.handleS, null],
    ['warm load', t.warmLoadS, null],
  ];
}

/**
 * What a coat is now, when it changes, and the clock time of each of its windows.
 * @param input instant of the pour, now, room temperatures since the pour, and the resin's sheet
 * @returns state, next change, all spans and windows; instants in ms since the epoch
 * @throws RangeError on an empty temperature history
 * Source: the sheet's times taken as ripe ages (equivalent age, ASTM C1074), gone through at the pace of the coat. The
 *   sigma of a window is that of the pace, in clock time at the rate that holds there. Warm load never comes earlier
 *   than by the sheet.
 */
export function coatClock({
  pouredMs,
  nowMs,
  history,
  sheet,
  pace = AS_SHEET,
}: CoatClockInput): CoatClock {
  const { factor, sigma } = pace;
  const at = (ripe: number, by = factor) => instantAtRipe(history, pouredMs, ripe / by, sheet);
  const sigmaAt = (ripe: number) => (at(ripe * (1 + sigma)) - at(ripe * (1 - sigma))) / 2;
  const bySheetS = ripeSeconds(history, pouredMs, nowMs, sheet);
  const ripeS = bySheetS * factor;
  const begins = beginnings(sheet.times);
  const spans = begins.map(([state, from], i): StateSpan => {
    const until = begins[i + 1]?.[1];
    return { state, fromMs: at(from), toMs: until === undefined ? null : at(until) };
  });
  const following = begins.find(([, from]) => from > ripeS);
  return {
    ripeS,
    state: stateAt(ripeS, sheet.times),
    next: following ? { state: following[0], atMs: at(following[1]) } : null,
    spans,
    pace,
    windows: sheetWindows(sheet.times).map(([kind, opens, closes]) => ({
      kind,
      opensMs: at(opens, kind === 'warm load' ? Math.min(1, factor) : factor),
      closesMs: closes === null ? null : at(closes),
      opensSigmaMs: sigmaAt(opens),
      closesSigmaMs: closes === null ? null : sigmaAt(closes),
      opensRipeS: opens,
      closesRipeS: closes,
      status:
        (kind === 'warm load' ? Math.min(ripeS, bySheetS) : ripeS) < opens
          ? 'before'
          : closes !== null && ripeS >= closes
            ? 'shut'
            : 'open',
    })),
  };
}
