import { extent } from '@/core/numeric';
import { shapeSides, type Point } from '@/core/geometry';
import type { EdgeRef, PlacedTask, PrepArea, PrepFacts } from '@/core/prep';

/** Where a task stands on the plan. */
export interface Station {
  readonly key: string;
  readonly number: number;
  readonly at: Point;
}

const AT_THE_EDGE = ['mask', 'unmask', 'edge ground', 'rim gap'];

const boxOf = (area: PrepArea) => {
  const points = shapeSides(area.shape).flat();
  const [left, right] = extent(points.map((p) => p[0]));
  const [low, high] = extent(points.map((p) => p[1]));
  return {
    left: left + area.at[0],
    right: right + area.at[0],
    midY: (low + high) / 2 + area.at[1],
  };
};

/** Middle of the longest of the task's edges on an area, or of the area's longest edge. */
function edgeMiddle(area: PrepArea, edges: readonly EdgeRef[]): Point {
  const sides = shapeSides(area.shape);
  const own = edges.filter((e) => e.areaId === area.id).map((e) => e.edge);
  const length = (i: number) => area.edges[i]?.lengthM ?? 0;
  const longest = (own.length > 0 ? own : sides.map((_, i) => i)).reduce((best, i) =>
    length(i) > length(best) ? i : best,
  );
  const side = sides[longest] ?? [];
  const middle = side[Math.floor(side.length / 2)] ?? [0, 0];
  const [a, b] = [side[0] ?? middle, side.at(-1) ?? middle];
  const [x, y] = side.length === 2 ? [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2] : middle;
  return [x + area.at[0], y + area.at[1]];
}

/**
 * Stations of tasks on the plan: work at an edge stands at it, the rest spread over the middle of its area
 * in the order of the work.
 */
export function stationsOf(
  facts: PrepFacts,
  tasks: readonly PlacedTask[],
  numberOf: (key: string) => number,
): Station[] {
  const areaOf = (placed: PlacedTask) =>
    facts.areas.find((a) => placed.task.areaIds.includes(a.id)) ?? facts.areas[0];
  const inside = tasks.filter((t) => !AT_THE_EDGE.includes(t.task.rule));
  return tasks.flatMap((placed): Station[] => {
    const area = areaOf(placed);
    if (!area) return [];
    const { key, rule, edges } = placed.task;
    if (AT_THE_EDGE.includes(rule))
      return [{ key, number: numberOf(key), at: edgeMiddle(area, edges) }];
    const mates = inside.filter((t) => areaOf(t) === area);
    const share = (mates.indexOf(placed) + 1) / (mates.length + 1);
    const { left, right, midY } = boxOf(area);
    return [{ key, number: numberOf(key), at: [left + (right - left) * share, midY] }];
  });
}
