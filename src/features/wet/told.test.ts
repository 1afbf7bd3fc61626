import { alarmsOf, dueAt, standing, wetState, type WetAct, type WetEvent } from '@/core/wet';
import { freshAlarms, type Kept } from './told';

const MIN = 60_000;
const JOB = { coatIds: ['one', 'two'], cups: [] };

/** What the browser keeps: the same over reloads. */
function storage(): Kept & { readonly reload: () => Kept } {
  const rows = new Map<string, string>();
  const kept = {
    getItem: (key: string) => rows.get(key) ?? null,
    setItem: (key: string, value: string) => void rows.set(key, value),
  };
  return { ...kept, reload: () => ({ ...kept }) };
}

/** A session of a day: what is done at which minute. */
const DONE: readonly (readonly [number, WetAct])[] = [
  [0, { is: 'weighed A', kg: 0.1, by: 'by the scale' }],
  [2, { is: 'mixed', kg: 0.05, by: 'by the scale' }],
  [3, { is: 'stir started' }],
  [8, { is: 'stirred' }],
  [14, { is: 'poured', coatId: 'one' }],
  [21, { is: 'bubble round', coatId: 'one', by: 'torch' }],
  [25, { is: 'covered', coatId: 'one' }],
  [40, { is: 'poured', coatId: 'two' }],
  // The second piece is forgotten until the next morning.
  [23 * 60, { is: 'covered', coatId: 'two' }],
];
const eventsUntil = (min: number): WetEvent[] =>
  DONE.filter(([at]) => at <= min).map(([at, act], i) => ({ ...act, id: `e${i}`, atMs: at * MIN }));

describe('alarms of a session of 24 h, looked at every five seconds', () => {
  const asked = { wantedS: 240, workingEndsMs: 44 * MIN };
  const dueNow = (min: number) => {
    const events = eventsUntil(Math.floor(min));
    return dueAt(alarmsOf(wetState(events, JOB), asked), min * MIN);
  };
  it('each is told once, in order, and none is lost over five reloads', () => {
    const kept = storage();
    let page: Kept = kept;
    const told: { id: string; is: string; atMs: number; min: number }[] = [];
    const reloads = [5.1, 9.95, 19.02, 44.5, 12 * 60];
    for (let tick = 0; tick <= 24 * 60 * 12; tick += 1) {
      const min = tick / 12;
      if (reloads.some((r) => Math.abs(r - min) < 1 / 24)) page = kept.reload();
      const due = dueNow(min);
      const fresh = freshAlarms(
        's',
        due.map((a) => a.id),
        page,
      );
      for (const alarm of due.filter((a) => fresh.includes(a.id))) told.push({ ...alarm, min });
    }
    expect(new Set(told.map((t) => t.id)).size).toBe(told.length);
    // Told at the tick after they fell due.
    for (const { min, atMs } of told) expect(min - atMs / MIN).toBeLessThanOrEqual(1 / 12 + 1e-9);
    expect(told.map((t) => [t.is, Math.round(t.min * 10) / 10])).toEqual([
      ['stirred enough', 7],
      ['rested', 10],
      ['bubble round', 19],
      ['cover', 24],
      ['bubble round', 26],
      ['soon over', 39],
      ['bubble round', 45],
      ['cover', 50],
    ]);
  });
  it('without a reload, or with one at every look, it is the same', () => {
    const sweep = (often: boolean) => {
      const kept = storage();
      const told: string[] = [];
      for (let min = 0; min <= 120; min += 0.25) {
        const ids = dueNow(min).map((a) => a.id);
        told.push(...freshAlarms('s', ids, often ? kept.reload() : kept));
      }
      return told;
    };
    expect(sweep(true)).toEqual(sweep(false));
    expect(standing(eventsUntil(Infinity))).toHaveLength(DONE.length);
  });
  it('where nothing can be kept it is told, rather twice than never', () => {
    const broken: Kept = {
      getItem: () => 'no list',
      setItem: () => {
        throw new Error('full');
      },
    };
    expect(freshAlarms('s', ['a', ''], broken)).toEqual(['a']);
    expect(freshAlarms('s', ['a'], broken)).toEqual(['a']);
  });
});
