import { seededRandom } from '../../numeric';
import { calibrate, type CurePoint } from './calibrate';
import { cupRun } from './cup';
import { filmRun } from './film';
import { MODEL_REFERENCE_K, type Kinetics } from './kinetics';

const T22 = MODEL_REFERENCE_K;
const USUAL: Kinetics = {
  ...{ rate: 9.071e-5, start: 0.328, order: 2.076, glass: 0.874 },
  ...{ energyJMol: 55.1e3, heatJKg: 350e3, viscosityPaS: 1 },
};
/** Evaluations that odex needs for the same week of a film on its board (measured, tolerance 1e-11). */
const ODEX_EVALUATIONS = 82_000;
const SHEETS = 200;

const film = (mark: 'gel' | 'tack-free' | 'handle', h: number): CurePoint => ({
  ...{ kind: 'film', mark, thicknessM: 1.6e-3, temperatureK: T22, timeS: h * 3600 },
});
const cup = (min: number): CurePoint => ({
  ...{ kind: 'cup', massKg: 0.1, temperatureK: T22, timeS: min * 60 },
});

/** A sheet as resins go: working 10 to 90 min, gel 3 to 12 times that, and so on. */
function sheetOf(random: () => number): CurePoint[] {
  const pot = 10 + 80 * random();
  const gel = (pot / 60) * (3 + 9 * random());
  const tack = gel * (1.8 + random());
  return [
    cup(pot),
    film('gel', gel),
    film('tack-free', tack),
    film('handle', tack * (1.6 + random())),
  ];
}

/** A resin of its own, as resins go, and what its sheet says of it: five numbers, each read off with a tenth of error. */
function truth(random: () => number): { kinetics: Kinetics; sheet: CurePoint[] } {
  const gauss = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const kinetics: Kinetics = {
    ...USUAL,
    rate: USUAL.rate * Math.exp(0.5 * gauss()),
    start: USUAL.start * Math.exp(0.5 * gauss()),
    order: USUAL.order + 0.2 * gauss(),
    energyJMol: 55e3 + 4e3 * gauss(),
  };
  const { marks } = filmRun(kinetics, 1.6e-3, T22);
  const noisy = (s: number) => s * Math.exp(0.1 * gauss());
  const pot = cupRun(kinetics, 0.1, T22).workingS ?? NaN;
  return {
    kinetics,
    sheet: [
      { ...cup(1), timeS: noisy(pot) },
      { ...film('gel', 1), timeS: noisy(marks.gel) },
      { ...film('tack-free', 1), timeS: noisy(marks['tack-free']) },
      { ...film('handle', 1), timeS: noisy(marks.handle) },
      { ...film('handle', 1), mark: 'full', timeS: noisy(marks.full) } as CurePoint,
    ],
  };
}

/** Median error of what the sheet does not say: 300 g, and six degrees either way. */
function recovery(): number {
  const random = seededRandom(1412);
  const errors: number[] = [];
  for (let i = 0; i < 60; i += 1) {
    const { kinetics, sheet } = truth(random);
    if (!sheet.every((p) => Number.isFinite(p.timeS))) continue;
    const found = calibrate(sheet, 1).kinetics;
    const off = (of: (k: Kinetics) => number) => Math.abs(of(found) / of(kinetics) - 1);
    errors.push(off((k) => cupRun(k, 0.3, T22).workingS ?? NaN));
    for (const by of [-6, 6]) {
      errors.push(off((k) => cupRun(k, 0.1, T22 + by).workingS ?? NaN));
      errors.push(off((k) => filmRun(k, 1.6e-3, T22 + by).marks['tack-free']));
    }
  }
  const known = errors.filter(Number.isFinite).sort((a, b) => a - b);
  return known[Math.floor(known.length / 2)] ?? NaN;
}

const msOf = (work: () => unknown, runs: number): number => {
  for (let i = 0; i < runs; i += 1) work();
  const start = performance.now();
  for (let i = 0; i < runs; i += 1) work();
  return (performance.now() - start) / runs;
};

/** Runs of the model, its calibration, and how many sheets it fits. */
export function rows() {
  const random = seededRandom(1405);
  const times: number[] = [];
  let fits = 0;
  for (let i = 0; i < SHEETS; i += 1) {
    const sheet = sheetOf(random);
    const start = performance.now();
    const { ratios } = calibrate(sheet, 1);
    times.push(performance.now() - start);
    if (ratios.every((r) => Math.abs(Math.log(r)) < Math.log(1.25))) fits += 1;
  }
  times.sort((a, b) => a - b);
  const { stats } = filmRun(USUAL, 1.6e-3, T22);
  const row = (name: string, figure: number, unit: string, limit: string) => ({
    ...{ name: `resin model: ${name}`, figure: Number(figure.toFixed(2)), unit, limit },
  });
  return [
    row(
      'a cup of 100 g',
      msOf(() => cupRun(USUAL, 0.1, T22), 100),
      'ms',
      '<= 2',
    ),
    row(
      'a film for its whole cure',
      msOf(() => filmRun(USUAL, 1.6e-3, T22), 100),
      'ms',
      '<= 2',
    ),
    row(
      'evaluations of odex for one of ours',
      ODEX_EVALUATIONS / stats.evaluations,
      'times',
      '>= 20',
    ),
    row(`of ${SHEETS} sheets fitted within 25 %`, fits, 'sheets', '>= 195'),
    row(
      'median error at 300 g and at six degrees either way, sheets read to a tenth',
      recovery() * 100,
      '%',
      '<= 12',
    ),
    row('calibration, slowest of ten', times[Math.floor(SHEETS * 0.9)] ?? NaN, 'ms', '<= 300'),
  ];
}
