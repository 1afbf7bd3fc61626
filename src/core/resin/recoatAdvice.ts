import { readAt, timeline, type CoatClock, type TimelineInput } from './coatClock';
import type { TouchFind } from './touch';

/** What can be said of the next coat now. */
export type RecoatAdvice =
  /** It pulls strings or is tacky long after it should: whatever lies on it stays soft. */
  | { readonly is: 'sticky' }
  | { readonly is: 'too early'; readonly fromMs: number }
  /** Without sanding, and until when that is nearly sure (nineteen in twenty). */
  | { readonly is: 'open'; readonly untilMs: number; readonly surelyUntilMs: number }
  /** By the school of those who always sand: once it bears it. */
  | { readonly is: 'sand when hard'; readonly fromMs: number }
  | { readonly is: 'sand first' };

const NEARLY_SURE = 1.645;
const SOFT: readonly TouchFind[] = ['strings', 'tacky'];

/**
 * What is to be done with the next coat at an instant.
 * @param clock of the coat below @param last what a finger found on it last; null: nothing @param unlikely the touches fit no
 *   clock @param alwaysSand the school @param nowMs instant
 * Source: common practice, no source; the window is the clock's.
 */
export function recoatAdvice(
  { windows, spans }: Pick<CoatClock, 'windows' | 'spans'>,
  { last, unlikely }: { readonly last: TouchFind | null; readonly unlikely: boolean },
  alwaysSand: boolean,
  nowMs: number,
): RecoatAdvice {
  if (unlikely && last !== null && SOFT.includes(last)) return { is: 'sticky' };
  const recoat = windows.find((w) => w.kind === 'recoat');
  const hard = spans.find((s) => s.state === 'hard')?.fromMs;
  if (alwaysSand && hard !== undefined && nowMs < hard)
    return { is: 'sand when hard', fromMs: hard };
  if (alwaysSand || !recoat || recoat.closesMs === null || nowMs >= recoat.closesMs)
    return { is: 'sand first' };
  if (nowMs < recoat.opensMs) return { is: 'too early', fromMs: recoat.opensMs };
  const sigma = recoat.closesSigmaMs ?? 0;
  const surely = Math.max(nowMs, recoat.closesMs - NEARLY_SURE * sigma);
  return { is: 'open', untilMs: recoat.closesMs, surelyUntilMs: surely };
}

/**
 * The clock of a coat if its room were so much warmer from now on.
 * @param byK K, either way
 */
export function ifWarmer(input: TimelineInput, nowMs: number, byK: number): CoatClock {
  const { history } = input;
  const here = history.findLast((s) => s.fromMs <= nowMs) ?? history[0];
  const later = history
    .filter((s) => s.fromMs > nowMs)
    .map((s) => ({ ...s, temperatureK: s.temperatureK + byK }));
  const warmer = [
    ...history.filter((s) => s.fromMs <= nowMs),
    ...(here ? [{ fromMs: nowMs, temperatureK: here.temperatureK + byK }] : []),
    ...later,
  ];
  return readAt(timeline({ ...input, history: warmer }), nowMs);
}
