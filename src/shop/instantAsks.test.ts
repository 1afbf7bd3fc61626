import { asId, type Coat, type PrepRecord } from '@/records';
import { atInstant, sessionAt, warmShop, type Ask } from './instant';
import { holdsOf } from './prepView';
import type { Shop } from './shop';
import {
  aBatch,
  aCoat,
  acts,
  aMask,
  at,
  AT_22,
  aTask,
  benchShop,
  HOUR,
  plannedCoat,
  usualActs,
  walledFace,
} from './test/bench';
import { plainPiece } from './test/rows';

const asksAt = (shop: Shop, ms: number): readonly Ask[] =>
  atInstant(shop, ms).pieces[0]?.asks ?? [];
const ask = <K extends Ask['is']>(shop: Shop, hours: number, is: K) =>
  asksAt(shop, at(2) + hours * HOUR).find((a): a is Extract<Ask, { is: K }> => a.is === is);

describe('a wall of tape without a mask that was noted', () => {
  // The sheet at its own 22 °C: tape comes off until 12 h.
  const shop = (change: Partial<Shop> = {}) =>
    benchShop({ areas: [walledFace()], ...change }, AT_22);
  it('comes off in the window of its resin', () => {
    const asked = ask(shop(), 11, 'unmask');
    expect(asked?.closesMs).toBeCloseTo(at(2) + 12 * HOUR, -3);
    expect(asked?.opensMs).toBeLessThan(at(2) + 11 * HOUR);
    expect(ask(shop(), 1, 'unmask')).toBeUndefined();
    expect(ask(shop(), 12.1, 'unmask')).toBeUndefined();
  });
  it('not where nothing is taped, nor where a mask was noted: that has a clock of its own', () => {
    expect(ask(benchShop({}, AT_22), 11, 'unmask')).toBeUndefined();
    const mask = aMask();
    expect(ask(shop({ tasks: [mask] }), 11, 'unmask')).toBeUndefined();
    expect(ask(shop({ tasks: [mask] }), 11, 'mask')).toBeDefined();
  });
});

describe('rounds for bubbles', () => {
  const shop = benchShop({}, AT_22);
  const [session] = shop.sessions;
  const asked = (minutes: number, change: Partial<Shop> = {}) =>
    asksAt({ ...shop, ...change }, at(minutes)).find((a) => a.is === 'bubbles');
  it('from some minutes after the pour, through the first hour, once its session is over', () => {
    expect(asked(11)).toBeUndefined();
    expect(asked(40)).toMatchObject({ is: 'bubbles', sessionId: 'session' });
    expect(asked(69)).toBeDefined();
    expect(asked(70)).toBeUndefined();
    // While it is open, the session leads.
    const open = session ? [{ ...session, endedMs: null }] : [];
    expect(asked(40, { sessions: open })).toBeUndefined();
    expect(asked(40, { batches: [] })).toBeUndefined();
  });
});

describe('what the next coat meets', () => {
  const next = plannedCoat('next', 2);
  /** The shop with every step that holds the next coat left out. */
  const ready = (coats: readonly Coat[], hours: number) => {
    let shop = benchShop({ coats }, AT_22);
    const nowMs = at(2) + hours * HOUR;
    for (let i = 0; i < 20; i += 1) {
      const [piece] = shop.pieces;
      const held = piece ? holdsOf(shop, piece, 'next', nowMs) : [];
      if (held.length === 0) break;
      const waived = held.map(({ task }): PrepRecord => ({
        ...aTask(task.rule, { key: task.key, coatId: task.coatId, scope: task.scope }),
        id: asId(`w ${task.key}`),
        state: 'waived',
        doneMs: nowMs - 1,
        reason: 'test',
      }));
      shop = { ...shop, tasks: [...shop.tasks, ...waived] };
    }
    return ask(shop, hours, 'coat');
  };
  // Recoat opens at 9 h and shuts at 14 h.
  it('bare ground, too soon, open until, shut', () => {
    expect(ready([next], 1)).toMatchObject({ ground: 'free', atMs: null });
    const two = [aCoat('flood', 1), next];
    const soon = ready(two, 8.5);
    expect(soon?.ground).toBe('too soon');
    expect(soon?.atMs).toBeCloseTo(at(2) + 9 * HOUR, -3);
    const open = ready(two, 10);
    expect(open?.ground).toBe('open');
    expect(open?.atMs).toBeCloseTo(at(2) + 14 * HOUR, -3);
    expect(ready(two, 15)).toMatchObject({ ground: 'shut', atMs: null });
  });
});

describe('a wet session', () => {
  const coats = ['a', 'b', 'c'].map((id) => aCoat(id, 1, { pieceId: asId(id), pouredMs: null }));
  const of = (id: string, events = acts()) => aBatch(`b ${id}`, [id], { events });
  const session = {
    id: asId<'session'>('session'),
    resinId: asId<'resin'>('resin'),
    coatIds: coats.map((c) => c.id),
    startedMs: at(-10),
    endedMs: null,
  };
  const poured = acts(...usualActs('b').slice(0, 5));
  const stirred = acts(...usualActs('c').slice(0, 4));
  const shop = benchShop({ coats, sessions: [session] }, AT_22);
  it('its batches stand as they were planned; what presses most leads', () => {
    const batches = [of('c', stirred), of('b', poured), of('a')];
    const leading = sessionAt({ ...shop, batches }, session, at(12));
    expect(leading?.batches.map((b) => b.batch.id)).toEqual(['b a', 'b b', 'b c']);
    // Stirred and not poured comes before what lies open, and that before what is to be weighed.
    expect(leading?.batch.id).toBe('b c');
    const without = sessionAt({ ...shop, batches: batches.slice(1) }, session, at(12));
    expect(without?.batch.id).toBe('b b');
    expect(sessionAt({ ...shop, batches }, session, at(12), 'b a')?.batch.id).toBe('b a');
  });
  it('what is done is not looked at by choice; without batches or resin there is none', () => {
    const done = of('b', acts(...usualActs('b')));
    const leading = sessionAt({ ...shop, batches: [done, of('a')] }, session, at(40), 'b b');
    expect(leading?.batch.id).toBe('b a');
    expect(sessionAt({ ...shop, batches: [] }, session, at(0))).toBeNull();
    expect(sessionAt({ ...shop, resins: [] }, session, at(0))).toBeNull();
  });
  it('its mix can be worked from when the parts met, by what was weighed', () => {
    const batches = [of('c', stirred)];
    const mixed = sessionAt({ ...shop, batches }, session, at(12));
    expect(mixed?.massKg).toBeCloseTo(0.43, 12);
    expect((mixed?.workingEndsMs ?? 0) - at(2)).toBeCloseTo(mixed?.workingMs ?? NaN, 6);
    // More than the 100 g that the sheet speaks of: less than its 40 min, more than half of them.
    expect(mixed?.workingMs).toBeLessThan(2_400_000);
    expect(mixed?.workingMs).toBeGreaterThan(1_200_000);
    const unmixed = sessionAt({ ...shop, batches: [of('a')] }, session, at(0));
    expect(unmixed).toMatchObject({ workingEndsMs: null, step: 'weigh A' });
    expect(unmixed?.massKg).toBeCloseTo(0.43, 12);
  });
});

describe('a large shop', () => {
  it('lets the page answer each 25 ms', async () => {
    const pieces = Array.from({ length: 6 }, (_, i) => plainPiece(`p${i}`));
    let nowMs = at(0);
    let breaths = 0;
    await warmShop(
      benchShop({ pieces, areas: [], coats: [], batches: [] }, AT_22),
      () => (nowMs += 10),
      () => Promise.resolve((breaths += 1)),
    );
    // Each piece takes three looks at a clock that goes by ten.
    expect(breaths).toBeGreaterThanOrEqual(4);
    expect(breaths).toBeLessThanOrEqual(6);
    nowMs = at(0);
    breaths = 0;
    await warmShop(
      benchShop({ pieces, areas: [], coats: [], batches: [] }, AT_22),
      () => nowMs,
      () => Promise.resolve((breaths += 1)),
    );
    expect(breaths).toBe(0);
  });
});
