import { drainedEdgeMean, fluidityLeft, restForEdge } from '../../film';
import { mixDensity } from '../../resin';
import type { Support } from '../../piece';
import type { CheckInput, CheckOf } from './check';

export type DrainCheck = CheckOf<
  'drain',
  {
    /** Mean film that stays on the tallest open edge, m. */
    readonly staysM: number;
    /** Film that hides the grain of a ground, m, and the rest after mixing that leaves it, s. */
    readonly hidesM: number;
    readonly restS: number;
    /** Working time of the cup, s; null while it is not known. A rest that outlasts it is no advice. */
    readonly workingS: number | null;
    readonly tooLong: boolean;
  }
>;

/** Film that hides the grain of a ground, m, and the supports that have one. Judgement, no source. */
export const HIDES_M = 60e-6;
const GRAINED: readonly Support[] = ['bare wood', 'paper on board'];

/** Share of the working time after which a cup is poured, not rested. Judgement, no source. */
const LAST_SHARE = 0.75;

/** Whether a rest would leave too little of the cup's working time. */
export const restOutlasts = (restS: number, workingS: number | null): boolean =>
  workingS !== null && restS > LAST_SHARE * workingS;

/**
 * Film that is left on an open edge, and the rest after mixing that would leave enough to hide the ground.
 * @returns null without an open edge
 * Source: Jeffreys 1930 with the fluidity that the cure leaves.
 */
export function drainCheck({
  coat,
  areas,
  support,
  sheet,
  law,
  workingS,
}: CheckInput): DrainCheck | null {
  const open = areas.flatMap((a) => a.edges).filter((e) => e.kind === 'open' && e.heightM > 0);
  if (open.length === 0) return null;
  const fluidityPerPa = fluidityLeft(law, coat.restS);
  const heightM = Math.max(...open.map((e) => e.heightM));
  const densityKgM3 = mixDensity(sheet);
  const staysM = drainedEdgeMean(heightM, { densityKgM3, fluidityPerPa });
  const restS = restForEdge(HIDES_M, heightM, law, densityKgM3);
  return {
    id: 'drain',
    verdict: GRAINED.includes(support) && staysM < HIDES_M ? 'watch' : 'fine',
    figures: { staysM, hidesM: HIDES_M, restS, workingS, tooLong: restOutlasts(restS, workingS) },
    explanation: {
      title: 'Film on the open edges',
      formula: '⅔ √(H / (ρ g τ)); the rest that leaves τ = 4 H / (9 ρ g · mean²)',
      inputs: [
        { label: 'tallest open edge, H', value: heightM, quantity: 'length', source: 'measured' },
        {
          label: 'fluidity left, τ',
          value: fluidityPerPa,
          quantity: 'fluidity',
          source: 'computed',
        },
        {
          label: 'age of the mix at the edge',
          value: coat.restS,
          quantity: 'duration',
          source: 'rule of thumb',
        },
      ],
      source:
        'Jeffreys 1930. The film that hides a grained ground, 60 µm, is judgement, no source.',
      note: 'Rest before the edges pulls the other way for bubbles, and must end before the cup runs hot.',
    },
  };
}
