import type { AreaKind, CoatKind } from '../piece';
import type { LinePath } from './bead';
import { layOn, type BuildLayer, type Layered } from './layer';

/** An area as far as it matters to what lies on it. */
export interface BuildArea {
  readonly id: string;
  readonly kind: AreaKind;
  /** Depth of a recess, m; 0 for the others. */
  readonly depthM: number;
  /** The face, or place of one, that a recess lies in, where a piece has several; left out: its only one. */
  readonly liesIn?: string | null;
}

/** A coat as far as it matters to what lies where. */
export interface BuildCoat {
  /** Where layers may lie on it. */
  readonly id?: string;
  readonly kind: CoatKind;
  /** Place from the ground up. */
  readonly order: number;
  readonly areaIds: readonly string[];
  /** Film that is poured, m. */
  readonly thicknessM: number;
  /** Film that stays on each of its areas once what they cannot hold has run off, m, in their order. */
  readonly staysM: readonly number[];
  /** Share of its areas that it covers, 0…1. */
  readonly coverage: number;
  /** When it has cured the dams of its areas come off. */
  readonly freesDams?: boolean;
  /** The line that is drawn, for a coat that is one. */
  readonly line?: LinePath | null;
}

/** Film that a coat leaves on an area, m. */
export const staysOn = (
  { areaIds, staysM, thicknessM }: Pick<BuildCoat, 'areaIds' | 'staysM' | 'thicknessM'>,
  areaId: string,
): number => staysM[areaIds.indexOf(areaId)] ?? thicknessM;

/** A film on an area, with the heights of its two surfaces above the area's own ground, m. */
export interface Film<C> {
  readonly coat: C;
  readonly bottomM: number;
  readonly topM: number;
}

/** The least that a coat leaves on its areas, m: what is told of it in one number. */
export const leastFilm = ({
  staysM,
  thicknessM,
}: Pick<BuildCoat, 'staysM' | 'thicknessM'>): number =>
  staysM.length > 0 ? Math.min(...staysM) : thicknessM;

/** What lies on one area. */
export interface OnArea<C> extends Layered {
  /** Height of the surface above the area's own ground, m; 0 where nothing lies. */
  readonly surfaceM: number;
  /** Films of coats that were laid on this area, lowest first, patches among them. */
  readonly films: readonly Film<C>[];
  /** The topmost coat that lies all over it; null: its ground is bare. */
  readonly top: C | null;
  /** A coat that was poured lies all over it: its surface is level, whatever hangs or leans below. */
  readonly levelled: boolean;
  /** The topmost coat of any kind that was laid on it: it may only wet its edges, or a part. */
  readonly last: C | null;
}

/** Coats on a smaller share of an area raise nothing that lies above. Judgement, no source. */
export const RAISES_FROM = 0.5;
/** Coats that are brushed or spread thin: they make no lip, fill no belly and no wedge, and follow the floor of a recess. */
const BRUSHED: readonly CoatKind[] = ['seal', 'edge', 'patch'];
/** Coats that lie on a part of their areas only: they raise nothing. */
const PARTLY: readonly CoatKind[] = ['edge', 'line'];

export const isBrushed = ({ kind }: Pick<BuildCoat, 'kind'>): boolean => BRUSHED.includes(kind);

/** Whether a coat lies all over its areas: an edge coat only wets edges, a patch covers a part. */
export const liesOver = ({ kind, coverage }: Pick<BuildCoat, 'kind' | 'coverage'>): boolean =>
  !PARTLY.includes(kind) && coverage >= RAISES_FROM;

/** The areas on which a coat lies as a film of its own: a face takes its recesses with it, a fill only recesses. */
export function filmAreas<A extends Pick<BuildArea, 'id' | 'kind'>>(
  coat: Pick<BuildCoat, 'kind' | 'areaIds'>,
  areas: readonly A[],
): A[] {
  const chosen = areas.filter((a) => coat.areaIds.includes(a.id));
  const face = chosen.some((a) => a.kind === 'face');
  if (coat.kind === 'fill' && chosen.some((a) => a.kind === 'recess'))
    return chosen.filter((a) => a.kind === 'recess');
  return face ? chosen.filter((a) => a.kind !== 'recess') : chosen;
}

const BARE: OnArea<never> = {
  ...{ surfaceM: 0, films: [], top: null, last: null, levelled: false },
  ...{ layers: [], relief: [], pores: null },
};

/**
 * What lies on every area of a piece: the one answer for ledger, intention, preparation, section and map.
 * @param areas all areas of the piece, depths in m @param coats in any order, those that are to be counted
 * @param layers those that are to be counted; one over a coat that is not is left out
 * @param onCoat told of each coat, lowest first, and of what lies beneath it then; it keeps what it wants of that
 * @returns by the id of the area, each of them
 * Source: geometry. A coat that is poured on the face levels over its recesses; one that is brushed follows their floor.
 */
export function buildUp<C extends BuildCoat>(
  areas: readonly BuildArea[],
  coats: readonly C[],
  layers: readonly BuildLayer[] = [],
  onCoat: (coat: C, beneath: ReadonlyMap<string, OnArea<C>>) => void = () => undefined,
): ReadonlyMap<string, OnArea<C>> {
  const lies = new Map<string, OnArea<C>>(areas.map((a) => [a.id, BARE]));
  const on = (id: string): OnArea<C> => lies.get(id) ?? BARE;
  const layAll = (over: string | null) => {
    for (const layer of layers.filter((l) => l.over === over).sort((a, b) => a.turn - b.turn))
      for (const id of layer.areaIds) if (lies.has(id)) lies.set(id, layOn(on(id), layer));
  };
  layAll(null);
  for (const coat of [...coats].sort((a, b) => a.order - b.order)) {
    onCoat(coat, lies);
    layCoat(coat);
    if (coat.id !== undefined) layAll(coat.id);
  }
  return lies;

  function layCoat(coat: C): void {
    const own = PARTLY.includes(coat.kind) ? [] : filmAreas(coat, areas);
    const over = liesOver(coat);
    for (const id of coat.areaIds)
      if (lies.has(id) && !own.some((a) => a.id === id)) lies.set(id, { ...on(id), last: coat });
    for (const { id } of own) {
      const { surfaceM, films, top, levelled, pores, layers: laid, relief } = on(id);
      const film = { coat, bottomM: surfaceM, topM: surfaceM + staysOn(coat, id) };
      lies.set(id, {
        layers: laid,
        relief,
        pores: over ? null : pores,
        surfaceM: over ? film.topM : surfaceM,
        films: [...films, film],
        top: over ? coat : top,
        last: coat,
        levelled: levelled || (over && !isBrushed(coat)),
      });
    }
    const face = own.find((a) => a.kind === 'face');
    if (!over || !face) return;
    const reached = ({ kind, liesIn = null }: BuildArea) =>
      kind === 'recess' && (liesIn === null || own.some((a) => a.id === liesIn));
    for (const pit of areas.filter(reached)) {
      const under = on(pit.id);
      const filledM = Math.max(under.surfaceM, isBrushed(coat) ? 0 : pit.depthM);
      const levelled = under.levelled || !isBrushed(coat);
      const surfaceM = filledM + staysOn(coat, pit.liesIn ?? face.id);
      lies.set(pit.id, { ...under, surfaceM, top: coat, last: coat, levelled });
    }
  }
}

/** What lies under a coat: the build-up of those of a lower order. */
export const beneath = <C extends BuildCoat>(
  { order }: Pick<BuildCoat, 'order'>,
  areas: readonly BuildArea[],
  coats: readonly C[],
  layers: readonly BuildLayer[] = [],
): ReadonlyMap<string, OnArea<C>> =>
  buildUp(
    areas,
    coats.filter((c) => c.order < order),
    layers,
  );
