import loadHighs from 'highs';
import { seededRandom } from '../numeric';
import { MOST_COATS, shareOut, type Judged } from './split';

interface Case {
  readonly massKg: readonly number[];
  readonly timeS: readonly number[];
  readonly mostKg: number;
  readonly mostS: number;
}
const sum = (list: readonly number[], places: readonly number[]) =>
  places.reduce((s, i) => s + (list[i] ?? NaN), 0);
/** A cup keeps a film of its wall, and a reserve of the batch. */
const wasteOf = ({ massKg }: Case, places: readonly number[]) =>
  0.004 * sum(massKg, places) ** (2 / 3) +
  0.05 * Math.hypot(...places.map((i) => massKg[i] ?? NaN)) +
  0.003;
const judgeOf =
  (c: Case) =>
  (places: readonly number[]): Judged => ({
    fits: sum(c.massKg, places) <= c.mostKg && sum(c.timeS, places) <= c.mostS,
    wasteM3: wasteOf(c, places),
  });

function cases(): Case[] {
  const random = seededRandom(50);
  return Array.from({ length: 50 }, () => {
    const coats = 2 + Math.floor(random() * 6);
    const massKg = Array.from({ length: coats }, () => 0.03 + 0.3 * random());
    const timeS = Array.from({ length: coats }, () => 120 + 600 * random());
    // Each fits alone.
    return {
      ...{ massKg, timeS },
      mostKg: Math.max(...massKg) * (1 + random()),
      mostS: Math.max(...timeS) * (1 + 1.5 * random()),
    };
  });
}

const terms = (list: readonly (readonly [number, string])[]) =>
  list.map(([n, name]) => `${n < 0 ? '-' : '+'} ${Math.abs(n)} ${name}`).join(' ');

/** Fewest batches as a bin packing of two sizes, a mixed-integer programme that knows nothing of subsets. */
function packing({ massKg, timeS, mostKg, mostS }: Case): string {
  const all = massKg.map((_, i) => i);
  const x = (i: number, j: number) => `x${i}_${j}`;
  const rows = [
    ...all.map((i) => `a${i}: ${terms(all.map((j) => [1, x(i, j)]))} = 1`),
    ...all.map(
      (j) =>
        `m${j}: ${terms([...all.map((i) => [massKg[i] ?? NaN, x(i, j)] as const), [-mostKg, `y${j}`]])} <= 0`,
    ),
    ...all.map(
      (j) =>
        `t${j}: ${terms([...all.map((i) => [timeS[i] ?? NaN, x(i, j)] as const), [-mostS, `y${j}`]])} <= 0`,
    ),
  ];
  const names = all.flatMap((i) => [`y${i}`, ...all.map((j) => x(i, j))]);
  return `Minimize\n obj: ${terms(all.map((j) => [1, `y${j}`]))}\nSubject To\n ${rows.join('\n ')}\nBinary\n ${names.join(' ')}\nEnd`;
}

/** Least waste among as few batches as there must be: a set partition over all subsets that fit. */
function partition(c: Case, batches: number): string {
  const coats = c.massKg.length;
  const sets = Array.from({ length: 2 ** coats - 1 }, (_, n) =>
    c.massKg.map((_, i) => i).filter((i) => ((n + 1) >> i) & 1),
  ).filter((places) => judgeOf(c)(places).fits);
  const name = (places: readonly number[]) => `z${places.join('_')}`;
  const rows = c.massKg.map(
    (_, i) => `c${i}: ${terms(sets.filter((s) => s.includes(i)).map((s) => [1, name(s)]))} = 1`,
  );
  const few = `few: ${terms(sets.map((s) => [1, name(s)]))} = ${batches}`;
  return `Minimize\n obj: ${terms(sets.map((s) => [wasteOf(c, s), name(s)]))}\nSubject To\n ${[...rows, few].join('\n ')}\nBinary\n ${sets.map(name).join(' ')}\nEnd`;
}

describe('coats are shared out over batches', () => {
  it('as few, and then as little waste, as a general solver finds (HiGHS, from npm) on 50 cases', async () => {
    const solver = await loadHighs();
    let several = 0;
    for (const c of cases()) {
      const mine = shareOut(c.massKg.length, judgeOf(c));
      expect(mine.flat().sort((a, b) => a - b)).toEqual(c.massKg.map((_, i) => i));
      for (const places of mine) expect(judgeOf(c)(places).fits).toBe(true);
      const least = solver.solve(packing(c)).ObjectiveValue;
      expect(mine.length).toBe(Math.round(least));
      const waste = mine.reduce((s, places) => s + wasteOf(c, places), 0);
      expect(waste).toBeCloseTo(solver.solve(partition(c, mine.length)).ObjectiveValue, 8);
      if (mine.length > 1 && mine.length < c.massKg.length) several += 1;
    }
    expect(several).toBeGreaterThan(20);
  });
  it('one that fits nowhere is a batch by itself, and the first coat stands in the first batch', () => {
    const judge = (places: readonly number[]): Judged => ({
      fits: !places.includes(1) && places.length <= 2,
      wasteM3: places.length,
    });
    expect(shareOut(3, judge)).toEqual([[0, 2], [1]]);
    expect(shareOut(1, judge)).toEqual([[0]]);
  });
  it('is for as many coats as can be looked at', () => {
    const one = () => ({ fits: true, wasteM3: 1 });
    expect(shareOut(MOST_COATS, one)).toHaveLength(1);
    for (const coats of [0, MOST_COATS + 1, NaN])
      expect(() => shareOut(coats, one)).toThrow('shareOut');
  });
});
