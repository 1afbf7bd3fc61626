import { rodas3, type StiffRun } from '../../numeric';
import { assert } from '../../result';
import { cureRate, cureViscosity, type Kinetics } from './kinetics';

/** Heat capacity of a mix, J/(kg K), and its density, kg/m³. Typical of unfilled epoxy, from memory. */
export const MIX = { heatJKgK: 1900, densityKgM3: 1100 } as const;
/** Heat to the air, W/(m² K), and conduction of the mix, W/(m K). Typical, from memory. */
export const AIR_W_M2K = 9;
const CONDUCTION = 0.2;
/** Conduction counts over a fifth of the radius: the middle is warmer than the rim. From memory. */
const INNER = 5;
/** A mix is stiff to work once it is so many times as thick as fresh, where it lies. Common practice, no source. */
export const WORKABLE = 8;
/** Or once its cup is so much warmer than it began, K. Common practice, no source. */
const RUNS_HOT_K = 25;

/** The vessel: a cup as wide as the mix is deep, or a tray in which it lies so deep, m. */
export type Vessel = { readonly kind: 'cup' } | { readonly kind: 'tray'; readonly depthM: number };

/** What a batch does while it stands. */
export interface CupMoment {
  readonly s: number;
  readonly conversion: number;
  readonly temperatureK: number;
  /** Viscosity in the cup, Pa·s. */
  readonly viscosityPaS: number;
  /** Viscosity that it has once it lies on a board at room temperature, Pa·s. */
  readonly onBoardPaS: number;
}

export interface CupRun {
  readonly moments: readonly CupMoment[];
  /** When it is no longer to be poured, s after the mix; null: not within the run. */
  readonly workingS: number | null;
  /** Why: it is thick, or its cup runs hot. */
  readonly by: 'thick' | 'hot' | null;
  /** Highest temperature above the start, K: it tells a class of hazard, not a thermometer's degrees. */
  readonly riseK: number;
  readonly stats: Pick<StiffRun, 'outcome' | 'steps' | 'evaluations'>;
}

/** Heat that a vessel gives away, W/K. Source: film and inner resistance in series, a cylinder as high as wide. */
export function vesselLossWK(massKg: number, vessel: Vessel): number {
  const volume = massKg / MIX.densityKgM3;
  if (vessel.kind === 'tray') {
    const area = volume / vessel.depthM;
    const u = 1 / (1 / AIR_W_M2K + vessel.depthM / 2 / CONDUCTION);
    return u * area * 1.5;
  }
  const d = Math.cbrt((4 * volume) / Math.PI);
  const area = Math.PI * d * d * 1.375;
  return area / (1 / AIR_W_M2K + d / 2 / (INNER * CONDUCTION));
}

/** Longest run of a cup, s. */
const LONGEST_S = 12 * 3600;

/**
 * A batch in its vessel from the mix on.
 * @param massKg mixed mass, kg, > 0 @param roomK room, K @param startK the mix at first, K
 * @returns moments through time and the end of the working time
 * @throws RangeError on a mass that is not above zero
 * Source: m c dT/dt = m ΔH dα/dt − UA (T − Ta) with the kinetics; working time is the first of 8 times the fresh
 *   viscosity AT ROOM TEMPERATURE and 25 K above the start. In the warm cup viscosity itself falls: no criterion.
 */
export function cupRun(
  kinetics: Kinetics,
  massKg: number,
  roomK: number,
  startK: number = roomK,
  vessel: Vessel = { kind: 'cup' },
): CupRun {
  assert(massKg > 0, 'cupRun', massKg);
  const loss = vesselLossWK(massKg, vessel) / (massKg * MIX.heatJKgK);
  const heating = kinetics.heatJKg / MIX.heatJKgK;
  const fresh = cureViscosity(kinetics, 0, roomK);
  const moments: CupMoment[] = [];
  const at = (s: number, y: Float64Array): CupMoment => {
    const [conversion, temperatureK] = [y[0] ?? NaN, y[1] ?? NaN];
    return {
      ...{ s, conversion, temperatureK },
      viscosityPaS: cureViscosity(kinetics, conversion, temperatureK),
      onBoardPaS: cureViscosity(kinetics, conversion, roomK),
    };
  };
  const over = (y: Float64Array): CupRun['by'] => {
    if (cureViscosity(kinetics, y[0] ?? NaN, roomK) >= WORKABLE * fresh) return 'thick';
    return (y[1] ?? NaN) >= startK + RUNS_HOT_K ? 'hot' : null;
  };
  let [workingS, by, hottestK]: [number | null, CupRun['by'], number] = [null, null, startK];
  const y0 = Float64Array.of(0, startK);
  moments.push(at(0, y0));
  const stats = rodas3(
    (y, out) => {
      const rate = cureRate(kinetics, y[0] ?? NaN, y[1] ?? NaN);
      out[0] = rate;
      out[1] = heating * rate - loss * ((y[1] ?? NaN) - roomK);
    },
    y0,
    0,
    LONGEST_S,
    {
      ...{ relative: 1e-5, absolute: [1e-7, 1e-3], firstStep: 1 },
      onStep: (from, to, read) => {
        const end = read(to);
        hottestK = Math.max(hottestK, end[1] ?? NaN);
        moments.push(at(to, end));
        const why = over(end);
        if (workingS === null && why !== null) {
          workingS = crossing(from, to, (s) => over(read(s)) !== null);
          by = over(read(workingS)) ?? why;
        }
        // Past its peak and gelled it has nothing more to say.
        return (end[0] ?? NaN) > 0.6 && (end[1] ?? NaN) < hottestK - 1;
      },
    },
  );
  return { moments, workingS, by, riseK: hottestK - startK, stats };
}

/** The first instant of a step at which something holds that holds at its end. Source: halving. */
export function crossing(from: number, to: number, holds: (s: number) => boolean): number {
  let [low, high] = [from, to];
  for (let i = 0; i < 40; i += 1) {
    const middle = (low + high) / 2;
    if (holds(middle)) high = middle;
    else low = middle;
  }
  return high;
}
