import { flowMarks } from '@/core/wet';
import { clockText } from '@/features/common/clockText';
import type { WetCoat, WetView } from './model';

/** When a line stays where it is drawn, ms; null: no line, or no clock. */
function staysMs({ done, workingEndsMs }: WetView, { coat }: WetCoat): number | null {
  if (coat.kind !== 'line' || done.mixedMs === null || workingEndsMs === null) return null;
  const marks = flowMarks((workingEndsMs - done.mixedMs) / 1000);
  return done.mixedMs + (marks.find((m) => m.flow === 'lines stay')?.fromS ?? 0) * 1000;
}

/** What is said of the coat that is poured next: a line is drawn once it stays, all else is poured now. */
export function pourWords(view: WetView, entry: WetCoat, nowMs: number): string {
  const fromMs = staysMs(view, entry);
  if (fromMs === null) return 'pour now';
  return nowMs < fromMs ? `stays from ${clockText(fromMs, nowMs)}` : 'draw it now';
}

/** What is said of a coat whose turn comes: a line is told ahead from when it may be drawn. */
export function thenWords(view: WetView, entry: WetCoat, nowMs: number): string {
  const fromMs = staysMs(view, entry);
  return fromMs !== null && nowMs < fromMs
    ? `then this, stays from ${clockText(fromMs, nowMs)}`
    : 'then this';
}
