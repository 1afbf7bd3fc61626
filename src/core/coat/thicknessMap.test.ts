import { filmMap, type FilmField, type FilmOver } from '.';

/** Four by two cells of 10 mm, their lower left corner at 100 and 200 mm. */
const field = (change: Partial<FilmField> = {}): FilmField => ({
  ...{ columns: 4, rows: 2, cellM: 0.01, originM: [0.105, 0.205], mean: 0.9 },
  shares: new Float64Array(8).fill(1),
  rooms: new Float64Array(8).fill(1),
  ...change,
});
const over = (change: Partial<FilmOver> = {}): FilmOver => ({
  ...{ thicknessM: 2e-3, wedgeM: 0, downhill: [0, 0], bellyMeanM: 0 },
  ...change,
});
const um = (films: Iterable<number>) => [...films].map((m) => Number((m * 1e6).toFixed(6)));

describe('a film on its grid', () => {
  it('is the share of its mean in each cell, nothing outside', () => {
    const shares = new Float64Array([0.5, 1, 1.2, 0.8, 1, 1, 1, 1.1]);
    const rooms = new Float64Array([0.5, 1, 1, 0, 1, 1, 0, 1]);
    const map = filmMap(field({ shares, rooms }), over());
    expect(um(map.filmM)).toEqual([1000, 2000, 2400, 0, 2000, 2000, 0, 2200]);
    expect(map.greatestM).toBeCloseTo(2.4e-3, 12);
    expect(map.volumeM3 * 1e9).toBeCloseTo((0.5 + 2 + 2.4 + 2 + 2 + 2.2) * 100, 6);
  });
  // By hand: the middle of four columns lies 15 mm from the first; the wedge is its mean there.
  it('grows from the high end, where a tilt adds nothing, to twice the mean and over', () => {
    const along = filmMap(field(), over({ wedgeM: 0.3e-3, downhill: [1, 0] }));
    expect(um(along.filmM)).toEqual([2000, 2200, 2400, 2600, 2000, 2200, 2400, 2600]);
    const up = filmMap(field(), over({ wedgeM: 0.3e-3, downhill: [0, -1] }));
    expect(um(up.filmM)).toEqual([2600, 2600, 2600, 2600, 2000, 2000, 2000, 2000]);
    // Downhill to the lower right: 0.6 x − 0.8 y, from the upper left.
    const askew = filmMap(field(), over({ wedgeM: 0.13e-3, downhill: [0.6, -0.8] }));
    expect(um(askew.filmM)).toEqual([2080, 2140, 2200, 2260, 2000, 2060, 2120, 2180]);
    expect(askew.volumeM3).toBeCloseTo(8e-4 * 2.13e-3, 12);
  });
  it('the high end is where there is film, and the mean is over what there is', () => {
    const rooms = new Float64Array([0, 1, 0.5, 1, 0, 1, 1, 1]);
    const map = filmMap(field({ rooms }), over({ wedgeM: 0.3e-3, downhill: [1, 0] }));
    // Columns 2 to 4 weigh 2, 1.5 and 2: the mean lies one column behind the second.
    expect(um(map.filmM)).toEqual([0, 2000, 2300, 2600, 0, 2000, 2300, 2600]);
  });
  it('a wedge without a direction lies everywhere alike', () =>
    expect(um(filmMap(field(), over({ wedgeM: 0.3e-3 })).filmM)).toEqual(
      Array.from({ length: 8 }, () => 2300),
    ));
  // Parabolas by hand: (1 − 0.75²)(1 − 0.5²) = 0.328125 beside the ends and (1 − 0.25²) · 0.75 = 0.703125 within.
  it('a belly hangs deepest in the middle of the grid, and comes to its mean', () => {
    const map = filmMap(field(), over({ bellyMeanM: 0.515625e-3 }));
    const row = [2328.125, 2703.125, 2703.125, 2328.125];
    expect(um(map.filmM)).toEqual([...row, ...row]);
    const rooms = new Float64Array([1, 0, 1, 1, 1, 1, 1, 1]);
    const holed = filmMap(field({ rooms }), over({ bellyMeanM: 1e-3 }));
    expect(holed.volumeM3).toBeCloseTo(7e-4 * 3e-3, 12);
    expect(holed.filmM[1]).toBe(0);
  });
});
