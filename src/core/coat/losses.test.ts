import type { Shape } from '../geometry';
import { coatLedger, ledgerInput, learnedLoss, type LedgerInput } from '.';
import { faceOf, planInput, planned } from './test/planned';

const sample = (factor: number) => ({ plannedKg: 0.2, usedKg: 0.2 * factor });

describe('what pours teach of losses', () => {
  it('mean and spread of the logarithms, by hand: 1, 1.1 and 1.21 lie around 1.1', () => {
    const found = learnedLoss([1, 1.1, 1.21].map(sample));
    if (!found.ok) throw new Error('nothing learned');
    expect(found.value.factor).toBeCloseTo(1.1, 12);
    expect(found.value.count).toBe(3);
    expect(found.value.spread).toBeCloseTo(1.1 * Math.log(1.1), 12);
  });
  it('too few tell nothing, and slips are none', () => {
    expect(learnedLoss([1.1, 1.2].map(sample))).toMatchObject({
      ...{ ok: false, issues: [{ code: 'required', value: 2 }] },
    });
    expect(learnedLoss([1.1, 1.2, 9, 0.1, NaN].map(sample)).ok).toBe(false);
    expect(learnedLoss([1, 1, 1, 40].map(sample))).toMatchObject({
      value: { factor: 1, count: 3 },
    });
  });
});

describe('the line of the ledger that was learned', () => {
  const panel: Shape = { kind: 'rectangle', widthM: 0.3, heightM: 0.3 };
  const plan = planInput([faceOf(panel)]);
  const plain = ledgerInput(plan, planned([faceOf(panel)]).thicknessM);
  const ledger = (input: LedgerInput) => {
    const found = coatLedger(input);
    if (!found.ok) throw new Error('no ledger');
    return found.value;
  };
  const line = (input: LedgerInput) => ledger(input).lines.find((l) => l.id === 'learned');
  it('adds its share of all that is poured, or takes it off, and each area takes its part', () => {
    const before = ledger(plain);
    expect(line(plain)).toBeUndefined();
    for (const factor of [1.08, 0.93]) {
      const input = { ...plain, learned: { factor, count: 14, spread: 0.05 } };
      const after = ledger(input);
      expect(line(input)?.volumeM3).toBeCloseTo((factor - 1) * before.pouredM3, 12);
      expect(after.pouredM3).toBeCloseTo(factor * before.pouredM3, 12);
      const areas = after.byArea.reduce((s, a) => s + a.volumeM3, 0);
      expect(areas).toBeCloseTo(after.pouredM3, 12);
      expect(after.lines.reduce((s, l) => s + l.volumeM3, 0)).toBeCloseTo(after.totalM3, 12);
    }
  });
  it('says from how many pours, and is as sure as their mean', () => {
    const found = line({ ...plain, learned: { factor: 1.08, count: 16, spread: 0.06 } });
    expect(found?.explanation.inputs).toContainEqual(
      expect.objectContaining({ value: 16, source: 'learned' }),
    );
    expect(found?.explanation.sigma).toBeCloseTo((ledger(plain).pouredM3 * 0.06) / 4, 12);
  });
  it('a factor that none could be is refused', () => {
    for (const factor of [0.1, 7, NaN])
      expect(coatLedger({ ...plain, learned: { factor, count: 3, spread: 0.1 } })).toMatchObject({
        ...{ ok: false, issues: [{ path: ['learned', 'factor'] }] },
      });
  });
});
