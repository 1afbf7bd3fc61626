import { shareProud, tallestRelief } from '../relief';
import { film, surfaceUnder, type CheckInput, type CheckOf } from './check';

export type ReliefCheck = CheckOf<
  'relief',
  {
    /** Of the area where relief stands highest over the coat. */
    readonly areaName: string;
    /** How far it stands above the surface at most, m; below 0: it is buried so deep. */
    readonly proudM: number;
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
    .filter((a) => a.relief.length > 0)
    .map((a) => {
      const topM = surfaceUnder(input, a.id) + coat.thicknessM;
      const tallestM = tallestRelief(a.relief);
      return { a, topM, tallestM, proudM: tallestM - topM, share: shareProud(a.relief, topM) };
    })
    .sort((x, y) => y.proudM - x.proudM);
  if (!worst) return null;
  const { a, topM, tallestM, proudM, share } = worst;
  return {
    id: 'relief',
    verdict: proudM > ROUNDING_M ? 'watch' : 'fine',
    figures: { areaName: a.name, proudM, share },
    explanation: {
      title: 'Relief against the coat',
      formula: 'greatest relief − surface of the coat; share · (1 − z/g)^p stands above z',
      inputs: [
        film(tallestM, 'greatest relief, g'),
        film(topM, 'surface of the coat, z'),
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
