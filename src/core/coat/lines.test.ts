import { capillaryLength } from '../capillary';
import { fluidityLeft, tiltDifference } from '../film';
import {
  coatLedger,
  PLAIN_AREA,
  PLAIN_INPUT,
  type Ledger,
  type LedgerArea,
  type LedgerInput,
  type LedgerLineId,
} from '.';

const law = { viscosityPaS: 1, workingS: 943.3 };
const AREA: LedgerArea = {
  name: 'Face',
  areaM2: 0.06,
  areaSigmaM2: 0,
  count: 1,
  ...PLAIN_AREA,
};

/** A ledger of 300 × 200 mm at 1.6 mm, with what a test adds. */
function ledgerOf(area: Partial<LedgerArea>, change: Partial<LedgerInput> = {}): Ledger {
  const result = coatLedger({
    ...PLAIN_INPUT,
    areas: [{ ...AREA, ...area }],
    thicknessM: 1.6e-3,
    densityKgM3: 1100,
    law,
    restS: 0,
    reserve: { by: 'share', share: 0 },
    ...change,
  });
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value;
}
const HELD = { by: 'film', holdsM: 1.2e-3 } as const;
/** 1 m of 20 mm. */
const EDGE = { areaM2: 0.02, heightM: 0.02, lengthM: 1 };
const ml = (ledger: Ledger, id: LedgerLineId) =>
  (ledger.lines.find((l) => l.id === id)?.volumeM3 ?? NaN) * 1e6;
const has = (ledger: Ledger, id: LedgerLineId) => ledger.lines.some((l) => l.id === id);

describe('each line by hand', () => {
  // Geometry: 300 × 200 mm × 1.6 mm = 96 ml.
  it('face', () => {
    expect(ml(ledgerOf({}), 'face')).toBeCloseTo(96, 9);
    expect(ml(ledgerOf({}, { coverage: 0.25 }), 'face')).toBeCloseTo(24, 9);
    expect(ml(ledgerOf({ count: 3 }), 'face')).toBeCloseTo(288, 9);
  });
  // Geometry again: its mean times the area; the mean itself is checked with the domes.
  it('dome', () => {
    const dome = ledgerOf({ cover: { by: 'dome' } });
    expect(ml(dome, 'dome')).toBeCloseTo(96, 9);
    expect(has(dome, 'face')).toBe(false);
  });
  // Relief of even height (mean = greatest 1 mm) on half the area: ½ · 0.06 m² · 1 mm = 30 ml of room.
  it('relief', () => {
    const block = [{ greatestM: 1e-3, meanM: 1e-3, share: 0.5 }];
    expect(ml(ledgerOf({ relief: block }), 'relief')).toBeCloseTo(-30, 9);
    // Over 0.4 mm of resin only the upper 0.6 mm of it stand in the coat: 18 ml.
    expect(ml(ledgerOf({ relief: block, belowM: 0.4e-3 }), 'relief')).toBeCloseTo(-18, 9);
    // Cones (mean a third of 3 mm, p = 2) standing through a coat of 1.6 mm: ∫0^1.6 (1 − z/3)² dz = 1 − (1.4/3)³.
    const cones = [{ greatestM: 3e-3, meanM: 1e-3, share: 0.5 }];
    expect(ml(ledgerOf({ relief: cones }), 'relief')).toBeCloseTo(-30 * (1 - (1.4 / 3) ** 3), 9);
    expect(has(ledgerOf({ relief: block, belowM: 2e-3 }), 'relief')).toBe(false);
  });
  // Geometry: a pit of 40 × 50 mm, 3 mm deep, is 6 ml; a recess of its own is its area times the film.
  it('recess', () => {
    const pit = ledgerOf({ pits: [{ areaM2: 0.002, depthM: 3e-3 }] });
    expect(ml(pit, 'recess')).toBeCloseTo(6, 9);
    expect(ml(pit, 'face')).toBeCloseTo(96, 9);
    const own = ledgerOf({ cover: { by: 'recess' }, areaM2: 0.002 }, { thicknessM: 3e-3 });
    expect(ml(own, 'recess')).toBeCloseTo(6, 9);
    expect(has(own, 'face')).toBe(false);
  });
  // Judgement, no source: 60 ml/m² on 0.06 m² is 3.6 ml, known to half.
  it('soak', () => {
    const soaked = ledgerOf({ soakM: 0.06e-3 });
    expect(ml(soaked, 'soak')).toBeCloseTo(3.6, 9);
    const line = soaked.lines.find((l) => l.id === 'soak');
    expect((line?.explanation.sigma ?? 0) * 1e6).toBeCloseTo(1.8, 9);
  });
  // Balance of forces: 1 m of wall carries γ cos θ = 0.04 · cos 50° N, which is lc² cos θ = 3.708 mm² · 0.6428 of resin.
  it('meniscus', () => {
    expect(ml(ledgerOf({ dammedM: 1 }), 'meniscus')).toBeCloseTo(3.708 * 0.6428, 2);
    expect(capillaryLength(0.04, 1100) ** 2 * 1e6).toBeCloseTo(3.708, 3);
  });
  // Formula of thin-film levelling; when the resin stays fluid for long it is slope · (z_max − z_mean) · area.
  it('wedge', () => {
    const wedge = { lengthM: 0.3, aheadM: 0.15, slope: 3e-3 };
    const slow = { ...law, workingS: 104_800 };
    expect(ml(ledgerOf({ wedge }, { law: slow }), 'wedge')).toBeCloseTo(27, 3);
    const half =
      tiltDifference(0.3, 3e-3, 1.6e-3, {
        densityKgM3: 1100,
        fluidityPerPa: fluidityLeft(law),
      }) / 2;
    expect(ml(ledgerOf({ wedge }), 'wedge')).toBeCloseTo(half * 0.06 * 1e6, 9);
    // A triangle with its corner uphill: two thirds of its length lie before its middle.
    const pointed = { ...wedge, aheadM: 0.2 };
    expect(ml(ledgerOf({ wedge: pointed }), 'wedge')).toBeCloseTo(half * 0.08 * 1e6, 9);
    expect(has(ledgerOf({ wedge: { ...wedge, slope: 0 } }), 'wedge')).toBe(false);
  });
  // 2 mm in the middle · 0.477 · 0.06 m².
  it('belly', () => {
    const belly = { sagM: 2e-3, share: 0.477 };
    expect(ml(ledgerOf({ belly }), 'belly')).toBeCloseTo(2 * 0.477 * 60, 9);
  });
  // 0.45 mm of common practice on 1 m of 20 mm: 9 ml; of it 28.17 µm stay (Jeffreys 1930 with τ = 1039 /Pa).
  it('edges and their bead', () => {
    const edged = ledgerOf({ openEdges: [EDGE] });
    expect(ml(edged, 'edges')).toBeCloseTo(9, 9);
    expect(ml(edged, 'bead')).toBeCloseTo(3.708, 3);
    expect(edged.edgeFilmM * 1e6).toBeCloseTo(28.17, 1);
    const opened = edged.lines.find((l) => l.id === 'edges')?.explanation.inputs;
    expect((opened?.[2]?.value ?? 0) * 1e6).toBeCloseTo(28.17, 1);
  });
  // 0.15 mm brushed on 4 × 12 in of 18 mm: 3.3 ml, and a bead of 1.22 m · 3.7 mm² (0.5 to 1.2 of it, from memory).
  it('edges only: the film that is brushed on, with its bead', () => {
    const aroundM = 4 * 12 * 0.0254;
    const only = ledgerOf(
      { openEdges: [{ areaM2: aroundM * 0.018, heightM: 0.018, lengthM: aroundM }] },
      { edges: { by: 'edge coat' }, thicknessM: 0.15e-3 },
    );
    expect(only.lines.map((l) => l.id)).toEqual(['edges', 'bead', 'cup', 'reserve']);
    expect(ml(only, 'edges')).toBeCloseTo(3.29, 2);
    expect(ml(only, 'bead')).toBeCloseTo(4.52, 2);
  });
  it('by tool the band is thinner and has no bead; a brushed skin is as thin on the edge as on the face', () => {
    const tool = ledgerOf({ openEdges: [EDGE] }, { edges: { by: 'tool' }, thicknessM: 1.1e-3 });
    expect(ml(tool, 'edges')).toBeCloseTo(8, 9);
    expect(has(tool, 'bead')).toBe(false);
    const skin = ledgerOf({ openEdges: [EDGE] }, { edges: { by: 'brush' }, thicknessM: 0.15e-3 });
    expect(ml(skin, 'edges')).toBeCloseTo(3, 9);
  });
  // Geometry: edges that hold 1.2 mm let 0.4 mm · 0.06 m² = 24 ml go; 12.7 of them wet the edge, 11.3 drip off.
  it('run-off: what the face cannot hold wets its edges first, and is poured once', () => {
    const over = ledgerOf({ openEdges: [EDGE], cover: HELD });
    const wets = 9 + ml(over, 'bead');
    expect(ml(over, 'run-off')).toBeCloseTo(24 - wets, 9);
    expect(ml(over, 'face')).toBeCloseTo(72, 9);
    expect(over.pouredM3 * 1e6).toBeCloseTo(96, 9);
    expect(over.wasteM3).toBeCloseTo((24 - wets + ml(over, 'cup')) * 1e-6, 12);
    // Without an open edge nothing can run off.
    expect(has(ledgerOf({ cover: HELD }), 'run-off')).toBe(false);
  });
  // 50 ml a metre in all (common practice, no source), of which band and bead are a part.
  it('flood over the edge: 50 ml for each metre, whatever stays on the band', () => {
    const edges = { by: 'flood', perMetreM2: 50e-6 } as const;
    const flood = ledgerOf({ openEdges: [EDGE] }, { edges });
    expect(flood.pouredM3 * 1e6).toBeCloseTo(96 + 50, 9);
    expect(ml(flood, 'run-off')).toBeCloseTo(50 - 9 - ml(flood, 'bead'), 9);
    // A tall edge takes what wets it.
    const tall = ledgerOf({ openEdges: [{ ...EDGE, areaM2: 0.2 }] }, { edges });
    expect(has(tall, 'run-off')).toBe(false);
    expect(tall.pouredM3 * 1e6).toBeCloseTo(96 + 90 + ml(tall, 'bead'), 9);
  });
  it('film, edges and run-off are one pour with one error: 4 % of all of it', () => {
    const flood = ledgerOf({ openEdges: [EDGE] }, { edges: { by: 'flood', perMetreM2: 50e-6 } });
    const cup = flood.lines.find((l) => l.id === 'cup')?.explanation.sigma ?? 0;
    expect(flood.sigmaM3).toBeCloseTo(Math.hypot(0.04 * 146e-6, cup), 12);
    // Each line tells its own share of it.
    expect((flood.lines[0]?.explanation.sigma ?? 0) * 1e6).toBeCloseTo(0.04 * 96, 9);
  });
  it('by area: what lies on each, together all but cup and reserve', () => {
    const two = coatLedger({
      ...PLAIN_INPUT,
      areas: [AREA, { ...AREA, name: 'Back', areaM2: 0.03, dammedM: 1 }],
      thicknessM: 1e-3,
      densityKgM3: 1100,
      law,
      restS: 0,
      reserve: { by: 'share', share: 0.1 },
    });
    if (!two.ok) throw new Error('no ledger');
    expect(two.value.byArea.map((a) => a.name)).toEqual(['Face', 'Back']);
    const sum = two.value.byArea.reduce((s, a) => s + a.volumeM3, 0);
    expect(sum).toBeCloseTo(two.value.neededM3 - ml(two.value, 'cup') * 1e-6, 15);
  });
  it('by area: a line that was set lies on the areas in the shares that were computed', () => {
    // Face 60 ml and back 30 ml, set to 45 ml in all: 30 and 15.
    const halved = coatLedger({
      ...PLAIN_INPUT,
      areas: [AREA, { ...AREA, name: 'Back', areaM2: 0.03 }],
      ...{ thicknessM: 1e-3, densityKgM3: 1100, law, restS: 0 },
      reserve: { by: 'share', share: 0 },
      overrides: [{ line: 'face', volumeM3: 45e-6, reason: 'weighed last time' }],
    });
    if (!halved.ok) throw new Error('no ledger');
    const volumes = halved.value.byArea.map((a) => Number((a.volumeM3 * 1e6).toFixed(9)));
    expect(volumes).toEqual([30, 15]);
  });
  it('an area known to 5 % is no surer and no less sure where a patch covers 5 % of it', () => {
    // 4.8 ml; the area adds 5 % of them and evenness 4 %: √(0.24² + 0.192²) = 0.307 ml, not 4.8.
    const patch = ledgerOf({ areaSigmaM2: 0.003 }, { coverage: 0.05 });
    expect(ml(patch, 'face')).toBeCloseTo(4.8, 9);
    expect((patch.lines[0]?.explanation.sigma ?? 0) * 1e6).toBeCloseTo(0.30736, 4);
    // An error of the area counts for all that is poured on it, 96 ml; 4 % for the 72 that stay.
    const held = ledgerOf({
      ...{ areaSigmaM2: 0.003, openEdges: [EDGE], cover: HELD },
    });
    expect((held.lines[0]?.explanation.sigma ?? 0) * 1e6).toBeCloseTo(Math.hypot(4.8, 2.88), 6);
  });
});

describe('lines set by hand', () => {
  const own = { line: 'face', volumeM3: 1e-4, reason: 'weighed last time' } as const;
  it('keep what was computed, carry the reason, and all that follows from them', () => {
    const set = ledgerOf({}, { overrides: [own], reserve: { by: 'share', share: 0.1 } });
    const face = set.lines[0];
    expect(face).toMatchObject({ volumeM3: 1e-4, id: 'face' });
    expect((face?.computedM3 ?? 0) * 1e6).toBeCloseTo(96, 9);
    expect(face?.explanation.source).toContain('weighed last time');
    expect(set.totalM3 / set.neededM3).toBeCloseTo(1.1, 12);
    expect(set.neededM3).toBeGreaterThan(1e-4);
  });
  it('cup and reserve too; the chance to have enough follows', () => {
    const cup = { line: 'cup', volumeM3: 9e-6, reason: 'two cups' } as const;
    const none = { line: 'reserve', volumeM3: 0, reason: 'fillers wait' } as const;
    const set = ledgerOf({}, { overrides: [cup, none], reserve: { by: 'risk', confidence: 0.95 } });
    expect(ml(set, 'cup')).toBeCloseTo(9, 9);
    expect(set.totalM3).toBeCloseTo(set.neededM3, 15);
    expect(set.enough).toBeCloseTo(0.5, 4);
  });
  it('cannot leave less than nothing', () => {
    const input = { ...own, volumeM3: -0.05 };
    expect(() => ledgerOf({}, { overrides: [input] })).toThrow('does-not-fit');
    expect(() => ledgerOf({}, { overrides: [{ ...own, volumeM3: 9 }] })).toThrow('out-of-range');
  });
});

const BEAD = { lengthM: 0.1, widthM: 6e-3, heightM: 1e-3, sectionM2: 4e-6 };
describe('bad input says what is missing instead of a number', () => {
  it.each<[string, Partial<LedgerArea>]>([
    ['areas.0.relief.0.meanM', { relief: [{ greatestM: 1e-3, meanM: 2e-3, share: 0.5 }] }],
    ['areas.0.pits.0.areaM2', { pits: [{ areaM2: 1, depthM: 1e-3 }] }],
    ['areas.0.soakM', { soakM: -1 }],
    ['areas.0.wedge.slope', { wedge: { lengthM: 0.3, aheadM: 0.1, slope: NaN } }],
    ['areas.0.wedge.aheadM', { wedge: { lengthM: 0.3, aheadM: 0.4, slope: 1e-3 } }],
    ['areas.0.belly.sagM', { belly: { sagM: 1, share: 0.5 } }],
    [
      'areas.0.relief',
      {
        relief: [
          { greatestM: 1e-3, meanM: 1e-3, share: 0.6 },
          { greatestM: 2e-3, meanM: 1e-3, share: 0.5 },
        ],
      },
    ],
    ['areas.0.cover.holdsM', { cover: { by: 'film', holdsM: 2 } }],
    ['areas.0.line.lengthM', { line: { ...BEAD, lengthM: 0 } }],
    ['areas.0.line.sectionM2', { line: { ...BEAD, sectionM2: 2 } }],
    ['areas.0.openEdges.0.lengthM', { openEdges: [{ ...EDGE, lengthM: -1 }] }],
  ])('%s', (path, change) => {
    const result = coatLedger({
      ...PLAIN_INPUT,
      areas: [{ ...AREA, ...change }],
      thicknessM: 1e-3,
      densityKgM3: 1100,
      law,
      restS: 0,
      reserve: { by: 'share', share: 0 },
    });
    expect(result.ok ? [] : result.issues.map((i) => i.path.join('.'))).toEqual([path]);
  });
  it('relief of layers may lie over other relief; beside each other they fill the area to the hair', () => {
    const stones = { greatestM: 1e-3, meanM: 0.5e-3, share: 0.6 };
    const fits = (...relief: LedgerArea['relief']) => ledgerOf({ relief }).totalM3 > 0;
    expect(fits(stones, { ...stones, share: 0.4 })).toBe(true);
    expect(fits(stones, { ...stones, standsOnM: 1e-3 })).toBe(true);
    expect(fits(stones, { ...stones, aboveM: 0 })).toBe(true);
    expect(() => fits(stones, { ...stones, share: 0.401 })).toThrow('"areas",0,"relief"');
  });
  it('densities that no resin has, and floods without bound, are refused', () => {
    const faults = (change: Partial<LedgerInput>) => () => ledgerOf({}, change);
    expect(faults({ densityKgM3: 700 })).toThrow('densityKgM3');
    expect(faults({ densityKgM3: 2500 })).toThrow('densityKgM3');
    expect(faults({ edges: { by: 'flood', perMetreM2: 1e-3 } })).toThrow('perMetreM2');
  });
  it('relief that fills the coat leaves no room', () => {
    const full = [{ greatestM: 2e-3, meanM: 2e-3, share: 1 }];
    expect(() => ledgerOf({ relief: full })).toThrow('does-not-fit');
  });
});
