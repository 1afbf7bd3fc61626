import {
  LAYER_FACTS,
  type BuildCoat,
  type BuildLayer,
  type ReadyPlan,
  type ReserveSchool,
} from '@/core/coat';
import { type Area, plainCoat, type Resin } from '@/records';
import { filmOf } from '@/shop/coatFacts';
import type { NewCoat, PlannedLayer } from '@/data/repos/coats';
import type { PieceView } from '@/shop/coatView';
import type { Format } from '@/features/common/useFormat';
import { intentIssueText } from './intents';
import { usualOn } from './model';

const KIND_OF = { faces: 'face', recesses: 'recess', backs: 'back' } as const;

export type ReadyRead =
  | {
      readonly ok: true;
      readonly coats: readonly NewCoat[];
      readonly layers: readonly PlannedLayer[];
      readonly text: string;
    }
  | { readonly ok: false; readonly why: string };

/** The coats of a ready plan on a piece, from the ground up; or why it cannot be laid there. */
export function readyPlan(
  plan: ReadyPlan,
  {
    piece,
    areas,
    wholes,
    layers,
    coats,
    sealed,
    roomK,
  }: Pick<PieceView, 'piece' | 'areas' | 'wholes' | 'layers' | 'coats' | 'sealed' | 'roomK'>,
  resin: Resin,
  reserve: ReserveSchool,
  format: Format,
): ReadyRead {
  const first = Math.max(0, ...coats.map((c) => c.coat.order)) + 1;
  const laid = coats.map((c): BuildCoat => c.coat);
  const places = areas.filter((a) => a.kind === 'face' && !a.bare).map((a) => a.id);
  const own = (plan.layers ?? []).map(({ kind, over }, i): PlannedLayer => {
    const { greatestM, meanM, share, labelS } = LAYER_FACTS[kind];
    return {
      ...{ kind, over, greatestM, meanM, share, labelS, areaIds: places, turn: i },
      name: `${kind[0]?.toUpperCase() ?? ''}${kind.slice(1)}`,
    };
  });
  /** Layers of the plan as they lie under its coats, which have no ids yet. */
  const under: BuildLayer[] = own.map((l, i) => ({
    ...l,
    id: `ready-${i}`,
    over: l.over === null ? (coats.at(-1)?.coat.id ?? null) : `ready-coat-${l.over}`,
    turn: 100 + i,
  }));
  const planned: NewCoat[] = [];
  for (const [i, { name, kind, intent: told, on }] of plan.coats.entries()) {
    const grounds = areas.filter((a: Area) => a.kind === KIND_OF[on] && !a.bare);
    const areaIds = grounds.map((a) => a.id);
    if (areaIds.length === 0) return { ok: false, why: `no ${KIND_OF[on]} is surveyed.` };
    const intent = told === 'usual' ? usualOn(kind, grounds, piece.support, format) : told;
    const row = { ...plainCoat(1e-3), reserve, kind, areaIds, order: first + i, intent };
    const ground = { piece, areas, wholes, coats: laid, sealed, roomK };
    // What is laid between counts as what is there already.
    const found = filmOf(row, { ...ground, layers: [...layers, ...under] }, resin.sheet);
    if (!found.ok) {
      const [issue] = found.issues;
      return { ok: false, why: issue ? intentIssueText(issue, format) : 'it does not fit.' };
    }
    laid.push({ ...row, ...found.value, id: `ready-coat-${i}` });
    planned.push({
      ...plainCoat(found.value.thicknessM),
      ...{ pieceId: piece.id, name, kind, areaIds, intent, reserve, resinId: resin.id },
    });
  }
  const text = planned
    .map((c) => `${c.name} ${format.show(c.thicknessM, 'film').text}`)
    .join(' · ');
  return {
    ok: true,
    coats: planned,
    layers: own,
    text: [text, ...own.map((l) => l.name)].join(' · '),
  };
}
