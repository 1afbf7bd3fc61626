'use client';
import {
  bendSegment,
  corners,
  deleteCorner,
  insertCorner,
  moveCorner,
  moveHandle,
  type Path,
  type Point,
} from '@/core/geometry';
import { useSurvey } from '../SurveyContext';
import { DragPoint } from './DragPoint';
import type { Chosen } from './planView';
import { usePlan } from './planView';

interface Props {
  readonly path: Path;
  readonly part: Chosen['part'];
  readonly at: Point;
  readonly chosen: Chosen | null;
  readonly onChoose: (chosen: Chosen) => void;
  /** A change that is a step of its own; and one of a drag, which is a step as a whole. */
  readonly onChange: (path: Path) => void;
  readonly onDrag: (path: Path) => void;
  readonly onEnd: () => void;
}

/** More corners than this and only those near the chosen one are shown, so that they can be told apart. */
const CROWD = 60;

/** The corners of a path, and the handles of the curves at the chosen corner. */
export function PathHandles({ path, part, at, chosen, onChoose, onChange, onDrag, onEnd }: Props) {
  const { onScreen } = usePlan();
  const { format } = useSurvey();
  const points = corners(path);
  const n = points.length;
  const out = (p: Point): Point => [p[0] + at[0], p[1] + at[1]];
  const back = (p: Point): Point => [p[0] - at[0], p[1] - at[1]];
  const corner = chosen?.part === part ? chosen.corner : null;
  const name = part === 'outline' ? 'Corner' : `Bare part ${part + 1}, corner`;
  const where = (p: Point) =>
    out(p)
      .map((v) => format.show(v, 'length').text)
      .join(', ');
  const key = (i: number) => (event: { key: string; preventDefault: () => void }) => {
    if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      onChange(deleteCorner(path, i));
      onEnd();
    }
    if (event.key === 'Insert' || event.key === 'i') onChange(insertCorner(path, i));
    if (event.key === 'c') onChange(bendSegment(path, i, path.segments[i]?.kind === 'line'));
  };
  const near = (i: number) => {
    if (n <= CROWD || corner === null) return n <= CROWD || i % Math.ceil(n / CROWD) === 0;
    const d = Math.abs(i - corner);
    return Math.min(d, n - d) <= 3 || i % Math.ceil(n / CROWD) === 0;
  };
  const handlesOf = corner === null ? [] : [(corner + n - 1) % n, corner];
  return (
    <>
      {handlesOf.flatMap((segment) => {
        const s = path.segments[segment];
        const from = points[segment];
        if (s?.kind !== 'cubic' || !from) return [];
        return (['c1', 'c2'] as const).map((which) => {
          const [a, b] = [onScreen(out(which === 'c1' ? from : s.to)), onScreen(out(s[which]))];
          return (
            <g key={`${segment}${which}`}>
              <path
                d={`M${a[0]} ${a[1]} L${b[0]} ${b[1]}`}
                stroke="var(--bm-colors-verdigris)"
                strokeWidth="1.2"
              />
              <DragPoint
                at={out(s[which])}
                look="curve"
                label={`Curve handle ${which === 'c1' ? 'after' : 'before'} a corner; arrow keys move it`}
                onMove={(to) => onDrag(moveHandle(path, segment, which, back(to)))}
                onEnd={onEnd}
              />
            </g>
          );
        });
      })}
      {points.map((p, i) =>
        near(i) || i === corner ? (
          <DragPoint
            key={i}
            at={out(p)}
            look="corner"
            chosen={i === corner}
            label={`${name} ${i + 1} at ${where(p)}; arrow keys move it, Delete removes it, I puts one after it, C curves the stretch after it`}
            anchors={[points[(i + n - 1) % n] ?? p, points[(i + 1) % n] ?? p].map(out)}
            onChoose={() => onChoose({ part, corner: i })}
            onMove={(to) => onDrag(moveCorner(path, i, back(to)))}
            onEnd={onEnd}
            onKey={key(i)}
          />
        ) : null,
      )}
    </>
  );
}
