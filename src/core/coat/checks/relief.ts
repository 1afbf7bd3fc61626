import { shareProud, tallestRelief } from '../relief';
import { LEAST_COVER_M } from '../intent';
import { film, lies, type CheckInput, type CheckOf } from './check';

export type ReliefCheck = CheckOf<
  'relief',
  {
    /** Of the area where relief stands highest over the coat. */
    readonly areaName: string;
    /** How far it stands above the surface at most, m; below 0: it is buried so deep. */
    readonly proudM: number;
    /** It comes up to the surface, and no cover that hides it lies over it. */
    readonly flush: boolean;
    readonly share: number;
  }
>;

const ROUNDING_M = 1e-9;

/**
 * Whether relief stands above the coat.
 * @returns null without relief, or for an edge coat
 * Source: the distribution of `shareProud`; judgement.
 */
export function reliefCheck(input: CheckInput): ReliefCheck | null {
  const { coat, areas } = input;
  if (coat.kind === 'edge') return null;
  const [worst] = areas
    .filter((a) => a.standing.length > 0)
    .map((a) => {
      const topM = a.belowM + lies(input, a.id);
      const tallestM = tallestRelief(a.standing);
      return { a, topM, tallestM, proudM: tallestM - topM, share: shareProud(a.standing, topM) };
    })
    .sort((x, y) => y.proudM - x.proudM);
  if (!worst) return null;
  const { a, topM, tallestM, proudM, share } = worst;
  const proud = proudM > ROUNDING_M;
  const flush = !proud && proudM > -LEAST_COVER_M + ROUNDING_M;
  return {
    id: 'relief',
    verdict: proud || flush ? 'watch' : 'fine',
    figures: { areaName: a.name, proudM, share, flush },
    explanation: {
      title: 'Relief against the coat',
      formula: 'greatest relief − surface of the coat; share · (1 − z/g)^p stands above z',
      inputs: [
        film(tallestM, 'greatest relief, g'),
        film(topM, 'surface of the coat once it has run off, z'),
        {
          label: 'share of the area above it',
          value: share,
          quantity: 'share',
          source: 'computed',
        },
      ],
      source: 'Distribution with the surveyed greatest and mean height; judgement, no source.',
      note: 'A lock coat may leave it proud on purpose; the next ones bury it.',
    },
  };
}
