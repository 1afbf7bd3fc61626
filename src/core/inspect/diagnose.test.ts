import { DEFECT_KINDS } from '../piece';
import { PRIORS } from './causes';
import { diagnose, TEMPER } from './diagnose';
import { EVIDENCE, EVIDENCE_CODES, likelihood, type Evidence } from './evidence';
import { CASES, EMPTY } from './test/cases';
import { CASES_ASIDE } from './test/casesAside';
import { evidenceOfCase, type WrittenCase } from './test/case';

const ask = (c: WrittenCase) => diagnose(c.kind, evidenceOfCase(c));
const rankOf = (c: WrittenCase) => ask(c).ranked.findIndex((r) => r.cause === c.cause);
const is = (code: Evidence['code'], truth = 1): Evidence => ({ code, truth, figures: {} });

/** Mean squared distance of what is said of every cause from what was so (Brier 1950), over causes of a case. */
const brier = (cases: readonly WrittenCase[]) =>
  cases.reduce((sum, c) => {
    const { ranked } = ask(c);
    const miss = ranked.map((r) => (r.probability - (r.cause === c.cause ? 1 : 0)) ** 2);
    return sum + miss.reduce((a, b) => a + b, 0);
  }, 0) / cases.length;

describe('written cases', () => {
  test.each([
    ['set by', CASES],
    ['set aside', CASES_ASIDE],
  ] as const)('cases %s: right cause first in 80 %, in the first three in 95 %', (_, cases) => {
    expect(cases).toHaveLength(15);
    const ranks = cases.map(rankOf);
    const wrong = cases.filter((_c, i) => ranks[i] !== 0).map((c) => `${c.story}: ${first(c)}`);
    expect({ wrong, share: ranks.filter((r) => r === 0).length / 15 >= 0.8 }).toEqual({
      wrong: expect.any(Array) as string[],
      share: true,
    });
    expect(ranks.filter((r) => r >= 0 && r < 3).length / 15).toBeGreaterThanOrEqual(0.95);
  });
  const first = (c: WrittenCase) => `${ask(c).ranked[0]?.cause} for ${c.cause}`;

  test('nothing is said where nothing is known', () => {
    expect(EMPTY.map((c) => ask(c).abstains)).not.toContain(null);
    expect(EMPTY).toHaveLength(5);
  });

  test('what is called likely is likely: better than the priors alone by half', () => {
    const alone = (cases: readonly WrittenCase[]) =>
      brier(cases.map((c) => ({ ...c, history: {}, look: {}, answers: {} })));
    expect(brier(CASES_ASIDE)).toBeLessThan(0.5 * alone(CASES_ASIDE));
  });
});

describe('Bayes’ rule', () => {
  test('one piece of evidence by hand', () => {
    // Sharp rim: meniscus 0.6, short fill 0.3, other 0.1; at the edge 0.95, 0.3, 0.3, tempered.
    const { ranked } = diagnose('sharp rim', [is('at the edge')]);
    const w = (p: number) => p ** TEMPER;
    const all = 0.6 * w(0.95) + 0.3 * w(0.3) + 0.1 * w(0.3);
    expect(ranked[0]).toMatchObject({ cause: 'meniscus' });
    expect(ranked[0]?.probability).toBeCloseTo((0.6 * w(0.95)) / all, 12);
    // Its odds against the rest rise by the ratio of the two likelihoods.
    expect(ranked[0]?.evidence[0]?.weight).toBeCloseTo(TEMPER * Math.log(0.95 / 0.3), 12);
  });

  test('half sure tells nothing, and more or less sure tells more or less', () => {
    const of = (truth: number) => diagnose('seep', [is('tape was not pressed down', truth)]).ranked;
    expect(of(0.5).map((r) => r.probability)).toEqual(
      of(0.5).map((r) => expect.closeTo(r.prior, 12) as number),
    );
    const loose = [0, 0.3, 0.6, 1].map((t) => of(t).find((r) => r.cause === 'mask loose'));
    const shares = loose.map((r) => r?.probability ?? NaN);
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    expect(diagnose('seep', [is('tape was not pressed down', 0.5)]).abstains).toBe('no evidence');
  });

  test('what contradicts itself is kept and not used', () => {
    const both = diagnose('haze', [is('humid', 0.97), is('humid', 0.03), is('near the dew point')]);
    expect(both.contradicted).toEqual(['humid']);
    const without = diagnose('haze', [is('near the dew point')]);
    expect(both.ranked).toEqual(without.ranked);
  });

  test('the test that would tell most comes first, and one that was done is not asked again', () => {
    const open = diagnose('tacky all over', [is('all over')]);
    expect(open.settle[0]?.test).toBe('firm after a warm day');
    const done = diagnose('tacky all over', [is('firm after a warm day')]);
    expect(done.settle.map((s) => s.test)).not.toContain('firm after a warm day');
    // What an answer tells is never less than nothing, and no more than what is open.
    for (const { gain } of open.settle) {
      expect(gain).toBeGreaterThan(0);
      expect(gain).toBeLessThan(Math.log(open.ranked.length));
    }
  });

  test('a truth outside 0 to 1 is a bug of the caller', () => {
    expect(() => diagnose('haze', [is('humid', 1.2)])).toThrow(/diagnose/);
    expect(() => diagnose('haze', [is('humid', NaN)])).toThrow(/diagnose/);
  });
});

describe('the tables', () => {
  test.each(DEFECT_KINDS)('causes of %s share one whole, and evidence bears on each', (kind) => {
    const causes = PRIORS[kind];
    expect(causes.reduce((sum, c) => sum + c.prior, 0)).toBeCloseTo(1, 12);
    for (const { cause, prior } of causes) {
      expect(prior).toBeGreaterThan(0);
      const bears = EVIDENCE_CODES.some((code) => cause in EVIDENCE[code].so);
      const unsaid = ['other', 'short fill', 'one strong colour', 'white too early', 'reworked'];
      expect(bears || unsaid.includes(cause)).toBe(true);
    }
  });

  test('likelihoods are chances that leave room for doubt', () => {
    for (const code of EVIDENCE_CODES)
      for (const kind of DEFECT_KINDS)
        for (const { cause } of PRIORS[kind]) {
          const chance = likelihood(code, cause);
          expect(chance > 0 && chance < 1).toBe(true);
        }
  });
});
