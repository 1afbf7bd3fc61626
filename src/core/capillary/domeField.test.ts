import { capillaryLength, cornerTerm, domeDisc, domeField, domeMean, type FieldSide } from '.';
import { logBesselI } from './bessel';
import { odex } from '../numeric/test/odex';

const lc = capillaryLength(0.04, 1100);
type P = readonly [number, number];

const ring = (points: readonly P[], walls: readonly boolean[] = []): FieldSide[] =>
  points.map((p, i) => ({
    points: [p, points[(i + 1) % points.length] ?? p],
    wall: walls[i] ?? false,
  }));
const rectangle = (w: number, h: number, walls: readonly boolean[] = []) =>
  ring(
    [
      [-w / 2, -h / 2],
      [w / 2, -h / 2],
      [w / 2, h / 2],
      [-w / 2, h / 2],
    ],
    walls,
  );
const regular = (sides: number, radius: number, turned = 0) =>
  ring(
    Array.from({ length: sides }, (_, i): P => {
      const angle = turned + (2 * Math.PI * i) / sides;
      return [radius * Math.cos(angle), radius * Math.sin(angle)];
    }),
  );
const mean = (sides: readonly FieldSide[], areaM2: number, cell = 0.4) => {
  const field = domeField(sides, lc, cell * lc);
  return (field.volume * field.cellM ** 2) / areaM2;
};

describe('film on a grid against closed forms', () => {
  // Heat-content asymptotics (van den Berg & Srisatkunarajah 1990): m = 1 − lc P/A + lc²/A Σ k, k(90°) = 4/π.
  it('rectangle 100 × 60 mm: 0.900447, within 0.1 % at 10,000 cells', () => {
    const exact = 1 - (lc * 0.32) / 0.006 + ((lc * lc) / 0.006) * 4 * cornerTerm(Math.PI / 2);
    expect(exact).toBeCloseTo(0.900447, 6);
    expect(Math.abs(mean(rectangle(0.1, 0.06), 0.006) / exact - 1)).toBeLessThan(1e-3);
    expect(domeField(rectangle(0.1, 0.06), lc, 0.4 * lc).cells).toBeGreaterThan(9_500);
  });
  it('disc of 50 mm: 1 − 2 lc/a · I1/I0 = 0.852007, within 0.2 %', () => {
    const x = 0.025 / lc;
    const exact = 1 - (2 / x) * Math.exp(logBesselI(1, x) - logBesselI(0, x));
    expect(exact).toBeCloseTo(0.852007, 5);
    const area = (360 / 2) * 0.025 ** 2 * Math.sin((2 * Math.PI) / 360);
    expect(Math.abs(mean(regular(360, 0.025), area) / exact - 1)).toBeLessThan(2e-3);
  });
  it('hexagon 100 mm across flats: 0.924749, within 0.1 %, however it is turned', () => {
    const radius = 0.05 / Math.cos(Math.PI / 6);
    const area = ((3 * Math.sqrt(3)) / 2) * radius ** 2;
    for (const turned of [0, 0.2, Math.PI / 6])
      expect(Math.abs(mean(regular(6, radius, turned), area) / 0.924749 - 1)).toBeLessThan(1e-3);
  });
  it('an L agrees with its corners: five of 90°, one of 270°', () => {
    const l: readonly P[] = [
      [0, 0],
      [0.08, 0],
      [0.08, 0.03],
      [0.03, 0.03],
      [0.03, 0.08],
      [0, 0.08],
    ];
    const area = 0.08 * 0.03 + 0.05 * 0.03;
    const k = 5 * cornerTerm(Math.PI / 2) + cornerTerm((3 * Math.PI) / 2);
    const exact = 1 - (lc * 0.32) / area + ((lc * lc) / area) * k;
    expect(Math.abs(mean(ring(l), area) / exact - 1)).toBeLessThan(1.5e-3);
  });
  it('a mixed outline: a half disc’s corners and its smooth half turn', () => {
    const arc = Array.from({ length: 181 }, (_, i): P => {
      const angle = (Math.PI * i) / 180;
      return [0.04 * Math.cos(angle), 0.04 * Math.sin(angle)];
    });
    const area = (Math.PI * 0.04 ** 2) / 2;
    const outline = {
      areaM2: area,
      rimM: Math.PI * 0.04 + 0.08,
      cornersRad: [Math.PI / 2, Math.PI / 2],
      wallCornersRad: [],
      bendRad: Math.PI,
      curvaturePerM: 0,
    };
    // The closed form at a small angle is the linear mean over the puddle.
    const closed = domeMean(outline, 0.02, lc) / (2 * lc * Math.sin(0.01));
    expect(Math.abs(mean(ring(arc), area) / closed - 1)).toBeLessThan(3e-3);
  });
});

describe('walls and holes', () => {
  it('between four walls the film is even', () => {
    const field = domeField(rectangle(0.05, 0.03, [true, true, true, true]), lc, lc / 3);
    for (const [i, room] of field.rooms.entries())
      if (room > 0) expect(field.shares[i]).toBeCloseTo(1, 6);
    expect((field.volume * field.cellM ** 2) / 0.0015).toBeCloseTo(1, 2);
  });
  it('between two walls it is the strip: 1 − tanh(w / 2 lc) / (w / 2 lc)', () => {
    const walled = rectangle(0.06, 0.03, [false, true, false, true]);
    const x = 0.03 / 2 / lc;
    expect(mean(walled, 0.0018) / (1 - Math.tanh(x) / x)).toBeCloseTo(1, 2);
  });
  it('a hole takes its part out, and a taped one leaves the film level', () => {
    const hole = [
      ...ring([
        [-0.01, -0.01],
        [0.01, -0.01],
        [0.01, 0.01],
        [-0.01, 0.01],
      ]),
    ];
    const taped = hole.map((s) => ({ ...s, wall: true }));
    const outer = rectangle(0.06, 0.06);
    const area = 0.0036 - 0.0004;
    const [open, held] = [mean([...outer, ...hole], area), mean([...outer, ...taped], area)];
    const field = domeField([...outer, ...hole], lc, lc / 3);
    expect(field.cells * field.cellM ** 2).toBeCloseTo(area, 4);
    expect(held).toBeGreaterThan(open);
    expect(open).toBeGreaterThan(0.7);
  });
  it('throws on what is no grid', () => {
    expect(() => domeField([], lc, lc)).toThrow('domeField');
    expect(() => domeField(rectangle(0.1, 0.1), 0, lc)).toThrow('domeField');
    expect(() => domeField(rectangle(0.1, 0.1), lc, 0)).toThrow('domeField');
    expect(() => domeField(rectangle(0.1, 0), lc, lc)).toThrow('no cell');
  });
  it('tells of each cell where it lies, what room it has, and nothing outside', () => {
    const l = ring([
      [0, 0],
      [0.02, 0],
      [0.02, 0.01],
      [0.01, 0.01],
      [0.01, 0.02],
      [0, 0.02],
    ]);
    const { columns, rows, originM, shares, rooms, cells } = domeField(l, lc, 1e-3);
    expect([columns, rows, shares.length, rooms.length, cells]).toEqual([20, 20, 400, 400, 300]);
    expect(originM[0]).toBeCloseTo(0.5e-3, 12);
    for (let i = 0; i < 400; i += 1) {
      const outside = i % 20 >= 10 && i >= 200;
      expect((shares[i] ?? NaN) > 0).toBe(!outside);
      expect((rooms[i] ?? NaN) > 0).toBe(!outside);
    }
    // The same on either side of the diagonal.
    expect(shares[3 * 20 + 7]).toBeCloseTo(shares[7 * 20 + 3] ?? NaN, 6);
  });
});

describe('an exact dome against odex', () => {
  it.each([
    [1, 30],
    [4, 80],
    [30, 60],
    [100, 45],
    [150, 75],
  ])('disc of %d mm at %d°: volume by quadrature along the profile', (mm, degrees) => {
    const theta = (degrees * Math.PI) / 180;
    const dome = domeDisc(mm / 1e3, theta, lc);
    // From the rim inwards: r, z below the top and volume over the surface’s angle, in capillary lengths; the
    // curvature at the rim is the hydrostatic one at the depth that the dome says.
    const a = mm / 2e3 / lc;
    const force = (dome.amount / lc ** 3 + 2 * Math.PI * a * Math.sin(theta)) / (Math.PI * a * a);
    const apex = force - dome.centreM / lc;
    const solver = odex(3, 1e-11);
    const slope = (phi: number, [r = 0, z = 0]: number[]) => {
      const curvature = apex + z - Math.sin(phi) / r;
      const dr = Math.cos(phi) / curvature;
      const dz = Math.sin(phi) / curvature;
      return [dr, dz, Math.PI * r * r * dz];
    };
    const end = 0.05;
    const { y } = solver.solve(slope, theta, [a, dome.centreM / lc, 0], end);
    const [r = 0, z = 0, swept = 0] = y;
    // Above the last angle the cap is nearly flat; the balance of forces on it alone gives what it holds.
    const cap = Math.PI * r * r * (apex + z) - 2 * Math.PI * r * Math.sin(end);
    expect(cap).toBeGreaterThan(0);
    expect(((cap - swept) * lc ** 3) / dome.amount).toBeCloseTo(1, 6);
  });
});
