import { contours } from 'd3-contour';
import { filmMap, type FilmField, type FilmOver } from '@/core/coat';
import { shapeBox, shapeSides, type Point, type Shape } from '@/core/geometry';
import { extent } from '@/core/numeric';

/** Drawing size of the map in its own units. */
export const MAP = { width: 420, height: 250, pad: 26 } as const;

export interface MapScale {
  readonly pxPerM: number;
  readonly x: (m: number) => number;
  readonly y: (m: number) => number;
}

/** Fits an outline into the drawing; y goes up on the plan. */
export function mapScale(shape: Shape): MapScale {
  const { widthM, heightM } = shapeBox(shape);
  const points = shapeSides(shape).flat();
  const middle = (k: 0 | 1) => {
    const [least, greatest] = extent(points.map((p) => p[k]));
    return (least + greatest) / 2;
  };
  const pxPerM = Math.min((MAP.width - 2 * MAP.pad) / widthM, (MAP.height - 2 * MAP.pad) / heightM);
  const [midX, midY] = [middle(0), middle(1)];
  return {
    pxPerM,
    x: (m) => MAP.width / 2 + (m - midX) * pxPerM,
    y: (m) => MAP.height / 2 - (m - midY) * pxPerM,
  };
}

export interface Band {
  readonly fromM: number;
  readonly path: string;
  /** Darkness, 0…1. */
  readonly tone: number;
}

/** Round steps of thickness, m, at most so many between two values. */
export function contourLevels(leastM: number, greatestM: number, most = 6): number[] {
  const span = greatestM - leastM;
  const rough = span / most;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = power * ([1, 2, 5, 10].find((n) => n * power >= rough) ?? 10);
  const first = Math.ceil(leastM / step) * step;
  const count = Math.floor((greatestM - first) / step + 1e-9) + 1;
  return Array.from({ length: Math.max(0, count) }, (_, i) => first + i * step);
}

export interface MapDrawing {
  readonly bands: readonly Band[];
  readonly leastM: number;
  readonly greatestM: number;
  readonly volumeM3: number;
}

/** Below this spread the film counts as even, share of its mean. */
const EVEN = 0.02;

/** Contours of a film on the drawing; none when it is even. */
export function drawMap(field: FilmField, over: FilmOver, scale: MapScale): MapDrawing {
  const { filmM, greatestM, volumeM3 } = filmMap(field, over);
  const { columns, rows, cellM, originM, rooms } = field;
  let leastM = greatestM;
  for (let i = 0; i < filmM.length; i += 1)
    if ((rooms[i] ?? 0) > 0) leastM = Math.min(leastM, filmM[i] ?? 0);
  const even = greatestM - leastM < EVEN * greatestM;
  if (even) return { bands: [], leastM, greatestM, volumeM3 };
  const levels = contourLevels(leastM, greatestM);
  // Outside there is no film; the outline clips what the cells stick out.
  const px = ([c = 0, r = 0]: readonly number[]): Point => [
    scale.x(originM[0] + (c - 0.5) * cellM),
    scale.y(originM[1] + (r - 0.5) * cellM),
  ];
  const bands = contours()
    .size([columns, rows])
    .thresholds(levels)([...filmM])
    .map(({ value, coordinates }, i): Band => {
      const path = coordinates
        .flatMap((polygon) =>
          polygon.map(
            (ring) =>
              `M${ring
                .map((p) => {
                  const [x, y] = px(p);
                  return `${x.toFixed(1)} ${y.toFixed(1)}`;
                })
                .join('L')}Z`,
          ),
        )
        .join('');
      return { fromM: value, path, tone: (i + 1) / levels.length };
    });
  return { bands, leastM, greatestM, volumeM3 };
}
