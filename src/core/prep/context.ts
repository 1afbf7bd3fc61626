import { buildUp, type OnArea } from '../coat';
import type { PrepArea, PrepCoat, PrepFacts } from './facts';

/** Facts with what many rules ask of them. */
export interface PrepContext extends PrepFacts {
  /** Coats that are not poured yet, lowest first. */
  readonly waiting: readonly PrepCoat[];
  /** Coats that lie on the piece, lowest first. */
  readonly lying: readonly PrepCoat[];
  readonly areaOf: (id: string) => PrepArea | undefined;
  readonly areasOf: (coat: PrepCoat) => readonly PrepArea[];
  /** What is poured on an area, as `buildUp` tells it. */
  readonly on: (areaId: string) => OnArea<PrepCoat>;
  /** The lowest waiting coat on an area. */
  readonly nextOn: (areaId: string) => PrepCoat | undefined;
  /** Areas whose ground is still bare, with the coat that comes first on each; all of them when no coat is planned. */
  readonly ground: readonly { readonly area: PrepArea; readonly coatId: string | null }[];
}

const NOTHING: OnArea<PrepCoat> = {
  surfaceM: 0,
  films: [],
  top: null,
  last: null,
  levelled: false,
  layers: [],
  relief: [],
  pores: null,
};

/** Puts facts in order for the rules. */
export function prepContext(facts: PrepFacts): PrepContext {
  const coats = [...facts.coats].sort((a, b) => a.order - b.order);
  const waiting = coats.filter((c) => c.poured === null);
  const lying = coats.filter((c) => c.poured !== null);
  const byId = new Map(facts.areas.map((a) => [a.id, a]));
  const laid = facts.layers.filter((l) => l.state !== 'planned');
  const lies = buildUp(facts.areas, lying, laid);
  const on = (areaId: string) => lies.get(areaId) ?? NOTHING;
  const nextOn = (areaId: string) => waiting.find((c) => c.areaIds.includes(areaId));
  const ground = facts.areas.flatMap((area) => {
    if (on(area.id).top) return [];
    const next = nextOn(area.id);
    return next || (coats.length === 0 && area.bare !== true)
      ? [{ area, coatId: next?.id ?? null }]
      : [];
  });
  const own = new Map<PrepCoat, readonly PrepArea[]>();
  const areasOf = (coat: PrepCoat) => {
    const known =
      own.get(coat) ?? coat.areaIds.map((id) => byId.get(id)).filter((a) => a !== undefined);
    own.set(coat, known);
    return known;
  };
  return { ...facts, waiting, lying, areaOf: (id) => byId.get(id), areasOf, on, nextOn, ground };
}

interface OpenEdges {
  readonly lengthM: number;
  readonly bandM2: number;
  readonly indices: readonly number[];
}
/** Areas never change once they are read. */
const opens = new WeakMap<PrepArea, OpenEdges>();

/** Length and unrolled area of an area's open edges, one piece. */
export function openEdges(area: PrepArea): OpenEdges {
  const known = opens.get(area) ?? findOpen(area);
  opens.set(area, known);
  return known;
}

function findOpen(area: PrepArea): OpenEdges {
  const indices = area.edges.flatMap((e, i) => (e.kind === 'open' ? [i] : []));
  const open = indices.map((i) => area.edges[i]).filter((e) => e !== undefined);
  return {
    indices,
    lengthM: open.reduce((sum, e) => sum + e.lengthM, 0),
    bandM2: open.reduce((sum, e) => sum + e.lengthM * e.heightM, 0),
  };
}
