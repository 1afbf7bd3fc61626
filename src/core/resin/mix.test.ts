import type { Explanation } from '../explain';
import { seededRandom } from '../numeric';
import { TEST_SHEET } from './test/sheet';
import {
  checkMix,
  massRatioBA,
  partVolumeExplanation,
  scaleRatioError,
  smallestBatchKg,
  splitMix,
  volumeRatioBA,
  wantedVolumeBExplanation,
  type MixParts,
} from '.';

const parts = (
  by: 'volume' | 'mass',
  a: number,
  b: number,
  rhoA: number,
  rhoB: number,
): MixParts => ({
  ratio: { by, a, b },
  densityAKgM3: rhoA,
  densityBKgM3: rhoB,
});

describe('splitMix', () => {
  it('one litre of 1 : 1 by volume, worked by hand: 0.5 l each, 575 g and 500 g', () => {
    const split = splitMix(1e-3, parts('volume', 1, 1, 1150, 1000));
    expect(split.ok && split.value).toMatchObject({ aM3: 5e-4, bM3: 5e-4 });
    expect(split.ok && split.value.aKg).toBeCloseTo(0.575, 12);
    expect(split.ok && split.value.bKg).toBeCloseTo(0.5, 12);
  });

  // Equal weights of a 1 : 1 by volume resin: excess of hardener is rhoA/rhoB − 1 (mass balance by hand).
  it.each([
    [1100, 1000, 0.1, 90.91],
    [1120, 980, 0.1429, 87.5],
    [1100, 950, 0.1579, 86.36],
    [1150, 950, 0.2105, 82.61],
  ])('densities %d and %d: equal weights are wrong by %d', (rhoA, rhoB, excess, right) => {
    const split = splitMix(1e-4, parts('volume', 1, 1, rhoA, rhoB));
    if (!split.ok) throw new Error('no split');
    expect(split.value.excessIfWeighedAsVolume).toBeCloseTo(excess, 3);
    expect(split.value.massBPer100A).toBeCloseTo(right, 2);
  });

  // Hardener per hundred of resin is 100 AHEW / EEW; DGEBA 190, DETA 103.17/5, TETA 146.23/6: handbook values.
  it.each([
    ['DETA', 103.17 / 5, 10.86],
    ['TETA', 146.23 / 6, 12.83],
  ])('DGEBA with %s by its equivalents: %d to 190 is %d phr', (_, ahew, phr) => {
    const split = splitMix(1e-4, parts('mass', 19, ahew / 10, 1160, 980));
    expect(split.ok && split.value.massBPer100A).toBeCloseTo(phr, 1);
    expect(split.ok && split.value.massBPer100A).toBeCloseTo((100 * ahew) / 190, 10);
  });

  it('12.84 phr at 1.16 / 0.98 g/ml is 100 : 15.2 by volume', () => {
    expect(100 * volumeRatioBA(parts('mass', 100, 12.84, 1160, 980))).toBeCloseTo(15.2, 1);
  });

  it('keeps mass and volume for 500 seeded mixes', () => {
    const random = seededRandom(21);
    for (let i = 0; i < 500; i += 1) {
      const mix = parts(
        random() < 0.5 ? 'volume' : 'mass',
        0.5 + 10 * random(),
        0.5 + 10 * random(),
        900 + 400 * random(),
        900 + 400 * random(),
      );
      const total = 1e-5 + random() * 5e-3;
      const split = splitMix(total, mix);
      if (!split.ok) throw new Error('no split');
      const { aM3, bM3, aKg, bKg, totalKg, densityKgM3 } = split.value;
      expect(aM3 + bM3).toBeCloseTo(total, 15);
      expect(aKg / mix.densityAKgM3).toBeCloseTo(aM3, 15);
      expect(bKg / aKg).toBeCloseTo(massRatioBA(mix), 10);
      expect(totalKg / total).toBeCloseTo(densityKgM3, 6);
    }
  });

  it('names each fault', () => {
    const bad = splitMix(0, parts('volume', 0, NaN, 0, 1000));
    expect(bad.ok ? [] : bad.issues.map((i) => i.path.join('.'))).toEqual([
      'ratio.a',
      'ratio.b',
      'densityAKgM3',
      'totalM3',
    ]);
  });
});

describe('checkMix', () => {
  it('100 g + 100 g of 1.10 : 1.00 wants 10 g more of A', () => {
    const check = checkMix(0.1, 0.1, parts('volume', 1, 1, 1100, 1000));
    expect(check.addAKg).toBeCloseTo(0.01, 12);
    expect(check).toMatchObject({ addBKg: 0, verdict: 'too much B' });
  });

  it('80 g and 30 g at 100 : 45 wants 6 g more of B', () => {
    const check = checkMix(0.08, 0.03, parts('mass', 100, 45, 1160, 1020));
    expect(check.addBKg).toBeCloseTo(0.006, 12);
    expect(check.verdict).toBe('too little B');
  });

  it('what it says to add makes the ratio right (seeded)', () => {
    const random = seededRandom(4);
    for (let i = 0; i < 200; i += 1) {
      const mix = parts('volume', 1 + random() * 3, 1, 1150, 980);
      const [a, b] = [0.01 + random(), 0.01 + random()];
      const { addAKg, addBKg } = checkMix(a, b, mix);
      expect(checkMix(a + addAKg, b + addBKg, mix).errorShare).toBeCloseTo(0, 10);
    }
  });

  it('stands right at the tolerance and wrong just beyond', () => {
    const mix = parts('mass', 1, 1, 1100, 1000);
    expect(checkMix(1, 1.0199, mix).verdict).toBe('right');
    expect(checkMix(1, 1.0201, mix).verdict).toBe('too much B');
  });

  it('throws without A', () =>
    expect(() => checkMix(0, 1, parts('mass', 1, 1, 1, 1))).toThrow('checkMix'));
});

describe('to the mark, opened', () => {
  const sheet = (by: 'volume' | 'mass', b: number) => ({
    ...TEST_SHEET,
    ...parts(by, 1, b, 1150, 1000),
  });
  const last = ({ inputs }: Explanation) => inputs.at(-1)?.value;
  it('a ratio by volume needs no density; the marks are the split', () => {
    const split = splitMix(3e-4, sheet('volume', 0.5));
    if (!split.ok) throw new Error('no split');
    const told = (['A', 'B'] as const).map((p) =>
      partVolumeExplanation(split.value, sheet('volume', 0.5), p),
    );
    expect(told.map(last)).toEqual([expect.closeTo(2e-4, 12), expect.closeTo(1e-4, 12)]);
    expect(told.flatMap((e) => e.inputs.filter((i) => i.quantity === 'density'))).toEqual([]);
  });
  it('a ratio by weight goes through both densities, by hand: 230 ml of A take 264.5 g of B, 264.5 ml', () => {
    const why = wantedVolumeBExplanation(2.3e-4, sheet('mass', 1), false);
    expect(last(why)).toBeCloseTo(2.645e-4, 12);
    expect(why.inputs[0]).toMatchObject({ source: 'assumed' });
    expect(why.inputs.filter((i) => i.quantity === 'density')).toHaveLength(2);
    expect(last(wantedVolumeBExplanation(2.3e-4, sheet('volume', 1)))).toBeCloseTo(2.3e-4, 12);
  });
});

describe('the scale', () => {
  // Error propagation by hand, limit 2 %, one digit e on each tared part.
  it.each([
    [1, 1, 1e-4, 0.02],
    [1, 1, 1e-3, 0.2],
    [2, 1, 1e-4, 0.0225],
    [100, 45, 1e-4, 0.0234],
    [10, 1, 1e-4, 0.0605],
  ])('%d : %d by weight, step %d kg: smallest batch %d kg', (a, b, digit, kg) => {
    const mix = parts('mass', a, b, 1100, 1000);
    expect(smallestBatchKg(mix, digit)).toBeCloseTo(kg, 4);
    const share = b / (a + b);
    expect(scaleRatioError(kg * (1 - share), kg * share, digit)).toBeCloseTo(0.02, 3);
  });
  it.each([0, -1, NaN])('refuses %d', (bad) => {
    const mix = parts('mass', 2, 1, 1100, 1000);
    expect(() => smallestBatchKg(mix, bad)).toThrow('smallestBatchKg');
    expect(() => smallestBatchKg(mix, 1e-4, bad)).toThrow('smallestBatchKg');
    expect(() => scaleRatioError(bad, 1, 1e-4)).toThrow('scaleRatioError');
    expect(() => scaleRatioError(1, bad, 1e-4)).toThrow('scaleRatioError');
    expect(() => checkMix(bad, 1, mix)).toThrow('checkMix');
  });
  it('one that tells every gram has no error of its own; less than nothing and no number are refused', () => {
    expect(scaleRatioError(1, 1, 0)).toBe(0);
    for (const bad of [-1e-9, NaN]) {
      expect(() => scaleRatioError(1, 1, bad)).toThrow('scaleRatioError');
      expect(() => checkMix(1, bad, parts('mass', 2, 1, 1100, 1000))).toThrow('checkMix');
    }
  });
});

describe('at a limit', () => {
  // 0.5 is exact: 1 of A wants 0.5 of B, and a quarter either way is the tolerance.
  const mix = parts('mass', 2, 1, 1100, 1000);
  it.each([
    [0.625, 'right'],
    [0.626, 'too much B'],
    [0.375, 'right'],
    [0.374, 'too little B'],
    [0, 'too little B'],
  ])('%d of B is %s', (b, verdict) => expect(checkMix(1, b, mix, 0.25).verdict).toBe(verdict));
  it.each([
    [
      'a ratio',
      { ...mix, ratio: { by: 'mass', a: 1, b: 100 } },
      { ...mix, ratio: { by: 'mass', a: 1, b: 100.1 } },
    ],
    [
      'a ratio',
      { ...mix, ratio: { by: 'mass', a: 0.01, b: 1 } },
      { ...mix, ratio: { by: 'mass', a: 0.0099, b: 1 } },
    ],
    ['a density', { ...mix, densityAKgM3: 700 }, { ...mix, densityAKgM3: 699 }],
    ['a density', { ...mix, densityBKgM3: 2500 }, { ...mix, densityBKgM3: 2501 }],
  ] as const)('%s that stands on it is taken, one beyond is not', (_, on, beyond) => {
    expect(splitMix(1e-3, on).ok).toBe(true);
    expect(splitMix(1e-3, beyond).ok).toBe(false);
  });
  it('a cubic metre is the most, and less than anything the least', () => {
    expect([1, 1e-9].map((m3) => splitMix(m3, mix).ok)).toEqual([true, true]);
    expect([1.001, 0, NaN].map((m3) => splitMix(m3, mix).ok)).toEqual([false, false, false]);
  });
  it('what is told by weight is not wrong when it is weighed', () => {
    const split = splitMix(1e-3, mix);
    expect(split.ok && split.value.excessIfWeighedAsVolume).toBe(0);
  });
});
