import { buildUp } from '../../coat';
import type { PrepContext } from '../context';
import type { PrepCoat } from '../facts';

/**
 * What a coat lies on, poured or still planned: the topmost coat that covers one of its areas. An edge coat only wets
 * edges, so it is ground for the next edge coat alone; a film over it holds on the face.
 */
export function below(facts: PrepContext, coat: PrepCoat): PrepCoat | undefined {
  const known = belows.get(facts) ?? allBelow(facts);
  belows.set(facts, known);
  return known.get(coat.id);
}
const belows = new WeakMap<PrepContext, ReadonlyMap<string, PrepCoat>>();

function allBelow({ areas, coats }: PrepContext): ReadonlyMap<string, PrepCoat> {
  const found = new Map<string, PrepCoat>();
  buildUp(areas, coats, [], (coat, under) => {
    for (const id of coat.areaIds) {
      const on = under.get(id);
      const lower = coat.kind === 'edge' ? on?.last : on?.top;
      if (lower && lower.order >= (found.get(coat.id)?.order ?? -Infinity))
        found.set(coat.id, lower);
    }
  });
  return found;
}

/** When the coat that lies below on these areas can be touched; null where none lies. */
export function handledMs(facts: PrepContext, areaIds: readonly string[]): number | null {
  const under = areaIds.flatMap((id) => facts.on(id).top?.poured?.handleMs ?? []);
  return under.length > 0 ? Math.max(...under) : null;
}
