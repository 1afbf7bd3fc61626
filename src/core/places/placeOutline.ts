import type { Outline, Path } from '../geometry';
import { loopPath, type Loop, type Region } from './region';

/** A region as an outline: stretches in a row that lie on the same thing are one side of it. */
export interface PlaceOutline {
  readonly shape: Outline;
  /** What each side of the outline lies on. */
  readonly marks: readonly number[];
  /** Holes, with what they lie on. */
  readonly holes: readonly { readonly path: Path; readonly marks: readonly number[] }[];
}

/** A loop that begins where a side begins, and for each stretch its side. */
function sided(loop: Loop): { readonly path: Path; readonly marks: readonly number[] } {
  const begin = Math.max(
    0,
    loop.findIndex((s, i) => s.mark !== loop.at(i - 1)?.mark),
  );
  const turned = [...loop.slice(begin), ...loop.slice(0, begin)];
  const marks: number[] = [];
  const sideOf = turned.map(({ mark }, i) => {
    if (i === 0 || mark !== turned[i - 1]?.mark) marks.push(mark);
    return marks.length - 1;
  });
  return { path: { ...loopPath(turned), sideOf }, marks };
}

/**
 * A region of a face as an outline of its own, on the plan of the face.
 * @param keepBare bare parts of the face; those that lie elsewhere take nothing of it
 */
export function placeOutline(
  { outer, holes }: Region,
  keepBare: readonly Path[] = [],
): PlaceOutline {
  const { path, marks } = sided(outer);
  const inner = holes.map(sided);
  return {
    shape: { kind: 'outline', outer: path, keepBare: [...inner.map((h) => h.path), ...keepBare] },
    marks,
    holes: inner,
  };
}
