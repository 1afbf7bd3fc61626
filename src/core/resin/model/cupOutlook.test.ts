import { CLINGS, LINES_STAY } from '../../film';
import { GAS_CONSTANT } from '../../units';
import { TEST_SHEET } from '../test/sheet';
import { predict } from './calibrate';
import { cupRun } from './cup';
import { calibrationOf, cupOutlook, pointsOf, SHEET_FILM_M, TRAY_DEPTH_M } from './cupOutlook';
import { filmRun } from './film';

const K = 295.15;
const ask = (massKg: number, roomK = K, startK = roomK) => {
  const found = cupOutlook({ sheet: TEST_SHEET, massKg, roomK, startK });
  if (!found) throw new Error('no outlook');
  return found;
};
const { kinetics } = calibrationOf(TEST_SHEET);
const rise = (massKg: number, roomK = K) => cupRun(kinetics, massKg, roomK, roomK).riseK;

describe('what a sheet tells the model', () => {
  it('its cup, a second cup where it states one, and four marks of a film of 1.6 mm', () => {
    const film = { kind: 'film', thicknessM: SHEET_FILM_M, temperatureK: K };
    const cup = { kind: 'cup', massKg: 0.1, temperatureK: K, timeS: 2400 };
    const films = [
      { ...film, mark: 'gel', timeS: 5 * 3600 },
      { ...film, mark: 'tack-free', timeS: 14 * 3600 },
      { ...film, mark: 'handle', timeS: 18 * 3600 },
      { ...film, mark: 'full', timeS: 120 * 3600 },
    ];
    expect(pointsOf(TEST_SHEET)).toEqual([cup, ...films]);
    const also = { ...TEST_SHEET, workingAlso: { massKg: 1, workingS: 1500 } };
    expect(pointsOf(also)).toEqual([cup, { ...cup, massKg: 1, timeS: 1500 }, ...films]);
  });
  it('is fitted once for a sheet', () => {
    expect(calibrationOf(TEST_SHEET)).toBe(calibrationOf(TEST_SHEET));
    expect(calibrationOf({ ...TEST_SHEET })).not.toBe(calibrationOf(TEST_SHEET));
  });
});

describe('what a batch does in its cup', () => {
  it('ends as its run does, with the spread of the fit', () => {
    const out = ask(0.1);
    expect(out.workingS).toBe(cupRun(kinetics, 0.1, K, K).workingS);
    expect(out.workingS / 2400).toBeGreaterThan(0.8);
    expect(out.workingS / 2400).toBeLessThan(1.25);
    const told = predict(calibrationOf(TEST_SHEET), (k) => cupRun(k, 0.1, K, K).workingS ?? NaN);
    expect(out.sigma).toBe(told.sigma);
    expect(out.sigma).toBeGreaterThan(0.02);
    expect(out.sigma).toBeLessThan(0.3);
    expect(out.left).toBe(calibrationOf(TEST_SHEET).left);
  });
  it('warm bottles shorten it, and a room so cold that nothing happens in half a day has no end', () => {
    expect(ask(0.1, K, K + 8).workingS).toBeLessThan(ask(0.1).workingS);
    expect(cupOutlook({ sheet: TEST_SHEET, massKg: 0.1, roomK: 250, startK: 250 })).toBeNull();
    expect(() => ask(0)).toThrow('cupRun');
  });
  it('classes of heat by the rise of a cup that is forgotten: 15 K and 40 K (judgement, no source)', () => {
    const classes = new Set<string>();
    for (const kg of [0.005, 0.02, 0.04, 0.08, 0.15, 0.3, 1]) {
      const r = rise(kg);
      classes.add(ask(kg).heat);
      expect(ask(kg).heat).toBe(r < 15 ? 'warm' : r < 40 ? 'hot' : 'dangerous');
    }
    expect(classes.size).toBeGreaterThan(1);
  });
  it('the greatest mass that stays harmless: it does, and 6 % more does not', () => {
    const { greatestKg } = ask(0.1);
    expect(greatestKg).toBeGreaterThan(5e-3);
    expect(rise(greatestKg)).toBeLessThan(40);
    expect(rise(greatestKg * 1.06)).toBeGreaterThanOrEqual(40);
    // A cold room lets even three kilograms stand.
    const cold = 272;
    if (rise(3, cold) < 40) expect(ask(0.1, cold).greatestKg).toBe(3);
    else expect(ask(0.1, cold).greatestKg).toBeGreaterThan(greatestKg);
  });
  it('spread in a tray of 5 mm it lasts longer and stays cooler', () => {
    const spread = cupRun(kinetics, 1, K, K, { kind: 'tray', depthM: TRAY_DEPTH_M });
    const { tray, workingS } = ask(1);
    expect(tray.workingS).toBe(spread.workingS);
    expect(tray.workingS).toBeGreaterThan(workingS);
    expect(tray.heat).toBe(spread.riseK < 15 ? 'warm' : 'hot');
  });
});

describe('its curve of thickness', () => {
  const { curve, workingS, edges, linesFromS } = ask(0.1);
  /** Thickness at an instant, on straight lines between the moments of the curve. */
  const at = (s: number) => {
    const i = curve.findIndex((m) => m.s >= s);
    const [a, b] = [curve[Math.max(0, i - 1)], curve[i]];
    if (!a || !b) return NaN;
    return a.s === b.s ? b.times : a.times + ((b.times - a.times) * (s - a.s)) / (b.s - a.s);
  };
  it('begins fresh, only thickens, and is drawn a little past its end', () => {
    expect(curve[0]).toEqual({ s: 0, times: 1 });
    curve
      .slice(1)
      .forEach((m, i) => expect(m.times).toBeGreaterThanOrEqual(curve[i]?.times ?? Infinity));
    expect(Math.max(...curve.map((m) => m.times))).toBeLessThanOrEqual(12);
    expect(curve.at(-1)?.s).toBeLessThanOrEqual(1.15 * workingS);
    expect(curve.at(-1)?.s).toBeGreaterThanOrEqual(workingS * 0.9);
  });
  it('tells from when edges cling and lines stay, where it crosses their thickness', () => {
    if (!edges || linesFromS === null) throw new Error('no edges');
    expect(at(edges.fromS)).toBeCloseTo(CLINGS.from, 6);
    expect(edges.toS).toBeLessThanOrEqual(workingS);
    expect(edges.toS === workingS || Math.abs(at(edges.toS) - CLINGS.to) < 1e-6).toBe(true);
    expect(at(linesFromS)).toBeCloseTo(LINES_STAY, 6);
    expect(linesFromS).toBeLessThan(workingS);
  });
  it('a large cup that runs hot is over before it is thick: what it never reaches is not told', () => {
    const big = ask(2, 303, 303);
    expect(big.by).toBe('hot');
    expect(big.linesFromS === null || big.linesFromS < big.workingS).toBe(true);
    expect(big.edges === null || big.edges.toS <= big.workingS).toBe(true);
  });
});

describe('its film', () => {
  it('by the model, and by the sheet brought to the room', () => {
    const roomK = K - 8;
    const slow = Math.exp((55e3 / GAS_CONSTANT) * (1 / roomK - 1 / K));
    const marks = filmRun(kinetics, SHEET_FILM_M, roomK).marks;
    const stated: Readonly<Record<string, number>> = {
      gel: 5,
      'tack-free': 14,
      handle: 18,
      full: 120,
    };
    const { film } = ask(0.1, roomK);
    expect(film.map((f) => f.mark)).toEqual(Object.keys(stated));
    for (const { mark, modelS, sigma, sheetS } of film) {
      expect(modelS).toBeCloseTo(marks[mark], 6);
      expect(sheetS / 3600).toBeCloseTo((stated[mark] ?? NaN) * slow, 6);
      expect(sigma).toBeGreaterThan(0);
      expect(sigma).toBeLessThan(0.6);
    }
  });
});
