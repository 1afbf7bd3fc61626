/**
 * Exact conversion factors. Source: NIST Special Publication 811 (2008), Appendix B.8, and NIST
 * Handbook 44, Appendix C. The inch (25.4 mm), the avoirdupois pound (0.453 592 37 kg) and the US
 * gallon (231 in³) are exact by definition; the others follow from them.
 */
export const INCH_M = 0.0254;
export const FOOT_M = 12 * INCH_M;
export const MIL_M = INCH_M / 1000;
export const US_GALLON_M3 = 231 * INCH_M ** 3;
export const US_FLUID_OUNCE_M3 = US_GALLON_M3 / 128;
export const POUND_KG = 0.45359237;
export const OUNCE_KG = POUND_KG / 16;
/** Ice point on the kelvin scale, exact by definition (ITS-90). */
export const ICE_POINT_K = 273.15;
/** Molar gas constant, J/(mol K). Source: CODATA 2018, exact since the 2019 SI. */
export const GAS_CONSTANT = 8.314462618;
/** First and last instant that a record may hold, ms since the epoch: 2000 and 2200. Judgement: outside them a clock was not set. */
export const INSTANT_LIMITS_MS = { min: Date.UTC(2000, 0, 1), max: Date.UTC(2200, 0, 1) } as const;
/** Standard acceleration of free fall, m/s², exact. Source: 3rd CGPM 1901. */
export const STANDARD_GRAVITY = 9.80665;
