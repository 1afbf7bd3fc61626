import type { ShopDb } from '../db';
import { StaleActionError } from '../errors';
import { act, type ActionContext } from '../write';
import type { Id, Layer } from '@/records';
import { coatRows, pieceRows } from './coats';

/** What is told of a layer; its place among those over the same coat follows. */
export type NewLayer = Omit<Layer, 'id' | 'turn'>;
export type LayerChange = Partial<
  Pick<
    Layer,
    'areaIds' | 'kind' | 'name' | 'over' | 'greatestM' | 'meanM' | 'share' | 'labelS' | 'state'
  >
>;

const TABLES = ['layers', 'coats', 'areas', 'resins', 'pieces', 'tasks', 'room'] as const;

/** Puts a layer between the coats of a piece, over those that lie there already. Returns its id. */
export function addLayer(db: ShopDb, context: ActionContext, told: NewLayer): Promise<Id<'layer'>> {
  return act(db, context, TABLES, async (w) => {
    const { pieceId, over, name } = told;
    const mates = await db.layers.where('pieceId').equals(pieceId).toArray();
    const turn = Math.max(-1, ...mates.filter((l) => l.over === over).map((l) => l.turn)) + 1;
    const layer: Layer = { ...told, id: context.newId(), turn };
    await w.put('layers', layer);
    const rows = await pieceRows(db, pieceId);
    for (const row of coatRows(rows, rows.coats)) await w.put('coats', row);
    const { greatestM } = told;
    await w.log('layer planned', { pieceId, text: name, figures: { greatestM } });
    return layer.id;
  });
}

async function layerOf(db: ShopDb, layerId: Id<'layer'>): Promise<Layer> {
  const layer = await db.layers.get(layerId);
  if (!layer) throw new StaleActionError('layer gone');
  return layer;
}

/** @throws StaleActionError when the layer is gone, or is said to be laid in the future */
export function changeLayer(
  db: ShopDb,
  context: ActionContext,
  layerId: Id<'layer'>,
  change: LayerChange,
): Promise<void> {
  return act(db, context, TABLES, async (w) => {
    const layer = await layerOf(db, layerId);
    const { state } = change;
    if (state?.at === 'laid' && state.laidMs > context.nowMs)
      throw new StaleActionError('done in the future');
    const next = { ...layer, ...change };
    await w.put('layers', next);
    const { pieceId, name } = next;
    const rows = await pieceRows(db, pieceId);
    for (const row of coatRows(rows, rows.coats)) await w.put('coats', row);
    const laid = state?.at === 'laid';
    const kind = !laid ? 'layer changed' : state.dryMs === null ? 'layer laid' : 'layer dry';
    await w.log(kind, { pieceId, text: name, figures: laid ? { doneMs: state.laidMs } : {} });
  });
}

export function removeLayer(
  db: ShopDb,
  context: ActionContext,
  layerId: Id<'layer'>,
): Promise<void> {
  return act(db, context, TABLES, async (w) => {
    const { pieceId, name } = await layerOf(db, layerId);
    await db.layers.delete(layerId);
    const rows = await pieceRows(db, pieceId);
    for (const row of coatRows(rows, rows.coats)) await w.put('coats', row);
    await w.log('layer removed', { pieceId, text: name });
  });
}
