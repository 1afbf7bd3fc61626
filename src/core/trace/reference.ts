import { INCH_M } from '../units';

/** Something of known size that lies in the picture. */
export interface Reference {
  readonly widthM: number;
  readonly heightM: number;
  /** Uncertainty of each side, one standard deviation, m. */
  readonly sigmaM: number;
}

/**
 * Things of known size that lie about a bench, the long side as width.
 * Source: ISO 216 (A sizes; tolerance ±1.5 mm to 150 mm, ±2 mm above, real sheets about a quarter of it),
 *   ISO/IEC 7810 ID-1 (85.60 × 53.98 mm), ANSI letter 11 × 8.5 in; all from memory.
 */
export const REFERENCES = {
  a4: { widthM: 0.297, heightM: 0.21, sigmaM: 0.4e-3 },
  a5: { widthM: 0.21, heightM: 0.148, sigmaM: 0.4e-3 },
  a3: { widthM: 0.42, heightM: 0.297, sigmaM: 0.4e-3 },
  letter: { widthM: 11 * INCH_M, heightM: 8.5 * INCH_M, sigmaM: 0.4e-3 },
  card: { widthM: 0.0856, heightM: 0.05398, sigmaM: 0.1e-3 },
} as const satisfies Record<string, Reference>;
export type ReferenceName = keyof typeof REFERENCES;
