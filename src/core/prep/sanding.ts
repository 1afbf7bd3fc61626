import { assert } from '../result';
import { grainSize, nearestGrit, scratchOf, type Scratch } from './grit';
import { need, SLACK, type MaterialNeed } from './materials';

export interface SandingStep {
  /** P grit. */
  readonly grit: number;
  /** The nearest CAMI grit; null when CAMI goes no finer. */
  readonly cami: number | null;
  readonly grainM: number;
  readonly scratch: Scratch;
  readonly minutes: number;
  readonly sheets: number;
  readonly wet: boolean;
  /** Whether the next coat hides its scratches; null when none comes. */
  readonly hidden: boolean | null;
}

export interface SandingPlan {
  readonly why: 'tooth' | 'flatten' | 'shape' | 'polish' | 'own';
  readonly areaM2: number;
  readonly steps: readonly SandingStep[];
  /** Matter to take off besides tooth, m³. */
  readonly removeM3: number;
  /** Film that is left under the deepest scratch, m; null when there is no film to sand through. */
  readonly leftM: number | null;
  /** Area asked for that the next coat does not cover, m². */
  readonly beyondM2: number;
}

/** Minutes of hand sanding for a square metre and one grit. Judgement, no source. */
export const MINUTES_PER_M2 = 25;
/** Cured resin that one sheet takes before it is dull or clogged, m². Judgement, no source. */
export const SHEET_M2 = 0.35;
/** Matter that a sheet takes off when flattening, m³ (40 ml). Judgement, no source. */
export const SHEET_M3 = 40e-6;
/** Minutes to take off a cubic metre by hand (4 min/ml). Judgement, no source. */
export const MINUTES_PER_M3 = 4e6;
/** Papers from this P grit on are used wet. Common practice, no source. */
export const WET_FROM = 320;
/** A coat hides scratches whose deepest is less than this share of it. Judgement on "coat ≫ scratch". */
export const HIDING_SHARE = 0.2;

export interface SandingInput {
  readonly why: SandingPlan['why'];
  /** Of all pieces together, m². */
  readonly areaM2: number;
  readonly beyondM2?: number;
  /** P grits in order. */
  readonly grits: readonly number[];
  readonly removeM3?: number;
  /** Thickness of the next coat, m; null when none comes. */
  readonly nextM: number | null;
  /** Film that is sanded into, m; null: the support itself. */
  readonly filmM: number | null;
  /** Whether the support bears water: bare wood and paper do not. */
  readonly bearsWater: boolean;
}

/**
 * A sanding plan: what each grit leaves, costs and needs.
 * @returns minutes, sheets, scratch depths and the film left under the deepest scratch
 * @throws RangeError on a negative area or volume
 * Source: grain sizes FEPA 43 / ISO 6344 (from memory); scratches by rule of thumb; rates are judgement.
 */
export function sandingPlan(input: SandingInput): SandingPlan {
  const { why, areaM2, beyondM2 = 0, grits, removeM3 = 0, nextM, filmM, bearsWater } = input;
  assert(areaM2 >= 0 && removeM3 >= 0 && beyondM2 >= 0, 'sandingPlan', input);
  const steps = grits.map((grit, i): SandingStep => {
    const grainM = grainSize('P', grit);
    const scratch = scratchOf(grainM);
    // The first grit takes off what stands up; the others only take out scratches.
    const bulk = i === 0 ? removeM3 : 0;
    return {
      grit,
      cami: nearestGrit('P', grit, 'CAMI'),
      grainM,
      scratch,
      minutes: areaM2 * MINUTES_PER_M2 + bulk * MINUTES_PER_M3,
      sheets: areaM2 > 0 ? Math.max(1, Math.ceil(areaM2 / SHEET_M2 + bulk / SHEET_M3 - SLACK)) : 0,
      wet: bearsWater && grit >= WET_FROM,
      hidden: nextM === null ? null : scratch.deepestM <= HIDING_SHARE * nextM,
    };
  });
  const deepestM = Math.max(0, ...steps.map((s) => s.scratch.deepestM));
  return {
    why,
    areaM2,
    steps,
    removeM3,
    leftM: filmM === null ? null : filmM - deepestM,
    beyondM2,
  };
}

/** Sheets of each grit. */
export const sandingMaterials = (plan: SandingPlan): MaterialNeed[] =>
  plan.steps.map(({ grit, sheets }) =>
    need(
      `paper P${grit}`,
      sheets,
      'sheets = ⌈A / 0.35 m² + V / 40 ml⌉, V with the first grit',
      ['area to sand, A', plan.areaM2, 'area'],
      ['to take off, V', plan.removeM3, 'volume'],
      ['area of one sheet', SHEET_M2, 'area', 'rule of thumb'],
    ),
  );
