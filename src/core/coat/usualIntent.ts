import type { AreaKind, CoatKind, EdgeKind, Support } from '../piece';
import { FLOOD_OVER_M2 } from './edgeWetting';
import type { Intent } from './intent';
import { LOCK_LIFT_M } from './lifts';
import { tallestRelief, type ReliefHeights } from './relief';

/** Why a coat starts with its intention. */
export type UsualWhy =
  | 'brushed'
  | 'locks'
  | 'fills recess'
  | 'must not run over'
  | 'relief stands'
  | 'walls all round'
  | 'small and open'
  | 'picture keeps its edges'
  | 'wet ground'
  | 'part';

export interface Usual {
  readonly intent: Intent;
  readonly why: UsualWhy;
}

interface Ground {
  readonly kind: AreaKind;
  readonly edges: readonly EdgeKind[];
  readonly relief: readonly ReliefHeights[];
}

/** Supports whose edges are seen from the side or wrapped: a careful hand goes round them. Common practice, no source. */
const PICTURES: readonly Support[] = ['canvas', 'paper on board', 'sealed panel', 'bare wood'];
/** Film of a flood between walls, of a patch and of a thin back, m. Common practice, no source. */
const WALLED_M = 1.6e-3;
const PART_M = 1e-3;
const COVER_M = 0.5e-3;

const given = (thicknessM: number, why: UsualWhy): Usual => ({
  intent: { by: 'given', thicknessM },
  why,
});
const DOME: Usual = { intent: { by: 'dome', centreM: null }, why: 'must not run over' };
const OVER: Intent = { by: 'over', perMetreM2: FLOOD_OVER_M2 };

const FILL: Usual = { intent: { by: 'fill', belowM: 0 }, why: 'fills recess' };

function flood(grounds: readonly Ground[], support: Support): Usual {
  if (grounds.length > 0 && grounds.every((g) => g.kind === 'recess')) return FILL;
  const open = grounds.some((g) => g.edges.includes('open'));
  if (grounds.some((g) => tallestRelief(g.relief) > 0))
    return { intent: { by: 'bury', coverM: COVER_M }, why: 'relief stands' };
  if (!open && grounds.some((g) => g.edges.includes('doming'))) return DOME;
  if (!open) return given(WALLED_M, 'walls all round');
  return PICTURES.includes(support)
    ? { intent: { by: 'natural' }, why: 'picture keeps its edges' }
    : { intent: OVER, why: 'small and open' };
}

/**
 * The intention that a coat of a kind starts with on its areas, and why.
 * @param grounds the areas that it goes on
 * Source: common practice, no source.
 */
export function usualIntent(kind: CoatKind, grounds: readonly Ground[], support: Support): Usual {
  const open = grounds.some((g) => g.edges.includes('open'));
  switch (kind) {
    case 'seal':
    case 'edge':
      return { intent: { by: 'skin' }, why: 'brushed' };
    case 'lock':
      return given(LOCK_LIFT_M, 'locks');
    case 'fill':
      return grounds.some((g) => g.kind === 'recess') ? FILL : given(WALLED_M, 'walls all round');
    case 'dome':
      return DOME;
    case 'back':
      return !open && grounds.some((g) => g.edges.includes('doming'))
        ? DOME
        : given(PART_M, 'part');
    case 'art':
      return open ? { intent: OVER, why: 'wet ground' } : given(PART_M, 'walls all round');
    case 'patch':
      return given(PART_M, 'part');
    case 'line':
      return given(PART_M, 'part');
    case 'flood':
      return flood(grounds, support);
  }
}
