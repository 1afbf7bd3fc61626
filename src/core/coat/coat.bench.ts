import { capillaryLength, cornerTerm, domeField, SURFACE_TENSION } from '../capillary';
import { coatLedger, domeOn, domeShape, PLAIN_INPUT, type LedgerArea, type LedgerInput } from '.';

const lc = capillaryLength(SURFACE_TENSION, 1100);

/** A piece of 12 areas, each with something on every line. */
const areas = Array.from({ length: 12 }, (_, i): LedgerArea => ({
  name: `Area ${i}`,
  areaM2: 0.02 + i * 0.01,
  areaSigmaM2: 1e-5,
  count: 1 + (i % 3),
  openEdges: i % 2 ? [{ areaM2: 0.01, heightM: 0.02, lengthM: 0.5 }] : [],
  cover: i % 4 === 0 ? { by: 'dome' } : { by: 'film', holdsM: 1.5e-3 },
  dammedM: 0.3,
  belowM: i * 1e-4,
  relief: [{ greatestM: 2e-3, meanM: 1e-3, share: 0.3 }],
  soakM: 6e-5,
  pits: [{ areaM2: 1e-3, depthM: 2e-3 }],
  wedge: { lengthM: 0.4, slope: 1e-3, aheadM: 0.2 },
  belly: { sagM: 1e-3, share: 0.48 },
}));
const coat = (thicknessM: number): LedgerInput => ({
  ...PLAIN_INPUT,
  areas,
  thicknessM,
  densityKgM3: 1100,
  law: { viscosityPaS: 1, workingS: 943.3 },
  restS: 600,
  reserve: { by: 'risk', confidence: 0.95 },
});

function median(times: number[]): number {
  return times.sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? NaN;
}

function timed(repeats: number, run: (i: number) => void): number {
  for (let i = 0; i < repeats; i += 1) run(i);
  return median(
    Array.from({ length: repeats }, (_, i) => {
      const start = performance.now();
      run(i);
      return performance.now() - start;
    }),
  );
}

const rectangle = (w: number, h: number) =>
  (
    [
      [-w / 2, -h / 2],
      [w / 2, -h / 2],
      [w / 2, h / 2],
      [-w / 2, h / 2],
    ] as const
  ).map((p, i, all) => ({ points: [p, all[(i + 1) % 4] ?? p], wall: false }));

/** Closed form of a polygon against the one worked out from the linear mask on a fine grid. */
function polygonError(sizeM: number): number {
  return Math.max(
    ...[3, 4, 6].map((sides) => {
      const shape = domeShape({ kind: 'regularPolygon', sides, sizeM, across: 'flats' });
      const radius = sizeM / 2 / Math.cos(Math.PI / sides);
      const corner = (i: number) =>
        [
          radius * Math.cos((2 * Math.PI * i) / sides),
          radius * Math.sin((2 * Math.PI * i) / sides),
        ] as const;
      const ring = Array.from({ length: sides }, (_, i) => ({
        points: [corner(i), corner(i + 1)],
        wall: false,
      }));
      const field = domeField(ring, lc, Math.max(lc / 8, sizeM / 300));
      const m = (field.volume * field.cellM ** 2) / shape.areaM2;
      const angle = Math.PI / 4;
      const puddle = 2 * lc * Math.sin(angle / 2);
      const grid = puddle * (1 - (1 - m) * Math.cos(angle / 2));
      return Math.abs(domeOn(shape, angle, lc).meanM / grid - 1);
    }),
  );
}

/** Ledger and films on any outline: what they cost and how good they are. */
export function rows() {
  const ledger = timed(60, (k) => {
    for (let i = 0; i < 8; i += 1) coatLedger(coat(1e-3 + i * 1e-4 + k * 1e-6));
  });
  const grid = timed(15, () => void domeField(rectangle(0.1, 0.06), lc, lc * 0.403));
  const field = domeField(rectangle(0.1, 0.06), lc, lc * 0.403);
  const exact = 1 - (lc * 0.32) / 0.006 + ((lc * lc) / 0.006) * 4 * cornerTerm(Math.PI / 2);
  const figure = (value: number, digits = 2) => Number(value.toPrecision(digits));
  return [
    {
      name: 'ledger of 12 areas and 8 coats, median when warm',
      figure: figure(ledger),
      unit: 'ms',
      limit: '<= 4',
    },
    {
      name: `film on a grid of ${field.cells} cells, median when warm`,
      figure: figure(grid, 3),
      unit: 'ms',
      limit: '<= 60',
    },
    {
      name: 'that grid against the closed form of the rectangle',
      figure: figure(100 * Math.abs((field.volume * field.cellM ** 2) / 0.006 / exact - 1)),
      unit: '%',
      limit: '<= 0.1',
    },
    {
      name: 'closed form of polygons against a fine grid, 100 mm, worst',
      figure: figure(100 * polygonError(0.1)),
      unit: '%',
      limit: '<= 0.3',
    },
    {
      name: 'closed form of polygons against a fine grid, 30 mm, worst',
      figure: figure(100 * polygonError(0.03)),
      unit: '%',
      limit: '<= 1.1',
    },
    {
      name: 'a disc’s dome over the puddle, 30 mm at 60°: kept, not clipped',
      figure: figure(
        domeOn(domeShape({ kind: 'disc', diameterM: 0.03 }), Math.PI / 3, lc).centreM / lc,
        4,
      ),
      unit: 'times the puddle',
      limit: '> 1',
    },
  ];
}
