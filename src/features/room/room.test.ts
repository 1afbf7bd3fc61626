import { roomDays, type RoomSource, type SourcedReading } from '@/records';
import { settle } from '@/shop/settle';
import { keepShop, type Shop, type ShopRows } from '@/shop/shop';
import { roomAlarms } from '@/shop/roomAlarms';
import { roomOf } from '@/shop/room';
import { alarmGroups, alarmWords } from '../common/alarmWords';
import { demoView, HOUR, METRIC, NOW, plain } from '../test/shop';
import { chartPoints, coatRows, recordRows, roomTiles, sourcesOf } from './model';

const C = 273.15;
const TYPED: RoomSource = { how: 'typed', by: 'Ines', coatId: null, out: false };
const FILE: RoomSource = { ...TYPED, how: 'file', by: 'hall.csv' };
const reading = (
  hoursAgo: number,
  celsius: number,
  more: Partial<SourcedReading> = {},
): SourcedReading => ({
  ...{ atMs: NOW - hoursAgo * HOUR, temperatureK: celsius + C, humidity: 0.5 },
  ...{ surfaceK: null, source: TYPED, ...more },
});
const room = (...readings: SourcedReading[]) => roomOf(roomDays(readings));
/** The demo’s pieces in another room. */
const shopIn = (...readings: SourcedReading[]): Shop => {
  const demo = demoView();
  const rows = { ...demo, settings: [demo.settings], room: roomDays(readings) };
  return keepShop(rows as unknown as ShopRows, settle).shop;
};

describe('the room in six figures', () => {
  const words = (...readings: SourcedReading[]) =>
    Object.fromEntries(roomTiles(room(...readings), NOW).map((t) => [t.id, t]));
  it('says what was read and what is taken as usual', () => {
    expect(words()['temperature']?.words).toBe('taken as usual: nobody read it');
    expect(words()['surface']).toMatchObject({ value: null, words: 'needs the humidity' });
    // What nobody read is not opened as measured.
    const opened = (...readings: SourcedReading[]) =>
      words(...readings)['drying']?.explanation?.inputs.map((i) => i.source);
    expect(opened()).toEqual(['assumed', 'assumed']);
    expect(opened(reading(1, 20))).toEqual(['measured', 'measured']);
    const dry = words(reading(2, 20, { humidity: null }));
    expect(dry['temperature']?.words).toBe('as it was read last');
    expect(dry['humidity']?.words).toBe('taken as usual: not read');
  });
  // Dew point of 22 °C and 65 % is 15.1 °C (psychrolib): 6.9 K above it; a board of 17 °C stands 1.9 K above.
  it('tells the margin above the dew point, and stops below three kelvin', () => {
    const warm = words(reading(1, 22, { humidity: 0.65 }));
    expect(warm['surface']?.value).toBeCloseTo(6.9, 1);
    expect(warm['blush']).toMatchObject({ verdict: 'fine', words: 'small' });
    const cold = words(reading(0.5, 22, { humidity: 0.65, surfaceK: 17 + C }));
    expect(cold['surface']?.value).toBeCloseTo(1.9, 1);
    expect(cold['blush']).toMatchObject({ verdict: 'stop', words: 'high: do not coat' });
    expect(words(reading(1, 22, { humidity: 1 }))['drying']?.words).toContain('not at all');
  });
});

describe('the chart', () => {
  it('shows what was read up to the last reading, and from there what is to come with a band that widens', () => {
    const shop = demoView();
    const points = chartPoints(shop.room, NOW - 24 * HOUR, NOW + 24 * HOUR);
    const read = points.filter((p) => p.readK !== null);
    const ahead = points.filter((p) => p.bandK !== null);
    expect(read.length).toBeGreaterThan(40);
    expect(read.at(-1)?.atMs).toBe(ahead[0]?.atMs);
    expect(ahead[0]?.aheadK).toBe(read.at(-1)?.readK);
    const widths = ahead.map((p) => (p.bandK?.[1] ?? NaN) - (p.bandK?.[0] ?? NaN));
    expect(widths[0]).toBe(0);
    expect(widths.at(-1)).toBeGreaterThan(1);
    for (const p of points) expect(p.atMs).toBeGreaterThanOrEqual(NOW - 24 * HOUR);
    expect(chartPoints(roomOf([]), NOW - HOUR, NOW)).toEqual([]);
  });
  it('a month is thinned to what a screen shows, its ends kept', () => {
    const minutes = Array.from({ length: 20_000 }, (_, i) =>
      reading(340 - i / 60, 20 + Math.sin(i / 229), { source: FILE }),
    );
    const points = chartPoints(room(...minutes), NOW - 400 * HOUR, NOW + 24 * HOUR);
    expect(points.length).toBeLessThan(700);
  });
  it('lists the coats that were wet or open in its hours, cut at its ends', () => {
    const rows = coatRows(demoView(), NOW, NOW - 24 * HOUR, NOW + 24 * HOUR);
    expect(rows.length).toBeGreaterThan(2);
    for (const { wet, recoat } of rows)
      for (const at of [...wet, ...recoat]) {
        expect(at).toBeGreaterThanOrEqual(NOW - 24 * HOUR);
        expect(at).toBeLessThanOrEqual(NOW + 24 * HOUR);
      }
  });
});

describe('the record', () => {
  it('newest first, with why a reading is not believed', () => {
    const { days } = room(
      reading(30, 20),
      reading(3, 20, { source: FILE }),
      reading(2, -60, { humidity: 1.4, source: FILE }),
      reading(1, 21, { humidity: 1.4, source: FILE }),
      reading(0, 22, { source: { ...FILE, out: true } }),
    );
    expect(recordRows(days, 10).map((r) => r.doubt)).toEqual([
      'taken out',
      'humidity cannot be: not believed',
      'no room is like that: not believed',
      null,
      null,
    ]);
    expect(recordRows(days, 2)).toHaveLength(2);
    expect(sourcesOf(days)).toEqual([
      { how: 'file', by: 'hall.csv', out: false, count: 3 },
      { how: 'file', by: 'hall.csv', out: true, count: 1 },
    ]);
  });
});

describe('alarms', () => {
  it('none in a fair room, and none where nobody read it', () => {
    expect(roomAlarms(shopIn(), NOW)).toEqual([]);
    expect(roomAlarms(shopIn(reading(20, 21)), NOW)).toEqual([]);
  });
  it('a cold room names each coat that still cures, with the limit that is taken', () => {
    const shop = shopIn(reading(20, 21), reading(0.5, 12));
    const alarms = roomAlarms(shop, NOW);
    expect(alarms.length).toBeGreaterThan(1);
    const [first] = alarms;
    if (!first) throw new Error('no alarm');
    const { title, detail } = alarmWords(first, NOW, METRIC);
    expect(title).toMatch(/^Too cold for /);
    expect(plain(detail)).toContain('12.0 °C now; 15.0 °C is the least, what is usual for resins');
    // They say the same: one caution with all their names.
    const groups = alarmGroups(alarms, NOW, METRIC);
    expect(groups.map((g) => g.title)).toEqual([`Too cold for ${alarms.length} coats that cure`]);
    for (const a of alarms) expect(groups[0]?.detail).toContain(`${a.piece.name}, ${a.coat.name}`);
    const hot = alarmWords(roomAlarms(shopIn(reading(1, 33)), NOW)[0] ?? first, NOW, METRIC);
    expect(hot.title).toMatch(/^Too warm for /);
  });
  it('a sheet’s own room goes before the usual one', () => {
    const shop = shopIn(reading(1, 17));
    const resins = shop.resins.map((r) => ({
      ...r,
      declared: { ...r.declared, curesK: { min: 18 + C, max: 28 + C } },
    }));
    expect(roomAlarms(shop, NOW)).toEqual([]);
    expect(roomAlarms({ ...shop, resins }, NOW)[0]).toMatchObject({ is: 'too cold', usual: false });
  });
  it('a surface near the dew point holds for what can blush', () => {
    const shop = shopIn(reading(0.2, 21, { humidity: 0.7, surfaceK: 16 + C }));
    const near = roomAlarms(shop, NOW).filter((a) => a.is === 'near dew');
    expect(near.length).toBeGreaterThan(0);
    const [first] = near;
    if (first)
      expect(alarmWords(first, NOW, METRIC).detail).toContain('Its surface is 0.7 K above it');
  });
  it('a night that will be too cold is told before it comes', () => {
    const nights = Array.from({ length: 21 * 48 }, (_, i) => {
      const hoursAgo = (21 * 48 - i) / 2;
      const hour = new Date(NOW - hoursAgo * HOUR).getUTCHours();
      return reading(hoursAgo, hour < 6 || hour > 21 ? 11 : 21, { source: FILE });
    });
    const [alarm] = roomAlarms(shopIn(...nights), NOW);
    if (alarm?.is !== 'too cold' || alarm.fromMs === null) throw new Error('not told');
    expect(alarm.fromMs).toBeGreaterThan(NOW);
    expect(alarm.fromMs).toBeLessThan(NOW + 14 * HOUR);
  });
});
