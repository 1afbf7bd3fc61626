import { arcSegments, type Outline, type Path, type Point } from '@/core/geometry';

const box = (left: number, low: number, right: number, high: number): Path => {
  const corners: Point[] = [
    [right, low],
    [right, high],
    [left, high],
    [left, low],
  ];
  return { start: [left, low], segments: corners.map((to) => ({ kind: 'line', to })) };
};

/** A round blade of 340 mm on a handle of 60 mm that stays bare, as a drawing file would give it. */
export function paddleOutline(): Outline {
  const [radius, half, foot] = [0.17, 0.03, -0.3];
  const centre: Point = [0, 0.07];
  const neck = Math.asin(half / radius);
  const blade = arcSegments({
    centre,
    rx: radius,
    ry: radius,
    turn: 0,
    from: -Math.PI / 2 + neck,
    sweep: 2 * Math.PI - 2 * neck,
  });
  const neckY = centre[1] - radius * Math.cos(neck);
  return {
    kind: 'outline',
    outer: {
      start: [-half, foot],
      segments: [
        { kind: 'line', to: [half, foot] },
        { kind: 'line', to: [half, neckY] },
        ...blade,
        { kind: 'line', to: [-half, foot] },
      ],
    },
    // Drawn wider than the handle, as people do: only what lies inside counts.
    keepBare: [box(-0.04, foot - 0.01, 0.04, neckY - 0.01)],
  };
}

/** The seat of a hanging plate of the signal-box board, which stays bare. */
export const hangingPlate = (x: number): Path => box(x - 0.014, -0.03, x + 0.014, 0.03);
