import type { FilmCheck, MixingCheck, Verdict } from '@/core/coat';
import type { Explanation } from '@/core/explain';
import { FOOT_M, type Quantity } from '@/core/units';
import type { Format } from '@/features/common/useFormat';
import { spanText } from '@/features/common/clockText';

interface Words {
  readonly title: string;
  readonly detail: string;
  /** Kind of the number that is explained. */
  readonly quantity: Quantity;
}

export interface Check extends Words {
  readonly verdict: Verdict;
  readonly explanation: Explanation;
}

/** What a check says in the finisher's words. */
function wordsOf(check: FilmCheck | MixingCheck, format: Format): Words {
  const { id, verdict, figures } = check;
  const fine = verdict === 'fine';
  const film = (m: number) => format.show(m, 'film').text;
  switch (id) {
    case 'edge': {
      const { lowM, highM, pouredM, staysM, runsOffM3, drawsBack, meant } = figures;
      const off = format.show(runsOffM3, 'volume').text;
      return {
        title: drawsBack
          ? 'Draws back at open edges'
          : meant
            ? `${off} run over, to catch and feed back`
            : runsOffM3 > 0
              ? `${off} run off open edges`
              : 'Open edges hold it',
        detail:
          staysM < pouredM
            ? `of ${film(pouredM)} poured ${film(staysM)} stay`
            : `they hold ${film(lowM)} to ${film(highM)} on this outline`,
        quantity: 'film',
      };
    }
    case 'wall': {
      const { areaName, wall, topM, wallM, is, spareM } = figures;
      const spare = film(Math.abs(spareM));
      const over = spareM < 0;
      return {
        title:
          is === 'holds'
            ? verdict === 'stop'
              ? `Runs over the ${wall}`
              : fine
                ? `Stays under the ${wall}`
                : `Close to the top of the ${wall}`
            : over
              ? `The ${wall} stands proud`
              : fine
                ? `Stands above the ${wall}`
                : `The ${wall} is barely covered`,
        detail: `${areaName}: the coat comes up to ${film(topM)}, the ${wall} to ${film(wallM)}: ${spare} ${
          is === 'holds' ? (over ? 'over' : 'to spare') : over ? 'short' : 'over it'
        }`,
        quantity: 'film',
      };
    }
    case 'dome': {
      const { areaName, rimRad, safeKg, spareKg, spillsKg } = figures;
      const grams = (kg: number) => format.scale(Math.abs(kg)).text;
      const rim = rimRad === null ? '' : `rim at ${format.show(rimRad, 'angle', 0).text}; `;
      return {
        title:
          rimRad === null ? 'The dome spills' : fine ? 'The dome holds' : 'Dome close to spilling',
        detail: `${areaName}: ${rim}pour at most ${grams(safeKg)} a piece, ${grams(spareKg)} ${spareKg < 0 ? 'over' : 'to spare'}; ${grams(spillsKg)} spill`,
        quantity: 'film',
      };
    }
    case 'relief': {
      const { areaName, proudM, share, flush } = figures;
      return {
        title: fine
          ? 'Relief is buried'
          : flush
            ? 'Relief is flush, not buried'
            : 'Relief stands proud',
        detail: fine
          ? `under ${film(-proudM)} of cover`
          : flush
            ? `only ${film(Math.max(0, -proudM))} over it on ${areaName}: it will print through`
            : `by ${film(proudM)} at most, on ${format.show(share, 'share', 1).text} of ${areaName}`,
        quantity: 'film',
      };
    }
    case 'level': {
      const { allowed, slope, wasRead } = figures;
      // A rise is told over the length that a shop measures by.
      const [run, unit] = format.units === 'us' ? [FOOT_M, 'ft'] : [1, 'm'];
      const perMetre = (s: number) =>
        `${format.show(s * run, 'length', format.units === 'us' ? 3 : 2).text}/${unit}`;
      return {
        title: fine
          ? 'Level enough'
          : wasRead
            ? 'Out of level for this film'
            : 'A spirit level is not enough',
        detail: `wants ${perMetre(allowed)}; ${wasRead ? 'read' : 'a spirit level reads'} ${perMetre(slope)}`,
        quantity: 'length',
      };
    }
    case 'drain': {
      const { staysM, hidesM, restS, workingS, tooLong } = figures;
      return {
        title: fine ? 'Edges as drained' : 'The ground shows on edges',
        detail: fine
          ? `${film(staysM)} stay once they have drained`
          : tooLong
            ? `${film(staysM)} stay. Hiding it would take ${spanText(restS * 1000)} of rest, and this cup works for ${spanText((workingS ?? 0) * 1000)}: paint the edge, coat it again, or take a thicker resin`
            : `${film(staysM)} stay; ${format.show(restS, 'duration', 0).text} of rest leave ${film(hidesM)}`,
        quantity: 'film',
      };
    }
    case 'wave':
      return {
        title: fine ? 'Waves level in time' : 'Long waves stay',
        detail: `${format.show(figures.left, 'share', 0).text} is left of a wave of ${format.show(figures.waveM, 'length').text}`,
        quantity: 'share',
      };
    case 'lift':
      return {
        title: fine
          ? 'Within the sheet’s limits'
          : verdict === 'watch'
            ? 'Thinner than the sheet’s lift'
            : 'Thicker than one lift may be',
        detail: `one lift ${film(figures.thinnestM)} to ${film(figures.thickestM)}`,
        quantity: 'film',
      };
    case 'scale':
      return {
        title: fine ? 'The scale is fine enough' : 'Too small for this scale',
        detail: `ratio within ${format.show(figures.errorShare, 'share', 2).text}; smallest batch ${format.show(figures.smallestKg, 'mass').text}`,
        quantity: 'share',
      };
    case 'working':
      return {
        title: `${spanText(figures.workingS * 1000)} of working time`,
        detail: `${format.show(figures.massKg, 'mass').text} in one cup at ${format.show(figures.roomTemperatureK, 'temperature').text}`,
        quantity: 'duration',
      };
    case 'bubble':
      return {
        title: fine ? 'Bubbles rise in time' : 'Bubbles stay',
        detail: `up to ${film(figures.staysM)} stay in`,
        quantity: 'film',
      };
  }
}

export const checkWords = (checks: readonly (FilmCheck | MixingCheck)[], format: Format): Check[] =>
  checks.map((check) => ({
    verdict: check.verdict,
    explanation: check.explanation,
    ...wordsOf(check, format),
  }));
