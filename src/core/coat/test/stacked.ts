import type { Lamina } from '..';

interface Thick {
  readonly id: string;
  readonly thicknessM: number;
  readonly coverage?: number;
}

/** Films laid one on the other; a patch raises nothing that lies above. */
export function stacked<F extends Thick>(films: readonly F[]): (F & Lamina)[] {
  let levelM = 0;
  return films.map((film) => {
    const bottomM = levelM;
    const topM = bottomM + film.thicknessM;
    if ((film.coverage ?? 1) >= 0.5) levelM = topM;
    return { ...film, bottomM, topM };
  });
}
