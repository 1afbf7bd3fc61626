import type { Shape } from '../geometry';
import { fail, ok, type Issue, type Result } from '../result';
import type { CutLine } from './chords';
import { cutRegion, type CutInTwo } from './cutRegion';
import { markOfCut, reversed, samePoint, type Loop, type Region, type Stretch } from './region';
import { sidedFace } from './sidedFace';

/** A cut of one place of a face in two: what it makes has a name of its own, the rest keeps the old one. */
export interface FaceCut extends CutLine {
  readonly of: string;
  readonly makes: string;
}

export type Partition = ReadonlyMap<string, Region>;

const mates = (a: Stretch, b: Stretch): boolean =>
  samePoint(a.from, b.segment.to) && samePoint(a.segment.to, b.from);

/** What a cut parted of a boundary that a neighbour shares is parted there too, at the same points. */
function keepShared(region: Region, splits: CutInTwo['splits']): Region {
  const shared = splits.filter(({ whole }) => whole.mark < 0);
  if (shared.length === 0) return region;
  const kept = (loop: Loop): Loop =>
    loop.flatMap((stretch) => {
      if (stretch.mark >= 0) return [stretch];
      const split = shared.find(({ whole }) => mates(whole, stretch));
      return split ? [...split.parts].reverse().map(reversed) : [stretch];
    });
  return { outer: kept(region.outer), holes: region.holes.map(kept) };
}

/**
 * The places of a face, cut one after the other.
 * @param shape of the face, m; its bare parts are not cut out @param cuts in their order; the first cuts the whole face
 * @returns regions by name: they share every point of what they border on, so that their areas sum to the face; or
 *   the fault of a cut, its path beginning with its number (`does-not-fit` as `cutRegion`, `unknown-name`)
 */
export function partition(shape: Shape, cuts: readonly FaceCut[]): Result<Partition> {
  const [first] = cuts;
  const places = new Map<string, Region>();
  if (first) places.set(first.of, sidedFace(shape));
  for (const [i, cut] of cuts.entries()) {
    const { of, makes } = cut;
    const region = places.get(of);
    if (!region || places.has(makes))
      return fail({
        code: 'unknown-name',
        path: [i, region ? 'makes' : 'of'],
        value: region ? makes : of,
      });
    const made = cutRegion(region, cut, markOfCut(i));
    if (!made.ok)
      return fail(...made.issues.map((issue): Issue => ({ ...issue, path: [i, ...issue.path] })));
    for (const [name, other] of places)
      if (name !== of) places.set(name, keepShared(other, made.value.splits));
    places.set(of, made.value.rest);
    places.set(makes, made.value.made);
  }
  return ok(places);
}
