import type { Point, Segment } from '../geometry';

/** An open stretch that may be chained to others, or a closed one. */
export interface Stretch {
  readonly start: Point;
  readonly segments: readonly Segment[];
}

export const endOf = (s: Stretch): Point => s.segments[s.segments.length - 1]?.to ?? s.start;

/** Whether two ends lie within the tolerance of each other. */
export const meets = (a: Point, b: Point, tolerance: number): boolean =>
  Math.hypot(a[0] - b[0], a[1] - b[1]) <= tolerance;

function backwards(s: Stretch): Stretch {
  const points = [s.start, ...s.segments.map((seg) => seg.to)].reverse();
  const [start = s.start, ...ends] = points;
  const segments = [...s.segments].reverse().map((seg, i): Segment => {
    const to = ends[i] ?? start;
    return seg.kind === 'line'
      ? { kind: 'line', to }
      : { kind: 'cubic', c1: seg.c2, c2: seg.c1, to };
  });
  return { start, segments };
}

/** Ends of stretches by their place, to a cell of the tolerance: whoever is near is in a cell beside. */
class Ends {
  private readonly cells = new Map<string, Set<number>>();
  constructor(private readonly tolerance: number) {}

  private key(x: number, y: number): string {
    return `${x}/${y}`;
  }

  private cell([x, y]: Point): readonly [number, number] {
    return [Math.floor(x / this.tolerance), Math.floor(y / this.tolerance)];
  }

  add(p: Point, index: number): void {
    const key = this.key(...this.cell(p));
    const known = this.cells.get(key);
    if (known) known.add(index);
    else this.cells.set(key, new Set([index]));
  }

  remove(p: Point, index: number): void {
    this.cells.get(this.key(...this.cell(p)))?.delete(index);
  }

  /** The first stretch, in the order of the file, that has an end near a point. */
  near(p: Point, isNear: (index: number) => boolean): number | null {
    const [cx, cy] = this.cell(p);
    let first: number | null = null;
    for (let x = cx - 1; x <= cx + 1; x += 1)
      for (let y = cy - 1; y <= cy + 1; y += 1)
        for (const index of this.cells.get(this.key(x, y)) ?? [])
          if ((first === null || index < first) && isNear(index)) first = index;
    return first;
  }
}

/** Joins stretches whose ends meet into longer ones, closed where they can be. */
export function chain(stretches: readonly Stretch[], tolerance: number): Stretch[] {
  const ends = new Ends(tolerance);
  stretches.forEach((s, i) => {
    ends.add(s.start, i);
    ends.add(endOf(s), i);
  });
  const used = new Set<number>();
  const take = (i: number, s: Stretch) => {
    used.add(i);
    ends.remove(s.start, i);
    ends.remove(endOf(s), i);
  };
  return stretches.flatMap((first, i) => {
    if (used.has(i)) return [];
    take(i, first);
    const segments = [...first.segments];
    for (let end = endOf(first); !meets(end, first.start, tolerance);) {
      const here = end;
      const isHere = (k: number) => {
        const s = stretches[k];
        return (
          s !== undefined && (meets(s.start, here, tolerance) || meets(endOf(s), here, tolerance))
        );
      };
      const k = ends.near(here, isHere);
      const next = k === null ? undefined : stretches[k];
      if (k === null || !next) break;
      take(k, next);
      const forward = meets(next.start, here, tolerance) ? next : backwards(next);
      for (const segment of forward.segments) segments.push(segment);
      end = endOf(forward);
    }
    return [{ start: first.start, segments }];
  });
}
