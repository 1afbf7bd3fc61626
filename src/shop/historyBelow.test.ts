import { asId, type Coat } from '@/records';
import { historyOf } from './history';
import type { Shop } from './shop';
import {
  aBatch,
  aCoat,
  acts,
  aFace,
  aLot,
  at,
  aTask,
  benchShop,
  entry,
  HOUR,
  read,
  usualActs,
} from './test/bench';

const of = (shop: Shop, coat = shop.coats.at(-1)) =>
  historyOf(shop, coat as Coat, at(26 * 60), entry());

describe('what it found of the coat below', () => {
  /** A coat below that was mixed so many hours before the flood was poured. */
  const over = (hours: number, change: Partial<Shop> = {}, seal: Partial<Coat> = {}) => {
    const seenMs = at(10) - hours * HOUR;
    const below = aCoat('seal', 1, { mixedMs: seenMs, pouredMs: seenMs, batchId: null, ...seal });
    return of(benchShop({ coats: [below, aCoat('flood', 2)], ...change }));
  };
  // The sheet at its own 22 °C: recoat opens after 9 h and shuts after 14 h.
  it.each([
    [8.9, 'too soon'],
    [9.1, 'open'],
    [13.9, 'open'],
    [14.1, 'shut'],
  ] as const)('%f h after it: %s', (hours, ground) => {
    expect(over(hours).ground).toBe(ground);
  });
  it('sanded, whatever the hour; bare ground; another place is not below', () => {
    expect(over(30, { tasks: [aTask('tooth')] }).ground).toBe('sanded');
    expect(over(30, { tasks: [aTask('tooth', { state: 'waived' })] }).ground).toBe('shut');
    expect(of(benchShop()).ground).toBe('none');
    expect(over(30, {}, { areaIds: [asId('back')] }).ground).toBe('none');
    expect(over(30, {}, { pouredMs: null }).ground).toBe('none');
  });
  it('its silicone is told, its film counts under relief, its porous ground does not', () => {
    expect(over(10, {}, { silicone: true }).siliconeBelow).toBe(true);
    expect(over(10).siliconeBelow).toBe(false);
    const areas = [
      aFace({
        porosity: 'porous',
        relief: [{ kind: 'paste', greatestM: 5e-3, meanM: 1e-3, share: 0.2 }],
      }),
    ];
    const history = over(10, { areas }, { staysM: [1e-3] });
    expect(history.openPores).toBe(false);
    expect(history.proudM).toBeCloseTo(2e-3, 12);
  });
});

describe('what is told to the instant', () => {
  it('a reading at the very pour is of the pour', () => {
    expect(of(benchShop({}, read(10, 17))).coldestK).toBeCloseTo(290.15, 9);
    expect(of(benchShop({}, read(10.1, 17))).coldestK).toBeNull();
  });
  it('films of other places do not lie below', () => {
    const areas = [
      aFace({ relief: [{ kind: 'paste', greatestM: 5e-3, meanM: 1e-3, share: 0.2 }] }),
      aFace({ id: asId('lid') }),
    ];
    const other = aCoat('other', 1, { areaIds: [asId('lid')] });
    const over = aCoat('over', 3, { batchId: null });
    const shop = benchShop({ areas, coats: [other, aCoat('flood', 2), over] });
    // 5 mm of relief, 2 mm of its own film.
    expect(of(shop, shop.coats[1]).proudM).toBeCloseTo(3e-3, 12);
  });
  it('before the pour nothing was gone over, and no bottles were past their date without one', () => {
    const [a, b] = usualActs();
    const coats = [aCoat('flood', 1)];
    const unpoured = aBatch('batch', ['flood'], { events: acts(a, b) });
    expect(of(benchShop({ coats, batches: [unpoured] }))).toMatchObject({ torchPasses: 0 });
    const dated = (bestBeforeMs: number | null) =>
      of(
        benchShop({
          lots: [aLot('L', { bestBeforeMs })],
          batches: [aBatch('batch', ['flood'], { lotId: asId('L') })],
        }),
      ).pastDate;
    expect(dated(null)).toBeNull();
    expect(dated(at(1))).toBe(true);
  });
});
