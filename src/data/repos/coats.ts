import { checkCoatOrder } from '@/core/coat';
import { assert } from '@/core/result';
import type { ShopDb } from '../db';
import { planRoomK, roomOf } from '@/shop/room';
import { settledCoats, type PieceRows } from '@/shop/settled';
import { asId, type Coat, type Id, type Layer } from '@/records';
import { act, type ActionContext } from '../write';
import equal from 'fast-deep-equal';
import { ActionError, StaleActionError, type Stales } from '../errors';
import type { Prefer } from '../merge';
import { newCoats, type NewCoat } from './newCoats';

export type { NewCoat };

export type CoatChange = Partial<
  Pick<
    Coat,
    | 'name'
    | 'kind'
    | 'resinId'
    | 'intent'
    | 'coverage'
    | 'colours'
    | 'overrides'
    | 'reserve'
    | 'restS'
    | 'areaIds'
    | 'line'
    | 'freesDams'
  >
>;

/** A layer that is planned with coats, over one of them by its place among them, from 0; null: on what lies there. */
export interface PlannedLayer extends Pick<
  Layer,
  'kind' | 'name' | 'greatestM' | 'meanM' | 'share' | 'labelS' | 'turn'
> {
  readonly areaIds: readonly string[];
  readonly over: number | null;
}

/** What acts on coats read and write. */
export const TABLES = ['coats', 'areas', 'layers', 'resins', 'pieces', 'tasks', 'room'] as const;
const byPlace = (a: Coat, b: Coat): number => a.order - b.order;

/** @throws StaleActionError when the piece is gone */
export async function pieceRows(db: ShopDb, pieceId: Id<'piece'>): Promise<PieceRows> {
  const [piece, areas, resins, coats, layers, tasks, days] = await Promise.all([
    db.pieces.get(pieceId),
    db.areas.where('pieceId').equals(pieceId).toArray(),
    db.resins.toArray(),
    db.coats.where('pieceId').equals(pieceId).toArray(),
    db.layers.where('pieceId').equals(pieceId).toArray(),
    db.tasks.where('pieceId').equals(pieceId).toArray(),
    db.room.orderBy('id').toArray(),
  ]);
  if (!piece) throw new StaleActionError('piece gone');
  return { piece, areas, resins, coats, layers, tasks, roomK: planRoomK(roomOf(days)) };
}

/**
 * Rows to write so that a piece has the coats of `next`, with the film of every planned one as it comes out now. (Rows, and no writes: a loop of its own would leave the transaction's zone.)
 */
export function coatRows(rows: PieceRows, next: readonly Coat[]): Coat[] {
  return settledCoats({ ...rows, coats: next }).filter((coat) => !rows.coats.includes(coat));
}

/**
 * Plans coats of one piece on top of those there are, the lowest first, with what is laid between. Returns their ids.
 * @throws RangeError when the plans are of several pieces, or none
 */
export function planCoats(
  db: ShopDb,
  context: ActionContext,
  plans: readonly NewCoat[],
  layers: readonly PlannedLayer[] = [],
): Promise<Id<'coat'>[]> {
  return act(db, context, TABLES, async (w) => {
    const [pieceId, other] = [...new Set(plans.map((p) => p.pieceId))];
    assert(pieceId !== undefined && other === undefined, 'planCoats', plans.length);
    const rows = await pieceRows(db, pieceId);
    const under = rows.coats.find((c) => c.id === plans[0]?.over);
    const top = under?.order ?? Math.max(0, ...rows.coats.map((c) => c.order));
    const { added, lifted } = newCoats(context, rows.coats, plans, top);
    const below = [...rows.coats].sort(byPlace).findLast((c) => c.order <= top)?.id ?? null;
    const laid = layers.map((layer): Layer => ({
      ...layer,
      id: context.newId(),
      pieceId,
      turn: rows.layers.length + layer.turn,
      over: layer.over === null ? below : (added[layer.over]?.id ?? below),
      areaIds: layer.areaIds.map((id) => asId<'area'>(id)),
      state: { at: 'planned' },
    }));
    const withLayers = { ...rows, layers: [...rows.layers, ...laid] };
    for (const row of coatRows(withLayers, [...lifted, ...added])) await w.put('coats', row);
    for (const row of laid) await w.put('layers', row);
    for (const { id, name, thicknessM } of added)
      await w.log('coat planned', { pieceId, coatId: id, text: name, figures: { thicknessM } });
    return added.map((c) => c.id);
  });
}

/** Plans one coat on top of those there are. Returns its id. */
export async function planCoat(
  db: ShopDb,
  context: ActionContext,
  plan: NewCoat,
): Promise<Id<'coat'>> {
  const [id] = await planCoats(db, context, [plan]);
  if (id === undefined) throw new Error('planCoat: no coat was planned');
  return id;
}

/** @throws StaleActionError when the coat is no longer planned */
export async function plannedCoat(
  db: ShopDb,
  coatId: Id<'coat'>,
  verb: Stales['coat not planned']['verb'],
): Promise<Coat> {
  const coat = await db.coats.get(coatId);
  if (!coat || coat.batchId !== null) throw new StaleActionError('coat not planned', { verb });
  return coat;
}

export interface ChangeBasis {
  /** The fields as they stood when the change was begun. */
  readonly base: CoatChange;
  /** What the same user stored meanwhile: no conflict with it. */
  readonly own?: CoatChange;
  readonly prefer?: Prefer;
}

/** The part of a change that goes in: fields that another changed meanwhile are told, or go as preferred. */
function agreed(
  coat: Coat,
  change: CoatChange,
  { base, own = {}, prefer = null }: ChangeBasis,
): CoatChange {
  const names = Object.keys(change) as (keyof CoatChange)[];
  const fields = names
    .filter((f) => ![base[f], own[f], change[f]].some((known) => equal(coat[f], known)))
    .map((field) => ({ field, mine: change[field], theirs: coat[field] }));
  if (fields.length > 0 && prefer === null) throw new ActionError('conflict', { fields });
  if (prefer !== 'theirs') return change;
  const dropped = new Set<string>(fields.map((f) => f.field));
  return Object.fromEntries(Object.entries(change).filter(([name]) => !dropped.has(name)));
}

/**
 * Changes a coat that is still planned; the thickness of all that lies above follows.
 * @throws StaleActionError when it is no longer planned; ActionError `conflict` when another changed the same field
 */
export function changeCoat(
  db: ShopDb,
  context: ActionContext,
  coatId: Id<'coat'>,
  told: CoatChange,
  based: ChangeBasis | null = null,
): Promise<void> {
  return act(db, context, TABLES, async (w) => {
    const coat = await plannedCoat(db, coatId, 'changed');
    const change = based ? agreed(coat, told, based) : told;
    const { pieceId } = coat;
    const rows = await pieceRows(db, pieceId);
    const next = rows.coats.map((c) => (c.id === coatId ? { ...c, ...change } : c));
    for (const row of coatRows(rows, next)) await w.put('coats', row);
    const { name, thicknessM } = (await db.coats.get(coatId)) ?? coat;
    await w.log('coat changed', { pieceId, coatId, text: name, figures: { thicknessM } });
  });
}

/** Takes a planned coat off the plan. */
export function removeCoat(db: ShopDb, context: ActionContext, coatId: Id<'coat'>): Promise<void> {
  return act(db, context, [...TABLES, 'defects'], async (w) => {
    const { pieceId, name, order } = await plannedCoat(db, coatId, 'removed');
    // What was found on it, before its pour was taken back, is now found on the piece.
    const found = await db.defects.where('coatId').equals(coatId).toArray();
    for (const defect of found) await w.put('defects', { ...defect, coatId: null });
    const rows = await pieceRows(db, pieceId);
    const next = rows.coats.filter((c) => c.id !== coatId);
    // What was laid on it lies on what it lay on.
    const below = [...rows.coats].sort(byPlace).findLast((c) => c.order < order)?.id ?? null;
    const mates = rows.layers.filter((l) => l.over === below).length;
    const settled = rows.layers.map((l) =>
      l.over === coatId ? { ...l, over: below, turn: l.turn + mates } : l,
    );
    for (const row of settled.filter((l) => !rows.layers.includes(l))) await w.put('layers', row);
    await db.coats.delete(coatId);
    for (const row of coatRows({ ...rows, layers: settled }, next)) await w.put('coats', row);
    await w.log('coat removed', { pieceId, coatId, text: name });
  });
}

/**
 * Puts a coat that was taken off the plan back where it was, with the layers that lay on it.
 * @throws StaleActionError when one of its areas or its resin is gone, or a poured coat lies above its place
 */
export function restoreCoat(
  db: ShopDb,
  context: ActionContext,
  coat: Coat,
  layerIds: readonly Id<'layer'>[],
): Promise<void> {
  return act(db, context, TABLES, async (w) => {
    const { pieceId, name } = coat;
    const rows = await pieceRows(db, pieceId);
    const there = new Set(rows.areas.filter((a) => a.cuts.length === 0).map((a) => a.id));
    const gone = coat.areaIds.some((id) => !there.has(id));
    if (
      gone ||
      !rows.resins.some((r) => r.id === coat.resinId) ||
      rows.coats.some((c) => c.id === coat.id)
    )
      throw new StaleActionError('something else was done since');
    const taken = rows.coats.some((c) => c.order === coat.order);
    const lifted = rows.coats.map((c) =>
      taken && c.order >= coat.order ? { ...c, order: c.order + 1 } : c,
    );
    if (lifted.some((c) => c.order > coat.order && c.batchId !== null))
      throw new StaleActionError('nothing goes below it', { name });
    const layers = rows.layers.map((l) => (layerIds.includes(l.id) ? { ...l, over: coat.id } : l));
    for (const row of coatRows({ ...rows, layers }, [...lifted, coat])) await w.put('coats', row);
    for (const row of layers.filter((l) => !rows.layers.includes(l))) await w.put('layers', row);
    await w.log('coat planned', { pieceId, coatId: coat.id, text: `${name}, put back` });
  });
}

/**
 * Lays a planned coat one place lower or higher.
 * @throws StaleActionError where there is no such place, or a poured coat lies there
 */
export function moveCoat(
  db: ShopDb,
  context: ActionContext,
  coatId: Id<'coat'>,
  by: 1 | -1,
): Promise<void> {
  return act(db, context, TABLES, async (w) => {
    const coat = await plannedCoat(db, coatId, 'moved');
    const { pieceId } = coat;
    const rows = await pieceRows(db, pieceId);
    const placed = [...rows.coats].sort(byPlace);
    const other = placed[placed.findIndex((c) => c.id === coatId) + by];
    if (!other) throw new StaleActionError('no place to move to');
    const next = rows.coats.map((c) =>
      c.id === coatId
        ? { ...c, order: other.order }
        : c.id === other.id
          ? { ...c, order: coat.order }
          : c,
    );
    if (!checkCoatOrder(next.map((c) => ({ order: c.order, poured: c.batchId !== null }))).ok)
      throw new StaleActionError('nothing goes below it', { name: other.name });
    for (const row of coatRows(rows, next)) await w.put('coats', row);
    const text = `${coat.name} ${by > 0 ? 'over' : 'under'} ${other.name}`;
    await w.log('coat changed', { pieceId, coatId, text });
  });
}
