import { capillaryLength } from '../capillary';
import { measureShape, type Shape } from '../geometry';
import {
  angleFor,
  checkCoatOrder,
  coatCost,
  domeOn,
  domeShape,
  intentThickness,
  leftOverPlan,
  LOCK_LIFT_M,
  planLifts,
  READY_PLANS,
  reliefHeights,
  reliefRoom,
  RIM,
  shareProud,
  tallestRelief,
  type Intent,
  type IntentArea,
  type LiftsInput,
} from '.';

const lc = capillaryLength(0.04, 1100);
const codes = (read: {
  ok: boolean;
  issues?: readonly { code: string; path: readonly unknown[] }[];
}) => (read.issues ?? []).map((i) => `${i.path.join('.')} ${i.code}`);

describe('relief by its greatest and mean height', () => {
  const glitter = [{ greatestM: 2e-3, meanM: 0.5e-3, share: 0.4 }];
  it('stands above a level on a share that falls to nothing: p = 3, at half height 0.4 / 8', () => {
    expect(shareProud(glitter, 0)).toBeCloseTo(0.4, 12);
    expect(shareProud(glitter, 1e-3)).toBeCloseTo(0.05, 12);
    expect(shareProud(glitter, 2e-3)).toBe(0);
  });
  it('takes share × mean of room in all, and no more by being cut into slices', () => {
    expect(reliefRoom(glitter, 0, 1)).toBeCloseTo(0.4 * 0.5e-3, 15);
    const slices = Array.from({ length: 10 }, (_, i) =>
      reliefRoom(glitter, i * 0.2e-3, (i + 1) * 0.2e-3),
    );
    expect(slices.reduce((a, b) => a + b, 0)).toBeCloseTo(0.2e-3, 15);
    expect([...slices].sort((a, b) => b - a)).toEqual(slices);
  });
  it('a section meets it as often and as high: mean of many places within 1 %', () => {
    const heights = reliefHeights(glitter, 5000);
    const mean = heights.reduce((a, b) => a + b, 0) / 5000;
    expect(mean / (0.4 * 0.5e-3)).toBeCloseTo(1, 2);
    expect(heights.filter((h) => h > 0).length / 5000).toBeCloseTo(0.4, 2);
    expect(Math.max(...heights)).toBeLessThanOrEqual(2e-3);
    expect(reliefHeights([{ greatestM: 1e-3, meanM: 1e-3, share: 1 }], 3)).toEqual([
      1e-3, 1e-3, 1e-3,
    ]);
  });
  it('several lie beside each other; what has no height is none', () => {
    const two = [...glitter, { greatestM: 5e-3, meanM: 5e-3, share: 0.1 }];
    expect(shareProud(two, 3e-3)).toBeCloseTo(0.1, 12);
    expect(tallestRelief(two)).toBe(5e-3);
    expect(tallestRelief([{ greatestM: 0, meanM: 0, share: 1 }])).toBe(0);
    expect(() => shareProud(two, -1)).toThrow('shareProud');
    expect(() => reliefRoom(two, 1, 0)).toThrow('reliefRoom');
    expect(() => reliefHeights(two, 0)).toThrow('reliefHeights');
  });
});

describe('lifts', () => {
  const input: LiftsInput = {
    thicknessM: 14e-3,
    thinnestM: 0.5e-3,
    thickestM: 6e-3,
    belowM: 0,
    relief: [{ greatestM: 6e-3, meanM: 3e-3, share: 0.5 }],
    holdsM: null,
    loose: false,
  };
  const films = (change: Partial<LiftsInput>) => {
    const read = planLifts({ ...input, ...change });
    return read.ok ? read.value.map((l) => Math.round(l.thicknessM * 1e7) / 1e4) : codes(read);
  };
  it('as few as the greatest depth allows, all alike: 14 mm in lifts of 6 is three of 4.67', () => {
    expect(films({})).toEqual([4.6667, 4.6667, 4.6667]);
    expect(films({ thicknessM: 12e-3 })).toEqual([6, 6]);
    expect(films({ thicknessM: 2e-3 })).toEqual([2]);
  });
  it('a thin one first over loose parts, and nothing else is gentle', () => {
    const read = planLifts({ ...input, thicknessM: 5e-3, loose: true });
    if (!read.ok) throw new Error('no lifts');
    expect(read.value.map((l) => l.gentle)).toEqual([true, false]);
    expect(read.value[0]?.thicknessM).toBe(LOCK_LIFT_M);
    expect(read.value.reduce((sum, l) => sum + l.thicknessM, 0)).toBeCloseTo(5e-3, 15);
    // Too little for two: the one lift is all there is.
    expect(films({ thicknessM: 1e-3, loose: true })).toEqual([1]);
  });
  it('says what stands proud after each: over p = 1, (1 − 4.667/6) / 2, then nothing', () => {
    const read = planLifts(input);
    if (!read.ok) throw new Error('no lifts');
    expect(read.value[0]?.proud).toBeCloseTo((1 - 4.6667 / 6) / 2, 4);
    expect(read.value.slice(1).map((l) => l.proud)).toEqual([0, 0]);
    const higher = planLifts({ ...input, belowM: 3e-3 });
    expect(higher.ok && higher.value[0]?.topM).toBeCloseTo(7.667e-3, 6);
  });
  it('refuses a film thinner than a lift, and limits out of order', () => {
    expect(films({ thicknessM: 0.1e-3 })).toEqual(['thicknessM out-of-range']);
    expect(films({ thickestM: 0.1e-3 })).toEqual(['thickestM out-of-order']);
  });
});

describe('outlines as domes see them', () => {
  it.each<[string, Shape, number]>([
    ['rectangle', { kind: 'rectangle', widthM: 0.1, heightM: 0.06 }, 4],
    ['rounded', { kind: 'roundedRectangle', widthM: 0.1, heightM: 0.06, radiusM: 0.01 }, 0],
    ['disc', { kind: 'disc', diameterM: 0.1 }, 0],
    ['hexagon', { kind: 'regularPolygon', sides: 6, sizeM: 0.1, across: 'flats' }, 6],
  ])('%s: its corners', (_, shape, corners) => {
    const found = domeShape(shape);
    expect(found.cornersRad).toHaveLength(corners);
    if (corners > 0) expect(found.cornersRad[0]).toBeCloseTo(Math.PI * (1 - 2 / corners), 9);
    expect(found.shortestM).toBe(
      corners > 0 ? Math.min(...measureShape(shape).sideLengthsM) : Infinity,
    );
    expect(found.areaM2).toBe(measureShape(shape).areaM2);
    expect(found.discM !== null).toBe(shape.kind === 'disc');
  });
  it('an angle is found again from the height and from the mean, on a disc and on a hexagon', () => {
    for (const shape of [
      domeShape({ kind: 'disc', diameterM: 0.1 }),
      domeShape({ kind: 'regularPolygon', sides: 6, sizeM: 0.1, across: 'flats' }),
    ])
      for (const angle of [0.4, 0.8, 1.2]) {
        const dome = domeOn(shape, angle, lc);
        expect(angleFor(shape, 'meanM', dome.meanM, lc)).toBeCloseTo(angle, 4);
        expect(angleFor(shape, 'centreM', dome.centreM, lc)).toBeCloseTo(angle, 4);
      }
    expect(angleFor(domeShape({ kind: 'disc', diameterM: 0.1 }), 'meanM', 0.01, lc)).toBeNull();
  });
  it('rectangle 100 × 60 mm: 1.6 mm of mean at 54.24°, 1.0 mm at 33.36°; 3 mm spill', () => {
    const shape = domeShape({ kind: 'rectangle', widthM: 0.1, heightM: 0.06 });
    const degrees = (mm: number) =>
      ((angleFor(shape, 'meanM', mm / 1e3, lc) ?? NaN) * 180) / Math.PI;
    expect(degrees(1.6)).toBeCloseTo(54.24, 0);
    expect(degrees(1)).toBeCloseTo(33.36, 0);
    expect(angleFor(shape, 'meanM', 3e-3, lc)).toBeNull();
  });
  it('hexagon 100 mm at 60°: mean 1.800 mm; disc 100 mm at 60°: 14.39 ml', () => {
    const hexagon = domeShape({ kind: 'regularPolygon', sides: 6, sizeM: 0.1, across: 'flats' });
    expect(domeOn(hexagon, Math.PI / 3, lc).meanM * 1e3).toBeCloseTo(1.8, 2);
    const disc = domeShape({ kind: 'disc', diameterM: 0.1 });
    expect(domeOn(disc, Math.PI / 3, lc).volumeM3 * 1e6).toBeCloseTo(14.39, 2);
  });
});

describe('thickness by intention', () => {
  const disc = domeShape({ kind: 'disc', diameterM: 0.1 });
  const area: IntentArea = {
    shape: disc,
    edges: ['doming'],
    relief: [],
    belowM: 0,
    depthM: 0,
  };
  const read = (intent: Intent, ...areas: Partial<IntentArea>[]) =>
    intentThickness(intent, areas.length > 0 ? areas.map((a) => ({ ...area, ...a })) : [area], lc);
  const mm = (intent: Intent, ...areas: Partial<IntentArea>[]) => {
    const found = read(intent, ...areas);
    return found.ok ? found.value * 1e3 : codes(found)[0];
  };
  it('natural: a flat piece with open edges settles near 1.5–2 mm (common practice, no source)', () => {
    const panel = domeShape({ kind: 'rectangle', widthM: 0.6, heightM: 0.4 });
    const found = mm({ by: 'natural' }, { shape: panel, edges: ['open'] });
    expect(found).toBeGreaterThan(1.5);
    expect(found).toBeLessThan(2);
  });
  it('bury: the greatest height that still stands, and the cover', () => {
    const relief = [{ greatestM: 2.4e-3, meanM: 1e-3, share: 0.3 }];
    expect(mm({ by: 'bury', coverM: 0.5e-3 }, { relief })).toBeCloseTo(2.9, 9);
    expect(mm({ by: 'bury', coverM: 0.5e-3 }, { relief, belowM: 0.7e-3 })).toBeCloseTo(2.2, 9);
    expect(mm({ by: 'bury', coverM: 0.5e-3 }, { relief, belowM: 5e-3 })).toBeCloseTo(0.5, 9);
    expect(mm({ by: 'bury', coverM: 0 }, { relief })).toBe('coverM out-of-range');
  });
  it('fill: to the rim or so far below it, over what lies there', () => {
    expect(mm({ by: 'fill', belowM: 0 }, { depthM: 3e-3 })).toBeCloseTo(3, 9);
    expect(mm({ by: 'fill', belowM: 1e-3 }, { depthM: 3e-3, belowM: 0.5e-3 })).toBeCloseTo(1.5, 9);
    expect(mm({ by: 'fill', belowM: 0 })).toBe('recess required');
    expect(mm({ by: 'fill', belowM: 3e-3 }, { depthM: 3e-3 })).toBe('belowM does-not-fit');
  });
  it('dome: as high as is safe is the exact disc at 60°; what lies there is part of it', () => {
    const safe = domeOn(disc, RIM.safe, lc);
    expect(mm({ by: 'dome', centreM: null })).toBeCloseTo(safe.meanM * 1e3, 9);
    expect(mm({ by: 'dome', centreM: safe.centreM })).toBeCloseTo(safe.meanM * 1e3, 3);
    expect(mm({ by: 'dome', centreM: null }, { belowM: 0.5e-3 })).toBeCloseTo(
      safe.meanM * 1e3 - 0.5,
      9,
    );
    // 1.502 mm in the middle of 100 mm is 1.397 mm of mean, at 45°.
    expect(mm({ by: 'dome', centreM: 1.502e-3 })).toBeCloseTo(1.397, 2);
  });
  it('dome: not on an open edge, not over what is safe, not over what is there already', () => {
    expect(mm({ by: 'dome', centreM: null }, { edges: ['doming', 'open'] })).toBe(
      'edges not-allowed',
    );
    expect(mm({ by: 'dome', centreM: 4e-3 })).toBe('centreM out-of-range');
    expect(mm({ by: 'dome', centreM: null }, { belowM: 4e-3 })).toBe('centreM does-not-fit');
  });
  it('given and skin are what they say; without an area there is nothing', () => {
    expect(mm({ by: 'given', thicknessM: 1.6e-3 })).toBeCloseTo(1.6, 12);
    expect(mm({ by: 'given', thicknessM: 1 })).toBe('thicknessM out-of-range');
    expect(mm({ by: 'skin' })).toBeCloseTo(0.15, 12);
    expect(codes(intentThickness({ by: 'skin' }, [], lc))).toEqual(['areas required']);
  });
});

describe('order, cost and left-over', () => {
  it('two coats in one place, and a poured one over a planned one, are told apart', () => {
    const at = (order: number, poured = false) => ({ order, poured });
    expect(checkCoatOrder([at(2), at(1, true)])).toEqual({ ok: true, value: [at(1, true), at(2)] });
    expect(codes(checkCoatOrder([at(1), at(1)]))).toEqual(['1 not-allowed']);
    expect(codes(checkCoatOrder([at(2, true), at(1)]))).toEqual(['0 out-of-order']);
  });
  const cost = {
    totalM3: 1e-4,
    wasteM3: 2e-5,
    densityKgM3: 1100,
    price: { amount: 24, per: 'kg' },
    consumables: 1.2,
  } as const;
  it('100 ml at 1100 kg/m³ and 24 a kilogram is 2.64; a fifth of it and the cups are waste', () => {
    const { resin, total, wasteShare } = coatCost(cost);
    expect(resin).toBeCloseTo(2.64, 12);
    expect(total).toBeCloseTo(3.84, 12);
    expect(wasteShare).toBeCloseTo((2.64 / 5 + 1.2) / 3.84, 12);
    expect(coatCost({ ...cost, price: { amount: 30, per: 'l' } }).resin).toBeCloseTo(3, 12);
    expect(coatCost({ ...cost, consumables: 0, price: { amount: 0, per: 'l' } }).wasteShare).toBe(
      0,
    );
    expect(() => coatCost({ ...cost, wasteM3: 1 })).toThrow('coatCost');
  });
  it('the largest filler that fits goes first, then the next; never more than is left', () => {
    const fillers = [
      { id: 'label', eachM3: 4e-6, count: 12 },
      { id: 'tile', eachM3: 30e-6, count: 2 },
      { id: 'panel', eachM3: 90e-6, count: 1 },
    ];
    const { takes, restM3 } = leftOverPlan(75e-6, fillers);
    expect(takes.map((t) => [t.id, t.pieces])).toEqual([
      ['tile', 2],
      ['label', 3],
    ]);
    expect(restM3).toBeCloseTo(3e-6, 15);
    expect(leftOverPlan(1e-6, fillers)).toEqual({ takes: [], restM3: 1e-6 });
    expect(() => leftOverPlan(-1, fillers)).toThrow('leftOverPlan');
  });
  it('ready plans: the eight common cases, each with coats that can be laid', () => {
    expect(READY_PLANS.map((p) => p.title)).toEqual([
      'Sealed tile',
      'Porous board',
      'Ink painting',
      'Glitter relief',
      'Torn canvas',
      'Failed pour, re-faced',
      'Tape design with glitter',
      'Gilding under depth',
    ]);
    for (const { coats, why, layers = [] } of READY_PLANS) {
      for (const { over } of layers) expect(over === null || over < coats.length).toBe(true);
      expect(coats.length).toBeGreaterThan(0);
      expect(why).not.toBe('');
    }
  });
});
