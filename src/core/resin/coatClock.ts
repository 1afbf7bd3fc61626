import { forecastSpread } from '../climate';
import { GAS_CONSTANT } from '../units';
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

export interface TimelineInput {
  /** Part B met part A: the sheet's times count from there, and the age in the cup with them. */
  readonly startMs: number;
  /** Room of the film, at least one step; what is to come by its forecast. */
  readonly history: readonly TemperatureStep[];
  readonly sheet: ResinSheet;
  /** As touches tell; the sheet's own pace when left out. */
  readonly pace?: ClockPace;
  /** Ripe ages between which its mask comes off, s; open at the end when null. From leathery on, as tape does, when left out. */
  readonly unmask?: readonly [fromS: number, toS: number | null];
  /** From when on the room is a forecast, and how far that may be off in the end, K; null or left out: it is known. */
  readonly ahead?: { readonly fromMs: number; readonly spreadK: number } | null;
}
export interface CoatClockInput extends TimelineInput {
  readonly nowMs: number;
}

/** All that happens to a film, by the clock; knows no now. */
export interface Timeline {
  readonly spans: readonly StateSpan[];
  readonly windows: readonly Omit<CoatWindow, 'status'>[];
  readonly pace: ClockPace;
  readonly input: TimelineInput;
}

/** How fast a coat ripens against its sheet, and one standard deviation of the logarithm of that. */
export interface ClockPace {
  readonly factor: number;
  readonly sigma: number;
}
const HOUR_MS = 3_600_000;
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

function sheetWindows(
  t: SheetTimes,
  [unmaskS, unmaskedS]: NonNullable<TimelineInput['unmask']> = [t.leatheryS, t.unmaskClosesS],
): readonly (readonly [WindowKind, number, number | null])[] {
  return [
    ['unmask', unmaskS, unmaskedS],
    ['recoat', t.recoatOpensS, t.recoatClosesS],
    ['handle', t.handleS, null],
    ['warm load', t.warmLoadS, null],
  ];
}

/** Part of a rate that a kelvin makes at the reference temperature. */
const perKelvin = ({ activationEnergyJMol, referenceTemperatureK }: ResinSheet): number =>
  activationEnergyJMol / (GAS_CONSTANT * referenceTemperatureK ** 2);

/**
 * Every state and window of a film by the clock.
 * @param input instant of the mix, room temperatures, the resin's sheet, and how sure the room ahead is
 * @returns spans and windows; instants in ms since the epoch
 * @throws RangeError on an empty temperature history
 * Source: the sheet's times taken as ripe ages (equivalent age, ASTM C1074), gone through at the pace of the coat. The
 *   sigma of a window is that of the pace, in clock time at the rate that holds there, and that of the room where it is
 *   a forecast (rate error E/(R T²) a kelvin; the two are independent). Warm load never comes earlier than by the sheet.
 */
export function timeline(input: TimelineInput): Timeline {
  const { startMs, history, sheet, pace = AS_SHEET, ahead, unmask } = input;
  const { factor, sigma } = pace;
  const at = (ripe: number, by = factor) => instantAtRipe(history, startMs, ripe / by, sheet);
  const roomSigma = (atMs: number): number => {
    if (!ahead || atMs <= ahead.fromMs) return 0;
    const aheadMs = atMs - Math.max(ahead.fromMs, startMs);
    const spreadK = forecastSpread(ahead, (atMs - ahead.fromMs) / 2 / HOUR_MS);
    return aheadMs * perKelvin(sheet) * spreadK;
  };
  const sigmaAt = (ripe: number) =>
    Math.hypot((at(ripe * (1 + sigma)) - at(ripe * (1 - sigma))) / 2, roomSigma(at(ripe)));
  const begins = beginnings(sheet.times);
  return {
    ...{ input, pace },
    spans: begins.map(([state, from], i): StateSpan => {
      const until = begins[i + 1]?.[1];
      return { state, fromMs: at(from), toMs: until === undefined ? null : at(until) };
    }),
    windows: sheetWindows(sheet.times, unmask).map(([kind, opens, closes]) => ({
      kind,
      opensMs: at(opens, kind === 'warm load' ? Math.min(1, factor) : factor),
      closesMs: closes === null ? null : at(closes),
      opensSigmaMs: sigmaAt(opens),
      closesSigmaMs: closes === null ? null : sigmaAt(closes),
      opensRipeS: opens,
      closesRipeS: closes,
    })),
  };
}

const statusAt = ({ opensMs, closesMs }: Omit<CoatWindow, 'status'>, nowMs: number) =>
  nowMs < opensMs ? 'before' : closesMs !== null && nowMs >= closesMs ? 'shut' : 'open';

/** Where a film stands on its timeline at an instant. */
export function readAt({ spans, windows, pace, input }: Timeline, nowMs: number): CoatClock {
  const { history, startMs, sheet } = input;
  const at = Math.max(
    0,
    spans.findLastIndex((s) => s.fromMs <= nowMs),
  );
  const following = spans[at + 1];
  return {
    ripeS: ripeSeconds(history, startMs, nowMs, sheet) * pace.factor,
    state: spans[at]?.state ?? 'wet',
    next: following ? { state: following.state, atMs: following.fromMs } : null,
    ...{ spans, pace },
    windows: windows.map((w) => ({ ...w, status: statusAt(w, nowMs) })),
  };
}

/** What a coat is now, when it changes, and the clock time of each of its windows: {@link timeline} read at once. */
export const coatClock = ({ nowMs, ...input }: CoatClockInput): CoatClock =>
  readAt(timeline(input), nowMs);
