import { capillaryLength } from '../capillary';
import { tiltDifference } from '../film';
import { US_FLUID_OUNCE_M3 } from '../units';
import {
  coatLedger,
  PLAIN_AREA,
  PLAIN_INPUT,
  type Ledger,
  type LedgerArea,
  type LedgerInput,
  type LedgerLineId,
} from '.';

const law = { viscosityPaS: 1, doublingS: 720 };
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
  // Formula of thin-film levelling; when the resin stays fluid for long it is L · slope / 2 · area: 0.45 mm · 0.06 m².
  it('wedge', () => {
    const wedge = { lengthM: 0.3, slope: 3e-3 };
    const slow = { ...law, doublingS: 80_000 };
    expect(ml(ledgerOf({ wedge }, { law: slow }), 'wedge')).toBeCloseTo(27, 3);
    const half =
      tiltDifference(0.3, 3e-3, 1.6e-3, {
        densityKgM3: 1100,
        fluidityPerPa: 720 / Math.LN2,
      }) / 2;
    expect(ml(ledgerOf({ wedge }), 'wedge')).toBeCloseTo(half * 0.06 * 1e6, 9);
    expect(has(ledgerOf({ wedge: { lengthM: 0.3, slope: 0 } }), 'wedge')).toBe(false);
  });
  // Timoshenko & Goodier (from memory): greatest sag of a square membrane 0.0737, mean 0.0351 p a²/T; 2 mm · 0.476 · 0.06 m².
  it('belly', () => {
    expect(0.0351 / 0.0737).toBeCloseTo(0.476, 3);
    expect(ml(ledgerOf({ bellyM: 2e-3 }), 'belly')).toBeCloseTo(2 * 0.476 * 60, 9);
  });
  // Jeffreys 1930 with τ = 1039 /Pa: 28.17 µm on 20 mm of height, 1 m long.
  it('edges', () => {
    const edged = ledgerOf({ openEdges: [{ areaM2: 0.02, heightM: 0.02 }] });
    expect(ml(edged, 'edges')).toBeCloseTo(28.17e-6 * 0.02 * 1e6, 3);
    const only = ledgerOf(
      { openEdges: [{ areaM2: 0.02, heightM: 0.02 }] },
      { edgesOnly: true, thicknessM: 0.15e-3 },
    );
    expect(only.lines.map((l) => l.id)).toEqual(['edges', 'cup', 'reserve']);
  });
  // Geometry: edges that hold 1.2 mm let 0.4 mm · 0.06 m² = 24 ml go, and the face keeps 72.
  it('run-off', () => {
    const over = ledgerOf({ openEdges: [{ areaM2: 0.02, heightM: 0.02 }], cover: HELD });
    expect(ml(over, 'run-off')).toBeCloseTo(24, 9);
    expect(ml(over, 'face')).toBeCloseTo(72, 9);
    expect(over.wasteM3).toBeCloseTo((24 + ml(over, 'cup')) * 1e-6, 12);
    // Without an open edge nothing can run off.
    expect(has(ledgerOf({ cover: HELD }), 'run-off')).toBe(false);
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
    // Where open edges hold 1.2 mm, an error of the area counts for those: 5 % and 4 % of 72 ml.
    const held = ledgerOf({
      ...{ areaSigmaM2: 0.003, openEdges: [{ areaM2: 0.02, heightM: 0.02 }], cover: HELD },
    });
    expect((held.lines[0]?.explanation.sigma ?? 0) * 1e6).toBeCloseTo(Math.hypot(3.6, 2.88), 6);
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

describe('bad input says what is missing instead of a number', () => {
  it.each([
    ['areas.0.relief.0.meanM', { relief: [{ greatestM: 1e-3, meanM: 2e-3, share: 0.5 }] }],
    ['areas.0.pits.0.areaM2', { pits: [{ areaM2: 1, depthM: 1e-3 }] }],
    ['areas.0.soakM', { soakM: -1 }],
    ['areas.0.wedge.slope', { wedge: { lengthM: 0.3, slope: NaN } }],
    ['areas.0.bellyM', { bellyM: 1 }],
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
  it('relief that fills the coat leaves no room', () => {
    const full = [{ greatestM: 2e-3, meanM: 2e-3, share: 1 }];
    expect(() => ledgerOf({ relief: full })).toThrow('does-not-fit');
  });
});

describe('rules of thumb (common practice, no source)', () => {
  const rest = { reserve: { by: 'share', share: 0.1 } } as const;
  it('four 4 in hexagons with run-off take about 4 fl oz, within a quarter', () => {
    // 4 in across flats: area ½√3 · 0.1016² m², edge 2√3 · 0.1016 m of 10 mm; poured 2.4 mm, 1.75 mm stay.
    const side = 0.1016;
    const hexagon = ledgerOf(
      {
        count: 4,
        areaM2: (Math.sqrt(3) / 2) * side ** 2,
        openEdges: [{ areaM2: 2 * Math.sqrt(3) * side * 0.01, heightM: 0.01 }],
        cover: { by: 'film', holdsM: 1.75e-3 },
      },
      { ...rest, thicknessM: 2.4e-3 },
    );
    expect(Math.abs(hexagon.totalM3 / US_FLUID_OUNCE_M3 / 4 - 1)).toBeLessThan(0.25);
  });
  it('tops and edges of two small castings held to their edges take about 20 ml, within a quarter', () => {
    // Two discs of 65 mm that dome at 2 mm.
    const castings = ledgerOf(
      { count: 2, areaM2: (Math.PI * 0.065 ** 2) / 4, cover: { by: 'dome' } },
      { ...rest, thicknessM: 2e-3 },
    );
    expect(Math.abs(castings.totalM3 / 20e-6 - 1)).toBeLessThan(0.25);
  });
});
