import type { EdgeProfile, Shape } from '../geometry';
import type { EdgeKind } from '../piece';
import {
  cutOfMark,
  joinRegions,
  markOfCut,
  partition,
  placeOutline,
  type FaceCut,
  type Partition,
  type Region,
} from '../places';
import { assert } from '../result';
import type { PlanArea } from './planArea';

/** A cut of a face, with what stands on it. */
export interface WholeCut extends FaceCut {
  readonly kind: EdgeKind;
  readonly wallM: number | null;
}

/** A face that is cut into places. */
export interface PlanWhole {
  readonly id: string;
  readonly name: string;
  readonly shape: Shape;
  readonly edges: PlanArea['edges'];
  readonly measured: PlanArea['measured'];
  readonly cuts: readonly WholeCut[];
}

const SQUARE: EdgeProfile = { kind: 'square' };

const partitions = new WeakMap<
  PlanWhole['cuts'],
  { readonly shape: Shape; readonly places: Partition }
>();

/**
 * The places of a face, remembered with its cuts.
 * @throws RangeError where a cut cannot be made: `partition` says why, and is asked before a face is kept
 */
export function placesOf({ shape, cuts }: Pick<PlanWhole, 'shape' | 'cuts'>): Partition {
  const known = partitions.get(cuts);
  if (known?.shape === shape) return known.places;
  const found = partition(shape, cuts);
  assert(found.ok, 'placesOf', found.ok || found.issues);
  partitions.set(cuts, { shape, places: found.value });
  return found.value;
}

/** Places of a face that hang together: their outline, and what stands on each side of it. */
export interface Joined {
  readonly shape: Shape;
  readonly edges: PlanArea['edges'];
  /** For each side the cut that it lies on; null: the outline of the face. */
  readonly onCut: readonly (WholeCut | null)[];
  /** Cuts that lie inside it. */
  readonly inner: readonly WholeCut[];
}

const boundary = ({ kind, wallM }: WholeCut): PlanArea['edges'][number] => ({
  kind,
  heightM: 0,
  profile: SQUARE,
  wallM,
});

const marksOf = ({ outer, holes }: Region): number[] =>
  [outer, ...holes].flatMap((loop) => loop.map((s) => s.mark));

/** Cuts of which a stretch lay between two of the parts, and is gone. */
function innerCuts(whole: PlanWhole, parts: readonly Region[], region: Region): WholeCut[] {
  const all = parts.flatMap(marksOf);
  const left = marksOf(region);
  const count = (marks: readonly number[], mark: number) => marks.filter((m) => m === mark).length;
  return whole.cuts.filter((_, i) => count(all, markOfCut(i)) > count(left, markOfCut(i)));
}

function outlined(whole: PlanWhole, region: Region, parts: readonly Region[] = [region]): Joined {
  const { shape, marks } = placeOutline(region, whole.shape.keepBare ?? []);
  const onCut = marks.map((mark) => (mark < 0 ? (whole.cuts[cutOfMark(mark)] ?? null) : null));
  const edges = marks.map((mark, i) => {
    const cut = onCut[i];
    const outer = whole.edges[mark];
    assert(cut !== null || outer !== undefined, 'outlined', marks);
    return cut ? boundary(cut) : (outer as PlanArea['edges'][number]);
  });
  return { shape, edges, onCut, inner: innerCuts(whole, parts, region) };
}

const single = new WeakMap<PlanWhole, Map<string, Joined | null>>();

/** The outline of one place of a face, remembered with it. */
export function placeOf(whole: PlanWhole, id: string): Joined | null {
  const here = single.get(whole) ?? new Map<string, Joined | null>();
  single.set(whole, here);
  const known = here.get(id);
  if (known !== undefined) return known;
  const region = placesOf(whole).get(id);
  const place = region ? outlined(whole, region) : null;
  here.set(id, place);
  return place;
}

const joins = new WeakMap<
  PlanWhole,
  Map<string, readonly { joined: Joined; ids: readonly string[] }[]>
>();

/** Places of a face taken together: one outline for each part that hangs together; all of them are the face itself. */
export function joinPlaces(
  whole: PlanWhole,
  ids: readonly string[],
): readonly { readonly joined: Joined; readonly ids: readonly string[] }[] {
  const here =
    joins.get(whole) ?? new Map<string, readonly { joined: Joined; ids: readonly string[] }[]>();
  joins.set(whole, here);
  const key = [...ids].sort().join(' ');
  const known = here.get(key) ?? join(whole, ids);
  here.set(key, known);
  return known;
}

function join(whole: PlanWhole, ids: readonly string[]) {
  const places = placesOf(whole);
  if ([...places.keys()].every((id) => ids.includes(id)))
    return [
      {
        ids,
        joined: {
          shape: whole.shape,
          edges: whole.edges,
          onCut: whole.edges.map(() => null),
          inner: whole.cuts,
        },
      },
    ];
  const chosen = ids.flatMap((id) => {
    const region = places.get(id);
    return region ? [{ id, region }] : [];
  });
  // Which places hang together: those whose joined regions keep a stretch of each.
  const groups: (typeof chosen)[] = [];
  for (const place of chosen) {
    const touching = groups.filter((group) =>
      group.some((other) => borders(other.region, place.region)),
    );
    const merged = [...touching.flat(), place];
    for (const group of touching) groups.splice(groups.indexOf(group), 1);
    groups.push(merged);
  }
  return groups.map((group) => {
    const parts = group.map((p) => p.region);
    const [region] = joinRegions(parts);
    assert(region !== undefined, 'joinPlaces', ids);
    return { ids: group.map((p) => p.id), joined: outlined(whole, region, parts) };
  });
}

/** Whether two places share a stretch of boundary. */
export function borders(a: Region, b: Region): boolean {
  return joinRegions([a, b]).length === 1;
}
