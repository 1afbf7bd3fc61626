import type { BuildCoat, OnArea } from '@/core/coat';
import { cutIntervals, cutShape, type CutLine, type Point } from '@/core/geometry';
import type { Area } from '@/records';
import type { FaceCutView, Stretch } from './section';

type Named = BuildCoat & { readonly id: string };
type Lies<C extends Named> = ReadonlyMap<string, OnArea<C>>;

function stretchOf<C extends Named>(
  area: Area,
  on: OnArea<C> | undefined,
  fromM: number,
  toM: number,
): Stretch {
  return {
    ...{ fromM, toM, bare: area.bare, name: area.name },
    films: (on?.films ?? []).map(({ coat, bottomM, topM }) => ({
      ...{ id: coat.id, coverage: coat.coverage, bottomM, topM },
    })),
    layers: (on?.layers ?? []).map(({ layer, bottomM, topM }) => ({
      ...{ id: layer.id, kind: layer.kind, bottomM, topM, even: layer.share >= 1 },
    })),
    relief: [...area.relief, ...(on?.relief ?? [])],
  };
}

/** The wall on the boundary at one end of a stretch, m; null where none stands there. */
function wallOn(area: Area, side: number, tallestM: number): number | null {
  const edge = side < 0 ? undefined : area.edges[side];
  if (!edge || edge.kind === 'line' || edge.kind === 'open' || edge.kind === 'doming') return null;
  return edge.wallM ?? tallestM;
}

/**
 * What a cut through an area meets; through all places of its face where it is one of them.
 * @param lies what `buildUp` tells of every area
 */
export function cutFaceView<C extends Named>(
  area: Area,
  areas: readonly Area[],
  wholes: readonly Area[],
  lies: Lies<C>,
  line: CutLine,
): FaceCutView {
  const whole = wholes.find((w) => w.id === area.partOf);
  if (!whole) {
    const { widthM, leftSide, rightSide } = cutShape(area.shape, line);
    const kind = (side: number) => area.edges[side]?.kind ?? 'open';
    return {
      ...{ widthM, ends: [kind(leftSide), kind(rightSide)], walls: [] },
      fromM: cutIntervals(area.shape, line)[0]?.fromM ?? -widthM / 2,
      stretches: [stretchOf(area, lies.get(area.id), 0, widthM)],
    };
  }
  const inside = cutIntervals(whole.shape, line);
  const [first, last] = [inside[0], inside.at(-1)];
  if (!first || !last) return cutFaceView(area, areas, wholes, lies, { along: line.along, atM: 0 });
  const zero = first.fromM;
  const parts = areas
    .filter((a) => a.partOf === whole.id)
    .flatMap((a) => cutIntervals(a.shape, line).map((part) => ({ a, part })))
    .sort((p, q) => p.part.fromM - q.part.fromM);
  const stretches = parts.map(({ a, part }) =>
    stretchOf(a, lies.get(a.id), part.fromM - zero, part.toM - zero),
  );
  const tallestM = Math.max(1e-3, ...stretches.flatMap((s) => s.films.map((f) => f.topM)));
  const walls = parts.slice(0, -1).flatMap(({ a, part }) => {
    const heightM = wallOn(a, part.rightSide, tallestM);
    return heightM === null ? [] : [{ atM: part.toM - zero, heightM }];
  });
  const kind = (side: number) => whole.edges[side]?.kind ?? 'open';
  return {
    widthM: last.toM - zero,
    fromM: zero,
    ends: [kind(first.leftSide), kind(last.rightSide)],
    ...{ stretches, walls },
  };
}

/** Where a drawn path crosses a cut, along it, m. */
export function pathCrossings(
  points: readonly Point[],
  closed: boolean,
  { along, atM }: CutLine,
): number[] {
  const [u, v] = along === 'x' ? ([0, 1] as const) : ([1, 0] as const);
  const ring = closed ? [...points, ...points.slice(0, 1)] : points;
  return ring.slice(1).flatMap((b, i) => {
    const a = ring[i] ?? b;
    if (a[v] > atM === b[v] > atM) return [];
    return [a[u] + ((atM - a[v]) / (b[v] - a[v])) * (b[u] - a[u])];
  });
}
