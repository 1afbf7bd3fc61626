import { arcSegments, flattenPath, type Path, type Point } from '@/core/geometry';
import { project, type Homography } from '@/core/trace';
import { cameraOf } from './photoScene';

/** A signal lamp's lens casting: a disc of 140 mm with a lug of 44 mm by which it is screwed on. */
export function lensOutline(): Path {
  const [radius, half, top] = [0.07, 0.022, 0.092];
  const neck = Math.asin(half / radius);
  const from = Math.PI / 2 + neck;
  const rim = arcSegments({
    centre: [0, 0],
    rx: radius,
    ry: radius,
    turn: 0,
    from,
    sweep: 2 * Math.PI - 2 * neck,
  });
  return {
    start: [-half, radius * Math.cos(neck)],
    segments: [
      ...rim,
      { kind: 'line', to: [half, top] },
      { kind: 'line', to: [-half, top] },
      { kind: 'line', to: [-half, radius * Math.cos(neck)] },
    ],
  };
}

/** The part of the plane that the straightened picture shows, m, in the lens's own coordinates. */
export const LENS_BOX = { left: -0.1, right: 0.1, low: -0.095, high: 0.115 } as const;

const SHEET: readonly Point[] = [
  [-0.36, -0.11],
  [-0.15, -0.11],
  [-0.15, 0.187],
  [-0.36, 0.187],
];

/** Planks, a sheet of paper and the casting as polygons, put into a picture. */
function scene(place: (p: Point) => Point, withSheet: boolean): string {
  const points = (ring: readonly Point[]) =>
    ring
      .map((p) =>
        place(p)
          .map((v) => v.toFixed(1))
          .join(','),
      )
      .join(' ');
  const polygon = (ring: readonly Point[], look: string) =>
    `<polygon points="${points(ring)}" ${look}/>`;
  const tones = ['#9a7149', '#8d6641', '#a57a50', '#946b45', '#89613c'];
  const planks = Array.from({ length: 14 }, (_, i) => {
    const left = -0.8 + i * 0.11;
    const ring: Point[] = [
      [left, -0.6],
      [left + 0.106, -0.6],
      [left + 0.106, 0.6],
      [left, 0.6],
    ];
    return polygon(ring, `fill="${tones[i % tones.length]}"`);
  });
  const ring = flattenPath(lensOutline(), 2e-4);
  const inner = ring.map(([x, y]): Point => [x * 0.86, y * 0.86]);
  const shine = ring.slice(20, 60).map(([x, y]): Point => [x * 0.7, y * 0.7]);
  return [
    ...planks,
    withSheet ? polygon(SHEET, 'fill="#f1efe8"') : '',
    polygon(ring, 'fill="#7c1f1a"'),
    polygon(inner, 'fill="#a8342a"'),
    `<polyline points="${points(shine)}" fill="none" stroke="#e9a79d" stroke-width="5" opacity=".7"/>`,
  ].join('');
}

const svg = (width: number, height: number, body: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}"><rect width="${width}" height="${height}" fill="#5d442c"/>${body}</svg>`;

/** Camera of the picture: a little from the side, as by hand. */
const CAMERA: Homography = cameraOf({
  lookAt: [-0.1, 0.02],
  distanceM: 0.75,
  tiltRad: 0.32,
  turnRad: 0.2,
  widthPx: 800,
  heightPx: 600,
  focal: 0.75,
});

/** The picture that the outline was traced from, drawn by code as an SVG. */
export const lensPhoto = (): string =>
  svg(
    800,
    600,
    scene((p) => project(CAMERA, p), true),
  );

/** The same seen straight from above, over {@link LENS_BOX}. */
export function lensPlan(): string {
  const scale = 600 / (LENS_BOX.right - LENS_BOX.left);
  const height = Math.round((LENS_BOX.high - LENS_BOX.low) * scale);
  const place = ([x, y]: Point): Point => [
    (x - LENS_BOX.left) * scale,
    (LENS_BOX.high - y) * scale,
  ];
  return svg(600, height, scene(place, false));
}
