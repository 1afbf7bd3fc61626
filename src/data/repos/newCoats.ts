import { COATS, type Coat, type Id } from '@/records';
import { StaleActionError } from '../errors';
import type { ActionContext } from '../write';
import { without } from './without';

/** What is told of a new coat; its place, its thickness and all that happens to it follow. */
export type NewCoat = Pick<
  Coat,
  | 'pieceId'
  | 'areaIds'
  | 'kind'
  | 'name'
  | 'resinId'
  | 'intent'
  | 'thicknessM'
  | 'coverage'
  | 'colours'
  | 'overrides'
  | 'restS'
  | 'reserve'
> &
  Partial<Pick<Coat, 'line' | 'freesDams'>> & {
    /** The planned coat, or the topmost that lies, that it goes on; the topmost of all when left out. */
    readonly over?: Id<'coat'>;
  };

/**
 * New coats in their places, and those above them lifted.
 * @param top the place that they go on; left out: the topmost coat that lies or is mixed
 * @throws StaleActionError when a coat above is mixed
 */
export function newCoats(
  context: ActionContext,
  coats: readonly Coat[],
  plans: readonly NewCoat[],
  top = Math.max(0, ...coats.filter((c) => c.batchId !== null).map((c) => c.order)),
): { readonly added: readonly Coat[]; readonly lifted: readonly Coat[] } {
  const above = coats.filter((c) => c.order > top);
  if (above.some((c) => c.batchId !== null)) throw new StaleActionError('no place to move to');
  return {
    lifted: coats.map((c) => (c.order > top ? { ...c, order: c.order + plans.length } : c)),
    added: plans.map((plan, i): Coat => ({
      ...COATS.defaults,
      ...without(plan, 'over'),
      staysM: plan.areaIds.map(() => plan.thicknessM),
      id: context.newId(),
      order: top + 1 + i,
    })),
  };
}
