import { capillaryLength } from '../capillary';
import { logBesselI } from '../capillary/bessel';
import type { Shape } from '../geometry';
import { filmField, type FilmField } from '.';

const lc = capillaryLength(0.04, 1100);
const solve = (shape: Shape, open: readonly boolean[], cells = 10_000): FilmField => {
  const found = filmField({ shape, walls: open.map((o) => !o), lengthM: lc, cells });
  if (!found.ok) throw new Error(JSON.stringify(found.issues));
  return found.value;
};
const FOUR = [true, true, true, true];
const areaOf = ({ rooms, cellM }: FilmField) =>
  rooms.reduce((sum, room) => sum + room, 0) * cellM ** 2;

describe('the film of a face on a grid', () => {
  // Heat content of a rectangle: 1 − lc P/A + 4 · (4/π) lc²/A.
  it.each([
    [0.12, 0.08],
    [0.3, 0.3],
    [0.6, 0.4],
    [1.2, 0.8],
    [2, 1],
  ])('%d × %d m keeps its rim', (widthM, heightM) => {
    const field = solve({ kind: 'rectangle', widthM, heightM }, FOUR);
    const area = widthM * heightM;
    const lost = (2 * (widthM + heightM) * lc - (16 / Math.PI) * lc ** 2) / area;
    expect(Math.abs((1 - field.mean) / lost - 1)).toBeLessThan(0.03);
    // On the grid the middle stands so much over the mean as the rims lose; its cells may be 10 mm wide.
    const far = field.shares.reduce((most, v) => Math.max(most, v), 0);
    expect(Math.abs((1 - 1 / far) / lost - 1)).toBeLessThan(0.25);
    expect(areaOf(field)).toBeCloseTo(area, 9);
  });
  // Linear dome on a disc: peak over mean (1 − 1/I0) / (1 − 2 I1/(x I0)).
  it.each([10, 15, 25, 60])('a disc of %d mm keeps its peak', (mm) => {
    const x = mm / 2e3 / lc;
    const i0 = Math.exp(logBesselI(0, x));
    const ratio = (1 - 1 / i0) / (1 - (2 * Math.exp(logBesselI(1, x))) / (x * i0));
    const { shares } = solve({ kind: 'disc', diameterM: mm / 1e3 }, [true]);
    const peak = shares.reduce((most, v) => Math.max(most, v), 0);
    expect(Math.abs(peak / ratio - 1)).toBeLessThan(0.005);
  });
  it('one open side of a large face is thin along that side alone', () => {
    const field = solve({ kind: 'rectangle', widthM: 1.2, heightM: 0.8 }, [
      true,
      false,
      false,
      false,
    ]);
    expect((1 - field.mean) / ((1.2 * lc) / 0.96)).toBeCloseTo(1, 1);
    const { columns, rows, shares } = field;
    const middle = Math.floor(columns / 2);
    expect(shares[middle] ?? 0).toBeLessThan(0.9 * (shares[(rows - 1) * columns + middle] ?? 0));
  });
});
