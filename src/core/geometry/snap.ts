import type { Point } from './point';

export interface SnapRules {
  /** Spacing of the grid, m; null for none. */
  readonly gridM: number | null;
  /** Points to be caught by. */
  readonly points: readonly Point[];
  /** Corners from which directions are held to multiples of 15°. */
  readonly anchors: readonly Point[];
  /** How near a place must be to be caught, m. */
  readonly reachM: number;
}

export interface Snapped {
  readonly at: Point;
  readonly by: 'point' | 'angle' | 'grid' | null;
}

const STEP = Math.PI / 12;
/** A direction farther off than this is meant; near its corner every place is near some ray. */
const MOST_OFF = (3.5 * Math.PI) / 180;

/**
 * Where a dragged point goes: another point first, then a direction of 15° steps from an anchor (on the
 * grid along it), then the grid.
 * Source: common practice of drawing tools.
 */
export function snap(at: Point, { gridM, points, anchors, reachM }: SnapRules): Snapped {
  const far = (p: Point): number => Math.hypot(p[0] - at[0], p[1] - at[1]);
  const near = points.reduce<Point | null>(
    (best, p) => (far(p) <= reachM && (!best || far(p) < far(best)) ? p : best),
    null,
  );
  if (near) return { at: near, by: 'point' };
  const round = (v: number): number => (gridM ? Math.round(v / gridM) * gridM : v);
  const rays = anchors.flatMap((a): Point[] => {
    const [dx, dy] = [at[0] - a[0], at[1] - a[1]];
    const direction = Math.atan2(dy, dx);
    const angle = Math.round(direction / STEP) * STEP;
    if (Math.abs(direction - angle) > MOST_OFF) return [];
    const length = round(dx * Math.cos(angle) + dy * Math.sin(angle));
    return length > 0 ? [[a[0] + length * Math.cos(angle), a[1] + length * Math.sin(angle)]] : [];
  });
  const ray = rays.reduce<Point | null>(
    (best, p) => (far(p) <= reachM && (!best || far(p) < far(best)) ? p : best),
    null,
  );
  if (ray) return { at: ray, by: 'angle' };
  return gridM ? { at: [round(at[0]), round(at[1])], by: 'grid' } : { at, by: null };
}
