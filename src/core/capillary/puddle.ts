import { STANDARD_GRAVITY } from '../units';
import { assert } from '../result';

/** Surface tension of mixed coating epoxy, N/m; ± 12 %. From memory. */
export const SURFACE_TENSION = 0.04;

/**
 * Capillary length: over it gravity flattens what surface tension rounds.
 * @param surfaceTension N/m, > 0 @param densityKgM3 > 0
 * @returns m
 * @throws RangeError outside those intervals
 * Source: √(γ / ρ g).
 */
export function capillaryLength(surfaceTension: number, densityKgM3: number): number {
  assert(surfaceTension > 0 && densityKgM3 > 0, 'capillaryLength', {
    surfaceTension,
    densityKgM3,
  });
  return Math.sqrt(surfaceTension / (densityKgM3 * STANDARD_GRAVITY));
}

/** Angles that the arithmetic is good for, rad: up to a right angle. */
export const isEdgeAngle = (angle: number): boolean => angle > 0 && angle <= Math.PI / 2 + 1e-12;

/**
 * Thickness of a wide puddle behind a straight edge.
 * @param angleRad angle of the liquid at its edge, 0…π/2 @param lengthM capillary length, m
 * @returns m
 * @throws RangeError outside those intervals
 * Source: force balance on the rim, 2 lc sin(θ/2); de Gennes, Brochard-Wyart & Quéré 2004 (from memory).
 */
export function puddleHeight(angleRad: number, lengthM: number): number {
  assert(isEdgeAngle(angleRad) && lengthM > 0, 'puddleHeight', { angleRad, lengthM });
  return 2 * lengthM * Math.sin(angleRad / 2);
}
