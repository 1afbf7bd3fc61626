import { fluidityLeft, tiltDifference } from '../film';
import { measureShape, type Shape } from '../geometry';
import { seededRandom } from '../numeric';
import {
  coatLedger,
  filmField,
  PLAIN_AREA,
  PLAIN_INPUT,
  type Cover,
  filmMap,
  reliefHeights,
  sectionStack,
  type LedgerArea,
  type LedgerInput,
  type LedgerLineId,
} from '.';
import { capillaryLength } from '../capillary';

const lengthM = capillaryLength(0.04, 1100);
/** A wider rim than any resin’s: mass is kept whatever it is, and a coarse grid sees it. */
const WIDE_RIM_M = 0.01;
const PLACES = 4000;
/** Lines of what lies on the face: not edges, walls, soak, cup and reserve. */
const ON_THE_PLAN: readonly LedgerLineId[] = ['face', 'dome', 'relief', 'recess', 'wedge', 'belly'];
/** And of what goes over its edges. */
const OVER_THE_EDGE: readonly LedgerLineId[] = ['edges', 'bead', 'run-off'];

/** All of them with `npm run deep`; the gate tries the first ones. */
const PIECES = process.env['DEEP'] ? 1000 : 250;

type Random = () => number;

function shapeOf(random: Random): Shape {
  const size = 0.05 + random() * 0.3;
  const pick = Math.floor(random() * 4);
  if (pick === 0) return { kind: 'disc', diameterM: size };
  if (pick === 1) return { kind: 'rectangle', widthM: size, heightM: 0.04 + random() * size };
  if (pick === 2)
    return {
      kind: 'roundedRectangle',
      widthM: size,
      heightM: 0.05 + random() * size,
      radiusM: 0.01,
    };
  const sides = 3 + Math.floor(random() * 7);
  return { kind: 'regularPolygon', sides, sizeM: size, across: 'flats' };
}

/** A film that open edges hold so much of, a dome, or a film between walls. */
function coverOf(open: boolean, random: Random): Cover {
  if (open) return { by: 'film', holdsM: 5e-4 + random() * 2e-3 };
  return random() < 0.5 ? { by: 'dome' } : { by: 'film', holdsM: null };
}

/** A piece of one face with a coat, anything of which may be there. */
function pieceOf(random: Random) {
  const shape = shapeOf(random);
  const { areaM2, sideLengthsM } = measureShape(shape);
  const maybe = (value: () => number) => (random() < 0.5 ? 0 : value());
  const greatestM = maybe(() => 2e-4 + random() * 3e-3);
  const relief =
    greatestM > 0
      ? [{ greatestM, meanM: greatestM * (0.2 + 0.8 * random()), share: random() * 0.6 }]
      : [];
  const pits = random() < 0.3 ? [{ areaM2: areaM2 * random() * 0.3, depthM: random() * 4e-3 }] : [];
  const openEdges =
    random() < 0.5 ? [{ areaM2: 0.001, heightM: 0.01, lengthM: 0.1 + random() }] : [];
  const area = {
    name: 'Face',
    areaM2,
    areaSigmaM2: 0,
    count: 1 + Math.floor(random() * 4),
    ...PLAIN_AREA,
    openEdges,
    cover: coverOf(openEdges.length > 0, random),
    belowM: maybe(() => random() * 2e-3),
    relief,
    pits,
    wedge: { lengthM: 0.2, aheadM: 0.05 + 0.1 * random(), slope: maybe(() => random() * 4e-3) },
    belly: { sagM: maybe(() => random() * 4e-3), share: 0.45 + 0.2 * random() },
  };
  const input: LedgerInput = {
    ...PLAIN_INPUT,
    areas: [area],
    thicknessM: 5e-4 + random() * 4e-3,
    densityKgM3: 1100,
    law: { viscosityPaS: 1, workingS: 943.3 },
    restS: 0,
    reserve: { by: 'risk', confidence: 0.95 },
  };
  return { shape, area, input, walls: sideLengthsM.map(() => random() < 0.5) };
}

/** What a tilt adds on the mean film by the law of the film itself, not by the ledger’s line. */
const wedgeOf = (
  { thicknessM, densityKgM3, law }: LedgerInput,
  { lengthM: runM, aheadM, slope }: { lengthM: number; aheadM: number; slope: number },
): number =>
  (tiltDifference(runM, slope, thicknessM, { densityKgM3, fluidityPerPa: fluidityLeft(law) }) *
    aheadM) /
  runM;
/** Film that stays on the face, m. */
const staysOf = ({ thicknessM }: LedgerInput, { cover }: Pick<LedgerArea, 'cover'>): number =>
  Math.min(thicknessM, cover.by === 'film' ? (cover.holdsM ?? Infinity) : Infinity);
/** What is poured for edges and what runs off, by hand: they take from what the face cannot hold first. */
const overTheEdge = (
  { thicknessM }: LedgerInput,
  area: Pick<LedgerArea, 'areaM2' | 'openEdges' | 'cover'>,
): number => {
  const holds = area.cover.by === 'film' ? (area.cover.holdsM ?? Infinity) : Infinity;
  const [edge] = area.openEdges;
  if (!edge) return 0;
  const excess = area.areaM2 * Math.max(0, thicknessM - holds);
  return Math.max(excess, edge.areaM2 * 0.45e-3 + edge.lengthM * lengthM ** 2);
};

describe('mass is kept: ledger against map and section', () => {
  it(`on ${PIECES} random pieces (seeded) the lines come to what section and map show`, () => {
    const random = seededRandom(20261125);
    let worst = 0;
    for (let i = 0; i < PIECES; i += 1) {
      const { shape, area, input, walls } = pieceOf(random);
      const result = coatLedger(input);
      if (!result.ok) throw new Error(`${i}: ${JSON.stringify(result.issues)}`);
      const lines = result.value.lines;
      const line = (id: LedgerLineId) => lines.find((l) => l.id === id)?.volumeM3 ?? 0;
      const told = ON_THE_PLAN.reduce((sum, id) => sum + line(id), 0);

      // The map: film, wedge and belly integrated over the cells of the outline.
      const field = filmField({ shape, walls, lengthM: WIDE_RIM_M, cells: 400 });
      if (!field.ok) throw new Error('no field');
      const map = filmMap(field.value, {
        thicknessM: staysOf(input, area),
        wedgeM: wedgeOf(input, area.wedge),
        downhill: [Math.cos(i), Math.sin(i)],
        bellyMeanM: area.belly.sagM * area.belly.share,
      });
      // The section: what is left free between two levels at many places that relief may fill, and the pits.
      const film = staysOf(input, area);
      const stack = sectionStack(
        [
          { id: 'below', bottomM: 0, topM: area.belowM },
          { id: 'coat', bottomM: area.belowM, topM: area.belowM + film },
        ],
        0.2,
        0.3,
      );
      const coat = stack.laminae[1] ?? { bottomM: 0, topM: 0 };
      const taken = reliefHeights(area.relief, PLACES).reduce(
        (sum, h) => sum + Math.max(0, Math.min(h, coat.topM) - coat.bottomM),
        0,
      );
      const pits = area.pits.reduce((sum, p) => sum + p.areaM2 * p.depthM, 0);
      const shown = map.volumeM3 - (area.areaM2 * taken) / PLACES + pits;
      worst = Math.max(worst, Math.abs((shown * area.count) / told - 1));
      const overM3 = OVER_THE_EDGE.reduce((sum, id) => sum + line(id), 0);
      expect(overM3 * 1e6).toBeCloseTo(overTheEdge(input, area) * area.count * 1e6, 6);
    }
    // The places of the section are a sum in place of an integral: a few in ten thousand.
    expect(worst).toBeLessThan(2e-3);
  });

  it('without relief there is no sum to round: to nine digits', () => {
    const random = seededRandom(7);
    for (let i = 0; i < 60; i += 1) {
      const { shape, area, input, walls } = pieceOf(random);
      const flat = { ...area, relief: [], pits: [], wedge: null };
      const result = coatLedger({ ...input, areas: [flat] });
      const field = filmField({ shape, walls, lengthM: WIDE_RIM_M, cells: 300 });
      if (!result.ok || !field.ok) throw new Error('no ledger');
      const { volumeM3 } = filmMap(field.value, {
        thicknessM: staysOf(input, flat),
        wedgeM: 0,
        downhill: [1, 0],
        bellyMeanM: flat.belly.sagM * flat.belly.share,
      });
      const told = ON_THE_PLAN.reduce(
        (sum, id) => sum + (result.value.lines.find((l) => l.id === id)?.volumeM3 ?? 0),
        0,
      );
      expect((volumeM3 * flat.count) / told).toBeCloseTo(1, 9);
    }
  });
});

describe('the map', () => {
  const shape: Shape = { kind: 'rectangle', widthM: 0.2, heightM: 0.1 };
  const field = filmField({ shape, walls: [true, true, true, true], lengthM, cells: 2000 });
  if (!field.ok) throw new Error('no field');
  const flat = { thicknessM: 1e-3, wedgeM: 0, downhill: [1, 0], bellyMeanM: 0 } as const;

  it('is even between walls', () => {
    const { filmM, greatestM } = filmMap(field.value, flat);
    expect(greatestM).toBeCloseTo(1e-3, 9);
    expect(Math.min(...filmM.filter((h) => h > 0))).toBeCloseTo(1e-3, 9);
  });
  it('gets thicker downhill by twice the half difference', () => {
    const { filmM } = filmMap(field.value, { ...flat, wedgeM: 1e-4 });
    const row = Math.floor(field.value.rows / 2) * field.value.columns;
    const [uphill, downhill] = [filmM[row] ?? 0, filmM[row + field.value.columns - 1] ?? 0];
    expect(uphill).toBeCloseTo(1e-3, 9);
    expect(Math.abs(downhill / 1.2e-3 - 1)).toBeLessThan(0.005);
  });
  it('is deepest in the middle of a belly, whose mean is that of the ledger', () => {
    const { filmM, greatestM, volumeM3 } = filmMap(field.value, { ...flat, bellyMeanM: 1e-3 });
    const middle =
      Math.floor(field.value.rows / 2) * field.value.columns + Math.floor(field.value.columns / 2);
    expect(filmM[middle] ?? 0).toBeGreaterThan(0.98 * greatestM);
    expect(volumeM3).toBeCloseTo(0.02 * (1e-3 + 1e-3), 12);
  });
  it('refuses what it cannot solve, with the path', () => {
    const paths = (change: object) => {
      const read = filmField({
        shape,
        walls: [true, true, true, true],
        lengthM,
        cells: 500,
        ...change,
      });
      return read.ok ? [] : read.issues.map((issue) => issue.path.join('.'));
    };
    expect(paths({})).toEqual([]);
    expect(paths({ walls: [true] })).toEqual(['walls']);
    expect(paths({ cells: 5 })).toEqual(['cells']);
    expect(paths({ lengthM: 0 })).toEqual(['lengthM']);
  });
  it('leaves parts that are kept bare free, and keeps the mean', () => {
    const hole = [
      [-0.02, -0.02],
      [0.02, -0.02],
      [0.02, 0.02],
      [-0.02, 0.02],
    ] as const;
    const keepBare = [
      {
        start: hole[0],
        segments: [...hole.slice(1), hole[0]].map((to) => ({ kind: 'line', to }) as const),
      },
    ];
    const bare = filmField({
      shape: { ...shape, keepBare },
      walls: [false, false, false, false],
      lengthM,
      cells: 2000,
    });
    if (!bare.ok) throw new Error('no field');
    const { volumeM3, filmM } = filmMap(bare.value, flat);
    expect(volumeM3).toBeCloseTo((0.02 - 0.0016) * 1e-3, 12);
    const middle = Math.floor(bare.value.rows / 2) * bare.value.columns;
    expect(filmM[middle + Math.floor(bare.value.columns / 2)]).toBe(0);
  });
});
