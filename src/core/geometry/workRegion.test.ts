import { BooleanOperations, Polygon } from '@flatten-js/core';
import { seededRandom } from '../numeric';
import { workRegion, type Path, type Point, type Shape } from '.';

const box = (l: number, b: number, r: number, t: number): Path => {
  const turn: Point[] = [
    [r, b],
    [r, t],
    [l, t],
    [l, b],
  ];
  return { start: [l, b], segments: turn.map((to) => ({ kind: 'line', to })) };
};
const rectangle = (widthM: number, heightM: number, keepBare: Path[] = []): Shape => ({
  kind: 'rectangle',
  widthM,
  heightM,
  keepBare,
});
const place = (shape: Shape, at: Point = [0, 0]) => ({ shape, at });

describe('where work goes', () => {
  it('a face without its bare part and without the recess in it, by hand', () => {
    const face = place(rectangle(0.4, 0.2, [box(-0.2, -0.1, -0.15, 0.1)]));
    const dial = place({ kind: 'disc', diameterM: 0.1 }, [0.1, 0]);
    const { areaM2 } = workRegion([face], [dial]);
    expect(areaM2).toBeCloseTo(0.4 * 0.2 - 0.05 * 0.2 - Math.PI * 0.05 ** 2, 5);
  });

  it.each([
    ['above', 0.05, 0.4 * 0.05],
    ['below', 0.05, 0.4 * 0.15],
    ['left', -0.1, 0.1 * 0.2],
    ['right', -0.1, 0.3 * 0.2],
    ['above', 0.2, 0],
    ['below', 0.2, 0.08],
  ] as const)('only %s a line at %d m', (side, atM, wanted) => {
    expect(workRegion([place(rectangle(0.4, 0.2))], [], { side, atM }).areaM2).toBeCloseTo(
      wanted,
      12,
    );
  });

  it('what lies over one another counts once; a hole that reaches out cuts only what is there', () => {
    const two = [place(rectangle(0.2, 0.2)), place(rectangle(0.2, 0.2), [0.1, 0])];
    expect(workRegion(two).areaM2).toBeCloseTo(0.3 * 0.2, 12);
    const corner = place(rectangle(0.2, 0.2), [0.1, 0.1]);
    expect(workRegion([place(rectangle(0.2, 0.2))], [corner]).areaM2).toBeCloseTo(0.03, 12);
    expect(workRegion([])).toEqual({ polygons: [], areaM2: 0 });
  });

  it('agrees with another geometry package on 40 random faces', () => {
    const random = seededRandom(11);
    const between = (a: number, b: number) => a + (b - a) * random();
    const flat = (l: number, b: number, r: number, t: number) =>
      new Polygon([
        [l, b],
        [r, b],
        [r, t],
        [l, t],
      ] as [number, number][]);
    for (let n = 0; n < 40; n += 1) {
      const [w, h] = [between(0.1, 0.6), between(0.1, 0.6)];
      const [x, y, s] = [between(-0.3, 0.3), between(-0.3, 0.3), between(0.02, 0.3)];
      const atM = between(-0.25, 0.25);
      const ours = workRegion([place(rectangle(w, h))], [place(rectangle(s, s), [x, y])], {
        side: 'above',
        atM,
      });
      const left = BooleanOperations.subtract(
        flat(-w / 2, -h / 2, w / 2, h / 2),
        flat(x - s / 2, y - s / 2, x + s / 2, y + s / 2),
      );
      const theirs = BooleanOperations.intersect(left, flat(-9, atM, 9, 9));
      expect(ours.areaM2).toBeCloseTo(theirs.area(), 9);
    }
  });
});
