import { leftInLot, lotDoubts } from './lot';
import { massRatioBA, massRatioDoubt, type MixParts } from './ratio';

const full = { aKg: 1, bKg: 0.5 };

describe('a lot', () => {
  it('what is left is what there was less what was weighed out of it', () => {
    const used = [
      { aKg: 0.3, bKg: 0.15 },
      { aKg: 0.2, bKg: null },
    ];
    const left = leftInLot(full, used);
    expect(left.aKg).toBeCloseTo(0.5, 12);
    expect(left.bKg).toBeCloseTo(0.35, 12);
    expect(leftInLot(full, [])).toEqual(full);
  });
  it('what nobody told is not made up', () => {
    expect(leftInLot({ aKg: null, bKg: 0.5 }, [{ aKg: 0.3, bKg: 0.1 }])).toEqual({
      aKg: null,
      bKg: 0.4,
    });
  });
  it('more than was in it shows as less than nothing, not as empty', () => {
    expect(leftInLot(full, [{ aKg: 1.1, bKg: 0 }]).aKg).toBeCloseTo(-0.1, 12);
  });
  it('is doubted from its date on, and for the part that does not reach', () => {
    const needs = { aKg: 1, bKg: 0.6 };
    expect(lotDoubts({ bestBeforeMs: 100 }, full, needs, 99)).toEqual([
      { is: 'not enough', part: 'B', leftKg: 0.5 },
    ]);
    expect(lotDoubts({ bestBeforeMs: 100 }, full, { aKg: 1, bKg: 0.5 }, 100)).toEqual([
      { is: 'past its date', sinceMs: 100 },
    ]);
    const untold = { aKg: null, bKg: null };
    expect(lotDoubts({ bestBeforeMs: null }, untold, needs, 1e12)).toEqual([]);
  });
});

describe('densities that no sheet gives', () => {
  const parts = (over: Partial<MixParts>): MixParts => ({
    ratio: { by: 'volume', a: 1, b: 1 },
    densityAKgM3: 1100,
    densityBKgM3: 1000,
    ...over,
  });
  it('leave the weight ratio in doubt as far as they were assumed, by error propagation', () => {
    expect(massRatioDoubt(parts({}))).toBe(0);
    const one = massRatioDoubt(parts({ assumedDensity: ['A'] }));
    // 4 % either way: 1.05 to 1.18 and 0.93 to 1.05, from memory.
    expect(one).toBe(0.04);
    // A density that is off by its spread moves B for A by as much.
    const off = massRatioBA(parts({ densityAKgM3: 1100 / (1 + one) })) / massRatioBA(parts({})) - 1;
    expect(off).toBeCloseTo(one, 12);
    expect(massRatioDoubt(parts({ assumedDensity: ['A', 'B'] }))).toBeCloseTo(one * Math.SQRT2, 12);
  });
  it('do not touch a ratio by weight', () => {
    const byMass = parts({ ratio: { by: 'mass', a: 100, b: 45 }, assumedDensity: ['A', 'B'] });
    expect(massRatioDoubt(byMass)).toBe(0);
  });
});
