import { fail, ok, type Issue, type Result } from '../result';

/** Mixing ratio of part A to part B as the data sheet gives it: always say by what. */
export interface MixRatio {
  readonly by: 'volume' | 'mass';
  readonly a: number;
  readonly b: number;
}

export interface MixParts {
  readonly ratio: MixRatio;
  /** Density of part A and part B, kg/m³. */
  readonly densityAKgM3: number;
  readonly densityBKgM3: number;
  /** Parts whose density no sheet gives: the usual one stands in its place. Left out: none. */
  readonly assumedDensity?: readonly ('A' | 'B')[];
}

/** Both parts of a mix, each as volume and as mass. */
export interface MixSplit {
  readonly aM3: number;
  readonly bM3: number;
  readonly aKg: number;
  readonly bKg: number;
  readonly totalM3: number;
  readonly totalKg: number;
  readonly densityKgM3: number;
  /** Right mass of B for 100 of A. */
  readonly massBPer100A: number;
  /** Excess of B, as a share, when the volume ratio is weighed out as if it were by mass. */
  readonly excessIfWeighedAsVolume: number;
}

/** Widest densities of coating resins and hardeners, kg/m³. From memory. */
export const DENSITY_LIMITS_KG_M3 = { min: 700, max: 2500 } as const;
/** Densities that resins and hardeners have: thin amines 900, heavily filled resins 2200 kg/m³. From memory. */
export const RESIN_DENSITY_KG_M3 = { min: 850, max: 2200 } as const;
/** What is taken where a sheet gives no density: unfilled epoxy and its hardener, kg/m³. From memory. */
export const USUAL_DENSITY_KG_M3 = { A: 1100, B: 1000 } as const;
/** How far resins and hardeners lie from those, one standard deviation as a share. From memory (1.05–1.18, 0.93–1.05). */
const USUAL_DENSITY_SIGMA = 0.04;
/** Widest ratio of one part to the other. From memory. */
export const RATIO_LIMITS = { min: 0.01, max: 100 } as const;

/** Every fault of a ratio and its densities, with the name of the value. */
export function mixPartsIssues(parts: MixParts): Issue[] {
  const check = (
    path: (string | number)[],
    value: number,
    allowed: { min: number; max: number },
  ) =>
    value >= allowed.min && value <= allowed.max
      ? []
      : [{ code: 'out-of-range' as const, path, value, allowed }];
  return [
    ...check(['ratio', 'a'], parts.ratio.a, RATIO_LIMITS),
    ...check(['ratio', 'b'], parts.ratio.b, RATIO_LIMITS),
    ...check(['densityAKgM3'], parts.densityAKgM3, DENSITY_LIMITS_KG_M3),
    ...check(['densityBKgM3'], parts.densityBKgM3, DENSITY_LIMITS_KG_M3),
  ];
}

/** Mass of B for one of A. */
export function massRatioBA({ ratio, densityAKgM3, densityBKgM3 }: MixParts): number {
  const asWritten = ratio.b / ratio.a;
  return ratio.by === 'mass' ? asWritten : (asWritten * densityBKgM3) / densityAKgM3;
}

/**
 * How far the ratio may be off that is weighed out of a ratio by volume with densities that were assumed.
 * @returns one standard deviation as a share; 0 where the sheet gives what is needed
 * Source: first-order propagation; errors of both densities are independent.
 */
export const massRatioDoubt = ({ ratio, assumedDensity = [] }: MixParts): number =>
  ratio.by === 'mass' ? 0 : USUAL_DENSITY_SIGMA * Math.sqrt(new Set(assumedDensity).size);

/** Volume of B for one of A. */
export function volumeRatioBA({ ratio, densityAKgM3, densityBKgM3 }: MixParts): number {
  const asWritten = ratio.b / ratio.a;
  return ratio.by === 'volume' ? asWritten : (asWritten * densityAKgM3) / densityBKgM3;
}

/** Density of the mix, kg/m³, volumes being additive. */
export function mixDensity(parts: MixParts): number {
  const v = volumeRatioBA(parts);
  return (parts.densityAKgM3 + v * parts.densityBKgM3) / (1 + v);
}

/**
 * Splits a wanted volume of mix into both parts, by volume and by mass.
 * @param totalM3 volume of mix, m³, > 0 @param parts ratio and densities
 * @returns the split, or `out-of-range` for the volume, a ratio number or a density
 * Source: mass balance with additive volumes; shrinkage on cure (a few per cent) is not included.
 */
export function splitMix(totalM3: number, parts: MixParts): Result<MixSplit> {
  const issues = mixPartsIssues(parts);
  if (!(totalM3 > 0 && totalM3 <= 1))
    issues.push({
      code: 'out-of-range',
      path: ['totalM3'],
      value: totalM3,
      allowed: { min: 0, max: 1 },
    });
  if (issues.length > 0) return fail(...issues);
  const v = volumeRatioBA(parts);
  const aM3 = totalM3 / (1 + v);
  const bM3 = totalM3 - aM3;
  const aKg = aM3 * parts.densityAKgM3;
  const bKg = bM3 * parts.densityBKgM3;
  return ok({
    aM3,
    bM3,
    aKg,
    bKg,
    totalM3,
    totalKg: aKg + bKg,
    densityKgM3: mixDensity(parts),
    massBPer100A: 100 * massRatioBA(parts),
    excessIfWeighedAsVolume:
      parts.ratio.by === 'volume' ? parts.densityAKgM3 / parts.densityBKgM3 - 1 : 0,
  });
}
