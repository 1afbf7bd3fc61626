import { addDays, startOfDay } from 'date-fns';

/** A span of clock time and the height it is drawn at. */
interface Stretch {
  readonly fromMs: number;
  readonly toMs: number;
  readonly topPx: number;
  readonly pxPerMs: number;
  readonly closed: boolean;
}

export interface TimeScale {
  readonly startMs: number;
  readonly endMs: number;
  readonly heightPx: number;
  readonly stretches: readonly Stretch[];
  readonly y: (atMs: number) => number;
  readonly ticks: readonly number[];
}

const HOUR_MS = 3_600_000;
const OPEN_PX_PER_H = 25;
const CLOSED_PX_PER_H = 9;

/**
 * Clock time down the page: from two hours before opening to 26 hours later. Closed hours are drawn
 * shorter, so that the night does not push tomorrow off the page.
 */
export function timeScale(nowMs: number, opensMin: number, closesMin: number): TimeScale {
  const today = startOfDay(nowMs);
  const at = (day: number, minutes: number) => addDays(today, day).getTime() + minutes * 60_000;
  const startMs = Math.min(
    at(0, opensMin) - 2 * HOUR_MS,
    Math.floor(nowMs / HOUR_MS) * HOUR_MS - 2 * HOUR_MS,
  );
  const endMs = Math.max(at(1, opensMin) + 4 * HOUR_MS, nowMs + 12 * HOUR_MS);
  const cuts = [-1, 0, 1, 2].flatMap((day) => [
    { atMs: at(day, opensMin), closed: false },
    { atMs: at(day, closesMin), closed: true },
  ]);
  const stretches: Stretch[] = [];
  let topPx = 0;
  cuts.forEach(({ atMs, closed }, i) => {
    const fromMs = Math.max(startMs, atMs);
    const toMs = Math.min(endMs, cuts[i + 1]?.atMs ?? endMs);
    if (toMs <= fromMs) return;
    const pxPerMs = (closed ? CLOSED_PX_PER_H : OPEN_PX_PER_H) / HOUR_MS;
    stretches.push({ fromMs, toMs, topPx, pxPerMs, closed });
    topPx += (toMs - fromMs) * pxPerMs;
  });
  const y = (atMs: number): number => {
    const inside = Math.min(endMs, Math.max(startMs, atMs));
    const stretch = stretches.find((s) => inside <= s.toMs) ?? stretches[stretches.length - 1];
    return stretch ? stretch.topPx + (inside - stretch.fromMs) * stretch.pxPerMs : 0;
  };
  const ticks: number[] = [];
  const firstTick = Math.ceil(startMs / HOUR_MS) * HOUR_MS;
  for (let tick = firstTick; tick <= endMs; tick += HOUR_MS) {
    const closed = stretches.find((s) => tick <= s.toMs)?.closed ?? false;
    if (new Date(tick).getHours() % (closed ? 3 : 2) === (closed ? 0 : 1)) ticks.push(tick);
  }
  return { startMs, endMs, heightPx: topPx, stretches, y, ticks };
}
