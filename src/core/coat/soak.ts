import type { Porosity } from '../piece';

/** What a porous ground drinks before it is sealed, m (ml/m² · 1e-6). Judgement, no source; ± half. */
export const SOAK_M: Readonly<Record<Porosity, number>> = {
  sealed: 0,
  porous: 0.06e-3,
  'very porous': 0.15e-3,
};
