import { normalQuantile } from '../numeric';
import { CUP_DRAIN, cupRest } from './cupFilm';
import type { LedgerInput } from './input';
import type { LedgerLine } from './ledgerLine';
import type { LineContext } from './lineParts';

/** What stays in the cup, on its stick, and on a glove that goes round the edges. */
export function cupLine(
  netM3: number,
  c: Pick<LineContext, 'law' | 'restS' | 'densityKgM3'>,
  glove: boolean,
): LedgerLine {
  const { volumeM3, filmM, wettedM2 } = cupRest(netM3, c.law, c.restS, c.densityKgM3, glove);
  return {
    id: 'cup',
    volumeM3,
    explanation: {
      title: glove ? 'Stays on cup, stick and glove' : 'Stays on cup and stick',
      formula: '(5/4 · π · d² + tools) × ⅔ √(d η / (ρ g t)), d = ∛(4 V / π)',
      inputs: [
        {
          label: 'volume that leaves the cup, V',
          value: netM3,
          quantity: 'volume',
          source: 'computed',
        },
        { label: 'wetted in all', value: wettedM2, quantity: 'area', source: 'computed' },
        { label: 'film that stays', value: filmM, quantity: 'film', source: 'computed' },
        {
          label: 'held over the piece, t',
          value: CUP_DRAIN.forS,
          quantity: 'duration',
          source: 'rule of thumb',
        },
        {
          label: 'fresh viscosity',
          value: c.law.viscosityPaS,
          quantity: 'viscosity',
          source: 'data sheet',
        },
        { label: 'age of the mix', value: c.restS, quantity: 'duration', source: 'rule of thumb' },
      ],
      source:
        'Wetted cup as tall as wide, film as drained (Jeffreys 1930); 0.1–0.3 mm is common practice, no source.',
      sigma: volumeM3 * CUP_DRAIN.sigmaShare,
    },
  };
}

/** Edges are wetted by a gloved finger, unless a tool or a brush does it. */
export const usesGlove = ({ areas, edges }: Pick<LedgerInput, 'areas' | 'edges'>): boolean =>
  (edges.by === 'hand' || edges.by === 'flood') && areas.some((a) => a.openEdges.length > 0);

/** What is mixed over the sum of all lines, by the school of the shop. */
export function reserveLine(
  neededM3: number,
  sigmaM3: number,
  { reserve }: Pick<LedgerInput, 'reserve'>,
): LedgerLine {
  if (reserve.by === 'share')
    return {
      id: 'reserve',
      volumeM3: neededM3 * reserve.share,
      explanation: {
        title: 'Reserve',
        formula: 'share × sum of the lines above',
        inputs: [
          { label: 'share', value: reserve.share, quantity: 'share', source: 'rule of thumb' },
          { label: 'sum', value: neededM3, quantity: 'volume', source: 'computed' },
        ],
        source: 'School “a little over”: a fixed share. Common practice, no source.',
      },
    };
  const z = normalQuantile(reserve.confidence);
  return {
    id: 'reserve',
    volumeM3: z * sigmaM3,
    explanation: {
      title: 'Reserve',
      formula: 'z × uncertainty of the sum, z from the chance to have enough',
      inputs: [
        {
          label: 'sure not to run short',
          value: reserve.confidence,
          quantity: 'share',
          source: 'chosen',
        },
        { label: 'uncertainty of the sum', value: sigmaM3, quantity: 'volume', source: 'computed' },
      ],
      source: 'Normal quantile; film, edges and run-off have one error, all other lines their own.',
    },
  };
}

/** Standard normal distribution by inverting its quantile; good to 1e-6, enough for a percentage. */
export function normalShareBelow(z: number): number {
  let low = 1e-9;
  let high = 1 - 1e-9;
  for (let i = 0; i < 40; i += 1) {
    const middle = (low + high) / 2;
    if (normalQuantile(middle) < z) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
