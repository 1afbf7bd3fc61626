import { fluidityLeft, trappedBubble } from '../../film';
import { mixDensity } from '../../resin';
import { film, type CheckInput, type CheckOf } from './check';

export type BubbleCheck = CheckOf<
  'bubble',
  {
    /** Diameter of the largest bubble that stays in, m. */
    readonly staysM: number;
  }
>;

/** Bubble that an eye finds, m. Judgement, no source. */
export const SEEN_M = 100e-6;

/** The largest bubble that does not rise out of the coat. Source: Stokes 1851. */
export function bubbleCheck({ coat, sheet, law }: CheckInput): BubbleCheck {
  const fluidity = fluidityLeft(law, coat.restS);
  const staysM = trappedBubble(coat.thicknessM, fluidity, mixDensity(sheet));
  return {
    id: 'bubble',
    verdict: staysM <= SEEN_M ? 'fine' : 'watch',
    figures: { staysM },
    explanation: {
      title: 'Largest bubble that stays',
      formula: 'K d² + d = h, K = ρ g τ / 18',
      inputs: [
        film(coat.thicknessM, 'film, h', 'chosen'),
        { label: 'fluidity left, τ', value: fluidity, quantity: 'fluidity', source: 'computed' },
      ],
      source: 'Stokes 1851, bubble stiffened by what collects on it.',
      note: 'A lower bound: air that a porous ground feeds later, and skin, are not in it. Rest before the pour makes it worse.',
    },
  };
}
