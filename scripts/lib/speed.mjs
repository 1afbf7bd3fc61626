// How fast the machine is just now: the same program takes one to three times as long here, by the hour.
import { median } from './taps.mjs';

/** What the fixed work takes on such a machine at its best, ms: the limits of the bench are meant for that. */
const BEST_MS = 37;

/** Fixed work of the kinds that a page does: objects made, looked up and put in order, text, sums. */
function work() {
  const rows = [];
  let seed = 1;
  for (let i = 0; i < 20_000; i += 1) {
    seed = (seed * 48_271) % 2_147_483_647;
    rows.push({ id: `row-${seed % 5000}`, at: seed, of: { kg: seed / 7, name: null } });
  }
  rows.sort((a, b) => a.at - b.at);
  const byId = new Map();
  for (const row of rows) byId.set(row.id, [...(byId.get(row.id) ?? []), row]);
  let sum = 0;
  for (const [id, of] of byId)
    for (const { of: told } of of) sum += Math.sqrt(told.kg) * Math.cos(id.length);
  return sum + JSON.stringify(JSON.parse(JSON.stringify(rows.slice(0, 5000)))).length;
}

/** How many times longer than at its best the machine takes now: the middle of several runs. */
export function slowness() {
  const times = [];
  for (let i = 0; i < 15; i += 1) {
    const from = performance.now();
    work();
    times.push(performance.now() - from);
  }
  return median(times) / BEST_MS;
}

/** Figures that wait for the screen's beat, not for the machine. */
const BEATS = /^frame /;

/**
 * Tells with each time among the rows what it comes to on the machine at its best, by how slow it was before and after.
 * @returns called after each part of the rows
 */
export function withSpeed(rows) {
  let before = slowness();
  let told = 0;
  return () => {
    const after = slowness();
    for (const row of rows.slice(told))
      if (['ms', 's'].includes(row.unit) && !BEATS.test(row.name))
        row.atBest = Number(((2 * row.figure) / (before + after)).toPrecision(2));
    before = after;
    told = rows.length;
    return after;
  };
}
