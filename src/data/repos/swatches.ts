import type { Id, Swatch, SwatchTrial } from '@/records';
import type { ShopDb } from '../db';
import { StaleActionError } from '../errors';
import { act, type ActionContext } from '../write';

/** Adds a colour as a recipe, or changes it. */
export function saveSwatch(db: ShopDb, context: ActionContext, swatch: Swatch): Promise<void> {
  return act(db, context, ['swatches', 'resins'], async (w) => {
    const resin = await db.resins.get(swatch.resinId);
    if (!resin) throw new StaleActionError('swatch gone');
    const known = await db.swatches.get(swatch.id);
    await w.put('swatches', swatch);
    await w.log(known ? 'swatch changed' : 'swatch added', {
      text: `${resin.name}: ${swatch.name}`,
    });
  });
}

/**
 * A trial of a colour: how it came out.
 * @throws StaleActionError when the swatch is gone
 */
export function trySwatch(
  db: ShopDb,
  context: ActionContext,
  swatchId: Id<'swatch'>,
  trial: Omit<SwatchTrial, 'atMs'>,
): Promise<void> {
  return act(db, context, ['swatches'], async (w) => {
    const swatch = await db.swatches.get(swatchId);
    if (!swatch) throw new StaleActionError('swatch gone');
    const trials = [...swatch.trials, { ...trial, atMs: context.nowMs }];
    await w.put('swatches', { ...swatch, trials });
    const { seen } = trial;
    await w.log('swatch tried', {
      text: [swatch.name, trial.remark].filter(Boolean).join(': '),
      figures: seen ? { overBlack: seen.overBlack, overWhite: seen.overWhite } : {},
    });
  });
}

/**
 * A colour that was noted by mistake goes; coats that are planned with it keep its name.
 * @throws StaleActionError when it is gone, or a coat was poured with it
 */
export function removeSwatch(
  db: ShopDb,
  context: ActionContext,
  swatchId: Id<'swatch'>,
): Promise<void> {
  return act(db, context, ['swatches', 'coats'], async (w) => {
    const swatch = await db.swatches.get(swatchId);
    const coats = await db.coats
      .filter((c) => c.colours.some((colour) => colour.swatchId === swatchId))
      .toArray();
    if (!swatch || coats.some((c) => c.batchId !== null)) throw new StaleActionError('swatch gone');
    for (const coat of coats)
      await w.put('coats', {
        ...coat,
        colours: coat.colours.map((c) => (c.swatchId === swatchId ? { ...c, swatchId: null } : c)),
      });
    await db.swatches.delete(swatchId);
    await w.log('swatch removed', { text: swatch.name });
  });
}
