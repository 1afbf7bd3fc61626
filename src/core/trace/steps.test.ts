import { pictureOf, type Colour } from './test/picture';
import { ringArea, type Point } from '../geometry';
import { seededRandom } from '../numeric';
import { nearest, opponent, opponentRaster, paletteOf } from './colourModel';
import { contourOf, resampleRing, smoothRing } from './contourOf';
import { inverse, homographyOf, type Corners, type Homography } from './homography';
import { fromCell, rectify, shrink, toCell, visibleBox, type Raster } from './raster';
import { refineEdge } from './refineEdge';
import { segment } from './segment';

/** Plane of 1 mm to a pixel, y up, under a picture of this height. */
const millimetres = (heightPx: number): Homography => {
  const plane: Corners = [
    [0, heightPx / 1000],
    [0.1, heightPx / 1000],
    [0.1, 0],
    [0, 0],
  ];
  const px: Corners = [
    [0, 0],
    [100, 0],
    [100, heightPx],
    [0, heightPx],
  ];
  const map = homographyOf(plane, px);
  if (!map.ok) throw new Error('no map');
  return map.value;
};

const RED: Colour = [180, 50, 40];
const GREY: Colour = [120, 118, 112];
const disc =
  (x0: number, y0: number, r: number) =>
  (x: number, y: number): Colour =>
    Math.hypot(x - x0, y - y0) <= r ? RED : GREY;

/** A raster of 1 mm cells of a red disc on grey. */
function discRaster(size: number, r: number, rays = 4): Raster {
  const picture = pictureOf(size, size, disc(size / 2, size / 2, r), rays);
  const box = { left: 0, right: size / 1000, low: 0, high: size / 1000 };
  return rectify(picture, millimetres(size), box, size);
}

describe('the straightened raster', () => {
  const ramp = pictureOf(60, 40, (x, y) => [x * 4, y * 6, 128]);
  const box = { left: 0, right: 0.06, low: 0, high: 0.04 };
  const raster = rectify(ramp, millimetres(40), box, 60);

  it('at one cell a pixel has the colours of the picture, rows from the top', () => {
    expect([raster.width, raster.height]).toEqual([60, 40]);
    for (const [column, row] of [
      [5, 5],
      [30, 20],
      [50, 33],
    ] as const) {
      const at = row * 60 + column;
      expect(raster.channels[0][at]).toBeCloseTo(Math.round((column + 0.5) * 4), 0);
      expect(raster.channels[1][at]).toBeCloseTo(Math.round((row + 0.5) * 6), 0);
    }
  });

  it('knows nothing beyond the picture', () => {
    const wide = rectify(ramp, millimetres(40), { ...box, right: 0.12 }, 120);
    expect(wide.known[20 * 120 + 30]).toBe(1);
    expect(wide.known[20 * 120 + 100]).toBe(0);
  });

  it('cells and plane points go there and back', () => {
    for (const p of [
      [0.01, 0.02],
      [0.055, 0.001],
    ] as const) {
      const back = fromCell(raster, toCell(raster, p));
      expect(back[0]).toBeCloseTo(p[0], 12);
      expect(back[1]).toBeCloseTo(p[1], 12);
    }
    const [column, row] = toCell(raster, [0.0005, 0.0395]);
    expect(column).toBeCloseTo(0, 9);
    expect(row).toBeCloseTo(0, 9);
  });

  it('shrinks to means, and places its cells in the middle of their blocks', () => {
    const small = shrink(raster, 4);
    expect([small.width, small.height, small.stepM]).toEqual([15, 10, 4 * raster.stepM]);
    let sum = 0;
    for (let dy = 0; dy < 4; dy += 1)
      for (let dx = 0; dx < 4; dx += 1) sum += raster.channels[0][(8 + dy) * 60 + 12 + dx] ?? NaN;
    expect(small.channels[0][2 * 15 + 3]).toBeCloseTo(sum / 16, 3);
    const [x, y] = fromCell(small, [0, 0]);
    const [x1, y1] = fromCell(raster, [1.5, 1.5]);
    expect(x).toBeCloseTo(x1, 12);
    expect(y).toBeCloseTo(y1, 12);
  });

  it('the visible part of a plane seen straight from above is the picture', () => {
    const seen = visibleBox(inverse(millimetres(40)), ramp, [30, 20]);
    expect(seen.left).toBeCloseTo(0, 9);
    expect(seen.right).toBeCloseTo(0.06, 9);
    expect(seen.low).toBeCloseTo(0, 9);
    expect(seen.high).toBeCloseTo(0.04, 9);
  });

  it('towards the horizon the visible part ends where pixels get coarse', () => {
    const plane: Corners = [
      [0, 0.21],
      [0.297, 0.21],
      [0.297, 0],
      [0, 0],
    ];
    // Seen flat: the far side looks half as long as the near one.
    const marks: Corners = [
      [275, 250],
      [425, 250],
      [500, 330],
      [200, 330],
    ];
    const map = homographyOf(marks, plane);
    if (!map.ok) throw new Error('no map');
    const seen = visibleBox(map.value, { ...ramp, widthPx: 700, heightPx: 500 }, [350, 290]);
    for (const side of Object.values(seen)) expect(Math.abs(side)).toBeLessThan(3);
    expect(seen.high).toBeGreaterThan(0.2);
  });
});

describe('colours', () => {
  it('a grey shadow changes an opponent colour less than another hue does', () => {
    const distance = (a: Colour, b: Colour) => {
      const [p, q] = [opponent(...a), opponent(...b)];
      return Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]);
    };
    const shaded = RED.map((v) => v * 0.65) as unknown as Colour;
    expect(distance(RED, shaded)).toBeLessThan(distance(RED, GREY));
  });

  it('finds the colours that were mixed in, alike on each run', () => {
    const random = seededRandom(4);
    const picture = pictureOf(40, 40, (x) => {
      const [r, g, b] = x < 20 ? RED : GREY;
      return [r + 6 * random(), g + 6 * random(), b + 6 * random()];
    });
    const raster = rectify(
      picture,
      millimetres(40),
      { left: 0, right: 0.04, low: 0, high: 0.04 },
      40,
    );
    const cells = Array.from(raster.known, (_, i) => i).filter((i) => raster.known[i]);
    const palette = paletteOf(raster, cells, 2);
    expect(palette).toEqual(paletteOf(raster, cells, 2));
    for (const [r, g, b] of [RED, GREY])
      expect(Math.sqrt(nearest(palette, [r + 3, g + 3, b + 3]))).toBeLessThan(4);
    expect(paletteOf(raster, [], 3)).toEqual([]);
    expect(nearest([], [1, 2, 3])).toBe(Infinity);
  });
});

describe('parting the piece from the rest', () => {
  const size = 90;
  const raster = opponentRaster(discRaster(size, 28));
  const seeds = () => {
    const label = new Int8Array(size * size);
    for (let i = 0; i < size; i += 1)
      for (const at of [i, (size - 1) * size + i, i * size, i * size + size - 1])
        if (raster.known[at]) label[at] = -1;
    for (let i = 1; i < size - 1; i += 1) label[size + i] = -1;
    label[45 * size + 45] = label[45 * size + 46] = label[46 * size + 45] = 1;
    return { label };
  };

  it('a red disc on grey: nearly every cell on its own side', () => {
    const parted = segment(raster, seeds());
    if (!parted) throw new Error('stopped');
    let wrong = 0;
    for (let row = 2; row < size - 2; row += 1)
      for (let column = 2; column < size - 2; column += 1) {
        const d = Math.hypot(column + 0.5 - 45, row + 0.5 - 45);
        if (Math.abs(d - 28) < 1) continue;
        if ((parted.inside[row * size + column] ?? 0) > 0.5 !== d < 28) wrong += 1;
      }
    expect(wrong).toBe(0);
  });

  it('stops when it is told to, after the round it is in', () => {
    const rounds: number[] = [];
    const stopped = segment(raster, seeds(), (done) => {
      rounds.push(done);
      return rounds.length < 2;
    });
    expect(stopped).toBeNull();
    expect(rounds).toHaveLength(2);
  });

  it('its contour has the area of the disc, round the pick and nowhere else', () => {
    const parted = segment(raster, seeds());
    const ring = parted && contourOf(raster, parted.inside, [45, 45]);
    expect(ring && Math.abs(ringArea(ring) / (Math.PI * 28 * 28))).toBeCloseTo(1, 1);
    expect(parted && contourOf(raster, parted.inside, [5, 5])).toBeNull();
  });

  it('the refined edge has it to 0.3 %, from a contour that is two cells off', () => {
    const fine = discRaster(150, 50);
    const rough = Array.from({ length: 80 }, (_, i): Point => {
      const a = (2 * Math.PI * i) / 80;
      const r = 50 + 2 * Math.sin(5 * a);
      return [74.5 + r * Math.cos(a), 74.5 + r * Math.sin(a)];
    });
    const piece = [opponent(...RED)];
    const rest = [opponent(...GREY)];
    for (const ring of [rough, [...rough].reverse()]) {
      const edge = refineEdge(fine, ring, piece, rest, 6);
      expect(Math.abs(Math.abs(ringArea(edge)) / (Math.PI * 2500) - 1)).toBeLessThan(3e-3);
      for (const [x, y] of edge)
        expect(Math.abs(Math.hypot(x - 74.5, y - 74.5) - 50)).toBeLessThan(0.8);
    }
  });
});

describe('rings', () => {
  const circle = (n: number): Point[] =>
    Array.from({ length: n }, (_, i) => [
      Math.cos((2 * Math.PI * i) / n),
      Math.sin((2 * Math.PI * i) / n),
    ]);
  it('are walked at even distances', () => {
    const square: Point[] = [
      [0, 0],
      [4, 0],
      [4, 1],
      [0, 1],
    ];
    const even = resampleRing(square, 0.5);
    expect(even).toHaveLength(20);
    even.forEach(([x, y], i) => {
      const [nx, ny] = even[(i + 1) % 20] ?? [0, 0];
      expect(Math.hypot(nx - x, ny - y)).toBeCloseTo(0.5, 9);
    });
  });
  it('smoothing keeps the middle and shrinks a circle by the mean of its cosines', () => {
    const smooth = smoothRing(circle(60), 2);
    const step = (2 * Math.PI) / 60;
    const factor = (1 + 2 * Math.cos(step) + 2 * Math.cos(2 * step)) / 5;
    for (const [x, y] of smooth) expect(Math.hypot(x, y)).toBeCloseTo(factor, 9);
  });
});
