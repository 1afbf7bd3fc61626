import {
  capillaryLength,
  cornerTerm,
  domeDisc,
  domeMean,
  domeStrip,
  maskMean,
  puddleHeight,
  rimFactor,
  SURFACE_TENSION,
} from '.';
import { besselKRatio, logBesselI } from './bessel';

const rad = (degrees: number) => (degrees * Math.PI) / 180;
const lc = capillaryLength(SURFACE_TENSION, 1100);
const off = (value: number, wanted: number) => Math.abs(value / wanted - 1);

describe('capillary length and puddle', () => {
  it('is 1.9256 mm for 0.040 N/m and 1100 kg/m³', () => expect(lc * 1e3).toBeCloseTo(1.9256, 4));
  // Published capillary statics: thickness of a wide puddle, mm.
  it.each([
    [20, 0.6688],
    [30, 0.9968],
    [60, 1.926],
    [90, 2.723],
  ])('puddle at %d°: %d mm', (degrees, mm) =>
    expect(off(puddleHeight(rad(degrees), lc) * 1e3, mm)).toBeLessThan(5e-4),
  );
  it('throws on what is no angle or length', () => {
    expect(() => puddleHeight(0, lc)).toThrow('puddleHeight');
    expect(() => puddleHeight(2, lc)).toThrow('puddleHeight');
    expect(() => puddleHeight(1, 0)).toThrow('puddleHeight');
    expect(puddleHeight(Math.PI / 2, lc)).toBeCloseTo(Math.SQRT2 * lc, 12);
    expect(() => capillaryLength(0, 1100)).toThrow('capillaryLength');
  });
});

describe('logBesselI', () => {
  // Abramowitz & Stegun, table 9.8: e^−x I0(x) and e^−x I1(x).
  it.each([
    [0, 1, 0.4657596],
    [0, 5, 0.1835408],
    [0, 10, 0.1278333],
    [1, 1, 0.2079104],
    [1, 5, 0.1639723],
    [1, 10, 0.1212627],
  ] as const)('order %d at %d', (order, x, scaled) =>
    expect(off(Math.exp(logBesselI(order, x) - x), scaled)).toBeLessThan(1e-6),
  );
  it('the two series agree where they meet', () => {
    for (const order of [0, 1] as const) {
      const [below, above] = [logBesselI(order, 30 - 1e-9), logBesselI(order, 30)];
      expect(above - below).toBeCloseTo(1e-9, 10);
    }
    expect(logBesselI(0, 0)).toBe(0);
    expect(() => logBesselI(0, -1)).toThrow('logBesselI');
  });
  it('is finite where I itself is not: the first terms of Hankel’s expansion at 1000', () => {
    const scaled = (1 + 1 / 8000 + 9 / (2 * 8000 ** 2)) / Math.sqrt(2000 * Math.PI);
    expect(off(Math.exp(logBesselI(0, 1000) - 1000), scaled)).toBeLessThan(1e-9);
  });
});

describe('besselKRatio', () => {
  // Abramowitz & Stegun, table 9.8, from memory: K1 and K0 themselves.
  it.each([
    [0.1, 9.8538447809, 2.4270690247],
    [1, 0.6019072302, 0.4210244382],
    [2, 0.1398658818, 0.1138938727],
    [5, 0.0040446134, 0.0036910983],
    [10, 1.864877345e-5, 1.778006232e-5],
  ])('at %d', (x, k1, k0) => expect(off(besselKRatio(x), k1 / k0)).toBeLessThan(1e-7));
  it('goes towards 1 + 1/(2x) for a large x, and needs an x above 0', () => {
    expect(besselKRatio(200)).toBeCloseTo(1 + 1 / 400 - 1 / (8 * 200 ** 2), 7);
    expect(() => besselKRatio(0)).toThrow('besselKRatio');
    expect(() => besselKRatio(Infinity)).toThrow('besselKRatio');
  });
});

describe('domes on discs and strips', () => {
  // Centre height mm, volume ml, mean mm; found by an independent integration.
  it.each([
    [30, 30, 1.063, 0.579, 0.8192],
    [30, 90, 2.879, 1.689, 2.39],
    [50, 45, 1.532, 2.595, 1.322],
    [100, 20, 0.6819, 4.957, 0.6312],
    [100, 60, 1.961, 14.39, 1.833],
    [150, 75, 2.372, 40.23, 2.276],
    [300, 30, 1.003, 69.16, 0.9784],
    [300, 90, 2.738, 190.1, 2.689],
  ])('disc %d mm at %d°', (mm, degrees, centre, volume, mean) => {
    const dome = domeDisc(mm / 1e3, rad(degrees), lc);
    expect(off(dome.centreM * 1e3, centre)).toBeLessThan(1e-3);
    expect(off(dome.amount * 1e6, volume)).toBeLessThan(1e-3);
    expect(off(dome.meanM * 1e3, mean)).toBeLessThan(1e-3);
  });
  it.each([
    [30, 30, 0.8732],
    [50, 90, 2.575],
    [100, 45, 1.421],
    [300, 75, 2.321],
  ])('strip %d mm at %d°: mean %d mm', (mm, degrees, mean) =>
    expect(off(domeStrip(mm / 1e3, rad(degrees), lc).meanM * 1e3, mean)).toBeLessThan(1e-3),
  );

  /** The same equations over arc length, 40,000 steps of Heun from a cap: a different road to the same shape. */
  function byArcLength(apex: number, angle: number, disc: boolean) {
    let [x, z, phi, volume] = [0, 0, 0, 0];
    const rate = (px: number, pz: number, p: number) => {
      const whole = (disc ? 2 : 1) * apex + pz;
      return disc ? (px < 1e-9 ? apex : whole - Math.sin(p) / px) : whole;
    };
    const h = 2e-4 / Math.max(1, apex);
    while (phi < angle) {
      const k = rate(x, z, phi);
      const [x1, z1, p1] = [x + h * Math.cos(phi), z + h * Math.sin(phi), phi + h * k];
      const k1 = rate(x1, z1, p1);
      const [dx, dz] = [
        (h / 2) * (Math.cos(phi) + Math.cos(p1)),
        (h / 2) * (Math.sin(phi) + Math.sin(p1)),
      ];
      volume += (disc ? Math.PI * (x + dx / 2) ** 2 : 2 * (x + dx / 2)) * dz;
      [x, z, phi] = [x + dx, z + dz, phi + (h / 2) * (k + k1)];
    }
    return { x, z, volume };
  }
  it.each([
    [2, 60, true],
    [0.5, 45, true],
    [0.05, 75, true],
    [1, 60, false],
    [0.1, 30, false],
  ])('apex curvature %d at %d°, disc %s: found again from its width', (apex, degrees, disc) => {
    const { x, z, volume } = byArcLength(apex, rad(degrees), disc);
    const size = 2 * x * lc;
    const dome = disc ? domeDisc(size, rad(degrees), lc) : domeStrip(size, rad(degrees), lc);
    expect(off(dome.centreM, z * lc)).toBeLessThan(3e-4);
    expect(off(dome.amount, volume * (disc ? lc ** 3 : lc ** 2))).toBeLessThan(2e-3);
  });

  it('small: a spherical cap; wide: the puddle; a disc is higher than the puddle, and is kept so', () => {
    const a = 0.25e-3;
    const cap = a * Math.tan(rad(15));
    expect(off(domeDisc(2 * a, rad(30), lc).centreM, cap)).toBeLessThan(2e-3);
    const wide = domeDisc(2, rad(60), lc).centreM;
    expect(off(wide, puddleHeight(rad(60), lc))).toBeLessThan(2e-3);
    expect(domeDisc(0.03, rad(60), lc).centreM).toBeGreaterThan(1.05 * puddleHeight(rad(60), lc));
    // Rim curvature: H = √(4 lc² sin²(θ/2) + 8/3 · lc³/a · (1 − cos³(θ/2))), within 0.55 % from 30 mm up.
    for (const mm of [30, 50, 100, 300])
      for (const degrees of [30, 60, 90]) {
        const half = rad(degrees) / 2;
        const rim = (8 / 3) * (lc ** 3 / (mm / 2e3)) * (1 - Math.cos(half) ** 3);
        const height = Math.sqrt(4 * lc ** 2 * Math.sin(half) ** 2 + rim);
        expect(off(domeDisc(mm / 1e3, rad(degrees), lc).centreM, height)).toBeLessThan(5.5e-3);
      }
  });
  it('grows with the angle', () => {
    let last = 0;
    for (let degrees = 5; degrees <= 90; degrees += 5) {
      const { amount } = domeDisc(0.1, rad(degrees), lc);
      expect(amount).toBeGreaterThan(last);
      last = amount;
    }
  });
  it('throws on what is no dome', () => {
    for (const [size, angle, length] of [
      [0, 1, lc],
      [0.1, 0, lc],
      [0.1, 1.7, lc],
      [0.1, 1, 0],
    ] as const) {
      expect(() => domeDisc(size, angle, length)).toThrow('domeDisc');
      expect(() => domeStrip(size, angle, length)).toThrow('domeStrip');
    }
  });
  // First integral of Young–Laplace on a strip, in capillary lengths: 1 − cos θ = c H + H²/2, c from the balance of forces.
  it.each([
    [0.5, 20],
    [2, 45],
    [5, 90],
    [12, 60],
    [30, 30],
    [120, 75],
  ])('strip of %d mm at %d° against the first integral', (mm, degrees) => {
    const theta = rad(degrees);
    const { centreM, amount } = domeStrip(mm / 1e3, theta, lc);
    const [w, h] = [mm / 1e3 / lc, centreM / lc];
    const c = (amount / lc ** 2 + 2 * Math.sin(theta)) / w - h;
    expect(Math.abs((c * h + (h * h) / 2) / (1 - Math.cos(theta)) - 1)).toBeLessThan(1e-7);
  });
});

describe('domes on any outline', () => {
  const rect = (w: number, h: number) => ({
    areaM2: w * h,
    rimM: 2 * (w + h),
    cornersRad: Array.from({ length: 4 }, () => Math.PI / 2),
    wallCornersRad: [],
    bendRad: 0,
    curvaturePerM: 0,
  });
  const disc = (d: number) => ({
    areaM2: (Math.PI * d * d) / 4,
    rimM: Math.PI * d,
    cornersRad: [],
    wallCornersRad: [],
    bendRad: 2 * Math.PI,
    curvaturePerM: 2 / d,
  });
  // van den Berg & Srisatkunarajah 1990, worked values.
  it.each([
    [60, 2.309],
    [90, 4 / Math.PI],
    [120, 0.6906],
    [150, 0.296],
    [270, -0.602],
  ])('corner of %d°', (degrees, term) => expect(cornerTerm(rad(degrees))).toBeCloseTo(term, 3));
  it.each([
    [30, 0.9009],
    [45, 1.338],
    [60, 1.76],
    [90, 2.532],
  ])('rectangle of 100 × 60 mm at %d°: mean %d mm', (degrees, mm) =>
    expect(off(domeMean(rect(0.1, 0.06), rad(degrees), lc) * 1e3, mm)).toBeLessThan(2e-3),
  );
  it('a disc by the closed form against the exact one: 0.3 % from 100 mm, 1.1 % at 30 mm', () => {
    for (const degrees of [20, 45, 75]) {
      const miss = (d: number) => {
        const exact = domeDisc(d, rad(degrees), lc).meanM;
        return off(domeMean(disc(d), rad(degrees), lc), exact);
      };
      expect(miss(0.03)).toBeLessThan(0.011);
      expect(miss(0.1)).toBeLessThan(0.003);
      expect(miss(0.3)).toBeLessThan(0.003);
    }
  });
  it('corners: those between rims whole, those at a wall as half of what they make with their image', () => {
    const outline = { ...rect(0.1, 0.06), rimM: 0.26, wallCornersRad: [rad(45), rad(30)] };
    const corners = 4 * (4 / Math.PI) + (4 / Math.PI + cornerTerm(rad(60))) / 2;
    const wanted = 1 - (lc * 0.26) / 0.006 + (lc ** 2 * corners) / 0.006;
    expect(maskMean({ ...outline, bendRad: 0 }, lc)).toBeCloseTo(wanted, 7);
    const bent = wanted + (lc ** 2 * (rad(90) / 2)) / 0.006;
    expect(maskMean({ ...outline, bendRad: rad(90) }, lc)).toBeCloseTo(bent, 7);
  });
  it('a wall that goes straight on gives nothing back, one that turns away takes', () => {
    const outline = { ...rect(0.1, 0.06), cornersRad: [], rimM: 0.1 };
    const given = (at: number) =>
      ((maskMean({ ...outline, wallCornersRad: [at] }, lc) - maskMean(outline, lc)) * 0.006) /
      lc ** 2;
    expect(given(rad(90))).toBeCloseTo(0, 6);
    expect(given(rad(135))).toBeCloseTo(-0.301, 3);
    expect(given(rad(180))).toBeCloseTo(given(rad(179.99)), 3);
  });
  it('rims too close for corners: as between two of them, 1 − tanh x / x', () => {
    const narrow = { ...rect(0.2, 0.004), cornersRad: [] };
    const x = (0.2 * 0.004) / 0.408 / lc;
    expect(maskMean(narrow, lc)).toBeCloseTo(1 - Math.tanh(x) / x, 9);
    // A little over one half the corners tell.
    const wider = { ...narrow, areaM2: 2.02 * narrow.rimM * lc };
    expect(maskMean(wider, lc)).toBeCloseTo(1 - 1 / 2.02, 9);
    expect(maskMean({ ...narrow, rimM: 0 }, lc)).toBe(1);
  });
  it('a curved rim: I1/I0 inside, K1/K0 outside, a straight one as it is', () => {
    const x = 5;
    const inside = Math.exp(logBesselI(1, x) - logBesselI(0, x));
    // Twice: what was found before is the same.
    for (let i = 0; i < 2; i += 1) {
      expect(rimFactor(1 / (x * lc), lc)).toBeCloseTo(inside, 9);
      expect(rimFactor(-1 / (x * lc), lc)).toBeCloseTo(0.0040446134 / 0.0036910983, 7);
    }
    expect(rimFactor(0, lc)).toBe(1);
    expect(rimFactor(1 / (1e5 * lc), lc)).toBe(1);
  });
  it('throws on what is no corner, angle or outline', () => {
    for (const angle of [0.05, 2 * Math.PI, -1])
      expect(() => cornerTerm(angle)).toThrow('cornerTerm');
    expect(() => domeMean(rect(0.1, 0.1), 0, lc)).toThrow('domeMean');
    expect(() => domeMean({ ...rect(0.1, 0.1), areaM2: 0 }, 1, lc)).toThrow('domeMean');
    expect(() => domeMean({ ...rect(0.1, 0.1), rimM: 0 }, 1, lc)).toThrow('domeMean');
  });
  it('takes a mask that was solved on a grid in place of the closed form: H0 (1 − (1 − m) cos(θ/2))', () => {
    const outline = { ...rect(0.1, 0.1), mask: 0.8 };
    const wanted = puddleHeight(1, lc) * (1 - 0.2 * Math.cos(0.5));
    expect(domeMean(outline, 1, lc)).toBeCloseTo(wanted, 12);
  });
});
