import { isDam } from '../piece';
import { filmAreas, isBrushed, type BuildCoat, type OnArea } from './buildUp';
import { measureArea, type PlanArea } from './planArea';
import type { ReliefHeights } from './relief';
import { SOAK_M } from './soak';
import {
  joinPlaces,
  placeOf,
  placesOf,
  type Joined,
  type PlanWhole,
  type WholeCut,
} from './wholes';

/** A place under a film, and how high it stands under it. */
export interface GroundPart {
  readonly area: PlanArea;
  /** Share of the ground's area. */
  readonly share: number;
  /** Its surface over the lowest of the ground, m. */
  readonly stepM: number;
}

/** What one film of a coat lies on: an area, or places of a face that hang together and are about level. */
export interface Ground extends PlanArea {
  readonly parts: readonly GroundPart[];
  /** Height of its surface over the area's own ground, where it is lowest, m. */
  readonly belowM: number;
  /** What stands up in the film: relief of its places, of layers, and places that lie a little higher. */
  readonly standing: readonly ReliefHeights[];
  /** Cuts that lie under it, both their sides covered. */
  readonly inner: readonly WholeCut[];
}

/** Places whose surfaces differ by more do not make one level film: the step is a wall for it. Judgement, no source. */
export const LEVEL_STEP_M = 1e-3;

type Below = ReadonlyMap<string, OnArea<BuildCoat>>;
const surfaceOf = (below: Below, id: string): number => below.get(id)?.surfaceM ?? 0;

/** Relief of one place as a share of the ground; what its own step buries is no longer proud. */
function reliefOf(
  { area, share, stepM }: GroundPart,
  below: Below,
  baseM: number,
): ReliefHeights[] {
  const own: ReliefHeights[] = [...area.relief, ...(below.get(area.id)?.relief ?? [])];
  const aboveM = baseM + stepM;
  const scaled = own.map((r) => ({
    ...r,
    share: r.share * share,
    ...(stepM > 0 && { aboveM: Math.max(aboveM, r.standsOnM ?? 0) }),
  }));
  const step = { greatestM: stepM, meanM: stepM, share, standsOnM: baseM };
  return stepM > 0 ? [step, ...scaled] : scaled;
}

function groundOf(
  base: PlanArea,
  chosen: readonly PlanArea[],
  below: Below,
  follows: boolean,
  inner: readonly WholeCut[] = [],
): Ground {
  const heights = chosen.map((a) => surfaceOf(below, a.id));
  const belowM = Math.min(...heights);
  const areas = chosen.map((a) => measureArea(a).areaM2);
  const allM2 = areas.reduce((s, m2) => s + m2, 0);
  const parts = chosen.map((area, i): GroundPart => ({
    area,
    share: allM2 > 0 ? (areas[i] ?? 0) / allM2 : 1 / chosen.length,
    // What is brushed follows every step.
    stepM: follows ? 0 : (heights[i] ?? 0) - belowM,
  }));
  return {
    ...base,
    parts,
    belowM,
    inner,
    standing: parts.flatMap((part) => reliefOf(part, below, belowM)),
  };
}

/** Places of a face that make one level film each, lowest first. */
function levels(places: readonly PlanArea[], below: Below): PlanArea[][] {
  const sorted = [...places].sort((a, b) => surfaceOf(below, a.id) - surfaceOf(below, b.id));
  const groups: PlanArea[][] = [];
  for (const place of sorted) {
    const base = groups.at(-1)?.[0];
    if (base && surfaceOf(below, place.id) - surfaceOf(below, base.id) <= LEVEL_STEP_M)
      groups.at(-1)?.push(place);
    else groups.push([place]);
  }
  return groups;
}

const same = new WeakMap<PlanWhole, Map<string, PlanArea>>();

/** Places taken together as one area; the same places give the same object. */
function together(
  whole: PlanWhole,
  places: readonly PlanArea[],
  ids: readonly string[],
  joined: Pick<PlanArea, 'shape' | 'edges'>,
): PlanArea {
  const [first] = places;
  if (!first) throw new RangeError('together: no place');
  const all = joined.shape === whole.shape;
  const walls = joined.edges.map((e) => `${e.kind}${e.wallM ?? ''}`).join();
  const key = `${ids.join(' ')} ${places.map((p) => p.name).join(' ')} ${walls}`;
  const here = same.get(whole) ?? new Map<string, PlanArea>();
  same.set(whole, here);
  const known = here.get(key) ?? {
    ...first,
    name: all ? whole.name : places.map((p) => p.name).join(' + '),
    ...{ shape: joined.shape, edges: joined.edges, measured: whole.measured },
  };
  here.set(key, known);
  return known;
}

/** Boundaries on which nothing stands, but beyond which the ground is higher: the step holds the film. */
function stepped(whole: PlanWhole, joined: Joined, ids: readonly string[], below: Below): Joined {
  const baseM = Math.min(...ids.map((id) => surfaceOf(below, id)));
  const beyond = (cut: WholeCut): number =>
    Math.min(
      ...[...placesOf(whole).keys()]
        .filter((id) => !ids.includes(id) && placeOf(whole, id)?.onCut.includes(cut) === true)
        .map((id) => surfaceOf(below, id)),
    );
  const edges = joined.edges.map((edge, i) => {
    const cut = joined.onCut[i];
    if (edge.kind !== 'line' || !cut) return edge;
    const highM = beyond(cut);
    return highM - baseM > LEVEL_STEP_M && Number.isFinite(highM)
      ? { ...edge, kind: 'raised line' as const, wallM: highM }
      : edge;
  });
  return edges.every((e, i) => e === joined.edges[i]) ? joined : { ...joined, edges };
}

/**
 * The grounds that a coat lies on as films of its own.
 * @param coat kind and areas @param areas all areas of the piece @param wholes faces that are cut into places
 * @param below what lies under the coat, by area
 * @returns one for each area, or for each row of places that hang together and lie about level
 * Source: geometry of the cuts; a level film meets a step as a wall.
 */
export function groundsOf(
  coat: Pick<BuildCoat, 'kind' | 'areaIds'>,
  areas: readonly PlanArea[],
  wholes: readonly PlanWhole[],
  below: Below,
): Ground[] {
  const chosen = filmAreas(coat, areas);
  const follows = isBrushed(coat);
  const done = new Set<string>();
  return chosen.flatMap((area): Ground[] => {
    const whole = wholes.find((w) => w.id === area.partOf);
    if (!whole) return [groundOf(area, [area], below, follows)];
    if (done.has(whole.id)) return [];
    done.add(whole.id);
    const places = chosen.filter((a) => a.partOf === whole.id);
    const groups = follows ? [places] : levels(places, below);
    return groups.flatMap((group) =>
      joinPlaces(
        whole,
        group.map((a) => a.id),
      ).map(({ joined: flat, ids }) => {
        const own = group.filter((a) => ids.includes(a.id));
        const joined = follows ? flat : stepped(whole, flat, ids, below);
        return groundOf(together(whole, own, ids, joined), own, below, follows, joined.inner);
      }),
    );
  });
}

/** What a ground drinks, m: each of its places as much as its pores and what lies on it let through. */
export function soakOf({ parts }: Ground, below: Below, sealed: ReadonlySet<string>): number {
  return parts.reduce((sum, { area, share }) => {
    const on = below.get(area.id);
    const pores = on?.pores ?? (on?.top || sealed.has(area.id) ? 'sealed' : area.porosity);
    return sum + share * SOAK_M[pores];
  }, 0);
}

/** Film that lies on each place of a ground under one level surface, m. */
export const filmOnPart = ({ stepM }: GroundPart, staysM: number): number =>
  Math.max(0, staysM - stepM);

/** Whether a recess lies in a ground. */
export const holds = ({ parts }: Ground, { liesIn = null }: Pick<PlanArea, 'liesIn'>): boolean =>
  liesIn === null || parts.some((p) => p.area.id === liesIn);

/** Edges whose dams have come off: they are open from then on. */
export const freed = (edges: PlanArea['edges'], isFree: boolean): PlanArea['edges'] =>
  isFree && edges.some((e) => isDam(e.kind))
    ? edges.map((e) => (isDam(e.kind) ? { ...e, kind: 'open' as const, wallM: null } : e))
    : edges;
