import { buildUp } from '../../coat';
import type { PrepContext } from '../context';
import type { PrepCoat } from '../facts';

type Under = ReadonlyMap<string, PrepCoat>;
const NONE: Under = new Map();
const belows = new WeakMap<PrepContext, ReadonlyMap<string, Under>>();

/**
 * What a coat lies on, poured or still planned, by the area: the topmost coat that covers it there. An edge coat only
 * wets edges, so it is ground for the next edge coat alone; a film over it holds on the face.
 * @returns by the id of the area, those only that a coat lies on already
 */
export function belowOn(facts: PrepContext, coat: PrepCoat): Under {
  const known = belows.get(facts) ?? allBelow(facts);
  belows.set(facts, known);
  return known.get(coat.id) ?? NONE;
}

/** The highest coat that a coat lies on anywhere. */
export const below = (facts: PrepContext, coat: PrepCoat): PrepCoat | undefined =>
  [...belowOn(facts, coat).values()].reduce<PrepCoat | undefined>(
    (high, c) => (high && high.order >= c.order ? high : c),
    undefined,
  );

function allBelow({ areas, coats }: PrepContext): ReadonlyMap<string, Under> {
  const found = new Map<string, Under>();
  buildUp(areas, coats, [], (coat, under) => {
    const own = new Map<string, PrepCoat>();
    for (const id of coat.areaIds) {
      const on = under.get(id);
      const lower = coat.kind === 'edge' ? on?.last : on?.top;
      if (lower) own.set(id, lower);
    }
    found.set(coat.id, own);
  });
  return found;
}

/** From when on all that lies on a piece bears a hand, ms; null where nothing lies. */
export function bearsMs({ lying }: PrepContext): number | null {
  const handled = lying.flatMap((c) => (c.poured ? [c.poured.handleMs] : []));
  return handled.length > 0 ? Math.max(...handled) : null;
}

/** When the coat that lies below on these areas can be touched; null where none lies. */
export function handledMs(facts: PrepContext, areaIds: readonly string[]): number | null {
  const under = areaIds.flatMap((id) => facts.on(id).top?.poured?.handleMs ?? []);
  return under.length > 0 ? Math.max(...under) : null;
}
