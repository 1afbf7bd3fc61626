import { dewPoint } from '@/core/climate';
import { NO_HISTORY } from '@/core/inspect';
import { workingTime } from '@/core/resin';
import { TEST_SHEET } from '@/core/resin/test/sheet';
import { asId, type Coat, type Layer, type Swatch, SWATCHES } from '@/records';
import { historyOf } from './history';
import type { Shop } from './shop';
import {
  aBatch,
  aCoat,
  acts,
  aFace,
  aLayer,
  aLot,
  at,
  aTask,
  benchShop,
  entry,
  HOUR,
  read,
  type TimedAct,
  usualActs,
  walledFace,
} from './test/bench';
import { plainPiece, plainResin } from './test/rows';

const FOUND = at(26 * 60);
const of = (shop: Shop, coat = shop.coats.at(-1), started = entry()) =>
  historyOf(shop, coat as Coat, FOUND, started);
/** The history of a batch with other acts. */
const mixed = (...timed: TimedAct[]) =>
  of(benchShop({ batches: [aBatch('batch', ['flood'], { events: acts(...timed) })] }));
const WORKING_S = workingTime(TEST_SHEET, 0.43, 295.15);

describe('what was noted of the mix', () => {
  it('weighed, stirred, rested and poured as the sheet has it', () => {
    expect(of(benchShop())).toMatchObject({
      ratioRead: true,
      stirredS: 180,
      stirAtLeastS: 120,
      changedCup: false,
      restedS: 240,
      rounds: 0,
      torchPasses: 0,
      heatPasses: 0,
      lastHeat: null,
      ranShort: false,
      mixedAtK: null,
      pastDate: null,
      colourLoad: null,
      contrast: null,
      openS: 1200,
    });
    // 1 : 1 by volume of 1.15 and 1.00 g/ml: 0.2 / 0.23 is right.
    expect(of(benchShop()).ratioError).toBeCloseTo(0, 12);
    // 430 g where the sheet speaks of 100; poured eight minutes after the parts met.
    expect(of(benchShop()).cupLoad).toBeCloseTo(4.3, 12);
    expect(of(benchShop()).pouredAt).toBeCloseTo(480 / WORKING_S, 9);
  });
  it('B a twentieth too much; A that nobody read', () => {
    const usual = usualActs();
    const off = mixed(
      [0, { is: 'weighed A', kg: 0.23, by: 'assumed' }],
      [2, { is: 'mixed', kg: 0.21, by: 'by the scale' }],
    );
    expect(off.ratioError).toBeCloseTo(0.05, 12);
    expect(off.ratioRead).toBe(false);
    // Not stirred, not poured by its acts: the coat itself tells when.
    expect(off).toMatchObject({ stirredS: null, changedCup: null, restedS: null });
    expect(mixed(usual[0])).toMatchObject({ ratioError: null, ratioRead: null, cupLoad: null });
  });
  it('a pause is no stirring; another cup, rounds with and without heat, a mix that did not reach', () => {
    const [a, b, start, stirred, poured, covered] = usualActs();
    const history = mixed(
      a,
      b,
      start,
      [4, { is: 'stir paused' }],
      [4.5, { is: 'stir resumed' }],
      [5, { is: 'changed cup' }],
      stirred,
      poured,
      [11, { is: 'ran short', coatId: 'flood', share: 0.25 }],
      [15, { is: 'bubble round', coatId: 'flood', by: 'torch' }],
      [20, { is: 'bubble round', coatId: 'flood', by: 'warm air' }],
      [25, { is: 'bubble round', coatId: 'flood', by: 'pick' }],
      covered,
      [70, { is: 'bubble round', coatId: 'flood', by: 'pick' }],
      [71, { is: 'bubble round', coatId: 'flood', by: 'pick' }],
    );
    expect(history).toMatchObject({ stirredS: 150, changedCup: true, ranShort: true });
    // The first hour ends at 70 min.
    expect(history).toMatchObject({ rounds: 4, torchPasses: 1, heatPasses: 2 });
    expect(history.lastHeat).toBeCloseTo((18 * 60) / WORKING_S, 9);
  });
  it('bottles past their date, colours over what the resin bears, the palest trial', () => {
    const swatch = (
      id: string,
      share: number,
      seen: readonly (readonly [number, number])[],
    ): Swatch => ({
      ...SWATCHES.defaults,
      id: asId(id),
      resinId: asId('resin'),
      name: id,
      parts: [{ name: 'ink', form: 'liquid', share }],
      // The newest was only looked at.
      trials: [...seen, null].map((pair, i) => ({
        atMs: i,
        resinId: asId('resin'),
        lotId: null,
        filmM: null,
        remark: '',
        seen: pair && { overBlack: pair[0], overWhite: pair[1] },
      })),
    });
    const colours = ['teal', 'rust', 'plain'].map((name) => ({
      name,
      share: 0.2,
      swatchId: name === 'plain' ? null : asId<'swatch'>(name),
    }));
    const shop = benchShop({
      lots: [aLot('lot', { bestBeforeMs: at(1) })],
      batches: [aBatch('batch', ['flood'], { lotId: asId('lot') })],
      swatches: [
        swatch('teal', 0.05, [[0.1, 0.9]]),
        swatch('rust', 0.15, [
          [0.9, 0.9],
          [0.4, 0.8],
        ]),
      ],
      coats: [aCoat('flood', 1, { colours })],
    });
    const history = of(shop);
    expect(history.pastDate).toBe(true);
    // 15 % of liquid where a tenth is usual; 0.1 / 0.9 is paler than the newest of rust, 0.4 / 0.8.
    expect(history.colourLoad).toBeCloseTo(1.5, 12);
    expect(history.contrast).toBeCloseTo(1 / 9, 12);
    const fresh = shop.lots.map((l) => ({ ...l, bestBeforeMs: at(2) }));
    expect(of({ ...shop, lots: fresh }).pastDate).toBe(false);
  });
});

describe('what the room was like', () => {
  it('as it was read: at the mix, the coldest of twelve hours, the dampest while it flowed', () => {
    const history = of(
      benchShop(
        {},
        read(-60, 21),
        read(9, 20, 0.6),
        read(60, 19, 0.7),
        read(11 * 60, 15, 0.9),
        read(13 * 60, 10),
      ),
    );
    expect(history.mixedAtK).toBeCloseTo(294.15, 9);
    // The last reading comes after the twelve hours.
    expect(history.coldestK).toBeCloseTo(288.15, 9);
    expect(history.humidity).toBeCloseTo(0.7, 12);
    const margin = (celsius: number, humidity: number) => {
      const temperatureK = celsius + 273.15;
      return temperatureK - dewPoint({ temperatureK, humidity });
    };
    expect(history.dewMarginK).toBeCloseTo(margin(19, 0.7), 9);
  });
  it('a surface that is colder than the air decides; one read an hour off does not', () => {
    const beside = (minutes: number) =>
      of(benchShop({}, read(0, 22, 0.5), read(minutes, 22, 0.5, 14))).dewMarginK ?? NaN;
    const dew = dewPoint({ temperatureK: 295.15, humidity: 0.5 });
    expect(beside(69)).toBeCloseTo(287.15 - dew, 6);
    expect(beside(70)).toBeCloseTo(295.15 - dew, 6);
  });
  it('nobody read it before the pour: nothing is told', () => {
    const history = of(benchShop({}, read(11, 12)));
    expect(history).toMatchObject({
      coldestK: null,
      humidity: null,
      dewMarginK: null,
      mixedAtK: null,
    });
  });
});

describe('how it was made ready', () => {
  const prepared = (change: Partial<Shop>, started = entry()) =>
    of(benchShop(change), undefined, started);
  it('a step counts when it was done before the pour; left out it is not done; nobody said: unknown', () => {
    expect(prepared({})).toMatchObject({ wiped: null, dusted: null, masked: null });
    expect(prepared({ tasks: [aTask('wipe')] }).wiped).toBe(true);
    expect(prepared({ tasks: [aTask('wipe', { doneMs: at(10) })] }).wiped).toBe(true);
    expect(prepared({ tasks: [aTask('wipe', { doneMs: at(11) })] }).wiped).toBe(false);
    expect(prepared({ tasks: [aTask('lint', { state: 'waived' })] }).dusted).toBe(false);
    // Of another coat.
    const other = { coatId: 'seal', key: 'wipe:seal' };
    expect(prepared({ tasks: [aTask('wipe', other)] }).wiped).toBeNull();
    expect(prepared({ tasks: [aTask('wipe', { ...other, key: 'wipe:flood' })] }).wiped).toBe(true);
  });
  it('open pores: porous and not sealed, where no coat lies below', () => {
    const areas = [aFace({ porosity: 'porous' })];
    expect(prepared({ areas }).openPores).toBe(true);
    expect(prepared({}).openPores).toBe(false);
    expect(prepared({ areas, tasks: [aTask('seal', { scope: ['face'] })] }).openPores).toBe(false);
    expect(prepared({ areas, tasks: [aTask('seal', { scope: ['back'] })] }).openPores).toBe(true);
    expect(prepared({ areas, coats: [aCoat('flood', 1, { kind: 'seal' })] }).openPores).toBe(false);
  });
  it('films, proud relief, slope, open edges', () => {
    const history = prepared({
      pieces: [
        plainPiece('piece', {
          level: { tilt: { alongX: 0.003, alongY: 0.004 }, by: 'typed', readMs: 0, props: [] },
        }),
      ],
      areas: [aFace({ relief: [{ kind: 'paste', greatestM: 3e-3, meanM: 1e-3, share: 0.2 }] })],
      coats: [aCoat('flood', 1, { staysM: [1.7e-3] })],
    });
    expect(history.filmM).toBeCloseTo(1.7e-3, 12);
    expect(history.proudM).toBeCloseTo(1.3e-3, 12);
    expect(history.slope).toBeCloseTo(5e-3, 12);
    expect(history.openEdges).toBe(true);
    expect(prepared({})).toMatchObject({ proudM: null, slope: null, siliconeBelow: null });
    expect(prepared({ areas: [walledFace()] }).openEdges).toBe(false);
  });
  it('gloves as they were said to be at hand', () => {
    const said = (figures: Record<string, string>) => prepared({}, entry({ figures })).gloves;
    expect(said({})).toBeNull();
    expect(said({ atHand: 'gloves, covers', notAtHand: '' })).toBe(true);
    expect(said({ atHand: 'covers', notAtHand: 'Gloves' })).toBe(false);
  });
  it('gloss over ink, by the school of the piece before that of the shop', () => {
    const inked = (spray: 'matte' | 'gloss', tasks = [aTask('fix art')]) =>
      prepared({
        tasks,
        pieces: [plainPiece('piece', { prep: { spray } })],
        areas: [aFace({ surface: { kind: 'ink', resin: null, ageDays: null, sanded: false } })],
      }).glossOnInk;
    expect(inked('gloss')).toBe(true);
    expect(inked('matte')).toBe(false);
    expect(inked('gloss', [])).toBeNull();
    expect(prepared({ tasks: [aTask('fix art')] }).glossOnInk).toBeNull();
  });
  it('a layer below that was not dry at the pour', () => {
    const laid = (dryMs: number | null) => ({ at: 'laid', laidMs: at(-60), dryMs }) as const;
    const wet = (...layers: Layer[]) => prepared({ layers }).layerWet;
    expect(wet()).toBeNull();
    expect(wet(aLayer(laid(at(10))))).toBe(false);
    expect(wet(aLayer(laid(at(11))))).toBe(true);
    expect(wet(aLayer(laid(at(11)), { over: asId('flood') }))).toBeNull();
    // Nobody found it dry; it came with the piece; it is only planned.
    expect(wet(aLayer(laid(null)))).toBe(false);
    expect(wet(aLayer({ at: 'there before' }))).toBeNull();
    expect(wet(aLayer({ at: 'planned' }))).toBeNull();
  });
});

describe('a later look', () => {
  it('by the clock of the coat: against the time to handle; a mask against its limit', () => {
    const tasks = [aTask('mask'), aTask('unmask', { doneMs: at(2) + 6 * HOUR })];
    const history = of(benchShop({ tasks }));
    // Ripe hours are hours at 22 °C: 26 h less two minutes against 18 h.
    expect(history.lookedAt).toBeCloseTo((26 * 60 - 2) / (18 * 60), 6);
    // Off 5 h 52 min after the pour; the limit of 12 h counts from the mix, 8 min before it.
    expect(history.maskAge).toBeCloseTo((6 * 60 - 8) / (12 * 60 - 8), 6);
    expect(of(benchShop({ tasks: [aTask('mask')] })).maskAge).toBeGreaterThan(2);
    expect(of(benchShop()).maskAge).toBeNull();
  });
  it('the limits come from its sheet and what its maker declares', () => {
    expect(of(benchShop())).toMatchObject({ curesFromK: 288.15, closesFromM: 0.5e-3 });
    const declared = { ...plainResin('resin').declared, curesK: { min: 285.15, max: 300 } };
    expect(of(benchShop({ resins: [plainResin('resin', { declared })] })).curesFromK).toBe(285.15);
  });
  it('of what is not poured, or whose resin is gone, nothing is known', () => {
    expect(of(benchShop({ coats: [aCoat('flood', 1, { pouredMs: null })] }))).toBe(NO_HISTORY);
    expect(of(benchShop({ resins: [] }))).toBe(NO_HISTORY);
  });
  it('without its batch only what coat and preparation tell', () => {
    const history = of(benchShop({ batches: [], tasks: [aTask('wipe')] }));
    expect(history).toMatchObject({ ratioError: null, stirredS: null, wiped: true, openS: 1200 });
  });
});
