import { walk, type Path, type Point } from '@/core/geometry';

const at = (p: Point): string => `${p[0].toFixed(2)} ${p[1].toFixed(2)}`;

/** SVG path data of a path, its points put on the screen. */
export function pathD(path: Path, place: (p: Point) => Point): string {
  const parts = [...walk(path)].map(({ segment: s }) =>
    s.kind === 'line'
      ? `L${at(place(s.to))}`
      : `C${at(place(s.c1))} ${at(place(s.c2))} ${at(place(s.to))}`,
  );
  return `M${at(place(path.start))}${parts.join('')}Z`;
}
