import { rodas3, type StiffRun } from '../../numeric';
import { assert } from '../../result';
import { AIR_W_M2K, crossing, MIX, WORKABLE } from './cup';
import { cureRate, cureViscosity, GEL, type Kinetics } from './kinetics';

/** A board under the film: contact, W/(m² K), heat, J/(m² K), and what it loses, W/(m² K). Typical, from memory. */
const BOARD = { contact: 100, heat: 6000, loss: 4 } as const;

/** Marks of a film by its conversion: a convention that places the times of a usual sheet on one curve. */
export const FILM_MARKS = { gel: GEL, 'tack-free': 0.78, handle: 0.87, full: 0.93 } as const;
export type FilmMark = 'open' | keyof typeof FILM_MARKS;

export interface FilmRun {
  /** When each mark is reached, s after the mix; Infinity: not within the run. */
  readonly marks: Readonly<Record<FilmMark, number>>;
  /** Fluidity: ∫ dt / η from the pour on, m·s/kg, at the ends of the steps. */
  readonly fluidity: readonly { readonly s: number; readonly perPaS: number }[];
  /** Highest temperature of the film above the room, K. */
  readonly riseK: number;
  readonly stats: Pick<StiffRun, 'outcome' | 'steps' | 'evaluations'>;
}

const LONGEST_S = 60 * 86_400;

/**
 * A film on its board from the pour on, at one room temperature.
 * @param thicknessM film, m, > 0 @param roomK K @param from what had reacted in the cup, 0…1, and how long it was, s
 * @returns its marks and how far it flows
 * @throws RangeError on a thickness that is not above zero
 * Source: ρ h c dT/dt = ρ h ΔH dα/dt − h_air (T − Ta) − h_contact (T − Tb), and the board's own balance.
 */
export function filmRun(
  kinetics: Kinetics,
  thicknessM: number,
  roomK: number,
  from: { readonly conversion: number; readonly ageS: number } = { conversion: 0, ageS: 0 },
): FilmRun {
  assert(thicknessM > 0, 'filmRun', thicknessM);
  const heat = MIX.densityKgM3 * thicknessM * MIX.heatJKgK;
  const heating = kinetics.heatJKg / MIX.heatJKgK;
  const open = WORKABLE * cureViscosity(kinetics, 0, roomK);
  const marks: Record<FilmMark, number> = {
    ...{ open: Infinity, gel: Infinity, 'tack-free': Infinity, handle: Infinity, full: Infinity },
  };
  const reached: Readonly<Record<FilmMark, (y: Float64Array) => boolean>> = {
    open: (y) => cureViscosity(kinetics, y[0] ?? NaN, roomK) >= open,
    gel: (y) => (y[0] ?? NaN) >= FILM_MARKS.gel,
    'tack-free': (y) => (y[0] ?? NaN) >= FILM_MARKS['tack-free'],
    handle: (y) => (y[0] ?? NaN) >= FILM_MARKS.handle,
    full: (y) => (y[0] ?? NaN) >= FILM_MARKS.full,
  };
  const names = Object.keys(marks) as FilmMark[];
  const y0 = Float64Array.of(from.conversion, roomK, roomK);
  for (const name of names) if (reached[name](y0)) marks[name] = from.ageS;
  const fluidity = [{ s: from.ageS, perPaS: 0 }];
  let hottestK = roomK;
  const stats = rodas3(
    (y, out) => {
      const [a, t, board] = [y[0] ?? NaN, y[1] ?? NaN, y[2] ?? NaN];
      const rate = cureRate(kinetics, a, t);
      out[0] = rate;
      out[1] = heating * rate - (AIR_W_M2K * (t - roomK) + BOARD.contact * (t - board)) / heat;
      out[2] = (BOARD.contact * (t - board) - BOARD.loss * (board - roomK)) / BOARD.heat;
    },
    y0,
    from.ageS,
    LONGEST_S,
    {
      ...{ relative: 1e-5, absolute: [1e-7, 1e-3, 1e-3], firstStep: 1 },
      onStep: (start, end, read) => {
        const y = read(end);
        hottestK = Math.max(hottestK, y[1] ?? NaN);
        const at = (s: number) => {
          const here = read(s);
          return 1 / cureViscosity(kinetics, here[0] ?? NaN, here[1] ?? NaN);
        };
        const last = fluidity.at(-1)?.perPaS ?? NaN;
        fluidity.push({ s: end, perPaS: last + gauss(at, start, end) });
        for (const name of names)
          if (marks[name] === Infinity && reached[name](y))
            marks[name] = crossing(start, end, (s) => reached[name](read(s)));
        return marks.full !== Infinity;
      },
    },
  );
  return { marks, fluidity, riseK: hottestK - roomK, stats };
}

const NODES = [
  [-Math.sqrt(0.6), 5 / 9],
  [0, 8 / 9],
  [Math.sqrt(0.6), 5 / 9],
] as const;
/** Integral over a step. Source: Gauss–Legendre of three nodes. */
const gauss = (f: (s: number) => number, from: number, to: number): number =>
  NODES.reduce((sum, [x, w]) => sum + w * f((from + to) / 2 + (x * (to - from)) / 2), 0) *
  ((to - from) / 2);
