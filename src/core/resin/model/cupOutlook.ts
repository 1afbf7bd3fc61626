import { calibrate, predict, type Calibration, type CurePoint } from './calibrate';
import { cupRun, type CupRun, type Vessel } from './cup';
import { filmRun, type FilmMark } from './film';
import { CLINGS, LINES_STAY } from '../../film';
import { ripeRate } from '../ripeHours';
import { cureViscosity, type Kinetics } from './kinetics';
import type { ResinSheet } from '../sheet';

/** Film that the times of a sheet are taken to speak of, m: what settles by itself. Common practice, no source. */
export const SHEET_FILM_M = 1.6e-3;

/** The numbers of a sheet that a calibration can use. */
export function pointsOf({
  times,
  workingMassKg,
  workingAlso,
  referenceTemperatureK,
}: ResinSheet): CurePoint[] {
  const film = (mark: 'gel' | 'tack-free' | 'handle' | 'full', timeS: number): CurePoint => ({
    ...{ kind: 'film', mark, thicknessM: SHEET_FILM_M },
    ...{ temperatureK: referenceTemperatureK, timeS },
  });
  return [
    {
      ...{ kind: 'cup', massKg: workingMassKg },
      ...{ temperatureK: referenceTemperatureK, timeS: times.workingS },
    },
    ...(workingAlso
      ? [
          {
            ...{ kind: 'cup' as const, massKg: workingAlso.massKg },
            ...{ temperatureK: referenceTemperatureK, timeS: workingAlso.workingS },
          },
        ]
      : []),
    film('gel', times.noFlowS),
    film('tack-free', times.recoatClosesS),
    film('handle', times.handleS),
    film('full', times.fullS),
  ];
}

/** How warm a batch gets when it is left standing: a class, for no sheet tells the degrees. */
export const HEAT_CLASSES = ['warm', 'hot', 'dangerous'] as const;
export type HeatClass = (typeof HEAT_CLASSES)[number];
/** Rises from which it is hot, and dangerous: it can smoke, crack its cup and burn. Judgement, no source, K. */
const [HOT_K, DANGER_K] = [15, 40];
const classOf = (riseK: number): HeatClass =>
  riseK < HOT_K ? 'warm' : riseK < DANGER_K ? 'hot' : 'dangerous';

/** A tray that a batch is spread in, m. Common practice, no source. */
export const TRAY_DEPTH_M = 5e-3;

export interface CupQuestion {
  readonly sheet: ResinSheet;
  readonly massKg: number;
  readonly roomK: number;
  /** The mix at first: warm bottles are warmer than the room, K. */
  readonly startK: number;
}

export interface CupOutlook {
  /** Until when it can be poured, s after the mix, and one standard deviation of its logarithm. */
  readonly workingS: number;
  readonly sigma: number;
  readonly by: 'thick' | 'hot';
  readonly edges: { readonly fromS: number; readonly toS: number } | null;
  readonly linesFromS: number | null;
  /** Thickness against fresh as it lies on the board, through time. */
  readonly curve: readonly { readonly s: number; readonly times: number }[];
  readonly heat: HeatClass;
  /** Greatest mass in one cup that does not get dangerous when it is forgotten, kg. */
  readonly greatestKg: number;
  /** The same mass spread in a tray. */
  readonly tray: { readonly workingS: number; readonly heat: HeatClass };
  readonly left: Calibration['left'];
  /** The sheet’s own film in this room, by the model, and by the sheet’s times brought to the room. */
  readonly film: readonly {
    readonly mark: FilmMark;
    readonly modelS: number;
    /** One standard deviation of its logarithm. */
    readonly sigma: number;
    readonly sheetS: number;
  }[];
}

const known = new WeakMap<ResinSheet, Calibration>();

/** The calibration of a sheet; the same sheet is fitted once. */
export function calibrationOf(sheet: ResinSheet): Calibration {
  const found = known.get(sheet) ?? calibrate(pointsOf(sheet), sheet.viscosityPaS);
  known.set(sheet, found);
  return found;
}

/**
 * What a batch does in its cup.
 * @param question sheet, mass, kg > 0, room and mix, K
 * @returns null where the model finds no end of the working time within half a day
 * @throws RangeError on a mass that is not above zero
 * Source: {@link calibrate} and {@link cupRun}; marks are judgement on common practice.
 */
export function cupOutlook({ sheet, massKg, roomK, startK }: CupQuestion): CupOutlook | null {
  const calibration = calibrationOf(sheet);
  const { kinetics } = calibration;
  const run = cupRun(kinetics, massKg, roomK, startK);
  const { workingS, by } = run;
  if (workingS === null || by === null) return null;
  const end = (k: Kinetics) => cupRun(k, massKg, roomK, startK).workingS ?? NaN;
  const tray: Vessel = { kind: 'tray', depthM: TRAY_DEPTH_M };
  const spread = cupRun(kinetics, massKg, roomK, startK, tray);
  const fresh = cureViscosity(kinetics, 0, roomK);
  const curve = curveOf(run, fresh, workingS);
  const when = (times: number) => crossed(curve, times);
  const [from, to] = [when(CLINGS.from), when(CLINGS.to)];
  const lines = when(LINES_STAY);
  return {
    ...{ workingS, by, curve, sigma: predict(calibration, end).sigma },
    edges: from !== null && to !== null ? { fromS: from, toS: Math.min(to, workingS) } : null,
    linesFromS: lines !== null && lines < workingS ? lines : null,
    heat: classOf(run.riseK),
    greatestKg: greatestMass(kinetics, roomK, startK),
    tray: { workingS: spread.workingS ?? workingS, heat: classOf(spread.riseK) },
    left: calibration.left,
    film: filmTimes(sheet, calibration, roomK),
  };
}

/** Marks of a film that a sheet states too, by the name of its time. */
const STATED = [
  ['gel', 'noFlowS'],
  ['tack-free', 'recoatClosesS'],
  ['handle', 'handleS'],
  ['full', 'fullS'],
] as const;

function filmTimes(sheet: ResinSheet, calibration: Calibration, roomK: number): CupOutlook['film'] {
  const slower = 1 / ripeRate(roomK, sheet);
  return STATED.map(([mark, time]) => {
    const told = predict(calibration, (k) => filmRun(k, SHEET_FILM_M, roomK).marks[mark]);
    return { mark, modelS: told.timeS, sigma: told.sigma, sheetS: sheet.times[time] * slower };
  });
}

function curveOf({ moments }: CupRun, fresh: number, workingS: number): CupOutlook['curve'] {
  const inside = moments.filter((m) => m.s <= workingS * 1.15);
  return inside.map(({ s, onBoardPaS }) => ({ s, times: Math.min(onBoardPaS / fresh, 12) }));
}

/** When a curve first reaches a value, on straight lines between its moments; null: not in it. */
function crossed(curve: CupOutlook['curve'], times: number): number | null {
  const i = curve.findIndex((m) => m.times >= times);
  const [before, after] = [curve[i - 1], curve[i]];
  if (!before || !after) return null;
  return before.s + ((times - before.times) / (after.times - before.times)) * (after.s - before.s);
}

/** Masses between which the greatest safe one is looked for, kg. */
const MASSES_KG = { min: 5e-3, max: 3 } as const;

function greatestMass(kinetics: Kinetics, roomK: number, startK: number): number {
  const safe = (kg: number) => classOf(cupRun(kinetics, kg, roomK, startK).riseK) !== 'dangerous';
  let [low, high]: [number, number] = [MASSES_KG.min, MASSES_KG.max];
  if (safe(high)) return high;
  // A twelfth of a doubling is nearer than any cup is measured.
  while (high / low > 1.06) {
    const middle = Math.sqrt(low * high);
    if (safe(middle)) low = middle;
    else high = middle;
  }
  return low;
}
