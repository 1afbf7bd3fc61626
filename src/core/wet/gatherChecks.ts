import {
  RATIO_TOLERANCE,
  USUAL_ROOM_K,
  workingTime,
  type Declared,
  type MixSplit,
  type ResinSheet,
} from '../resin';
import { standing, type WetEvent } from './event';
import { CUP_REST_S, stirTimes } from './stirring';

/** A piece takes so long to pour where the shop has not learned better, s. Judgement, no source. */
export const USUAL_POUR_S = 6 * 60;
/** Longest gap between two pours that is told as the time a piece takes, s: after it something else was done. Judgement. */
const LONGEST_POUR_S = 30 * 60;

/** What a batch is about to be mixed for. */
export interface GatherInput {
  readonly sheet: ResinSheet;
  readonly curesK: Declared['curesK'];
  readonly split: MixSplit;
  /** K; null: not told. */
  readonly roomK: number | null;
  /** Smallest step of what is measured with, kg of each part. */
  readonly stepKg: { readonly a: number; readonly b: number };
  readonly coats: number;
  /** How long a piece takes to pour, s. */
  readonly pourS: number;
}

/** What is looked at before resin is mixed. */
export type GatherCheck =
  | {
      readonly is: 'room';
      readonly verdict: 'fine' | 'stop';
      readonly roomK: number;
      readonly limits: { readonly min: number; readonly max: number };
      /** The sheet says nothing of its room. */
      readonly usual: boolean;
    }
  | {
      readonly is: 'time';
      readonly verdict: 'fine' | 'watch' | 'stop';
      readonly workingS: number;
      /** Stir, rest and all pours. */
      readonly neededS: number;
      /** Coats that fit in the working time. */
      readonly fits: number;
    }
  | {
      readonly is: 'measure';
      readonly verdict: 'fine' | 'watch';
      readonly errorShare: number;
    };

/** So much of the working time is left over when it is done at ease. Judgement, no source. */
const AT_EASE = 0.8;

/**
 * Whether a batch can be mixed and poured as it is gathered.
 * @returns one check of each kind; that of the room is left out while nobody told it
 * Source: the resin's sheet; first-order error propagation; common practice.
 */
export function gatherChecks(input: GatherInput): GatherCheck[] {
  const { sheet, curesK, split, roomK, stepKg, coats, pourS } = input;
  // Each part is off by one step: dR/R = e/A + e/B.
  const errorShare = stepKg.a / split.aKg + stepKg.b / split.bKg;
  const measure: GatherCheck = {
    ...{ is: 'measure', errorShare },
    verdict: errorShare <= RATIO_TOLERANCE ? 'fine' : 'watch',
  };
  if (roomK === null) return [measure];
  const limits = curesK ?? USUAL_ROOM_K;
  const workingS = workingTime(sheet, split.totalKg, roomK);
  const beforeS = stirTimes(sheet).wantedS + CUP_REST_S.from;
  const neededS = beforeS + coats * pourS;
  return [
    {
      ...{ is: 'room', roomK, limits, usual: curesK === null },
      verdict: roomK >= limits.min && roomK <= limits.max ? 'fine' : 'stop',
    },
    {
      ...{ is: 'time', workingS, neededS },
      verdict: neededS > workingS ? 'stop' : neededS > AT_EASE * workingS ? 'watch' : 'fine',
      fits: Math.max(0, Math.floor((workingS - beforeS) / pourS)),
    },
    measure,
  ];
}

/**
 * How long a piece takes to pour, by what was poured before: from one pour to the next, and from the rest to the first.
 * @param batches events of each batch
 * @returns median, s, and of how many; null: nothing is known yet
 */
export function learnedPour(
  batches: readonly (readonly WetEvent[])[],
): { readonly pourS: number; readonly count: number } | null {
  const spans = batches.flatMap((events) => {
    const acts = standing(events);
    const stirred = acts.find((a) => a.is === 'stirred');
    const poured = acts.filter((a) => a.is === 'poured').map((a) => a.atMs / 1000);
    if (!stirred) return [];
    const from = [stirred.atMs / 1000 + CUP_REST_S.from, ...poured];
    return poured.map((at, i) => at - (from[i] ?? at));
  });
  const told = spans.filter((s) => s > 0 && s <= LONGEST_POUR_S).sort((a, b) => a - b);
  const middle = told[Math.floor(told.length / 2)];
  return middle === undefined ? null : { pourS: middle, count: told.length };
}
