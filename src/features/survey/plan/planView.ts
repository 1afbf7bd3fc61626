import { createContext, useContext } from 'react';
import { extent } from '@/core/numeric';
import type { Point } from '@/core/geometry';

/** Which part of the plan is shown: px to a metre, and the plan point in the middle. */
export interface View {
  readonly scale: number;
  readonly middle: Point;
}

export interface Size {
  readonly width: number;
  readonly height: number;
}

export type Tool = 'select' | 'draw' | 'cut' | 'place' | 'bare' | 'recess' | 'hardware' | 'prop';

/** What is chosen on the plan: a path of the area (its outline or a bare part) and a corner of it. */
export interface Chosen {
  readonly part: 'outline' | number;
  readonly corner: number | null;
}

/** Room for the lengths beside and the bar above the outline. */
const MARGIN_PX = { x: 92, y: 52 } as const;

/** The view that shows all points, or 300 mm when there is nothing to show. */
export function fitView(points: readonly Point[], { width, height }: Size): View {
  const [xs, ys] = [points.map((p) => p[0]), points.map((p) => p[1])];
  const [left, right] = points.length > 0 ? extent(xs) : [-0.15, 0.15];
  const [low, high] = points.length > 0 ? extent(ys) : [-0.1, 0.1];
  const scale = Math.min(
    (width - 2 * MARGIN_PX.x) / Math.max(1e-3, right - left),
    (height - 2 * MARGIN_PX.y) / Math.max(1e-3, high - low),
  );
  return { scale, middle: [(left + right) / 2, (low + high) / 2] };
}

export const toScreen = (
  { scale, middle }: View,
  { width, height }: Size,
  [x, y]: Point,
): Point => [width / 2 + (x - middle[0]) * scale, height / 2 - (y - middle[1]) * scale];

export const toPlan = ({ scale, middle }: View, { width, height }: Size, [x, y]: Point): Point => [
  middle[0] + (x - width / 2) / scale,
  middle[1] - (y - height / 2) / scale,
];

/** Zooms about a place on the screen, which stays where it is. */
export function zoomAbout(view: View, size: Size, at: Point, factor: number): View {
  const scale = Math.min(2e5, Math.max(30, view.scale * factor));
  const [x, y] = toPlan(view, size, at);
  const share = view.scale / scale;
  return {
    scale,
    middle: [x + (view.middle[0] - x) * share, y + (view.middle[1] - y) * share],
  };
}

/** A spacing of 1, 2 or 5 in the shop's unit whose lines lie at least `leastPx` apart, m. */
export function gridStepM(scale: number, units: 'metric' | 'us', leastPx = 9): number {
  if (units === 'us') {
    const sixteenth = 0.0254 / 16;
    return (
      [1, 2, 4, 8, 16, 48, 192].map((n) => n * sixteenth).find((m) => m * scale >= leastPx) ??
      0.3048
    );
  }
  return (
    [1e-4, 2e-4, 5e-4, 1e-3, 2e-3, 5e-3, 0.01, 0.02, 0.05, 0.1, 0.2, 0.5].find(
      (m) => m * scale >= leastPx,
    ) ?? 1
  );
}

export interface Plan {
  readonly view: View;
  readonly size: Size;
  readonly gridM: number;
  /** Plan point of a place on the page. */
  readonly fromClient: (x: number, y: number) => Point;
  readonly onScreen: (p: Point) => Point;
  /** Where a dragged point goes: caught by points, directions and the grid while snapping is on. */
  readonly caught: (at: Point, anchors: readonly Point[], but?: Point) => Point;
  /** While something is dragged the view stays as it is. */
  readonly hold: (dragging: boolean) => void;
}

export const PlanContext = createContext<Plan | null>(null);

export function usePlan(): Plan {
  const plan = useContext(PlanContext);
  if (!plan) throw new Error('usePlan: outside PlanEditor');
  return plan;
}
