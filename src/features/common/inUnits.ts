import { formatInchFraction, fromSI, toSI, type UnitSystem } from '@/core/units';

const LENGTH = /(\d+(?:\.\d+)?)[\s\u00a0](mm|cm)\b/g;
const WARMTH = /(\d+(?:\.\d+)?)[\s\u00a0]°C/g;
/** Below this a fraction of an inch is too coarse, m. */
const FILM_M = 2e-3;

/** Figures of running words in the units of the shop: `A wall of tape stands 6 mm over` is told as 1/4 in. */
export function inUnits(words: string, units: UnitSystem): string {
  if (units === 'metric') return words;
  return words
    .replace(LENGTH, (_, figure: string, unit: string) => {
      const m = toSI(Number(figure), unit);
      return m < FILM_M ? `${Math.round(fromSI(m, 'mil'))} mil` : formatInchFraction(m).text;
    })
    .replace(
      WARMTH,
      (_, figure: string) => `${Math.round(fromSI(toSI(Number(figure), '°C'), '°F'))} °F`,
    );
}
