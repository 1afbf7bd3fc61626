import { encode } from 'fast-png';
import { drawPhoto, type DrawnPhoto, type PhotoScene } from '@/demo/photoScene';
import { insideRing, ringArea, type Point } from '@/core/geometry';
import { seededRandom } from '@/core/numeric';
import { project, REFERENCES, type Corners, type TraceInput } from '@/core/trace';

const CENTRE: Point = [0.02, 0.01];
const COLOURS = [
  [176, 58, 46],
  [52, 92, 84],
  [224, 190, 110],
  [60, 66, 92],
  [214, 196, 150],
] as const;

export interface TestScene {
  readonly scene: PhotoScene;
  readonly areaM2: number;
}

/** Hexagon, disc, pentagon or free form, of 160 to 260 mm, on a table with an A4 sheet; seen from up to 35° off. */
export function testScene(seed: number, widthPx: number): TestScene {
  const random = seededRandom(seed);
  const kind = seed % 4;
  const r = 0.08 + 0.05 * random();
  const n = [6, 90, 5, 120][kind] ?? 6;
  const ring = Array.from({ length: n }, (_, i): Point => {
    const a = (2 * Math.PI * i) / n + seed;
    const reach = kind === 3 ? r * (1 + 0.18 * Math.cos(3 * a) + 0.08 * Math.sin(5 * a)) : r;
    return [CENTRE[0] + reach * Math.cos(a), CENTRE[1] + reach * Math.sin(a)];
  });
  const [red, green, blue] = COLOURS[Math.floor(random() * COLOURS.length)] ?? COLOURS[0];
  const on = (p: Point): boolean => {
    const d = Math.hypot(p[0] - CENTRE[0], p[1] - CENTRE[1]);
    return d < 0.7 * r || (d < 1.3 * r && insideRing(p, ring));
  };
  return {
    areaM2: Math.abs(ringArea(ring)),
    scene: {
      piece: (p) =>
        on(p) ? [red + 10 * Math.sin(p[0] * 300), green + 8 * Math.sin(p[1] * 200), blue] : null,
      reference: REFERENCES.a4,
      referenceAt: [-0.42 + 0.04 * random(), -0.12 + 0.1 * random()],
      referenceTurn: (random() - 0.5) * 0.5,
      table: (['planks', 'checks', 'plain'] as const)[seed % 3] ?? 'plain',
      lookAt: [-0.12, 0],
      distanceM: 0.8,
      tiltRad: ((35 * Math.PI) / 180) * random(),
      turnRad: 2 * Math.PI * random(),
      widthPx,
      heightPx: (widthPx * 3) / 4,
      focal: 0.75,
      noise: 4,
      shadow: 0.65,
      seed,
    },
  };
}

/** The picture of a scene, its corners marked off by up to `offPx` in each direction, as it is asked. */
export function askOf(
  { scene }: TestScene,
  offPx: number,
): { readonly photo: DrawnPhoto; readonly input: TraceInput } {
  const photo = drawPhoto(scene);
  const random = seededRandom(scene.seed + 100);
  const off = () => offPx * (2 * random() - 1);
  const corners = photo.corners.map(([x, y]): Point => [x + off(), y + off()]);
  return {
    photo,
    input: {
      picture: photo.picture,
      corners: corners as unknown as Corners,
      reference: scene.reference,
      inside: [project(photo.toPicture, CENTRE)],
      outside: [],
      places: [],
      referenceIsPiece: false,
      heightM: 0,
    },
  };
}

/** A board of 260 × 170 mm with a shore of another colour to the right of a wavy line, and an island in the rest. */
export function shoreScene(widthPx: number): TestScene & {
  readonly shoreX: (y: number) => number;
  readonly island: { readonly at: Point; readonly radiusM: number };
} {
  const shoreX = (y: number): number => 0.06 + 0.012 * Math.sin(y * 45);
  const island = { at: [-0.04, 0.03] as Point, radiusM: 0.025 };
  const it = testScene(5, widthPx);
  const colour = (p: Point): readonly [number, number, number] => {
    if (p[0] > shoreX(p[1])) return [222, 208, 176];
    if (Math.hypot(p[0] - island.at[0], p[1] - island.at[1]) < island.radiusM) return [150, 96, 40];
    return [40 + 6 * Math.sin(p[0] * 300), 92, 132];
  };
  return {
    ...{ shoreX, island, areaM2: 0.26 * 0.17 },
    scene: {
      ...it.scene,
      piece: (p) => (Math.abs(p[0]) < 0.13 && Math.abs(p[1]) < 0.085 ? colour(p) : null),
      tiltRad: 0.2,
    },
  };
}

/** A picture as a PNG file. */
const pngOf = ({ widthPx: width, heightPx: height, rgba }: TraceInput['picture']) =>
  encode({ width, height, data: new Uint8Array(rgba.buffer), channels: 4, depth: 8 });

/** A scene as a PNG file with where its marks belong, px: for tests and figures of the real interface. */
export function photoFile(seed: number, widthPx: number) {
  const it = testScene(seed, widthPx);
  const { input } = askOf(it, 0);
  const png = pngOf(input.picture);
  return { png, corners: input.corners, inside: input.inside[0] ?? [0, 0], areaM2: it.areaM2 };
}

/** The board with its shore as a PNG file, and where its marks belong, px. */
export function shoreFile(widthPx: number) {
  const it = shoreScene(widthPx);
  const { photo, input } = askOf(it, 0);
  return {
    ...{ png: pngOf(input.picture), corners: input.corners, areaM2: it.areaM2 },
    inside: project(photo.toPicture, [-0.1, -0.05]),
    shore: project(photo.toPicture, [0.11, 0]),
  };
}
