import { placeOf, type Joined, type PlanWhole } from '@/core/coat';
import {
  flattenPath,
  shapePath,
  shapeSides,
  shiftPath,
  type Path,
  type Point,
  type Shape,
} from '@/core/geometry';
import { extent } from '@/core/numeric';
import { partition, type CutLine } from '@/core/places';
// By itself: its package is heavy, and only drawing needs it.
import { insetRing } from '@/core/places/insetRing';
import type { Issue } from '@/core/result';
import { editText } from '@/core/units';
import { FieldReader } from '@/features/common/fieldReader';
import type { Format } from '@/features/common/useFormat';
import type { AreaCut, Id } from '@/records';
import type { AreaDraft, CutDraft, SurveyDraft } from './draft';
import { readEdges } from './readEdges';
import { shapeNow } from './readShape';

/** A cut as it is kept; its height of wall goes through the reader. */
export const readCut = (cut: CutDraft, reader: FieldReader<string>, field: string): AreaCut => ({
  ...{ of: cut.of, makes: cut.makes, points: cut.points, closed: cut.closed, kind: cut.kind },
  wallM:
    cut.kind === 'line' || cut.wall.trim() === ''
      ? null
      : reader.quantity(field, cut.wall, 'length', { min: 0, max: 0.5 }),
});

/** Why a face cannot be cut so. */
export function cutTrouble(issue: Issue | undefined): string {
  if (issue?.code === 'does-not-fit' && issue.value === 'crosses itself')
    return 'The line crosses itself: draw it without a loop.';
  if (issue?.code === 'does-not-fit' && issue.value === 'more than two')
    return 'The line would cut this into more than two places: draw one cut after the other.';
  return 'The line does not cut: it has to go from edge to edge, or lie closed inside.';
}

function wholeNow(area: AreaDraft, format: Format): PlanWhole | null {
  const shape = shapeNow(area, format);
  if (!shape || area.id === null) return null;
  const reader = new FieldReader<string>(format);
  const edges = readEdges(area, reader, '');
  const cuts = area.cuts.map((cut) => readCut(cut, reader, ''));
  if (!reader.sound || !partition(shape, cuts).ok) return null;
  return { id: area.id, name: area.name, shape, edges, cuts, measured: { by: 'rule' } };
}

const shaped = new WeakMap<AreaDraft, ReadonlyMap<string, Joined> | null>();

/** The places of a face as it is now; null while they cannot be cut. */
export function placesNow(area: AreaDraft, format: Format): ReadonlyMap<string, Joined> | null {
  const known = shaped.get(area);
  if (known !== undefined) return known;
  const whole = wholeNow(area, format);
  const places = whole
    ? new Map(
        [...new Set(area.cuts.flatMap((c) => [c.of, c.makes]))].flatMap((id) => {
          const place = placeOf(whole, id);
          return place ? [[id as string, place] as const] : [];
        }),
      )
    : null;
  shaped.set(area, places);
  return places;
}

/** A draft whose places have the outlines that their faces are cut into now. */
export function withPlaces(draft: SurveyDraft, format: Format): SurveyDraft {
  if (draft.areas.every((a) => a.partOf === null)) return draft;
  let changed = false;
  const areas = draft.areas.map((area): AreaDraft => {
    if (area.partOf === null || area.id === null) return area;
    const whole = draft.areas.find((a) => a.id === area.partOf);
    const place = whole && placesNow(whole, format)?.get(area.id);
    if (!place || place.shape.kind !== 'outline' || place.shape.outer === area.outline) return area;
    changed = true;
    const write = (m: number) => editText(m, format.typed('length'));
    return {
      ...area,
      ...{ shape: 'outline', outline: place.shape.outer, keepBare: place.shape.keepBare },
      ...{ at: whole.at, edgeHeight: whole.edgeHeight, kind: whole.kind },
      edges: place.edges.map((e) => ({
        kind: e.kind,
        height: write(e.heightM),
        profile: e.profile.kind,
        size: 'sizeM' in e.profile ? write(e.profile.sizeM) : '3 mm',
        wall: typeof e.wallM === 'number' ? write(e.wallM) : '',
      })),
    };
  });
  return changed ? { ...draft, areas } : draft;
}

export type CutOutcome =
  { readonly ok: true; readonly draft: SurveyDraft } | { readonly ok: false; readonly why: string };

type MakeId = () => Id<'area'>;

/** A face with an id, and its first place when it is not cut yet. */
function opened(
  draft: SurveyDraft,
  index: number,
  makeId: MakeId,
): { draft: SurveyDraft; of: Id<'area'> } {
  const area = draft.areas[index] as AreaDraft;
  const id = area.id ?? makeId();
  const of = makeId();
  const place: AreaDraft = { ...area, id: of, partOf: id, cuts: [], name: `${area.name} 1` };
  const areas = draft.areas.map((a, i) => (i === index ? { ...a, id, keepBare: a.keepBare } : a));
  return { draft: { ...draft, areas: [...areas, place] }, of };
}

/**
 * Cuts an area by a line: a face that is not cut yet, one place, or every place of a face that the line goes through.
 * @param index of the area that is chosen @param line on the plan of the piece, m
 * @returns the draft with the new places, or why the line does not cut
 */
export function cutHere(
  draft: SurveyDraft,
  index: number,
  line: CutLine,
  format: Format,
  makeId: MakeId,
): CutOutcome {
  const chosen = draft.areas[index];
  if (!chosen) return { ok: false, why: 'Choose an area first.' };
  const wholeId = chosen.partOf ?? chosen.id;
  const at = chosen.partOf === null ? index : draft.areas.findIndex((a) => a.id === chosen.partOf);
  const whole = draft.areas[at];
  const shape = whole && shapeNow(whole, format);
  if (!whole || !shape) return { ok: false, why: 'Give the area its outline first.' };
  const fresh = whole.cuts.length === 0 ? opened(draft, at, makeId) : null;
  const targets = fresh
    ? [fresh.of]
    : chosen.partOf === null
      ? draft.areas.flatMap((a) => (a.partOf === wholeId && a.id ? [a.id] : []))
      : [chosen.id as Id<'area'>];
  const points = line.points.map(([x, y]): Point => [x - whole.at[0], y - whole.at[1]]);
  let next = fresh?.draft ?? draft;
  let trouble: Issue | undefined;
  for (const of of targets) {
    const now = next.areas[at] as AreaDraft;
    const cut: CutDraft = {
      of,
      makes: makeId(),
      points,
      closed: line.closed,
      kind: 'line',
      wall: '',
    };
    const cuts = [...now.cuts, cut];
    const tried = partition(
      shape,
      cuts.map((c) => readCut({ ...c, wall: '' }, new FieldReader<string>(format), '')),
    );
    if (!tried.ok) {
      trouble ??= tried.issues[0];
      continue;
    }
    const from = next.areas.find((a) => a.id === of) as AreaDraft;
    const count = next.areas.filter((a) => a.partOf === now.id).length;
    const made: AreaDraft = { ...from, id: cut.makes, name: `${now.name} ${count + 1}` };
    next = {
      ...next,
      areas: [...next.areas.map((a, i) => (i === at ? { ...a, cuts } : a)), made],
    };
  }
  const some = (next.areas[at]?.cuts.length ?? 0) > whole.cuts.length;
  return some
    ? { ok: true, draft: withPlaces(next, format) }
    : { ok: false, why: cutTrouble(trouble) };
}

/** The place that a place was cut from last, while nothing was cut from itself since; null where it cannot go back. */
export function joinsTo(draft: SurveyDraft, index: number): AreaDraft | null {
  const area = draft.areas[index];
  const whole = draft.areas.find((a) => a.id === area?.partOf);
  const made = whole?.cuts.findIndex((c) => c.makes === area?.id) ?? -1;
  const cut = whole?.cuts[made];
  if (!whole || !cut || whole.cuts.some((c) => c.of === area?.id)) return null;
  return draft.areas.find((a) => a.id === cut.of) ?? null;
}

/** Joins a place back to the one that it was cut from; the last cut of a face gives the face back whole. */
export function joinBack(draft: SurveyDraft, index: number, format: Format): SurveyDraft {
  const area = draft.areas[index];
  if (!area || !joinsTo(draft, index)) return draft;
  const whole = draft.areas.find((a) => a.id === area.partOf);
  const left = whole?.cuts.filter((c) => c.makes !== area.id) ?? [];
  const gone = (a: AreaDraft) =>
    a.id === area.id || (left.length === 0 && a.partOf === area.partOf);
  const areas = draft.areas
    .filter((a) => !gone(a))
    .map((a) => (a.id === area.partOf ? { ...a, cuts: left } : a));
  return withPlaces({ ...draft, areas }, format);
}

/** Sets what stands on a cut of a face. */
export const setCut = (
  draft: SurveyDraft,
  makes: Id<'area'>,
  change: Partial<Pick<CutDraft, 'kind' | 'wall'>>,
  format: Format,
): SurveyDraft =>
  withPlaces(
    {
      ...draft,
      areas: draft.areas.map((a) =>
        a.cuts.some((c) => c.makes === makes)
          ? { ...a, cuts: a.cuts.map((c) => (c.makes === makes ? { ...c, ...change } : c)) }
          : a,
      ),
    },
    format,
  );

/** A closed line so far inside the edge of a face, on the plan; null where nothing is left. */
export function stripLine(shape: Shape, at: Point, widthM: number): CutLine | null {
  const [ring] = insetRing(flattenPath(shapePath(shape), 0.02e-3), widthM).sort(
    (a, b) => b.length - a.length,
  );
  return ring
    ? { points: ring.map(([x, y]): Point => [x + at[0], y + at[1]]), closed: true }
    : null;
}

/** A round hole, by where its middle lies from the left and the bottom of a shape's box, m. */
export function holeAt(shape: Shape, sizeM: number, leftM: number, lowM: number): Path {
  const points = shapeSides(shape).flat();
  const [left] = extent(points.map((p) => p[0]));
  const [low] = extent(points.map((p) => p[1]));
  return shiftPath(shapePath({ kind: 'disc', diameterM: sizeM }), [left + leftM, low + lowM]);
}
