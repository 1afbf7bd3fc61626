import { SECTION } from './filmPath';
import type { DrawnLamina } from './layout';

/** A length for the scale bar, m, about a fifth of the cut and round in the unit it is shown in. */
export function scaleBarM(widthM: number, unitM = 1e-3): number {
  const wanted = widthM / 5 / unitM;
  const power = 10 ** Math.floor(Math.log10(wanted));
  return unitM * ([5, 2, 1].map((n) => n * power).find((n) => n <= wanted) ?? power);
}

/** Heights of the thickness figures, px: at the middle of each lamina, pushed up where laminae are thin. */
export function labelHeights(laminae: readonly DrawnLamina[]): number[] {
  const LINE_PX = 19;
  return laminae.reduce<number[]>((placed, lamina) => {
    const lowest = (placed[placed.length - 1] ?? SECTION.base + 6 + LINE_PX) - LINE_PX;
    return [...placed, Math.min((lamina.topPx + lamina.bottomPx) / 2 + 5, lowest)];
  }, []);
}
