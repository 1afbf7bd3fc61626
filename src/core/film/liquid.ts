/** A mix as it lies on a piece. */
export interface Liquid {
  /** > 0 */
  readonly densityKgM3: number;
  /** N/m, > 0 */
  readonly surfaceTension: number;
  /** How far it still flows until it stops: the integral of 1/viscosity over time, 1/Pa, >= 0. */
  readonly fluidityPerPa: number;
}
