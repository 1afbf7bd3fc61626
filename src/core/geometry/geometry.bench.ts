import {
  edgeBand,
  flattenPath,
  measurePath,
  measureShape,
  ringArea,
  shapePath,
  type Path,
  type Point,
  type Shape,
} from '.';

const polygon = (points: readonly Point[]): Path => ({
  start: points[0] ?? [0, 0],
  segments: [...points.slice(1), points[0] ?? [0, 0]].map((to) => ({ kind: 'line', to })),
});
const round = (n: number, r: number, x: number, y: number): Point[] =>
  Array.from({ length: n }, (_, i) => {
    const a = (2 * Math.PI * i) / n;
    return [x + r * (1 + 0.05 * Math.sin(9 * a)) * Math.cos(a), y + r * Math.sin(a)];
  });

const median = (values: number[]): number =>
  values.sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;
function time(work: () => number): number {
  let sink = 0;
  const runs = Array.from({ length: 60 }, () => {
    const start = performance.now();
    for (let i = 0; i < 20; i += 1) sink += work();
    return performance.now() - start;
  });
  if (!Number.isFinite(sink)) throw new Error('no result');
  return median(runs);
}

/** Exactness of shapes, and what measuring a long outline costs against a plain shoelace pass. */
export function rows() {
  const exact: readonly (readonly [Shape, number, number])[] = [
    [{ kind: 'rectangle', widthM: 0.3, heightM: 0.2 }, 0.06, 1],
    [{ kind: 'disc', diameterM: 0.3 }, Math.PI * 0.0225, Math.PI * 0.3],
    [{ kind: 'ellipse', widthM: 0.3, heightM: 0.2 }, Math.PI * 0.015, NaN],
    [
      { kind: 'regularPolygon', sides: 6, sizeM: 0.1, across: 'flats' },
      (Math.sqrt(3) / 2) * 0.01,
      (6 * 0.1) / Math.sqrt(3),
    ],
    [
      { kind: 'roundedRectangle', widthM: 0.3, heightM: 0.2, radiusM: 0.02 },
      0.06 - (4 - Math.PI) * 0.0004,
      1 - 0.16 + 2 * Math.PI * 0.02,
    ],
  ];
  const off = (found: number, truth: number) =>
    Number.isFinite(truth) ? Math.abs(found / truth - 1) : 0;
  const worst = Math.max(
    ...exact.flatMap(([shape, area, edge]) => {
      const m = measureShape(shape);
      return [off(m.areaM2, area), off(m.perimeterM, edge)];
    }),
  );
  const flat = Math.max(
    ...exact.map(([shape, area]) => off(ringArea(flattenPath(shapePath(shape), 3e-7)), area)),
  );
  const rings = [
    round(10_000, 1, 0, 0),
    ...Array.from({ length: 50 }, (_, i) =>
      round(40, 0.02, (i % 10) * 0.06 - 0.3, Math.floor(i / 10) * 0.06 - 0.15),
    ),
  ];
  const paths = rings.map(polygon);
  const shoelace = time(() => rings.reduce((sum, ring) => sum + ringArea(ring), 0));
  const measure = time(() =>
    paths.reduce((sum, path) => {
      const { area, lengthM } = measurePath(path);
      return (
        sum + area + edgeBand(lengthM, 2 * Math.PI, { kind: 'round', sizeM: 0.003 }, 0.018).bandM2
      );
    }, 0),
  );
  return [
    {
      name: 'exact shapes against closed forms, worst',
      figure: Number(worst.toExponential(1)),
      unit: 'relative',
      limit: '<= 1e-12',
    },
    {
      name: 'curves flattened, area off by at most',
      figure: Number(flat.toExponential(1)),
      unit: 'relative',
      limit: '<= 1e-5',
    },
    {
      name: 'area, edge and bands of 10,000 points and 50 holes over a shoelace pass',
      figure: Number((measure / shoelace).toFixed(2)),
      unit: 'times',
      limit: '<= 5',
    },
  ];
}
