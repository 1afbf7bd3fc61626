import { pictureOf } from './test/picture';
import { type Point } from '../geometry';
import { type Corners } from './homography';
import { refineCorners } from './refineCorners';

describe('refineCorners', () => {
  const sheet: Corners = [
    [40.3, 30.6],
    [160.2, 36.4],
    [150.8, 120.7],
    [32.5, 110.2],
  ];
  const inside = (x: number, y: number) =>
    sheet.every((p, i) => {
      const q = sheet[(i + 1) % 4] ?? p;
      return (q[0] - p[0]) * (y - p[1]) - (q[1] - p[1]) * (x - p[0]) >= 0;
    });
  const picture = pictureOf(200, 150, (x, y) => (inside(x, y) ? [240, 240, 236] : [90, 84, 78]), 5);

  it.each([0.5, 1, 2])('marks off by %d px come back to 0.15 px', (off) => {
    const signs = [
      [1, -1],
      [-1, -1],
      [1, 1],
      [-1, 1],
    ] as const;
    const marks = sheet.map(([x, y], i): Point => [
      x + off * (signs[i]?.[0] ?? 0),
      y + off * (signs[i]?.[1] ?? 0),
    ]) as unknown as Corners;
    const { corners, refined } = refineCorners(picture, marks);
    expect(refined).toEqual([true, true, true, true]);
    corners.forEach(([x, y], i) => {
      const [tx, ty] = sheet[i] ?? [0, 0];
      expect(Math.hypot(x - tx, y - ty)).toBeLessThan(0.15);
    });
  });

  it('where no edge is seen a corner stays as it was marked', () => {
    const plain = pictureOf(200, 150, () => [90, 84, 78]);
    expect(refineCorners(plain, sheet)).toEqual({
      corners: sheet,
      refined: [false, false, false, false],
    });
  });

  it('a corner that would move farther than 4 px stays', () => {
    const far = sheet.map(([x, y], i): Point =>
      i === 0 ? [x + 4, y + 4] : [x, y],
    ) as unknown as Corners;
    expect(refineCorners(picture, far).corners[0]).toEqual(far[0]);
  });
});
