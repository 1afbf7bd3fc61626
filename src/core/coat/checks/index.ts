import { bubbleCheck, type BubbleCheck } from './bubble';
import type { CheckInput } from './check';
import { domeCheck, type DomeCheck } from './dome';
import { drainCheck, type DrainCheck } from './drain';
import { edgeCheck, type EdgeCheck } from './edge';
import { levelCheck, type LevelCheck } from './level';
import { reliefCheck, type ReliefCheck } from './relief';
import { wallCheck, type WallCheck } from './wall';
import { waveCheck, type WaveCheck } from './wave';

export type { CheckArea, CheckInput, Verdict } from './check';
export { restOutlasts } from './drain';
export { mixingChecks, type MixingCheck, type MixingInput } from './mixing';

export type FilmCheck =
  | EdgeCheck
  | WallCheck
  | DomeCheck
  | ReliefCheck
  | LevelCheck
  | DrainCheck
  | WaveCheck
  | BubbleCheck;

/** What the film will do between the pour and its end: each with its figures and reason, those that do not apply left out. */
export const filmChecks = (input: CheckInput): FilmCheck[] =>
  [edgeCheck, wallCheck, domeCheck, reliefCheck, levelCheck, drainCheck, waveCheck, bubbleCheck]
    .map((check) => check(input))
    .filter((check) => check !== null);
