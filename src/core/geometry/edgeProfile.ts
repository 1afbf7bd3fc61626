import { assert } from '../result';

/** How the upper corner of an edge is shaped. Lengths in m. */
export type EdgeProfile =
  | { readonly kind: 'square' }
  | { readonly kind: 'eased' }
  | { readonly kind: 'round'; readonly sizeM: number }
  | { readonly kind: 'bevel'; readonly sizeM: number };

export const PROFILE_KINDS = ['square', 'eased', 'round', 'bevel'] as const;
/** Radius of an edge that was only broken with paper, m. Common practice, no source. */
export const EASED_RADIUS_M = 1e-3;

/** The profile unrolled: what it takes from the flat face, how long it is, and its first moment. */
export interface Unrolled {
  readonly setbackM: number;
  readonly girthM: number;
  /** ∫ distance inside the outline along the girth, m². */
  readonly momentM2: number;
}

/** Unrolls a profile; a size over the thickness of the edge counts as the thickness. */
export function unroll(profile: EdgeProfile, heightM: number): Unrolled {
  const size = profile.kind === 'eased' ? EASED_RADIUS_M : 'sizeM' in profile ? profile.sizeM : 0;
  const s = Math.min(size, heightM);
  switch (profile.kind) {
    case 'square':
      return { setbackM: 0, girthM: heightM, momentM2: 0 };
    case 'eased':
    case 'round':
      return {
        setbackM: s,
        girthM: heightM - s + (Math.PI / 2) * s,
        momentM2: s * s * (Math.PI / 2 - 1),
      };
    case 'bevel':
      return {
        setbackM: s,
        girthM: heightM - s + Math.SQRT2 * s,
        momentM2: (s * s) / Math.SQRT2,
      };
  }
}

export interface EdgeBand {
  /** Area of the edge unrolled, from the flat face down to its foot, m². */
  readonly bandM2: number;
  /** Length across the band, m. */
  readonly girthM: number;
}

/**
 * The developed band of a stretch of edge.
 * @param lengthM length along the outline, m, >= 0 @param turnRad how much shorter the stretch gets for each metre that
 *   one goes inside: the angle by which it turns, + where convex, 2π all round, and what the mitres at its ends take
 * @param profile a size over the thickness counts as the thickness @param heightM edge thickness, m, >= 0
 * @returns areas in m²
 * @throws RangeError on values outside those intervals
 * Source: theorem of Pappus and Guldin, length · girth − turn · ∫ distance inside. Exact until the profiles of a
 *   face meet in its middle.
 */
export function edgeBand(
  lengthM: number,
  turnRad: number,
  profile: EdgeProfile,
  heightM: number,
): EdgeBand {
  assert(lengthM >= 0 && heightM >= 0 && Number.isFinite(turnRad), 'edgeBand', {
    lengthM,
    heightM,
    turnRad,
  });
  const { girthM, momentM2 } = unroll(profile, heightM);
  return {
    girthM,
    bandM2: Math.max(0, lengthM * girthM - turnRad * momentM2),
  };
}
