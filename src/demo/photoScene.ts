import type { Point } from '@/core/geometry';
import { seededRandom } from '@/core/numeric';
import {
  inverse,
  project,
  type Corners,
  type Homography,
  type Picture,
  type Reference,
} from '@/core/trace';

/** An invented photograph: a piece and a sheet of known size on a patterned table, seen by a pinhole camera. */
export interface PhotoScene {
  /** Whether a plane point is on the piece, m, y up; and its colour there. */
  readonly piece: (p: Point) => readonly [number, number, number] | null;
  readonly reference: Reference;
  /** Lower left corner of the reference, m, and its turn, rad. */
  readonly referenceAt: Point;
  readonly referenceTurn: number;
  readonly table: 'planks' | 'checks' | 'plain';
  /** Point of the plane that the camera looks at, distance, tilt and direction of the tilt. */
  readonly lookAt: Point;
  readonly distanceM: number;
  readonly tiltRad: number;
  readonly turnRad: number;
  readonly widthPx: number;
  readonly heightPx: number;
  /** Focal length over the picture's width. */
  readonly focal: number;
  /** Grey levels, one standard deviation. */
  readonly noise: number;
  /** Brightness in the shadow, 1 for none. */
  readonly shadow: number;
  readonly seed: number;
}

export interface DrawnPhoto {
  readonly picture: Picture;
  readonly toPicture: Homography;
  /** Corners of the reference: top left of it first, going round as seen. */
  readonly corners: Corners;
}

// Taken out of the global object once: in hot loops a look-up there costs more than the sine.
const { cos, exp, floor, hypot, max, min, sin, sqrt } = Math;

type Vector = readonly [number, number, number];
const minus = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const unit = (a: Vector): Vector => {
  const n = sqrt(dot(a, a));
  return [a[0] / n, a[1] / n, a[2] / n];
};

/** Plane (m, y up) to picture (px, y down) of the scene's camera. Source: pinhole camera, P = K [R t]. */
export function cameraOf(
  scene: Pick<
    PhotoScene,
    'lookAt' | 'distanceM' | 'tiltRad' | 'turnRad' | 'widthPx' | 'heightPx' | 'focal'
  >,
): Homography {
  const { lookAt, distanceM, tiltRad, turnRad, widthPx, heightPx } = scene;
  const out = distanceM * sin(tiltRad);
  const eye: Vector = [
    lookAt[0] + out * sin(turnRad),
    lookAt[1] - out * cos(turnRad),
    distanceM * cos(tiltRad),
  ];
  const forward = unit(minus([lookAt[0], lookAt[1], 0], eye));
  const up: Vector = [-sin(turnRad), cos(turnRad), 0];
  const right = unit(cross(forward, up));
  const down = cross(forward, right);
  const f = scene.focal * widthPx;
  const row = (axis: Vector, focal: number, middle: number): Vector => [
    focal * axis[0] + middle * forward[0],
    focal * axis[1] + middle * forward[1],
    -(focal * dot(axis, eye) + middle * dot(forward, eye)),
  ];
  return [
    ...row(right, f, widthPx / 2),
    ...row(down, f, heightPx / 2),
    forward[0],
    forward[1],
    -dot(forward, eye),
  ];
}

const mix = (a: number, b: number, share: number): number => a + (b - a) * share;
const hash = (x: number, y: number): number => {
  const s = sin(x * 127.1 + y * 311.7) * 43758.5453;
  return s - floor(s);
};

const SHEET: Vector = [238, 237, 232];

function tableColour(kind: PhotoScene['table'], x: number, y: number): Vector {
  if (kind === 'plain') return [150, 142, 130];
  if (kind === 'checks') {
    const dark = (floor(x / 0.06) + floor(y / 0.06)) % 2 === 0;
    return dark ? [96, 108, 122] : [196, 200, 198];
  }
  const plank = floor(x / 0.11);
  const grain = 0.5 + 0.5 * sin(y * 60 + 9 * hash(plank, 1) + 3 * sin(y * 17));
  const seam = x / 0.11 - plank < 0.035 ? 0.55 : 1;
  const tone = seam * mix(0.82, 1.05, hash(plank, 2)) * mix(0.92, 1.04, grain);
  return [158 * tone, 116 * tone, 78 * tone];
}

/** Rays along a side of a pixel that an edge or a pattern crosses. */
const RAYS = 4;

/** Colours of the scene without light, by plane place, written to `out`. */
function painter(scene: PhotoScene): (x: number, y: number, out: Float64Array) => void {
  const { reference, referenceAt, referenceTurn, shadow, lookAt } = scene;
  const [c, s] = [cos(referenceTurn), sin(referenceTurn)];
  const shadowTurn = hash(scene.seed, 3) * 6.28;
  const [sx, sy] = [cos(shadowTurn), sin(shadowTurn)];
  return (x, y, out) => {
    const dx = x - referenceAt[0];
    const dy = y - referenceAt[1];
    const u = (c * dx + s * dy) / reference.widthM;
    const v = (c * dy - s * dx) / reference.heightM;
    const sheet = u >= 0 && u <= 1 && v >= 0 && v <= 1;
    const base = scene.piece([x, y]) ?? (sheet ? SHEET : tableColour(scene.table, x, y));
    const across = (x - lookAt[0]) * sx + (y - lookAt[1]) * sy;
    const lit = mix(shadow, 1, 1 / (1 + exp(-(across + 0.04) / 0.012)));
    out[0] = base[0] * lit;
    out[1] = base[1] * lit;
    out[2] = base[2] * lit;
  };
}

/** Draws the scene: more rays where colours change, light falling off to the corners, a soft shadow, noise. */
export function drawPhoto(scene: PhotoScene): DrawnPhoto {
  const toPicture = cameraOf(scene);
  const back = inverse(toPicture);
  const { widthPx, heightPx } = scene;
  const paint = painter(scene);
  const colour = new Float64Array(3);
  const shoot = (px: number, py: number): void => {
    const w = back[6] * px + back[7] * py + back[8];
    const x = (back[0] * px + back[1] * py + back[2]) / w;
    paint(x, (back[3] * px + back[4] * py + back[5]) / w, colour);
  };
  const wide = widthPx + 1;
  const grid = new Float32Array(3 * wide * (heightPx + 1));
  for (let row = 0, at = 0; row <= heightPx; row += 1)
    for (let column = 0; column <= widthPx; column += 1, at += 3) {
      shoot(column, row);
      grid.set(colour, at);
    }
  const random = seededRandom(scene.seed);
  const noise = (): number => (random() + random() + random() + random() - 2) * 1.73 * scene.noise;
  const rgba = new Uint8ClampedArray(4 * widthPx * heightPx);
  const mean = new Float64Array(3);
  for (let row = 0, at = 0; row < heightPx; row += 1)
    for (let column = 0; column < widthPx; column += 1, at += 4) {
      const corner = 3 * (row * wide + column);
      let spread = 0;
      for (let c = 0; c < 3; c += 1) {
        const a = grid[corner + c] ?? 0;
        const b = grid[corner + 3 + c] ?? 0;
        const d = grid[corner + 3 * wide + c] ?? 0;
        const e = grid[corner + 3 * wide + 3 + c] ?? 0;
        mean[c] = (a + b + d + e) / 4;
        spread = max(spread, max(a, b, d, e) - min(a, b, d, e));
      }
      if (spread > 6) {
        mean.fill(0);
        for (let k = 0; k < RAYS * RAYS; k += 1) {
          shoot(column + ((k % RAYS) + 0.5) / RAYS, row + (floor(k / RAYS) + 0.5) / RAYS);
          for (let c = 0; c < 3; c += 1)
            mean[c] = (mean[c] ?? 0) + (colour[c] ?? 0) / (RAYS * RAYS);
        }
      }
      const off = hypot(column / widthPx - 0.5, row / heightPx - 0.5);
      const fall = 1 - 0.35 * off * off;
      for (let c = 0; c < 3; c += 1) rgba[at + c] = (mean[c] ?? 0) * fall + noise();
      rgba[at + 3] = 255;
    }
  const { reference, referenceAt, referenceTurn } = scene;
  const corner = (u: number, v: number): Point => {
    const [x, y] = [u * reference.widthM, v * reference.heightM];
    const [c, s] = [cos(referenceTurn), sin(referenceTurn)];
    return project(toPicture, [referenceAt[0] + c * x - s * y, referenceAt[1] + s * x + c * y]);
  };
  return {
    picture: { widthPx, heightPx, rgba },
    toPicture,
    corners: [corner(0, 1), corner(1, 1), corner(1, 0), corner(0, 0)],
  };
}
