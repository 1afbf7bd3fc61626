import { joinPlaces, placeOf } from '@/core/coat';
import { measureShape } from '@/core/geometry';
import type { PrepArea, PrepCover } from '@/core/prep';
import type { Area } from '@/records';

/** What stands beyond a cut of a face: whether a place that stays bare borders on it. */
const bordersBare = (whole: Area, areas: readonly Area[], makes: string): boolean =>
  areas.some(
    (a) =>
      a.partOf === whole.id &&
      a.bare &&
      placeOf(whole, a.id)?.onCut.some((cut) => cut?.makes === makes),
  );

/** Places of one face under a coat: what hangs together is masked, and measured, as one. */
function coversOfFace(whole: Area, ids: readonly string[], areas: readonly Area[]): PrepCover[] {
  return joinPlaces(whole, ids).map(({ joined, ids: areaIds }) => {
    const { sideLengthsM } = measureShape(joined.shape);
    const inside = new Set(joined.inner);
    // Of each place the edges that lie on the outline of the cover, in the order of their cuts and sides.
    const own = areaIds.flatMap((areaId) =>
      (placeOf(whole, areaId)?.onCut ?? []).flatMap((cut, edge) =>
        cut && inside.has(cut) ? [] : [{ areaId, edge, cut }],
      ),
    );
    const whole_ = joined.shape === whole.shape;
    const edges = joined.edges.map(({ kind, heightM }, i): PrepCover['edges'][number] => ({
      ...{ kind, heightM, lengthM: sideLengthsM[i] ?? 0 },
      on: whole_ ? null : (own.find((o) => o.cut === (joined.onCut[i] ?? null)) ?? null),
    }));
    const bareM = joined.onCut.reduce(
      (sum, cut, i) =>
        sum +
        (cut?.kind === 'line' && bordersBare(whole, areas, cut.makes) ? (sideLengthsM[i] ?? 0) : 0),
      0,
    );
    const holesM = (joined.shape.keepBare ?? []).reduce(
      (sum, outer) => sum + measureShape({ kind: 'outline', outer, keepBare: [] }).perimeterM,
      0,
    );
    return { areaIds, kind: whole.kind, edges, bareOutlineM: bareM + holesM };
  });
}

const known = new WeakMap<readonly Area[], Map<string, readonly PrepCover[]>>();

/** What a coat covers: areas by themselves, places of a face together. */
export function coversOf(
  areaIds: readonly string[],
  areas: readonly Area[],
  wholes: readonly Area[],
  told: readonly PrepArea[],
): readonly PrepCover[] | undefined {
  if (wholes.length === 0) return undefined;
  const here = known.get(areas) ?? new Map<string, readonly PrepCover[]>();
  known.set(areas, here);
  const key = areaIds.join(' ');
  const before = here.get(key);
  if (before) return before;
  const on = areas.filter((a) => areaIds.includes(a.id));
  const done = new Set<string>();
  const covers = on.flatMap((area): PrepCover[] => {
    const whole = wholes.find((w) => w.id === area.partOf);
    if (!whole) {
      const plain = told.find((a) => a.id === area.id);
      if (!plain) return [];
      const edges = plain.edges.map((e, edge) => ({ ...e, on: { areaId: area.id, edge } }));
      return [{ areaIds: [area.id], kind: area.kind, edges, bareOutlineM: plain.bareOutlineM }];
    }
    if (done.has(whole.id)) return [];
    done.add(whole.id);
    const ids = on.filter((a) => a.partOf === whole.id).map((a) => a.id);
    return coversOfFace(whole, ids, areas);
  });
  here.set(key, covers);
  return covers;
}
