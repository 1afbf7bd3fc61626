import type { Porosity } from '../piece';

/** What a porous ground drinks before it is sealed, m (ml/m² · 1e-6). Judgement, no source; ± half. */
export const SOAK_M: Readonly<Record<Porosity, number>> = {
  sealed: 0,
  porous: 0.06e-3,
  'very porous': 0.15e-3,
};
/** Resin under a coat from which on its ground is level and closed, m. Judgement, no source. */
export const LEVELLED_M = 0.3e-3;
