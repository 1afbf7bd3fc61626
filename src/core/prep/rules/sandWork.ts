import { pathBox, shapePath, workRegion, type HalfPlane, type Region } from '../../geometry';
import { openEdges, type PrepContext } from '../context';
import type { PrepArea, PrepCoat } from '../facts';
import { sandingMaterials, sandingPlan } from '../sanding';
import type { ProblemName, TaskDraft } from '../task';

/**
 * Where sanding goes on these areas: their faces without bare parts and without recesses that are not
 * among them, on one side of a line when a limit is set.
 */
export function sandRegion(
  facts: Pick<PrepContext, 'areas'>,
  areaIds: readonly string[],
  limit: HalfPlane | null,
): Region {
  const wanted = facts.areas.filter((a) => areaIds.includes(a.id) && a.kind !== 'edge band');
  const holes = facts.areas.filter((a) => a.kind === 'recess' && !areaIds.includes(a.id));
  return workRegion(wanted, wanted.some((a) => a.kind === 'face') ? holes : [], limit);
}

/** Areas never change once they are read, so what polygons gave is remembered with them, m². */
const known = new WeakMap<readonly PrepArea[], Map<string, number>>();

function cutArea(facts: PrepContext, ids: readonly string[], limit: HalfPlane | null): number {
  const key = `${ids.join()} ${limit ? `${limit.side} ${limit.atM}` : ''}`;
  const here = known.get(facts.areas) ?? new Map<string, number>();
  known.set(facts.areas, here);
  const found = here.get(key) ?? sandRegion(facts, ids, limit).areaM2;
  // A line that is dragged leaves many: only the latest are worth keeping.
  if (here.size > 64) here.clear();
  here.set(key, found);
  return found;
}

interface Box {
  readonly left: number;
  readonly right: number;
  readonly low: number;
  readonly high: number;
}
const boxes = new WeakMap<PrepArea, Box>();

function boxOf(area: PrepArea): Box {
  const found = boxes.get(area);
  if (found) return found;
  const { middle, widthM, heightM } = pathBox(shapePath(area.shape));
  const [x, y] = [middle[0] + area.at[0], middle[1] + area.at[1]];
  const box = {
    ...{ left: x - widthM / 2, right: x + widthM / 2 },
    ...{ low: y - heightM / 2, high: y + heightM / 2 },
  };
  boxes.set(area, box);
  return box;
}

const touches = (a: Box, b: Box): boolean =>
  a.left < b.right && b.left < a.right && a.low < b.high && b.low < a.high;

/** Area to sand, one piece, m². Polygon operations only where a recess or a line cuts into it. */
function sandArea(facts: PrepContext, areas: readonly PrepArea[], limit: HalfPlane | null): number {
  const pits = facts.areas.filter((a) => a.kind === 'recess');
  const cutsInto = (face: PrepArea) => pits.filter((pit) => touches(boxOf(pit), boxOf(face)));
  const flat = areas.filter((a) => a.kind !== 'edge band');
  const faces = flat.filter((a) => a.kind === 'face');
  const bandM2 = areas.reduce((sum, a) => sum + (a.kind === 'edge band' ? a.areaM2 : 0), 0);
  // A face with its own pits among them is one ground.
  if (faces.some((face) => cutsInto(face).some((pit) => flat.includes(pit))))
    return (
      cutArea(
        facts,
        flat.map((a) => a.id),
        limit,
      ) + bandM2
    );
  return flat.reduce((sum, a) => {
    const cut = limit !== null || (a.kind === 'face' && cutsInto(a).length > 0);
    return sum + (cut ? cutArea(facts, [a.id], limit) : a.areaM2);
  }, bandM2);
}

/** Film lying on an area, m; null when there is none. */
export function filmOn(facts: PrepContext, areaId: string): number | null {
  const { surfaceM } = facts.on(areaId);
  return surfaceM > 0 ? surfaceM : null;
}

const bearsWater = ({ support, areas }: PrepContext, lain: boolean): boolean =>
  lain ||
  (support !== 'bare wood' &&
    support !== 'paper on board' &&
    areas.every((a) => a.porosity === 'sealed'));

/** Area that a coat wants keyed, one piece, m²: its edges, its share of the areas, or all of them. */
function keyedArea(
  facts: PrepContext,
  areas: readonly PrepArea[],
  next: PrepCoat | null,
  { why, spare = () => 0 }: Sanding,
  limit: HalfPlane | null,
): number {
  if (why !== 'tooth' || next === null) return sandArea(facts, areas, limit);
  if (next.kind === 'edge') return areas.reduce((sum, a) => sum + openEdges(a).bandM2, 0);
  const all = areas.reduce((sum, a) => sum + a.areaM2, 0);
  const bare = areas.reduce((sum, a) => sum + a.areaM2 * spare(a), 0);
  return sandArea(facts, areas, limit) * next.coverage * (all > 0 ? 1 - bare / all : 1);
}

interface Sanding {
  readonly why: 'tooth' | 'flatten' | 'shape' | 'polish' | 'own';
  readonly key: string;
  readonly grits: readonly number[];
  /** Whole area when not told, one piece, m². */
  readonly areaM2?: number;
  readonly removeM3?: number;
  /** Share of an area that is left out, 0…1: what stands up there. */
  readonly spare?: (area: PrepArea) => number;
}

export function sanding(
  facts: PrepContext,
  areas: readonly PrepArea[],
  next: PrepCoat | null,
  told: Sanding,
): Pick<TaskDraft, 'sanding' | 'materials' | 'limit' | 'problems'> {
  const limit = facts.limits[told.key] ?? null;
  const under = next ? areas.filter((a) => next.areaIds.includes(a.id)) : areas;
  const films = under.map((a) => filmOn(facts, a.id)).filter((f) => f !== null);
  const beyond = areas.filter((a) => !under.includes(a));
  const plan = sandingPlan({
    why: told.why,
    areaM2: (told.areaM2 ?? keyedArea(facts, under, next, told, limit)) * facts.count,
    beyondM2: beyond.length > 0 ? sandArea(facts, beyond, null) * facts.count : 0,
    grits: told.grits,
    removeM3: (told.removeM3 ?? 0) * facts.count,
    nextM: next?.thicknessM ?? null,
    filmM: films.length > 0 ? Math.min(...films) : null,
    bearsWater: bearsWater(facts, films.length > 0),
  });
  const inks = areas.some((a) => a.surface.kind === 'ink' && filmOn(facts, a.id) === null);
  const problems: ProblemName[] = [
    ...(inks ? (['sanding bare ink'] as const) : []),
    ...(plan.beyondM2 > 0 ? (['sanding beyond the coat'] as const) : []),
    ...(plan.leftM !== null && plan.leftM < 0 ? (['sanding through'] as const) : []),
  ];
  return { sanding: plan, materials: sandingMaterials(plan), limit, problems };
}
