/** What a resin's maker declares it for. */
export interface Declared {
  /** Highest temperature in service, K; null: the sheet does not say. */
  readonly serviceK: number | null;
  /** Who declares it for food contact, and for what; null: nobody does. */
  readonly food: { readonly by: string; readonly for: string } | null;
  /** Whether it keeps its colour in daylight; null: the sheet does not say. */
  readonly uvStable: boolean | null;
  /** Greatest share of colour in the mix, 0…1; null: the sheet does not say. */
  readonly colourShare: number | null;
  /** Room in which it cures as it should, K; null: the sheet does not say. */
  readonly curesK: { readonly min: number; readonly max: number } | null;
}

export const NOTHING_DECLARED: Declared = {
  ...{ serviceK: null, food: null, uvStable: null, colourShare: null, curesK: null },
};
/** Service temperatures that a sheet may state, K. Judgement, no source. */
export const SERVICE_LIMITS_K = { min: 283.15, max: 523.15 } as const;
/** Shares of colour that a sheet may state, 0…1. Judgement, no source. */
export const COLOUR_LIMITS = { min: 0.001, max: 0.5 } as const;
/** Liquid colour where a sheet states nothing: one part in ten of the mix at most. Common practice, no source. */
export const USUAL_COLOUR = 0.1;
/** Room in which resins cure as they should where a sheet states nothing, K (15 to 30 °C). Common practice, no source. */
export const USUAL_ROOM_K = { min: 288.15, max: 303.15 } as const;
/** What stands under a hot cup gets about this warm, K (70 °C). Common practice, no source. */
export const HOT_CUP_K = 343.15;

/** What a piece will meet in use. */
export interface Use {
  readonly hotCups: boolean;
  readonly food: boolean;
  readonly daylight: boolean;
}

export const FIT_FAULTS = [
  'heat not declared',
  'heat too low',
  'food not declared',
  'light not declared',
  'yellows in light',
] as const;
export type FitFault = (typeof FIT_FAULTS)[number];

/** Faults that hold a coat back; the others are warnings. */
export const holdsFit = (fault: FitFault): boolean =>
  fault === 'heat not declared' || fault === 'heat too low' || fault === 'food not declared';

/**
 * Whether a resin is declared for what its piece will meet.
 * @returns the faults, worst first; none where it is fit
 * Source: common practice, no source; the declaration of the maker and local rules go first.
 */
export function fitFaults(use: Use, { serviceK, food, uvStable }: Declared): FitFault[] {
  const faults: FitFault[] = [];
  if (use.food && food === null) faults.push('food not declared');
  if (use.hotCups && serviceK === null) faults.push('heat not declared');
  else if (use.hotCups && !((serviceK ?? 0) >= HOT_CUP_K)) faults.push('heat too low');
  if (use.daylight && uvStable === null) faults.push('light not declared');
  if (use.daylight && uvStable === false) faults.push('yellows in light');
  return faults;
}
