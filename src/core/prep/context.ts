import type { PrepArea, PrepCoat, PrepFacts } from './facts';

/** Facts with what many rules ask of them. */
export interface PrepContext extends PrepFacts {
  /** Coats that are not poured yet, lowest first. */
  readonly waiting: readonly PrepCoat[];
  /** Coats that lie on the piece, lowest first. */
  readonly lying: readonly PrepCoat[];
  readonly areaOf: (id: string) => PrepArea | undefined;
  readonly areasOf: (coat: PrepCoat) => readonly PrepArea[];
  /** The topmost coat that lies on an area. */
  readonly topOn: (areaId: string) => PrepCoat | undefined;
  /** The lowest waiting coat on an area. */
  readonly nextOn: (areaId: string) => PrepCoat | undefined;
  /** Areas that nothing was poured on yet, with the coat that comes first on each; all of them when no coat is planned. */
  readonly ground: readonly { readonly area: PrepArea; readonly coatId: string | null }[];
}

/** Puts facts in order for the rules. */
export function prepContext(facts: PrepFacts): PrepContext {
  const coats = [...facts.coats].sort((a, b) => a.order - b.order);
  const waiting = coats.filter((c) => c.poured === null);
  const lying = coats.filter((c) => c.poured !== null);
  const byId = new Map(facts.areas.map((a) => [a.id, a]));
  const topOn = (areaId: string) => lying.findLast((c) => c.areaIds.includes(areaId));
  const nextOn = (areaId: string) => waiting.find((c) => c.areaIds.includes(areaId));
  const ground = facts.areas.flatMap((area) => {
    if (topOn(area.id)) return [];
    const next = nextOn(area.id);
    return next || coats.length === 0 ? [{ area, coatId: next?.id ?? null }] : [];
  });
  const areasOf = (coat: PrepCoat) =>
    coat.areaIds.map((id) => byId.get(id)).filter((a) => a !== undefined);
  return { ...facts, waiting, lying, areaOf: (id) => byId.get(id), areasOf, topOn, nextOn, ground };
}

/** Length and unrolled area of an area's open edges, one piece. */
export function openEdges(area: PrepArea): {
  readonly lengthM: number;
  readonly bandM2: number;
  readonly indices: readonly number[];
} {
  const indices = area.edges.flatMap((e, i) => (e.kind === 'open' ? [i] : []));
  const open = indices.map((i) => area.edges[i]).filter((e) => e !== undefined);
  return {
    indices,
    lengthM: open.reduce((sum, e) => sum + e.lengthM, 0),
    bandM2: open.reduce((sum, e) => sum + e.lengthM * e.heightM, 0),
  };
}
