import { domeOn } from './domeOn';
import { filmShape } from './filmShape';
import { heldOn, intentThickness, RIM, wettingOf, type Intent, type IntentArea } from './intent';

const lc = 1.9e-3;
const rectangle = (widthM: number, heightM: number) =>
  filmShape({ kind: 'rectangle', widthM, heightM }, [], lc);
const wide = rectangle(0.4, 0.2);
const small = rectangle(0.03, 0.02);
const on = (change: Partial<IntentArea> = {}): IntentArea => ({
  ...{ shape: wide, edges: ['open'], relief: [], belowM: 0, depthM: 0 },
  ...change,
});
const stands = (greatestM: number) => ({
  relief: [{ greatestM, meanM: greatestM / 2, share: 0.5 }],
});
/** Film, m, or the code and the field of what stands against it, with what is allowed. */
const told = (intent: Intent, ...areas: IntentArea[]) => {
  const found = intentThickness(intent, areas, lc);
  if (found.ok) return found.value;
  const [issue] = found.issues;
  return [issue?.code, issue?.path[0], issue?.allowed];
};
const refused = (...of: Parameters<typeof told>) => {
  const found = told(...of);
  return typeof found === 'number' ? found : found.slice(0, 2);
};

describe('how open edges are wetted', () => {
  it('by the kind of coat, else by its intention', () => {
    const given: Intent = { by: 'given', thicknessM: 1e-3 };
    const over: Intent = { by: 'over', perMetreM2: 2e-5 };
    expect(wettingOf(over, 'edge')).toEqual({ by: 'edge coat' });
    expect(wettingOf(over, 'line')).toEqual({ by: 'line' });
    expect(wettingOf(over, 'brushed')).toEqual({ by: 'brush' });
    expect(wettingOf({ by: 'skin' }, 'poured')).toEqual({ by: 'brush' });
    expect(wettingOf(over, 'poured')).toEqual({ by: 'flood', perMetreM2: 2e-5 });
    expect(wettingOf({ by: 'spread', thicknessM: 1e-3 }, 'poured')).toEqual({ by: 'tool' });
    expect(wettingOf(given, 'poured')).toEqual({ by: 'hand' });
  });
});

describe('film that an intention comes to', () => {
  it('given and spread: as it is, within the limits of a film', () => {
    for (const by of ['given', 'spread'] as const) {
      const film = (thicknessM: number) => refused({ by, thicknessM }, on());
      const found = intentThickness({ by, thicknessM: 0 }, [on()], lc);
      const { min = NaN, max = NaN } = (!found.ok && found.issues[0]?.allowed) || {};
      expect(min).toBeGreaterThan(0);
      expect([film(min), film(max)]).toEqual([min, max]);
      expect(film(min * 0.99)).toEqual(['out-of-range', 'thicknessM']);
      expect(film(max * 1.01)).toEqual(['out-of-range', 'thicknessM']);
    }
    expect(refused({ by: 'given', thicknessM: 1e-3 })).toEqual(['required', 'areas']);
    expect(refused({ by: 'mix', volumeM3: 1e-3 }, on())).toEqual(['required', 'ledger']);
    expect(told({ by: 'skin' }, on())).toBe(0.15e-3);
  });
  it('natural: what levels itself at 47.5°, on the outline that holds least, never over the safe angle', () => {
    expect(told({ by: 'natural' }, on())).toBeCloseTo(heldOn(wide, RIM.natural, lc), 12);
    const least = Math.min(heldOn(wide, RIM.natural, lc), heldOn(small, RIM.natural, lc));
    expect(told({ by: 'natural' }, on(), on({ shape: small }))).toBeCloseTo(least, 12);
    expect(refused({ by: 'natural' }, on({ shape: { ...wide, rimM: 0 } }))).toEqual([
      'required',
      'open edges',
    ]);
    // A hollow rim lets go sooner: it counts as straight for what levels, as it is for what is safe.
    const hollow = { ...wide, curvaturePerM: -30 };
    const wanted = Math.min(
      heldOn({ ...hollow, curvaturePerM: 0 }, RIM.natural, lc),
      heldOn(hollow, RIM.safe, lc),
    );
    expect(told({ by: 'natural' }, on({ shape: hollow }))).toBeCloseTo(wanted, 12);
    const round = { ...wide, curvaturePerM: 30 };
    expect(told({ by: 'natural' }, on({ shape: round }))).toBeCloseTo(
      heldOn(round, RIM.natural, lc),
      12,
    );
  });
  it('over the edges: natural, where one is open', () => {
    const over = (perMetreM2: number, ...areas: IntentArea[]) =>
      refused({ by: 'over', perMetreM2 }, ...areas);
    expect(over(2e-5, on())).toBeCloseTo(heldOn(wide, RIM.natural, lc), 12);
    expect(over(2e-5, on({ edges: ['mould'] }), on())).toBeCloseTo(
      heldOn(wide, RIM.natural, lc),
      12,
    );
    expect(over(2e-5, on({ edges: ['mould'] }))).toEqual(['required', 'open edges']);
    expect(over(-1e-9, on())).toEqual(['out-of-range', 'perMetreM2']);
    expect(over(1, on())).toEqual(['out-of-range', 'perMetreM2']);
    for (const limit of [0, 500e-6]) expect(typeof over(limit, on())).toBe('number');
    expect(over(501e-6, on())).toEqual(['out-of-range', 'perMetreM2']);
  });
  it('bury: the tallest that still stands up, and the cover', () => {
    const bury = (coverM: number, ...areas: IntentArea[]) =>
      refused({ by: 'bury', coverM }, ...areas);
    expect(bury(0.5e-3, on(stands(3e-3)))).toBeCloseTo(3.5e-3, 12);
    expect(bury(0.5e-3, on(stands(3e-3)), on(stands(1e-3)))).toBeCloseTo(3.5e-3, 12);
    expect(bury(0.5e-3, on({ ...stands(3e-3), belowM: 1e-3 }))).toBeCloseTo(2.5e-3, 12);
    expect(bury(0.5e-3, on({ ...stands(3e-3), belowM: 4e-3 }))).toBeCloseTo(0.5e-3, 12);
    expect(bury(0.1e-3, on())).toBeCloseTo(0.1e-3, 12);
    expect(bury(0.099e-3, on())).toEqual(['out-of-range', 'coverM']);
    expect(bury(1, on())).toEqual(['out-of-range', 'coverM']);
  });
  it('fill: the deepest recess, less what lies there and what it stays below', () => {
    const fill = (belowM: number, ...areas: IntentArea[]) => told({ by: 'fill', belowM }, ...areas);
    const pit = (depthM: number, belowM = 0) => on({ depthM, belowM, edges: [] });
    expect(fill(0, pit(4e-3))).toBeCloseTo(4e-3, 12);
    expect(fill(1e-3, pit(4e-3, 0.5e-3), pit(2e-3))).toBeCloseTo(2.5e-3, 12);
    expect(fill(0, on())).toEqual(['required', 'recess', undefined]);
    expect(fill(4e-3, pit(4e-3))).toEqual(['does-not-fit', 'belowM', { max: 4e-3 }]);
    expect(fill(-1e-3, pit(4e-3))).toEqual(['does-not-fit', 'belowM', { max: 4e-3 }]);
    expect(fill(0, pit(4e-3, 5e-3))).toEqual(['does-not-fit', 'belowM', { max: 0 }]);
  });
  it('to the rim: between walls all round, over relief that ends below it', () => {
    const rim = (heightM: number, ...areas: IntentArea[]) => told({ by: 'rim', heightM }, ...areas);
    const walled = (change: Partial<IntentArea> = {}) =>
      on({ edges: ['mould', 'mould'], ...change });
    expect(rim(5e-3, walled())).toBeCloseTo(5e-3, 12);
    expect(rim(5e-3, walled({ belowM: 1e-3 }), walled({ belowM: 2e-3 }))).toBeCloseTo(3e-3, 12);
    expect(rim(5e-3, walled(), on()).valueOf()).toEqual(['not-allowed', 'walls', undefined]);
    expect(rim(5e-3, on({ edges: ['mould', 'open'] }))).toEqual([
      'not-allowed',
      'walls',
      undefined,
    ]);
    expect(rim(5e-3, on({ depthM: 5e-3 }))).toBeCloseTo(5e-3, 12);
    expect(refused({ by: 'rim', heightM: 0 }, walled())).toEqual(['out-of-range', 'heightM']);
    expect(refused({ by: 'rim', heightM: 10 }, walled())).toEqual(['out-of-range', 'heightM']);
    expect(rim(2e-3, walled(stands(3e-3)), walled())).toEqual([
      'does-not-fit',
      'relief',
      { min: 3e-3 },
    ]);
    expect(rim(3e-3, walled(stands(3e-3)))).toBeCloseTo(3e-3, 12);
    expect(rim(2e-3, walled({ belowM: 2e-3 }))).toEqual(['does-not-fit', 'heightM', { min: 2e-3 }]);
  });
  it('a dome: to the height in its middle, safe unless it is told; what lies there is part of it', () => {
    const dome = (centreM: number | null, ...areas: IntentArea[]) =>
      told({ by: 'dome', centreM }, ...areas);
    const rimmed = (change: Partial<IntentArea> = {}) => on({ edges: ['doming'], ...change });
    const safe = domeOn(wide, RIM.safe, lc);
    expect(dome(null, rimmed())).toBeCloseTo(safe.meanM, 9);
    expect(dome(null, rimmed({ belowM: 1e-3 }))).toBeCloseTo(safe.meanM - 1e-3, 9);
    expect(dome(safe.centreM, rimmed())).toBeCloseTo(safe.meanM, 6);
    const both = [rimmed(), rimmed({ shape: small })];
    const [a, b] = [safe, domeOn(small, RIM.safe, lc)];
    expect(dome(null, ...both)).toBeCloseTo(Math.min(a.meanM, b.meanM), 9);
    expect(
      refused({ by: 'dome', centreM: Math.min(a.centreM, b.centreM) * 1.001 }, ...both),
    ).toEqual(['out-of-range', 'centreM']);
    expect(refused({ by: 'dome', centreM: safe.centreM * 1.001 }, rimmed())).toEqual([
      'out-of-range',
      'centreM',
    ]);
    expect(refused({ by: 'dome', centreM: 0 }, rimmed())).toEqual(['out-of-range', 'centreM']);
    expect(dome(null, rimmed(), on())).toEqual(['not-allowed', 'edges', undefined]);
    expect(dome(null, rimmed(), rimmed({ shape: { ...wide, rimM: 0 } }))).toEqual([
      'required',
      'doming edges',
      undefined,
    ]);
    expect(refused({ by: 'dome', centreM: null }, rimmed({ belowM: 5e-3 }))).toEqual([
      'does-not-fit',
      'centreM',
    ]);
  });
});
