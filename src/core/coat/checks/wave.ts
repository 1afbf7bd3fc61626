import { SURFACE_TENSION } from '../../capillary';
import { fluidityLeft, waveLeft } from '../../film';
import { mixDensity } from '../../resin';
import { isBrushed } from '../buildUp';
import { film, type CheckInput, type CheckOf } from './check';

export type WaveCheck = CheckOf<
  'wave',
  {
    readonly waveM: number;
    /** What is left of it when the resin stops, share of its height. */
    readonly left: number;
  }
>;

/** A wave as long as a palm, m: shorter ones level sooner. */
export const WAVE_M = 0.1;
/** Share of it that may stay unseen. Judgement, no source. */
export const WAVE_SHARE = 0.05;

/** What is left of a long wave on the coat; null for one that is brushed. Source: Orchard 1962. */
export function waveCheck({ coat, sheet, law }: CheckInput): WaveCheck | null {
  if (isBrushed(coat)) return null;
  const fluidityPerPa = fluidityLeft(law, coat.restS);
  const left = waveLeft(WAVE_M, coat.thicknessM, {
    densityKgM3: mixDensity(sheet),
    surfaceTension: SURFACE_TENSION,
    fluidityPerPa,
  });
  return {
    id: 'wave',
    verdict: left <= WAVE_SHARE ? 'fine' : 'watch',
    figures: { waveM: WAVE_M, left },
    explanation: {
      title: 'What is left of a wave',
      formula: 'exp(−τ · (γk + ρg/k)/2 · (sinh x cosh x − x)/(cosh² x + x²)), x = k h',
      inputs: [
        film(coat.thicknessM, 'film, h', 'chosen'),
        { label: 'wave', value: WAVE_M, quantity: 'length', source: 'rule of thumb' },
        {
          label: 'fluidity left, τ',
          value: fluidityPerPa,
          quantity: 'fluidity',
          source: 'computed',
        },
      ],
      source: 'Orchard 1962, with the fluidity that the cure leaves.',
      note: 'Shorter waves, brush marks among them, level sooner.',
    },
  };
}
