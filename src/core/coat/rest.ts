/** Time between mixing and wetting the edges when nothing else is known, s. Common practice, no source. */
export const DEFAULT_REST_S = 10 * 60;
