import type { PlanArea, PlanInput } from '.';
import { liftsOf } from './liftsOf';
import { layer } from './test/cutBoard';
import { faceOf, planInput, type Wish } from './test/planned';

const plate = { kind: 'rectangle', widthM: 0.3, heightM: 0.2 } as const;
const walled = (change: Partial<PlanArea> = {}) => faceOf(plate, ['mould'], 0.018, change);
const relief = (kind: 'stones' | 'paste', mm: number) => ({
  relief: [{ kind, greatestM: mm / 1e3, meanM: mm / 2e3, share: 0.5 }],
});
const lifts = (plan: PlanInput, mm: number) => {
  const found = liftsOf(plan, mm / 1e3);
  if (!found.ok) throw new Error(JSON.stringify(found.issues));
  return found.value.map((l) => [Number((l.thicknessM * 1e3).toFixed(6)), l.gentle]);
};
const plan = (areas: readonly PlanArea[], mm: number, wish: Wish = {}): PlanInput =>
  planInput(areas, { intent: { by: 'given', thicknessM: mm / 1e3 }, ...wish });

describe('a thin lift first over what may move', () => {
  const locked = [
    [0.7, true],
    [4.3, false],
  ];
  const whole = [[5, false]];
  const bed = { kind: 'loose grains' as const, areaIds: ['face'], greatestM: 1e-3, meanM: 0.5e-3 };
  const grains = layer({ ...bed, share: 0.6 });
  const on = (...layers: Parameters<typeof layer>[0][]) =>
    lifts({ ...plan([walled()], 5), layers: layers.map(layer) }, 5);
  it('grains on the ground; not on other areas, over a coat, or of another kind', () => {
    expect(on(grains)).toEqual(locked);
    expect(on({ ...grains, areaIds: ['other'] })).toEqual(whole);
    expect(on({ ...grains, kind: 'relief paint' })).toEqual(whole);
    const flood = { id: 'f', kind: 'flood', order: 1, areaIds: ['back'], coverage: 1 } as const;
    const over = {
      ...plan([walled()], 5, { coats: [{ ...flood, thicknessM: 1e-3, staysM: [1e-3] }] }),
      layers: [
        { ...grains, over: 'f' },
        layer({ ...bed, id: 'p', kind: 'relief paint', share: 0.1 }),
      ],
    };
    expect(lifts(over, 5)).toEqual(whole);
  });
  it('loose relief of any area, also beside such as holds, and what a survey found loose', () => {
    const both = [...relief('paste', 2).relief, ...relief('stones', 1).relief].map((r) => ({
      ...r,
      share: 0.4,
    }));
    expect(lifts(plan([walled({ relief: both })], 5), 5)).toEqual(locked);
    expect(lifts(plan([walled(relief('paste', 2))], 5), 5)).toEqual(whole);
    expect(lifts({ ...plan([walled(relief('paste', 2))], 5), looseRelief: true }, 5)).toEqual(
      locked,
    );
    expect(lifts({ ...plan([walled(relief('paste', 2))], 5), looseRelief: false }, 5)).toEqual(
      whole,
    );
    const second = walled({ ...relief('stones', 1), id: 'second' });
    expect(lifts(plan([walled(), second], 5), 5)).toEqual(locked);
    expect(lifts(plan([second, walled({ id: 'third', ...relief('paste', 3) })], 5), 5)).toEqual(
      locked,
    );
  });
  it('nothing stands, nothing is locked, whatever a survey says', () =>
    expect(lifts({ ...plan([walled()], 5), looseRelief: true }, 5)).toEqual(whole));
});

describe('what the lifts go by', () => {
  it('the area on which something stands, before a bare one', () => {
    const tall = walled({ ...relief('paste', 4), id: 'tall' });
    const found = liftsOf(plan([walled(), tall], 8), 8e-3);
    // Two of 4 mm: after the first, what is 4 mm high is just gone; half way through it 0.5 · (1 − z/4) still stood.
    expect(found.ok && found.value.map((l) => l.proud)).toEqual([0, 0]);
    const low = liftsOf(plan([walled(), tall], 3), 3e-3);
    expect(low.ok && low.value[0]?.proud).toBeCloseTo(0.5 * (1 - 3 / 4), 9);
  });
  it('a drawn line is one lift, as high as its bead', () => {
    const line = {
      points: [
        [0, 0],
        [0.1, 0],
      ] as const,
      closed: false,
      widthM: 6e-3,
      angleRad: 1,
    };
    const drawn = plan([walled(relief('stones', 1))], 5, { kind: 'line', coat: { line } });
    expect(liftsOf(drawn, 20e-3)).toEqual({
      ok: true,
      value: [{ thicknessM: 20e-3, topM: 20e-3, proud: 0, gentle: false }],
    });
  });
  it('on nothing, the sheet alone', () => {
    const none = plan([walled()], 9);
    expect(lifts({ ...none, coat: { ...none.coat, areaIds: [] } }, 9)).toEqual([
      [4.5, false],
      [4.5, false],
    ]);
  });
  it('open edges bound what is to be buried; a rim, a recess or a band does not', () => {
    const bury = { intent: { by: 'bury', coverM: 1e-3 } } as const;
    const count = (area: PlanArea, kind: Wish['kind'] = 'flood') =>
      lifts(planInput([area], { ...bury, kind }), 5).length;
    const stood = relief('paste', 4);
    expect(count(faceOf(plate, ['open'], 0.018, stood))).toBeGreaterThan(2);
    expect(count(faceOf(plate, ['doming'], 0.018, stood))).toBe(1);
    expect(count(faceOf(plate, ['line'], 0.018, stood))).toBe(1);
    expect(
      count(faceOf(plate, ['open'], 0, { ...stood, kind: 'recess', depthM: 9e-3 }), 'fill'),
    ).toBe(1);
  });
});
