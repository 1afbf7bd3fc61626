import { fail, ok, type Issue, type Result } from '../result';
import { mixPartsIssues, type MixParts } from './ratio';
import { ROOM_LIMITS_K, type RateLaw } from './ripeHours';

/** Times of the data sheet in ripe seconds: seconds at the sheet's reference temperature. */
export interface SheetTimes {
  /** Working time in a cup of `workingMassKg`. */
  readonly workingS: number;
  readonly noFlowS: number;
  readonly leatheryS: number;
  readonly recoatOpensS: number;
  readonly recoatClosesS: number;
  readonly unmaskClosesS: number;
  readonly handleS: number;
  readonly hardS: number;
  readonly warmLoadS: number;
  readonly fullS: number;
}

/** A resin's own data sheet, as far as the arithmetic needs it. */
export interface ResinSheet extends MixParts, RateLaw {
  /** Viscosity when part B meets part A, at the reference temperature, Pa s. */
  readonly viscosityPaS: number;
  readonly times: SheetTimes;
  readonly workingMassKg: number;
  /** Working time that the sheet states for another mass too; null or left out: for one only. */
  readonly workingAlso?: { readonly massKg: number; readonly workingS: number } | null;
  /** Film thickness that the sheet allows in one lift, m. */
  readonly thinnestM: number;
  readonly thickestM: number;
  /** Shortest stir that the sheet allows, s: less leaves streaks that never cure. */
  readonly stirS: number;
}

/** Shortest stir where a sheet states none, s. Common practice, no source. */
export const DEFAULT_STIR_S = 120;
/** Shortest stirs that a sheet may state, s. Judgement, no source. */
export const STIR_LIMITS_S = { min: 30, max: 1800 } as const;

/** Pairs of times that must stand in this order (the first not after the second). */
export const TIME_ORDER: readonly (readonly [keyof SheetTimes, keyof SheetTimes])[] = [
  ['workingS', 'noFlowS'],
  ['noFlowS', 'leatheryS'],
  ['leatheryS', 'unmaskClosesS'],
  ['noFlowS', 'recoatOpensS'],
  ['recoatOpensS', 'recoatClosesS'],
  ['leatheryS', 'handleS'],
  ['recoatClosesS', 'hardS'],
  ['hardS', 'fullS'],
  ['hardS', 'warmLoadS'],
];

/** Longest time a sheet may state: 60 days. Judgement, no source. */
const LONGEST_S = 60 * 86400;

const within = (path: (string | number)[], value: number, min: number, max: number): Issue[] =>
  value >= min && value <= max
    ? []
    : [{ code: 'out-of-range', path, value, allowed: { min, max } }];

/** A larger cup heats itself and can be worked for less time, never for more; one mass twice says nothing. */
function alsoIssues({ workingAlso, workingMassKg, times }: ResinSheet): Issue[] {
  if (!workingAlso) return [];
  const { massKg, workingS } = workingAlso;
  const path = ['workingAlso', 'workingS'];
  const issues = [
    ...within(['workingAlso', 'massKg'], massKg, 0.001, 50),
    ...within(path, workingS, 60, LONGEST_S),
  ];
  if (issues.length > 0) return issues;
  if (massKg === workingMassKg)
    return [{ code: 'does-not-fit', path: ['workingAlso', 'massKg'], value: massKg }];
  const larger = massKg > workingMassKg;
  if (larger && workingS > times.workingS)
    return [
      { code: 'out-of-range', path, value: workingS, allowed: { min: 60, max: times.workingS } },
    ];
  return !larger && workingS < times.workingS
    ? [
        {
          ...{ code: 'out-of-range' as const, path, value: workingS },
          allowed: { min: times.workingS, max: LONGEST_S },
        },
      ]
    : [];
}

/**
 * Checks a data sheet.
 * @returns the sheet, or every fault with its path: `out-of-range`, or `out-of-order` at the later of
 *   two times (the path names it, `allowed.min` is the earlier one, s)
 */
export function checkSheet(sheet: ResinSheet): Result<ResinSheet> {
  const { times } = sheet;
  const issues: Issue[] = [
    ...mixPartsIssues(sheet),
    ...within(['viscosityPaS'], sheet.viscosityPaS, 0.01, 100),
    ...within(['activationEnergyJMol'], sheet.activationEnergyJMol, 20e3, 120e3),
    ...within(
      ['referenceTemperatureK'],
      sheet.referenceTemperatureK,
      ROOM_LIMITS_K.min,
      ROOM_LIMITS_K.max,
    ),
    ...within(['workingMassKg'], sheet.workingMassKg, 0.001, 50),
    ...alsoIssues(sheet),
    ...within(['thinnestM'], sheet.thinnestM, 1e-5, 0.1),
    ...within(['thickestM'], sheet.thickestM, 1e-5, 0.1),
    ...within(['stirS'], sheet.stirS, STIR_LIMITS_S.min, STIR_LIMITS_S.max),
    ...Object.entries(times).flatMap(([name, value]) =>
      within(['times', name], value, 60, LONGEST_S),
    ),
  ];
  for (const [first, second] of TIME_ORDER) {
    if (times[first] > times[second])
      issues.push({
        code: 'out-of-order',
        path: ['times', second],
        value: times[second],
        allowed: { min: times[first] },
      });
  }
  if (sheet.thinnestM > sheet.thickestM)
    issues.push({
      code: 'out-of-order',
      path: ['thickestM'],
      value: sheet.thickestM,
      allowed: { min: sheet.thinnestM },
    });
  return issues.length > 0 ? fail(...issues) : ok(sheet);
}
