import type { Coat, Id } from '@/records';
import type { ShopDb } from '../db';
import { act, type ActionContext } from '../write';
import { coatRows, pieceRows, plannedCoat, TABLES } from './coats';

/** Replaces a planned coat by its lifts, each a coat of its own. Returns the id of the lowest. */
export function splitCoat(
  db: ShopDb,
  context: ActionContext,
  coatId: Id<'coat'>,
  films: readonly number[],
): Promise<Id<'coat'>> {
  return act(db, context, TABLES, async (w) => {
    const coat = await plannedCoat(db, coatId, 'split');
    const { pieceId } = coat;
    const rows = await pieceRows(db, pieceId);
    const others = rows.coats
      .filter((c) => c.id !== coatId)
      .map((c) => (c.order > coat.order ? { ...c, order: c.order + films.length - 1 } : c));
    const lifts = films.map((thicknessM, i): Coat => {
      const locks = i === 0 && (films[1] ?? thicknessM) > thicknessM * 1.001;
      return {
        ...coat,
        id: i === 0 ? coat.id : context.newId(),
        order: coat.order + i,
        name: `${coat.name}, lift ${i + 1}`,
        kind: locks ? 'lock' : coat.kind,
        intent: { by: 'given', thicknessM },
        overrides: [],
        thicknessM,
        staysM: coat.areaIds.map(() => thicknessM),
      };
    });
    // What was to lie on the coat lies on its last lift.
    const last = lifts.at(-1)?.id ?? coat.id;
    const moved = rows.layers.map((l) => (l.over === coatId ? { ...l, over: last } : l));
    for (const row of coatRows({ ...rows, layers: moved }, [...others, ...lifts]))
      await w.put('coats', row);
    for (const row of moved.filter((l) => !rows.layers.includes(l))) await w.put('layers', row);
    const text = `${coat.name} in ${films.length} lifts`;
    await w.log('coat changed', { pieceId, coatId, text });
    return coatId;
  });
}
