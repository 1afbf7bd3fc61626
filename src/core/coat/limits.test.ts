import { bellyShare, cupRest, ledgerArea, planLifts, type LiftsInput } from '.';
import type { Shape } from '../geometry';
import { measureArea } from './planArea';
import { faceOf, planned } from './test/planned';

describe('lifts, to the hair', () => {
  const input: LiftsInput = {
    ...{ thicknessM: 6e-3, thinnestM: 0.5e-3, thickestM: 3e-3, belowM: 0 },
    ...{ relief: [], holdsM: null, loose: false },
  };
  const told = (change: Partial<LiftsInput>) => {
    const found = planLifts({ ...input, ...change });
    return found.ok
      ? found.value.map((l) => Number((l.thicknessM * 1e3).toFixed(9)))
      : found.issues.map((i) => [i.path.join('.'), i.code, i.allowed]);
  };
  it('the thinnest and a metre are films still', () => {
    expect(told({ thicknessM: 0.5e-3 })).toEqual([0.5]);
    expect(told({ thicknessM: 0.499e-3 })).toEqual([
      ['thicknessM', 'out-of-range', { min: 0.5e-3, max: 1 }],
    ]);
    expect(told({ thicknessM: 1, thickestM: 0.02 })).toHaveLength(50);
    expect(told({ thicknessM: 1.001, thickestM: 0.02 })).toEqual([
      ['thicknessM', 'out-of-range', { min: 0.5e-3, max: 1 }],
    ]);
  });
  it('a lift may be as thick as thin, not thinner, and is something', () => {
    expect(told({ thickestM: 0.5e-3, thicknessM: 1e-3 })).toEqual([0.5, 0.5]);
    expect(told({ thickestM: 0.499e-3 })).toEqual([['thickestM', 'out-of-order', { min: 0.5e-3 }]]);
    expect(told({ thinnestM: 0, thickestM: 0 })).toEqual([
      ['thickestM', 'out-of-order', { min: 0 }],
    ]);
  });
  it('a hundred are poured, one more is not', () => {
    expect(told({ thicknessM: 0.1, thickestM: 1e-3 })).toHaveLength(100);
    const many = told({ thicknessM: 0.101, thickestM: 1e-3 });
    expect(many).toEqual([['thickestM', 'does-not-fit', { min: expect.closeTo(1.01e-3, 12) }]]);
  });
  it('a lock only where a whole lift is left over it; films between two counts are told', () => {
    expect(told({ loose: true, thicknessM: 1.2e-3 })).toEqual([0.7, 0.5]);
    expect(told({ loose: true, thicknessM: 1.199e-3 })).toEqual([1.199]);
    // Between one lift of 1 mm and two of 0.9 nothing fits.
    const none = told({ thinnestM: 0.9e-3, thickestM: 1e-3, thicknessM: 1.5e-3 });
    expect(none).toEqual([['thicknessM', 'does-not-fit', { min: 1.8e-3, max: 1e-3 }]]);
    expect(told({ thinnestM: 0.9e-3, thickestM: 1e-3, thicknessM: 1.8e-3 })).toEqual([0.9, 0.9]);
  });
});

describe('relief over a coat', () => {
  const plate: Shape = { kind: 'rectangle', widthM: 0.3, heightM: 0.2 };
  const stone = (mm: number) => ({
    relief: [{ kind: 'stones', greatestM: mm / 1e3, meanM: mm / 2e3, share: 0.2 } as const],
  });
  const check = (heights: readonly number[], mm: number, kind: 'flood' | 'edge' = 'flood') => {
    const areas = heights.map((h, i) =>
      faceOf(plate, ['tape wall'], 0.01, {
        id: `a${i}`,
        name: `A${i}`,
        ...(h > 0 ? stone(h) : {}),
      }),
    );
    const wish = { kind, intent: { by: 'given', thicknessM: mm / 1e3 } } as const;
    return planned(areas, wish).checks.find((c) => c.id === 'relief');
  };
  it('the tallest of all areas counts; bare ones do not, nor an edge coat', () => {
    for (const heights of [
      [0, 1, 3],
      [3, 1, 0],
      [1, 3, 0],
    ])
      expect(check(heights, 2)?.figures.proudM).toBeCloseTo(1e-3, 12);
    expect(check([0, 0], 2)).toBeUndefined();
    const edge = faceOf(plate, ['open'], 0.01, stone(3));
    const wish = { kind: 'edge', intent: { by: 'given', thicknessM: 2e-4 } } as const;
    expect(planned([edge], wish).checks.find((c) => c.id === 'relief')).toBeUndefined();
  });
});

describe('what is refused, and what is measured how', () => {
  it('a cup of nothing, or of a mix that is not mixed yet', () => {
    const rest = (m3: number, ageS: number) => () =>
      cupRest(m3, { viscosityPaS: 1, workingS: 1800 }, ageS, 1100, false);
    expect(rest(0, 60)).toThrow('cupRest');
    expect(rest(1e-4, -1)).toThrow('cupRest');
    expect(rest(1e-4, 0)().volumeM3).toBeGreaterThan(0);
  });
  it('a photo tells how well it is known, a rule by its half millimetre', () => {
    const face = faceOf({ kind: 'rectangle', widthM: 0.3, heightM: 0.2 });
    const photo = { ...face, measured: { by: 'photo', sigmaShare: 0.03 } as const };
    expect(ledgerArea(photo, 1).areaSigmaM2).toBeCloseTo(0.06 * 0.03, 9);
    expect(ledgerArea(face, 1).areaSigmaM2).toBeLessThan(0.06 * 0.005);
    expect(measureArea(face)).toBe(measureArea(face));
  });
  // By hand: a paraboloid over any ellipse has its mean at half of its peak.
  it('a hanging disc or ellipse has half of its sag in the mean, to the last digit', () => {
    expect(bellyShare({ kind: 'disc', diameterM: 0.3 })).toBeCloseTo(0.5, 12);
    expect(bellyShare({ kind: 'ellipse', widthM: 0.3, heightM: 0.1 })).toBeCloseTo(0.5, 12);
  });
});
