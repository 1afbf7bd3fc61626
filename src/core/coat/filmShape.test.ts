import type { Path, Shape } from '../geometry';
import { CLOSED_FORM_SIDE, domeShapeOf, filmShape } from '.';

const lc = 2e-3;
const rect = (widthM: number, heightM: number): Shape => ({ kind: 'rectangle', widthM, heightM });
const RIMS = [false, false, false, false];
const maskOf = (shape: Shape, walls: readonly boolean[] = RIMS) => filmShape(shape, walls, lc).mask;

/**
 * Mean of the linear dome over its height far from a rim, on a rectangle with rims all round: u − lc² ∇²u = 1, u = 0
 * at the rim, by its double series of sines (from memory).
 */
function series(widthM: number, heightM: number): number {
  let sum = 0;
  for (let m = 1; m < 400; m += 2)
    for (let n = 1; n < 400; n += 2) {
      const falls = 1 + (Math.PI * lc) ** 2 * ((m / widthM) ** 2 + (n / heightM) ** 2);
      sum += 64 / (Math.PI ** 4 * m ** 2 * n ** 2 * falls);
    }
  return sum;
}

describe('an outline whose corners feel each other is solved', () => {
  it.each([
    [0.01, 0.01],
    [0.03, 0.01],
    [0.006, 0.012],
  ])('%d × %d m, rims all round: as its series', (widthM, heightM) =>
    expect((maskOf(rect(widthM, heightM)) ?? NaN) / series(widthM, heightM)).toBeCloseTo(1, 2),
  );
  // A wall is a mirror: with one the film is half of that on twice the width.
  it('a wall holds the film up: as on twice the width', () => {
    const mirrored = series(0.02, 0.01);
    expect((maskOf(rect(0.01, 0.01), [false, true, false, false]) ?? NaN) / mirrored).toBeCloseTo(
      1,
      2,
    );
    expect((maskOf(rect(0.01, 0.01), [false, false, false, true]) ?? NaN) / mirrored).toBeCloseTo(
      1,
      2,
    );
  });
  it('a part kept bare is a rim too', () => {
    const to = (x: number, y: number) => ({ kind: 'line', to: [x, y] }) as const;
    const bare: Path = {
      start: [-1e-3, -1e-3],
      segments: [to(1e-3, -1e-3), to(1e-3, 1e-3), to(-1e-3, 1e-3), to(-1e-3, -1e-3)],
    };
    const holed = maskOf({ ...rect(0.01, 0.01), keepBare: [bare] }) ?? NaN;
    expect(holed).toBeLessThan(0.9 * series(0.01, 0.01));
    expect(holed).toBeGreaterThan(0.4 * series(0.01, 0.01));
  });
});

describe('when it is solved', () => {
  const side = CLOSED_FORM_SIDE * lc;
  it('a side shorter than the closed form is for, on a face that is not too large', () => {
    expect(maskOf(rect(0.1, side * 0.99))).toBeDefined();
    expect(maskOf(rect(0.1, side * 1.01))).toBeUndefined();
    expect(maskOf(rect(6, side * 0.5))).toBeUndefined();
    expect(filmShape(rect(0.1, 0.1), RIMS, lc)).toEqual(domeShapeOf(rect(0.1, 0.1), RIMS));
  });
  it('a round one where its rim takes half of it; a disc never, it is exact', () => {
    expect(maskOf({ kind: 'ellipse', widthM: 0.06, heightM: 0.005 }, [false])).toBeDefined();
    expect(maskOf({ kind: 'ellipse', widthM: 0.06, heightM: 0.05 }, [false])).toBeUndefined();
    expect(maskOf({ kind: 'disc', diameterM: 0.005 }, [false])).toBeUndefined();
  });
  it('not in walls all round', () =>
    expect(maskOf(rect(0.01, 0.01), [true, true, true, true])).toBeUndefined());
  it('once for a shape, its walls and its mix', () => {
    const shape = rect(0.012, 0.01);
    expect(filmShape(shape, RIMS, lc)).toBe(filmShape(shape, [...RIMS], lc));
    const walled = filmShape(shape, [true, false, false, false], lc);
    expect(walled).not.toBe(filmShape(shape, RIMS, lc));
    expect(filmShape(shape, RIMS, 1.5 * lc).mask).toBeLessThan(maskOf(shape) ?? 0);
  });
});
