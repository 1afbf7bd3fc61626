import { dewPoint } from '@/core/climate';
import type { SourcedReading } from '@/records';
import { roomAlarms } from './roomAlarms';
import { aCoat, at, benchShop, HOUR, plannedCoat, read } from './test/bench';
import { plainResin } from './test/rows';

const alarms = (...readings: SourcedReading[]) => roomAlarms(benchShop({}, ...readings), at(65));
const kinds = (...readings: SourcedReading[]) => alarms(...readings).map((a) => a.is);

describe('what the room does to a coat that cures', () => {
  it('too cold and too warm, to the limit: the usual 15 to 30 °C where a sheet says nothing', () => {
    expect(kinds(read(-60, 22), read(60, 15))).toEqual([]);
    const [cold] = alarms(read(-60, 22), read(60, 14.9));
    expect(cold).toMatchObject({ is: 'too cold', limitK: 288.15, usual: true, fromMs: null });
    expect(kinds(read(-60, 22), read(60, 30))).toEqual([]);
    expect(alarms(read(-60, 22), read(60, 30.1))[0]).toMatchObject({
      is: 'too warm',
      limitK: 303.15,
    });
  });
  it('by what its maker declares', () => {
    const declared = { ...plainResin('resin').declared, curesK: { min: 285.15, max: 293.15 } };
    const resins = [plainResin('resin', { declared })];
    const at14 = benchShop({ resins }, read(-60, 14));
    expect(roomAlarms(at14, at(65))).toEqual([]);
    const at22 = benchShop({ resins }, read(-60, 22));
    expect(roomAlarms(at22, at(65))).toMatchObject([{ is: 'too warm', usual: false }]);
  });
  it('near the dew point while its surface takes water: less than 3 K', () => {
    const margin = (humidity: number) => 295.15 - dewPoint({ temperatureK: 295.15, humidity });
    const [damp, dry] = [0.85, 0.8].sort((a, b) => margin(a) - margin(b));
    const found = alarms(read(-60, 22, damp));
    expect(found).toMatchObject([{ is: 'near dew', read: false }]);
    expect(margin(damp ?? 0)).toBeLessThan(3);
    expect(margin(dry ?? 0)).toBeGreaterThan(3);
    expect(kinds(read(-60, 22, dry))).toEqual([]);
  });
  it('not one that is hard or not poured, and nothing where nobody read the room', () => {
    const hard = aCoat('flood', 1, { mixedMs: at(2) - 40 * HOUR, pouredMs: at(10) - 40 * HOUR });
    const planned = plannedCoat('flood', 1);
    for (const coat of [hard, planned])
      expect(
        roomAlarms(benchShop({ coats: [coat] }, read(-3000, 22), read(60, 5)), at(65)),
      ).toEqual([]);
    expect(kinds()).toEqual([]);
  });
});
