import type { Explanation } from '../explain';
import { INCH_M, US_FLUID_OUNCE_M3 } from '../units/constants';

/** A shop rule: so much resin for a face of 12 × 12 in. Common practice, no source. */
export interface VolumeRule {
  readonly id: 'five' | 'six';
  readonly m3PerM2: number;
}

const SQUARE_FOOT_M2 = (12 * INCH_M) ** 2;

/** The two common rules; they differ by 20 % because they hide their film thickness. */
export const VOLUME_RULES: readonly VolumeRule[] = [
  { id: 'five', m3PerM2: (5 * US_FLUID_OUNCE_M3) / SQUARE_FOOT_M2 },
  { id: 'six', m3PerM2: (6 * US_FLUID_OUNCE_M3) / SQUARE_FOOT_M2 },
];

/**
 * What a rule of thumb says for a face, and the film thickness hidden in it.
 * @param areaM2 area of all faces, m² @returns volume, m³, and thickness, m
 * Source: common practice, no source.
 */
export function ruleOfThumb(
  rule: VolumeRule,
  areaM2: number,
): { readonly volumeM3: number; readonly thicknessM: number } {
  return { volumeM3: rule.m3PerM2 * areaM2, thicknessM: rule.m3PerM2 };
}

/** The rule of a shop for so much area, m², and the thickness that it hides, m. */
export const ruleExplanation = (rule: VolumeRule, areaM2: number): Explanation => ({
  title: 'Your rule of thumb',
  formula: `${rule.id === 'five' ? 5 : 6} fl oz for each 12 × 12 in`,
  inputs: [
    { label: 'area, all pieces', value: areaM2, quantity: 'area', source: 'measured' },
    {
      label: 'film thickness it hides',
      value: ruleOfThumb(rule, areaM2).thicknessM,
      quantity: 'film',
      source: 'computed',
    },
  ],
  source: 'Common practice, no source. Chosen in Settings.',
});
