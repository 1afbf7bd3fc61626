import { viscosityAfter } from '../film';
import { stacked } from './test/stacked';
import { measureShape, type Shape } from '../geometry';
import { seededRandom } from '../numeric';
import { INCH_M, US_FLUID_OUNCE_M3 } from '../units';
import {
  coatLedger,
  cupRest,
  ruleOfThumb,
  sectionStack,
  PLAIN_AREA,
  PLAIN_INPUT,
  VOLUME_RULES,
  type Ledger,
  type LedgerInput,
} from '.';

const law = { viscosityPaS: 1, workingS: 943.3 };

function input(
  shape: Shape,
  thicknessM: number,
  change: Partial<LedgerInput> = {},
  edgeHeightM = 0,
): LedgerInput {
  const { areaM2, areaSigmaM2, perimeterM } = measureShape(shape);
  return {
    ...PLAIN_INPUT,
    areas: [
      {
        name: 'Face',
        areaM2,
        areaSigmaM2,
        count: 1,
        ...PLAIN_AREA,
        openEdges:
          edgeHeightM > 0
            ? [{ areaM2: perimeterM * edgeHeightM, heightM: edgeHeightM, lengthM: perimeterM }]
            : [],
      },
    ],
    thicknessM,
    densityKgM3: 1100,
    law,
    restS: 0,
    reserve: { by: 'risk', confidence: 0.95 },
    ...change,
  };
}

function ledger(...args: Parameters<typeof input>): Ledger {
  const result = coatLedger(input(...args));
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value;
}

const line = (l: Ledger, id: string) => l.lines.find((x) => x.id === id)?.volumeM3 ?? 0;
const foot: Shape = { kind: 'rectangle', widthM: 12 * INCH_M, heightM: 12 * INCH_M };

describe('film on the face', () => {
  // 144 in² × 1/16 in = 9 in³; a US gallon of 128 fl oz is 231 in³: 9 × 128 / 231 = 4.987 fl oz.
  it.each([
    [1 / 16, (9 * 128) / 231],
    [1 / 8, (18 * 128) / 231],
  ])('12 × 12 in at %d in', (inches, floz) => {
    expect(line(ledger(foot, inches * INCH_M), 'face') / US_FLUID_OUNCE_M3).toBeCloseTo(floz, 10);
  });

  it('12 × 12 in at 1/16 in is about 5 fl oz, at 1/8 in about 10 (common practice, no source)', () => {
    const floz = (inches: number) =>
      line(ledger(foot, inches * INCH_M), 'face') / US_FLUID_OUNCE_M3;
    expect(floz(1 / 16)).toBeCloseTo(4.99, 2);
    expect(floz(1 / 8)).toBeCloseTo(9.97, 2);
  });

  it('a 12 in disc at 2.4 mm is about 6 fl oz (common practice, no source)', () => {
    const disc = ledger({ kind: 'disc', diameterM: 12 * INCH_M }, 2.4e-3);
    expect(Math.abs(line(disc, 'face') / US_FLUID_OUNCE_M3 / 6 - 1)).toBeLessThan(0.05);
  });
});

describe('the other lines', () => {
  it('edges: 0.45 mm laid on 1 m of 20 mm edge are 9 ml, of which 28.2 µm stay; a bead of 1 lc²', () => {
    const l = ledger({ kind: 'rectangle', widthM: 0.3, heightM: 0.2 }, 1.6e-3, {}, 0.02);
    expect(l.edgeFilmM * 1e6).toBeCloseTo(28.17, 1);
    expect(line(l, 'edges') * 1e6).toBeCloseTo(0.45 * 20, 9);
    expect(line(l, 'bead') * 1e6).toBeCloseTo(3.708, 2);
  });

  it('no line for edges when all are dammed', () => {
    expect(ledger(foot, 1.6e-3).lines.map((x) => x.id)).toEqual(['face', 'cup', 'reserve']);
  });

  it('cup: 100 ml in d = 50.3 mm wet 99.4 cm² and 48 cm² of stick; ⅔ √(d η / (ρ g t)) is 0.215 mm', () => {
    const { volumeM3, filmM, wettedM2 } = cupRest(1e-4, law, 0, 1100, false);
    expect(filmM * 1e3).toBeCloseTo((2 / 3) * Math.sqrt(0.05031 / (1100 * 9.80665 * 45)) * 1e3, 4);
    expect(wettedM2 * 1e4).toBeCloseTo(99.35 + 48, 1);
    expect(volumeM3 * 1e6).toBeCloseTo(147.35e-4 * filmM * 1e6, 2);
    // A glove adds 60 cm²; an older mix is thicker and clings more: as the root of its viscosity.
    expect(cupRest(1e-4, law, 0, 1100, true).wettedM2 - wettedM2).toBeCloseTo(0.006, 12);
    const thicker = viscosityAfter(law, 600) / law.viscosityPaS;
    expect(thicker).toBeGreaterThan(1.5);
    expect(cupRest(1e-4, law, 600, 1100, false).filmM / filmM).toBeCloseTo(Math.sqrt(thicker), 9);
  });
  it('cup: the wall of a 50 ml measure keeps 1.3–3.8 % (common practice, no source)', () => {
    const { filmM, wettedM2 } = cupRest(5e-5, law, 0, 1100, false);
    const share = ((wettedM2 - 48e-4) * filmM) / 5e-5;
    expect(share).toBeGreaterThan(0.013);
    expect(share).toBeLessThan(0.038);
  });
  it('reserve: 95 % sure is 1.645 sigma, and the ledger says so', () => {
    const l = ledger(foot, 1.6e-3);
    expect(line(l, 'reserve') / l.sigmaM3).toBeCloseTo(1.6449, 3);
    expect(l.enough).toBeCloseTo(0.95, 4);
  });

  it('reserve: a tenth over is a tenth of the sum', () => {
    const l = ledger(foot, 1.6e-3, { reserve: { by: 'share', share: 0.1 } });
    expect(line(l, 'reserve') / l.neededM3).toBeCloseTo(0.1, 12);
  });

  it('a 12 × 12 in panel at 1.6 mm, edges and cup in it, lies between the two rules of thumb', () => {
    const floz =
      ledger(foot, 1.6e-3, { reserve: { by: 'share', share: 0 } }, 0.018).totalM3 /
      US_FLUID_OUNCE_M3;
    expect(floz).toBeGreaterThan(5);
    expect(floz).toBeLessThan(6);
  });
});

describe('coatLedger as a whole', () => {
  it('the lines add up to the total, which grows with thickness and count (300 seeded pieces)', () => {
    const random = seededRandom(17);
    for (let i = 0; i < 300; i += 1) {
      const shape: Shape = { kind: 'rectangle', widthM: 0.02 + random(), heightM: 0.02 + random() };
      const thicknessM = 1e-4 + random() * 5e-3;
      const base = input(
        shape,
        thicknessM,
        { reserve: { by: 'share', share: random() } },
        random() * 0.04,
      );
      const l = coatLedger(base);
      const thicker = coatLedger({ ...base, thicknessM: thicknessM * 1.1 });
      const two = coatLedger({ ...base, areas: base.areas.map((a) => ({ ...a, count: 2 })) });
      if (!l.ok || !thicker.ok || !two.ok) throw new Error('no ledger');
      const sum = l.value.lines.reduce((s, x) => s + x.volumeM3, 0);
      expect(Math.abs(sum / l.value.totalM3 - 1)).toBeLessThan(1e-12);
      expect(l.value.totalKg / l.value.totalM3).toBeCloseTo(1100, 8);
      expect(thicker.value.totalM3).toBeGreaterThan(l.value.totalM3);
      expect(two.value.totalM3).toBeGreaterThan(1.5 * l.value.totalM3);
    }
  });

  it('names every fault with its path', () => {
    const bad = input(foot, NaN, { densityKgM3: 0, reserve: { by: 'risk', confidence: 1 } });
    const result = coatLedger({
      ...bad,
      areas: bad.areas.map((a) => ({ ...a, areaM2: 0, count: 0 })),
    });
    expect(result.ok ? [] : result.issues.map((i) => i.path.join('.'))).toEqual([
      'areas.0.areaM2',
      'areas.0.count',
      'thicknessM',
      'densityKgM3',
      'reserve.confidence',
    ]);
    expect(coatLedger({ ...bad, areas: [] })).toMatchObject({
      ok: false,
      issues: [{ code: 'required' }, {}, {}, {}],
    });
  });
});

describe('ruleOfThumb', () => {
  it('shows the thickness it hides: 1.59 mm and 1.91 mm, a fifth apart', () => {
    const hidden = VOLUME_RULES.map((rule) => ruleOfThumb(rule, 1).thicknessM * 1000);
    expect(hidden[0]).toBeCloseTo(1.592, 3);
    expect(hidden[1]).toBeCloseTo(1.91, 2);
    expect((hidden[1] ?? 0) / (hidden[0] ?? 1)).toBeCloseTo(1.2, 10);
  });
});

describe('sectionStack', () => {
  it('stacks without gaps and fits the room at a round exaggeration', () => {
    const coats = [
      { id: 'a', thicknessM: 0.2e-3 },
      { id: 'b', thicknessM: 1.6e-3 },
      { id: 'c', thicknessM: 1.8e-3 },
    ];
    const stack = sectionStack(stacked(coats), 0.6, 0.35);
    expect(stack.laminae.map((l) => l.bottomM)).toEqual([0, 0.2e-3, 0.2e-3 + 1.6e-3]);
    expect(stack.heightM).toBeCloseTo(3.6e-3, 12);
    expect(stack.heightM * stack.exaggeration).toBeLessThanOrEqual(0.35 * 0.6);
    expect(stack.exaggeration).toBe(50);
  });
  it('draws at true scale when nothing fits, and takes an empty stack', () => {
    expect(sectionStack([{ id: 'a', bottomM: 0, topM: 0.5 }], 0.1, 0.3).exaggeration).toBe(1);
    expect(sectionStack([], 0.1, 0.3)).toEqual({ laminae: [], heightM: 0, exaggeration: 1 });
    expect(() => sectionStack([], 0, 0.3)).toThrow('sectionStack');
    expect(() => sectionStack([], 0.1, 0)).toThrow('sectionStack');
    // A quarter of half a metre over 1/16 m is twice, to the digit.
    expect(sectionStack([{ id: 'a', bottomM: 0, topM: 1 / 16 }], 0.5, 0.25).exaggeration).toBe(2);
    expect(sectionStack([], 0.5, 0.25, 1 / 16).exaggeration).toBe(2);
  });
});
