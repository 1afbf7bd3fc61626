import { capillaryLength, domeDisc, domeMean, domeStrip, SURFACE_TENSION } from '.';

const rad = (degrees: number) => (degrees * Math.PI) / 180;
const DISCS: readonly (readonly [mm: number, degrees: number])[] = [
  [30, 30],
  [30, 90],
  [50, 45],
  [100, 60],
  [150, 75],
  [300, 30],
  [300, 90],
];

/** Largest difference of the solver from itself at 20 times the steps, over volume. */
function selfError(length: number): number {
  return Math.max(
    ...DISCS.map(([mm, degrees]) => {
      const coarse = domeDisc(mm / 1e3, rad(degrees), length);
      const fine = domeDisc(mm / 1e3, rad(degrees), length, 1200);
      return Math.abs(coarse.amount / fine.amount - 1);
    }),
  );
}

/** Exact domes: what one costs, and how far the balance of forces and the closed form are from it. */
export function rows() {
  const length = capillaryLength(SURFACE_TENSION, 1100);
  const times = Array.from({ length: 80 }, (_, i) => {
    const [mm, degrees] = DISCS[i % DISCS.length] ?? [100, 60];
    const start = performance.now();
    if (i % 2) domeStrip(mm / 1e3, rad(degrees), length);
    else domeDisc(mm / 1e3, rad(degrees), length);
    return performance.now() - start;
  })
    .slice(40)
    .sort((a, b) => a - b);
  const closed = DISCS.filter(([mm]) => mm >= 100).map(([mm, degrees]) => {
    const d = mm / 1e3;
    const outline = {
      areaM2: (Math.PI * d * d) / 4,
      rimM: Math.PI * d,
      cornersRad: [],
      wallCornersRad: [],
      bendRad: 2 * Math.PI,
      curvaturePerM: 2 / d,
    };
    const exact = domeDisc(d, rad(degrees), length).meanM;
    return Math.abs(domeMean(outline, rad(degrees), length) / exact - 1);
  });
  return [
    {
      name: 'exact dome against 20 times the steps, worst',
      figure: Number(selfError(length).toPrecision(2)),
      unit: 'relative',
      limit: '<= 1e-6',
    },
    {
      name: 'exact dome, slowest of 40 when warm',
      figure: Number((times.at(-1) ?? NaN).toFixed(1)),
      unit: 'ms',
      limit: '<= 10',
    },
    {
      name: 'closed form of a disc’s mean, 100 mm and larger, worst',
      figure: Number((100 * Math.max(...closed)).toFixed(3)),
      unit: '%',
      limit: '<= 0.3',
    },
  ];
}
