import { thickeningOf } from '../resin';
import { measureShape, type Shape } from '../geometry';
import { seededRandom, normalQuantile } from '../numeric';
import { TEST_SHEET } from '../resin/test/sheet';
import { coatLedger, cupRest, ledgerInput, planBatch, type LedgerInput } from '.';
import { faceOf, planInput, planned } from './test/planned';

const panel: Shape = { kind: 'rectangle', widthM: 0.3, heightM: 0.3 };
const inputOf = (shape: Shape): LedgerInput => {
  const plan = planInput([faceOf(shape)]);
  return ledgerInput(plan, planned([faceOf(shape)]).thicknessM);
};
const plan = (inputs: readonly LedgerInput[]) => {
  const found = planBatch(inputs);
  if (!found.ok) throw new RangeError(JSON.stringify(found.issues));
  return found.value;
};

describe('one batch for several coats', () => {
  it('five panels share one cup and one reserve, z √Σσ²', () => {
    const one = coatLedger(inputOf(panel));
    if (!one.ok) throw new Error('no ledger');
    const { pouredM3, lines } = one.value;
    const batch = plan(Array.from({ length: 5 }, () => inputOf(panel)));
    const cup = cupRest(
      5 * pouredM3,
      thickeningOf(TEST_SHEET),
      600,
      inputOf(panel).densityKgM3,
      true,
    );
    const poured = Math.hypot(
      lines
        .filter((l) => !['cup', 'reserve'].includes(l.id))
        .reduce((s, l) => s + (l.explanation.sigma ?? 0), 0),
    );
    const sigma = Math.hypot(poured * Math.sqrt(5), 0.4 * cup.volumeM3);
    const byHand = 5 * pouredM3 + cup.volumeM3 + normalQuantile(0.95) * sigma;
    expect(batch.totalM3 / byHand).toBeCloseTo(1, 9);
    // Mixed one by one they take 5 to 8 % more.
    expect((5 * one.value.totalM3) / batch.totalM3).toBeGreaterThan(1.05);
    expect((5 * one.value.totalM3) / batch.totalM3).toBeLessThan(1.09);
  });
  it('one coat alone is its own ledger, whatever its reserve and what was set by hand', () => {
    const input = inputOf(panel);
    for (const change of [
      {},
      { reserve: { by: 'share', share: 0.1 } },
      { overrides: [{ line: 'cup', volumeM3: 9e-6, reason: 'two cups' }] },
      { overrides: [{ line: 'reserve', volumeM3: 0, reason: 'fillers wait' }] },
    ] as const) {
      const told = { ...input, ...change };
      const alone = coatLedger(told);
      expect(alone.ok && plan([told]).totalM3 / alone.value.totalM3).toBeCloseTo(1, 9);
    }
  });
  it('is as old as the oldest wants, takes the surest wish, and a glove if one coat needs one', () => {
    const input = inputOf(panel);
    const young = { ...input, restS: 300, reserve: { by: 'risk', confidence: 0.99 } } as const;
    const tool = { ...input, restS: 1200, edges: { by: 'tool' } } as const;
    const cups = [
      [young, tool],
      [tool, young],
    ].map((both) => plan(both));
    for (const batch of cups) {
      const glove = cupRest(
        batch.neededM3 - batch.cup.volumeM3,
        input.law,
        1200,
        input.densityKgM3,
        true,
      );
      expect(batch.cup.volumeM3).toBeCloseTo(glove.volumeM3, 15);
      expect(batch.reserveM3).toBeCloseTo(normalQuantile(0.99) * batch.sigmaM3, 15);
      expect(batch.enough).toBeCloseTo(0.99, 6);
      expect(batch.totalKg).toBeCloseTo(batch.totalM3 * input.densityKgM3, 12);
      const poured = batch.coats.reduce((s, c) => s + c.pouredM3, 0);
      expect(batch.neededM3).toBeCloseTo(poured + batch.cup.volumeM3, 15);
      expect(batch.coats.map((c) => c.pouredM3)).toEqual(batch.coats.map((c) => c.ledger.pouredM3));
    }
    expect(cups[0]?.coats[0]?.pouredM3).not.toBe(cups[1]?.coats[0]?.pouredM3);
  });
  it('names the coat whose fault it is', () => {
    const found = planBatch([inputOf(panel), { ...inputOf(panel), thicknessM: -1 }]);
    expect(found.ok ? [] : found.issues.map((i) => i.path.join('.'))).toEqual([
      'coats.1.thicknessM',
    ]);
    expect(planBatch([])).toMatchObject({ ok: false, issues: [{ code: 'required' }] });
  });
});

it('stated 95 %: of 2,000 seeded pours with drawn errors 93 to 97 % have enough', () => {
  const random = seededRandom(20261126);
  const normal = () => normalQuantile(Math.min(1 - 1e-9, Math.max(1e-9, random())));
  let enough = 0;
  for (let i = 0; i < 2000; i += 1) {
    const told = { widthM: 0.08 + random() * 0.4, heightM: 0.08 + random() * 0.4 };
    const relief =
      random() < 0.5
        ? [{ kind: 'stones' as const, greatestM: 1e-3, meanM: 5e-4, share: random() * 0.5 }]
        : [];
    const area = faceOf({ kind: 'rectangle', ...told }, ['open'], 0.018, { relief });
    const input = ledgerInput(planInput([area]), 1.5e-3);
    const ledger = coatLedger(input);
    if (!ledger.ok) throw new Error('no ledger');
    // The piece as it is: each side read to 0.5 mm; one hand that pours a little more or less; cup and relief by luck.
    const real = { widthM: told.widthM + 5e-4 * normal(), heightM: told.heightM + 5e-4 * normal() };
    const grown =
      measureShape({ kind: 'rectangle', ...real }).areaM2 /
      measureShape({ kind: 'rectangle', ...told }).areaM2;
    const hand = 1 + 0.04 * normal();
    const luck = { relief: 1 + 0.25 * normal(), cup: 1 + 0.4 * normal() };
    const takes = ledger.value.lines.reduce((sum, { id, volumeM3 }) => {
      if (id === 'reserve') return sum;
      if (id === 'relief' || id === 'cup') return sum + volumeM3 * luck[id];
      return sum + volumeM3 * hand * grown;
    }, 0);
    if (takes <= ledger.value.totalM3) enough += 1;
  }
  expect(enough / 2000).toBeGreaterThanOrEqual(0.93);
  expect(enough / 2000).toBeLessThanOrEqual(0.97);
});
