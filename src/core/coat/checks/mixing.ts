import {
  RATIO_TOLERANCE,
  scaleExplanation,
  scaleRatioError,
  smallestBatchKg,
  workingExplanation,
  workingTime,
  type MixSplit,
  type ResinSheet,
} from '../../resin';
import { film, type CheckOf } from './check';

/** What can be told of a coat before anything is mixed. */
export interface MixingInput {
  readonly thicknessM: number;
  readonly sheet: ResinSheet;
  readonly split: MixSplit;
  /** Smallest step of the scale, kg. */
  readonly scaleDigitKg: number;
  readonly roomTemperatureK: number;
}

export type LiftCheck = CheckOf<'lift', { readonly thinnestM: number; readonly thickestM: number }>;
export type ScaleCheck = CheckOf<
  'scale',
  { readonly errorShare: number; readonly smallestKg: number }
>;
export type WorkingCheck = CheckOf<
  'working',
  { readonly workingS: number; readonly massKg: number; readonly roomTemperatureK: number }
>;
export type MixingCheck = LiftCheck | ScaleCheck | WorkingCheck;

/** Less working time than this is short for a flood, s. Judgement, no source. */
const SHORT_S = 20 * 60;

function liftCheck({ thicknessM, sheet }: MixingInput): LiftCheck {
  const { thinnestM, thickestM } = sheet;
  const thin = thicknessM < thinnestM;
  return {
    id: 'lift',
    verdict: thin ? 'watch' : thicknessM <= thickestM ? 'fine' : 'stop',
    figures: { thinnestM, thickestM },
    explanation: {
      title: 'Limits of one lift',
      formula: 'thinnest ≤ film ≤ thickest',
      inputs: [
        film(thicknessM, 'film', 'chosen'),
        film(thinnestM, 'thinnest', 'data sheet'),
        film(thickestM, 'thickest', 'data sheet'),
      ],
      source:
        'The resin’s data sheet. Thicker than it allows heats itself; thinner is for brushing, not for a flood.',
    },
  };
}

function scaleCheck({ sheet, split, scaleDigitKg }: MixingInput): ScaleCheck {
  const errorShare = scaleRatioError(split.aKg, split.bKg, scaleDigitKg);
  return {
    id: 'scale',
    verdict: errorShare <= RATIO_TOLERANCE ? 'fine' : 'watch',
    figures: { errorShare, smallestKg: smallestBatchKg(sheet, scaleDigitKg) },
    explanation: scaleExplanation(split, scaleDigitKg),
  };
}

function workingCheck({ sheet, split, roomTemperatureK }: MixingInput): WorkingCheck {
  const workingS = workingTime(sheet, split.totalKg, roomTemperatureK);
  return {
    id: 'working',
    verdict: workingS >= SHORT_S ? 'fine' : 'watch',
    figures: { workingS, massKg: split.totalKg, roomTemperatureK },
    explanation: workingExplanation(sheet, split.totalKg, roomTemperatureK),
  };
}

/** The sheet's limits, the scale and the working time. Source: each names its own. */
export const mixingChecks = (input: MixingInput): readonly MixingCheck[] => [
  liftCheck(input),
  scaleCheck(input),
  workingCheck(input),
];
