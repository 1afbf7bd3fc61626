import { seededRandom } from '../numeric';
import { flowAt, flowMarks, FLOWS } from '.';
import { alarmsOf, COVER_MS, dueAt, nextRound, ROUND_MS } from './alarms';
import { standing, type WetAct, type WetEvent } from './event';
import { BATCH_STEPS, firstWrong, follows, wetState } from './state';

const COATS = ['one', 'two'];
const JOB = { coatIds: COATS, cups: [] };
const MIN = 60_000;
let serial = 0;
const done = (act: WetAct, atMin = (serial += 1)): WetEvent => ({
  ...act,
  id: `e${(serial += 1)}`,
  atMs: atMin * MIN,
});
const MIXED: readonly WetEvent[] = [
  done({ is: 'weighed A', kg: 0.1, by: 'read' }, 0),
  done({ is: 'mixed', kg: 0.05, by: 'read' }, 2),
  done({ is: 'stir started' }, 3),
  done({ is: 'stirred' }, 7),
];
const pour = (coatId: string, atMin: number) => done({ is: 'poured', coatId }, atMin);
const cover = (coatId: string, atMin: number) => done({ is: 'covered', coatId }, atMin);
const at = (...events: WetEvent[]) => wetState([...MIXED, ...events], JOB);

describe('a batch is what was done with it', () => {
  it('goes from one step to the next, each coat by itself', () => {
    const steps = MIXED.map((_, i) => wetState(MIXED.slice(0, i), JOB).step);
    expect(steps).toEqual(['weigh A', 'weigh B', 'stir', 'stirring']);
    expect(at().step).toBe('pour');
    expect(at(pour('one', 9)).step).toBe('pour');
    expect(at(pour('one', 9), cover('one', 12)).step).toBe('pour');
    expect(at(pour('one', 9), pour('two', 11)).step).toBe('cover');
    expect(at(pour('one', 9), pour('two', 11), cover('two', 12)).step).toBe('cover');
    const over = at(pour('one', 9), pour('two', 11), cover('two', 12), cover('one', 13));
    expect([over.step, over.covered.get('one')]).toEqual(['done', 13 * MIN]);
  });
  it('part A that is added counts, and is assumed', () => {
    const more = wetState(
      [
        MIXED[0] as WetEvent,
        done({ is: 'added A', kg: 0.01, by: 'assumed' }),
        done({ is: 'added A', kg: 0.02, by: 'assumed' }),
      ],
      JOB,
    );
    expect([more.aKg?.toFixed(9), more.addedAKg.toFixed(9), more.aBy]).toEqual([
      '0.130000000',
      '0.030000000',
      'assumed',
    ]);
  });
  it('the cup is changed once while it is stirred; what ran short is told of a coat of the batch', () => {
    const stirring = MIXED.slice(0, 3);
    const changed = [...stirring, done({ is: 'changed cup' }, 5)];
    expect(wetState(changed, JOB)).toMatchObject({ step: 'stirring', changedCupMs: 5 * MIN });
    expect(follows(wetState(changed, JOB), { is: 'changed cup' }, JOB)).toBe(false);
    expect(follows(at(), { is: 'changed cup' }, JOB)).toBe(false);
    const short = (coatId: string, share: number) => ({ is: 'ran short', coatId, share }) as const;
    expect(follows(at(), short('one', 0.25), JOB)).toBe(true);
    expect(follows(at(), short('one', 0), JOB)).toBe(false);
    expect(follows(at(), short('three', 0.25), JOB)).toBe(false);
    expect(follows(wetState(changed, JOB), short('one', 0.25), JOB)).toBe(false);
    expect(at(pour('one', 9), done(short('one', 0.25), 10)).short.get('one')).toBe(0.25);
  });
  it('what is thrown away ends it, once what was poured is covered', () => {
    const away = done({ is: 'discarded', why: 'too late' }, 60);
    expect(at(away).step).toBe('done');
    expect(at(pour('one', 9), away).step).toBe('cover');
    expect(at(pour('one', 9), away, cover('one', 61)).step).toBe('done');
    expect(follows(at(away), { is: 'poured', coatId: 'one' }, JOB)).toBe(false);
    // Before B met A there is nothing mixed to throw away; after the last pour nothing is left.
    expect(follows(wetState([], JOB), { is: 'discarded', why: 'spilt' }, JOB)).toBe(false);
    const all = at(pour('one', 9), pour('two', 11));
    expect(follows(all, { is: 'discarded', why: 'spilt' }, JOB)).toBe(false);
  });
  it('an act that is taken back was not done, by the order of writing and not by the clock', () => {
    const late = pour('one', 5);
    const back: WetEvent = { is: 'undone', of: late.id, id: 'u', atMs: 0 };
    expect(at(late, back)).toEqual(at());
    expect(standing([...MIXED, late, back])).toHaveLength(4);
  });
  it('a list with an act that could not follow is found out, at its place', () => {
    expect(firstWrong([...MIXED, pour('one', 9)], JOB)).toBeNull();
    expect(firstWrong([...MIXED, pour('three', 9)], JOB)).toBe(4);
    expect(firstWrong([...MIXED, cover('one', 9)], JOB)).toBe(4);
    expect(firstWrong(MIXED.slice(1), JOB)).toBe(0);
    expect(firstWrong([...MIXED, MIXED[3] as WetEvent], JOB)).toBe(4);
    const wrongUndo: WetEvent = { is: 'undone', of: MIXED[0]?.id ?? '', id: 'w', atMs: 0 };
    expect(firstWrong([...MIXED, wrongUndo], JOB)).toBe(4);
    expect(firstWrong([done({ is: 'weighed A', kg: 0, by: 'read' })], JOB)).toBe(0);
  });
});

/** Hands that are tried in the gate, and by `npm run deep`. */
const HANDS = process.env['DEEP'] ? 10_000 : 3000;

describe(`${HANDS} seeded hands at the bench`, () => {
  const random = seededRandom(15);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const acts = (): WetAct =>
    pick<WetAct>([
      { is: 'weighed A', kg: random() < 0.1 ? 0 : 0.1, by: pick(['read', 'assumed']) },
      { is: 'added A', kg: 0.01, by: 'assumed' },
      { is: 'mixed', kg: 0.05, by: pick(['read', 'assumed', 'to the mark']) },
      { is: 'stir started' },
      { is: 'changed cup' },
      { is: 'stirred' },
      { is: 'ran short', coatId: pick(COATS), share: pick([0, 0.25]) },
      { is: 'poured', coatId: pick([...COATS, 'gone']) },
      { is: 'bubble round', coatId: pick(COATS), by: 'torch' },
      { is: 'looked over', coatId: pick(COATS) },
      { is: 'covered', coatId: pick(COATS) },
      { is: 'discarded', why: 'spilt' },
    ]);
  /** The order of the work written down by hand, apart from the fold: what each step lets come next. */
  const NEXT: Readonly<Record<string, readonly string[]>> = {
    'weigh A': ['weigh B'],
    'weigh B': ['weigh B', 'stir'],
    stir: ['stirring', 'done'],
    stirring: ['stirring', 'pour', 'done'],
    pour: ['pour', 'cover', 'done'],
    cover: ['cover', 'done'],
    done: ['done'],
  };
  it('taps, double taps, undos and taps of another tab never reach what right acts do not', () => {
    for (let run = 0; run < HANDS; run += 1) {
      let events: WetEvent[] = [];
      let other = events;
      for (let tap = 0; tap < 14; tap += 1) {
        const before = wetState(events, JOB);
        if (random() < 0.15) {
          // Undo: always of the newest, seen by this tab or by one that is behind.
          const last = standing(random() < 0.5 ? events : other).at(-1);
          if (last && standing(events).at(-1)?.id === last.id)
            events = [...events, { is: 'undone', of: last.id, id: `u${run}.${tap}`, atMs: tap }];
          continue;
        }
        const act = acts();
        for (let twice = 0; twice < (random() < 0.3 ? 2 : 1); twice += 1) {
          const here = wetState(events, JOB);
          if (!follows(here, act, JOB)) continue;
          events = [...events, { ...act, id: `a${run}.${tap}.${twice}`, atMs: tap }];
          const after = wetState(events, JOB);
          if (!NEXT[here.step]?.includes(after.step))
            throw new Error(`${here.step} → ${after.step} by ${act.is}`);
          if (before.step === after.step && act.is === 'mixed') throw new Error('mixed twice');
        }
        if (random() < 0.5) other = events;
      }
      const { aKg, bKg, mixedMs, poured, covered, step } = wetState(events, JOB);
      if (firstWrong(events, JOB) !== null) throw new Error(JSON.stringify(events));
      if ((bKg === null) !== (mixedMs === null) || (mixedMs !== null && aKg === null))
        throw new Error('mixed without both parts');
      for (const id of covered.keys()) if (!poured.has(id)) throw new Error('covered, not poured');
      expect(BATCH_STEPS).toContain(step);
    }
  });
});

describe('what a batch has to tell', () => {
  const asked = { wantedS: 240, workingEndsMs: 42 * MIN };
  const told = (...events: WetEvent[]) =>
    alarmsOf(at(...events), asked).map((a) => [a.is, a.atMs / MIN, a.coatId]);
  it('while it is stirred, rested, poured, gone over and covered', () => {
    const stirring = alarmsOf(wetState(MIXED.slice(0, 3), JOB), asked);
    expect(stirring.map((a) => [a.is, a.atMs / MIN])).toEqual([
      ['stirred enough', 7],
      ['soon over', 37],
      ['time over', 42],
    ]);
    expect(told()).toEqual([
      ['rested', 9, null],
      ['soon over', 37, null],
      ['time over', 42, null],
    ]);
    expect(told(pour('one', 10))).toEqual([
      ['bubble round', 15, 'one'],
      ['cover', 20, 'one'],
      ['soon over', 37, null],
      ['time over', 42, null],
    ]);
    // All is poured: the working time asks for nothing any more.
    const round = done({ is: 'bubble round', coatId: 'one', by: 'pick' }, 16);
    expect(told(pour('one', 10), pour('two', 12), round, cover('one', 18))).toEqual([
      ['bubble round', 17, 'two'],
      ['bubble round', 21, 'one'],
      ['cover', 22, 'two'],
    ]);
    expect(COVER_MS).toBe(10 * MIN);
  });
  it('what is over makes idle what it was to come before', () => {
    const due = (atMin: number) => dueAt(alarmsOf(at(), asked), atMin * MIN).map((a) => a.is);
    expect([due(8.9), due(9), due(36.9)]).toEqual([[], ['rested'], ['rested']]);
    expect([due(37), due(42)]).toEqual([['soon over'], ['time over']]);
  });
  it('bubbles that nobody looked for are no alarm the next morning; a cover is', () => {
    const left = alarmsOf(at(pour('one', 10), pour('two', 12)), asked);
    expect(dueAt(left, 60 * MIN).map((a) => a.is)).toContain('bubble round');
    expect(new Set(dueAt(left, 600 * MIN).map((a) => a.is))).toEqual(new Set(['cover']));
  });
  it('bubbles are looked for every five to ten minutes through the first hour: common practice, no source', () => {
    const rounds = Array.from({ length: 12 }, (_, i) =>
      done({ is: 'bubble round', coatId: 'one', by: 'warm air' }, 15 + 5 * i),
    );
    const next = (n: number) => nextRound(at(pour('one', 10), ...rounds.slice(0, n)), 'one');
    expect(next(0)).toEqual({ fromMs: 15 * MIN, toMs: 20 * MIN });
    expect(next(3)?.fromMs).toBe(30 * MIN);
    // The last begins within the hour after the pour.
    expect(next(10)?.fromMs).toBe(65 * MIN);
    expect(next(11)).toBeNull();
    expect(nextRound(at(), 'one')).toBeNull();
    expect(ROUND_MS.last).toBe(3_600_000);
  });
});

describe('how it flows through its working time', () => {
  it('marks lie in order inside it; a common resin clings about ten minutes after the mix', () => {
    const marks = flowMarks(40 * 60);
    expect(marks.map((m) => m.flow)).toEqual(FLOWS);
    const times = marks.map((m) => m.fromS);
    expect(times).toEqual([...times].sort((a, b) => a - b));
    // 7–10 min of rest thickens it for edges, after a stir of some minutes; lines stay near the end: common practice.
    const [, clings, thickens, lines, over] = times.map((s) => s / 60);
    expect(clings).toBeGreaterThan(7);
    expect(clings).toBeLessThan(14);
    expect(thickens).toBeLessThan(20);
    expect(lines).toBeGreaterThan(30);
    expect(over).toBe(40);
    expect(flowAt(marks, 0)).toBe('fresh');
    expect(flowAt(marks, 40 * 60)).toBe('over');
    expect(flowAt(marks, 40 * 60 - 1)).toBe('lines stay');
    expect(() => flowMarks(0)).toThrow('flowMarks');
  });
});
