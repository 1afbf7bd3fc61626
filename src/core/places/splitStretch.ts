import type { Point } from '../geometry';
import { samePoint, type Stretch } from './region';

const between = (a: Point, b: Point, t: number): Point => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
];

/** Two halves of a stretch. Source: de Casteljau's subdivision; both lie on the curve, so no area is lost. */
function halves(stretch: Stretch, t: number): readonly [Stretch, Stretch] {
  const { from, segment, mark } = stretch;
  if (segment.kind === 'line') {
    const at = between(from, segment.to, t);
    return [
      { from, segment: { kind: 'line', to: at }, mark },
      { from: at, segment, mark },
    ];
  }
  const { c1, c2, to } = segment;
  const [a, b, c] = [between(from, c1, t), between(c1, c2, t), between(c2, to, t)];
  const [d, e] = [between(a, b, t), between(b, c, t)];
  const at = between(d, e, t);
  return [
    { from, segment: { kind: 'cubic', c1: a, c2: d, to: at }, mark },
    { from: at, segment: { kind: 'cubic', c1: e, c2: c, to }, mark },
  ];
}

/**
 * A stretch cut into shorter ones that lie where it lay.
 * @param ts places along it, strictly between 0 and 1, in order
 */
export function splitStretch(stretch: Stretch, ts: readonly number[]): Stretch[] {
  const parts: Stretch[] = [];
  let [rest, done] = [stretch, 0];
  for (const t of ts) {
    const [first, second] = halves(rest, (t - done) / (1 - done));
    if (samePoint(first.from, second.from) || samePoint(second.from, second.segment.to)) continue;
    parts.push(first);
    [rest, done] = [second, t];
  }
  return [...parts, rest];
}
