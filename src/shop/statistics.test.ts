import { asId, type Coat, type Defect } from '@/records';
import { statisticsOf } from './statistics';
import {
  aBatch,
  aCoat,
  acts,
  aDefect,
  aLot,
  at,
  aTask,
  benchShop,
  entry,
  usualActs,
} from './test/bench';
import { plainResin } from './test/rows';

const DAY = 24 * 60;
/** Four coats of two resins in two months, each of a batch and a session of its own. */
const coat = (id: string, resin: string, days: number, change: Partial<Coat> = {}) =>
  aCoat(id, 1, {
    resinId: asId(resin),
    batchId: asId(`b ${id}`),
    mixedMs: at(days * DAY),
    pouredMs: at(days * DAY + 8),
    ...change,
  });
const coats = [
  coat('a', 'clear', 0),
  coat('b', 'clear', 1),
  coat('c', 'slow', 2),
  coat('d', 'slow', 40),
  coat('planned', 'slow', 50, { pouredMs: null, batchId: null }),
];
const batch = (id: string, coatIds: readonly string[] = [id], lot: string | null = null) =>
  aBatch(`b ${id}`, coatIds, {
    sessionId: asId(`s ${id}`),
    lotId: lot === null ? null : asId(lot),
    events: acts(...usualActs(coatIds[0])),
  });
const lots = ['L1', 'L2'].map((name) => aLot(name, { resinId: asId('clear') }));
const shop = benchShop({
  coats,
  lots,
  resins: [plainResin('clear', { name: 'Clear' }), plainResin('slow', { name: 'Slow' })],
  batches: [batch('a', ['a'], 'L1'), batch('b', ['b'], 'L2'), batch('c'), batch('d', ['d', 'x'])],
  defects: [
    aDefect('1', { coatId: asId('a'), kind: 'fish eye' }),
    aDefect('2', { coatId: asId('a'), kind: 'dust nib' }),
    aDefect('3', { coatId: asId('c'), kind: 'fish eye' }),
    aDefect('4', { coatId: asId('b'), kind: 'not liked' }),
    aDefect('5', { coatId: null, kind: 'scratches' }),
  ],
});
const started = new Map(
  (
    [
      ['s a', 'Ines', 290.15],
      ['s b', 'Ines', 291.15],
      ['s c', 'Rowan', 297.15],
    ] as const
  ).map(([id, by, temperatureK]) => [id, entry({ by, figures: { temperatureK } })]),
);
const statistics = () => statisticsOf(shop, started);
const tally = (list: readonly { name: string; findings: number; share: { share: number } }[]) =>
  list.map(({ name, findings, share }) => [name, findings, share.share]);

describe('what the findings of a shop say together', () => {
  it('counts coats that were poured, and findings of the work: not what was not liked, nor what has no coat', () => {
    expect(statistics().poured).toBe(4);
    // b and d are clean: two of four.
    expect(statistics().firstTimeRight?.share).toBeCloseTo(0.5, 12);
    expect(statistics().byKind).toEqual([
      ['fish eye', 2],
      ['dust nib', 1],
    ]);
  });
  it('by resin, lot, room and person; those without an answer are left out', () => {
    expect(tally(statistics().byResin)).toEqual([
      ['Clear', 2, 0.5],
      ['Slow', 1, 0.5],
    ]);
    expect(tally(statistics().byLot)).toEqual([
      ['L1', 2, 1],
      ['L2', 0, 0],
    ]);
    // 17, 18 and 24 °C: each limit belongs to the warmer step.
    expect(tally(statistics().byRoom)).toEqual([
      ['under 18 °C', 2, 1],
      ['18 to 24 °C', 0, 0],
      ['over 24 °C', 1, 1],
    ]);
    expect(tally(statistics().byPerson)).toEqual([
      ['Ines', 2, 0.5],
      ['Rowan', 1, 1],
    ]);
  });
  it('by the month of the pour, oldest first', () => {
    expect(statistics().byMonth.map(({ name }) => name)).toEqual(['2026-01-01', '2026-02-01']);
    expect(statistics().byMonth.map(({ share }) => share.share)).toEqual([2 / 3, 0]);
  });
  it('mass by what was weighed, a batch shared among its coats', () => {
    // 430 g each; of the last batch half.
    expect(statistics().mixedKg).toBeCloseTo(3 * 0.43 + 0.215, 12);
    expect(statistics().reworkKg).toBe(0);
  });
  it('what ways back took, by their kind', () => {
    const rescued = (kind: 'polish' | 'fill', ...ids: string[]): Partial<Defect> =>
      ({
        rescue: { kind, chosenMs: 0, coatIds: ids.map((id) => asId(id)), taskIds: [] },
      }) as Partial<Defect>;
    const after = statisticsOf(
      {
        ...shop,
        defects: [
          aDefect('1', rescued('fill', 'c')),
          aDefect('2', rescued('fill', 'd')),
          aDefect('3', rescued('polish')),
        ],
      },
      started,
    );
    expect(after.reworkKg).toBeCloseTo(0.43 + 0.215, 12);
    expect(after.rescues.map(({ kind, count }) => [kind, count])).toEqual([
      ['fill', 2],
      ['polish', 1],
    ]);
    expect(after.rescues[0]?.mixedKg).toBeCloseTo(0.645, 12);
  });
  it('nothing poured: nothing is claimed', () => {
    const none = statisticsOf({ ...shop, coats: [], defects: [] }, new Map());
    expect(none).toMatchObject({ poured: 0, firstTimeRight: null, mixedKg: 0, drifts: [] });
  });
});

describe('what goes with a fault by more than chance', () => {
  /** So many coats, the first `bad` of them with fish eyes, the first `dirty` of them not wiped. */
  const drifting = (bad: number, dirty: number, all: number) => {
    const many = Array.from({ length: all }, (_, i) => coat(`c${i}`, 'clear', i));
    return statisticsOf(
      benchShop({
        coats: many,
        resins: [plainResin('clear')],
        defects: many
          .slice(0, bad)
          .map((c, i) => aDefect(String(i), { coatId: c.id, kind: 'fish eye' })),
        tasks: many.map((c, i) =>
          aTask('wipe', {
            id: asId(`t${i}`),
            key: `wipe:${c.id}`,
            coatId: c.id,
            doneMs: 0,
            state: i < dirty ? 'waived' : 'done',
          }),
        ),
      }),
      new Map(),
    ).drifts;
  };
  it('ten of ten with it and none of ten without it are no chance', () => {
    const [drift] = drifting(10, 10, 20);
    expect(drift).toMatchObject({ kind: 'fish eye', withIt: 10, of: 10, elsewhere: 0 });
    // Fisher: 1 in 20!/(10! 10!) one-sided, 2 in 184,756.
    expect(drift?.chance).toBeLessThan(2.2 / 184_756);
    expect(drift?.elsewhereOf).toBe(10);
  });
  it('one fault alone, or a circumstance that is everywhere, says nothing', () => {
    expect(drifting(1, 1, 20)).toEqual([]);
    expect(drifting(10, 20, 20)).toEqual([]);
    expect(drifting(10, 0, 20)).toEqual([]);
  });
});
