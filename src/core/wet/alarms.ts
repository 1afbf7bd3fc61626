import type { WetState } from './state';
import { CUP_REST_S } from './stirring';

/** Bubbles are looked for again after so long, and at the latest, through the first hour, ms. Common practice, no source. */
export const ROUND_MS = { from: 5 * 60_000, to: 10 * 60_000, last: 60 * 60_000 } as const;
/** A coat is covered within so long, ms. Common practice: within minutes. */
export const COVER_MS = 10 * 60_000;
/** Said so long before the working time is over, ms. Judgement, no source. */
const SOON_MS = 5 * 60_000;

export const ALARMS = [
  'stirred enough',
  'rested',
  'soon over',
  'time over',
  'bubble round',
  'cover',
] as const;

/** Something that has to be known at an instant. */
export interface Alarm {
  /** The same as long as it is the same: it is told once. */
  readonly id: string;
  readonly is: (typeof ALARMS)[number];
  readonly atMs: number;
  readonly coatId: string | null;
}

/** When a coat is to be gone over for bubbles next, and at the latest; null: its first hour is over, or it is not poured. */
export function nextRound(
  { poured, rounds }: Pick<WetState, 'poured' | 'rounds'>,
  coatId: string,
): { readonly fromMs: number; readonly toMs: number } | null {
  const pouredMs = poured.get(coatId);
  if (pouredMs === undefined) return null;
  const since = rounds.get(coatId)?.at(-1) ?? pouredMs;
  const fromMs = since + ROUND_MS.from;
  return fromMs < pouredMs + ROUND_MS.last ? { fromMs, toMs: since + ROUND_MS.to } : null;
}

/** What an alarm makes idle: once time is over nothing is to be poured, nor soon over. */
const MAKES_IDLE: Readonly<Partial<Record<Alarm['is'], readonly Alarm['is'][]>>> = {
  'soon over': ['rested'],
  'time over': ['rested', 'soon over'],
};

/** Alarms that are due, not too late to be heeded, and not made idle by another that is. */
export function dueAt(alarms: readonly Alarm[], nowMs: number): Alarm[] {
  // Bubbles that nobody looked for in their first hour are in the film.
  const late = (a: Alarm) => a.is === 'bubble round' && nowMs >= a.atMs + ROUND_MS.last;
  const due = alarms.filter((a) => a.atMs <= nowMs && !late(a));
  const idle = new Set(due.flatMap((a) => MAKES_IDLE[a.is] ?? []));
  return due.filter((a) => !idle.has(a.is));
}

/**
 * What a batch has to tell, as far as it is known now, in the order of the clock. An alarm stands until what it asks for is
 * done.
 * @param wantedS stir that is wanted, s @param workingEndsMs null before B met A
 * Source: common practice, no source.
 */
export function alarmsOf(
  state: WetState,
  { wantedS, workingEndsMs }: { readonly wantedS: number; readonly workingEndsMs: number | null },
): Alarm[] {
  const alarms: Alarm[] = [];
  const tell = (is: Alarm['is'], atMs: number, coatId: string | null = null) =>
    alarms.push({ id: [is, coatId ?? '', Math.round(atMs)].join('/'), is, atMs, coatId });
  const { step, stirStartedMs, stirredMs, poured, covered } = state;
  if (step === 'stirring' && stirStartedMs !== null && state.pausedMs === null)
    tell('stirred enough', stirStartedMs + state.idleMs + wantedS * 1000);
  if (step === 'pour' && stirredMs !== null && poured.size === 0)
    tell('rested', stirredMs + CUP_REST_S.from * 1000);
  const pouring = step === 'stir' || step === 'stirring' || step === 'cups' || step === 'pour';
  if (pouring && workingEndsMs !== null) {
    tell('soon over', workingEndsMs - SOON_MS);
    tell('time over', workingEndsMs);
  }
  for (const [coatId, pouredMs] of poured) {
    const round = nextRound(state, coatId);
    if (round) tell('bubble round', round.fromMs, coatId);
    if (!covered.has(coatId) && state.leftMs === null) tell('cover', pouredMs + COVER_MS, coatId);
  }
  return alarms.sort((a, b) => a.atMs - b.atMs);
}
