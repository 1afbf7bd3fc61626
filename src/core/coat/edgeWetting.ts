/** How the open edges of a coat get their resin. */
export type EdgeWetting =
  /** By what reaches them and a finger that goes round: a band and its bead. */
  | { readonly by: 'hand' }
  /** The flood runs over them: so much for each metre, m³/m, most of which runs off. */
  | { readonly by: 'flood'; readonly perMetreM2: number }
  /** Rested resin is pulled to them and down, and stays where it is put. */
  | { readonly by: 'tool' }
  /** Brushed as thin as the rest. */
  | { readonly by: 'brush' }
  /** Only they are coated: the film that is brushed on, and its bead. */
  | { readonly by: 'edge coat' }
  /** A line is drawn: it wets no edge. */
  | { readonly by: 'line' };

/** What a flood over the edge takes for each metre of it, m³/m: 50 ml, 35 to 70. Common practice, no source; our fit. */
export const FLOOD_OVER_M2 = 50e-6;
export const FLOOD_OVER_LIMITS_M2 = { min: 0, max: 500e-6 } as const;
/** Film on a band that is wetted by hand, m: 0.4 to 0.6 mm. Common practice, no source. */
export const BAND_M = 0.45e-3;
/** Film on a band to which rested resin is pulled, m. Judgement, no source. */
export const TOOL_BAND_M = 0.4e-3;
/** Section of the bead under the lower arris over the square of the capillary length: 0.5 to 1.2. From memory. */
export const BEAD_SHARE = 1;

/** Film that is laid on a band of edge, m, where the coat's own is so thick. */
export function bandFilm({ by }: EdgeWetting, thicknessM: number): number {
  switch (by) {
    case 'hand':
    case 'flood':
      return BAND_M;
    case 'tool':
      return Math.min(TOOL_BAND_M, thicknessM);
    case 'brush':
    case 'edge coat':
      return thicknessM;
    case 'line':
      return 0;
  }
}

/** Section of the bead that hangs under an edge, m². Source: about one square of the capillary length, from memory. */
export const beadSection = ({ by }: EdgeWetting, lengthM: number): number =>
  by === 'tool' || by === 'brush' || by === 'line' ? 0 : BEAD_SHARE * lengthM ** 2;
