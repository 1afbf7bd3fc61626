import { roomDays, type Coat, type RoomSource, type SourcedReading } from '@/records';
import { airThen, lastReadMs, planRoomK, recordOf, roomAir, roomOf } from './room';

const HOUR = 3_600_000;
const NOW = Date.UTC(2026, 10, 24, 13, 30);
const C = 273.15;
const TYPED: RoomSource = { how: 'typed', by: 'Ines', coatId: null, out: false };
const SENSOR: RoomSource = { ...TYPED, how: 'sensor', by: 'shelf' };
const read = (hoursAgo: number, celsius: number, source = TYPED): SourcedReading => ({
  ...{ atMs: NOW - hoursAgo * HOUR, temperatureK: celsius + C, humidity: 0.5 },
  ...{ surfaceK: null, source },
});
const room = (...readings: SourcedReading[]) => roomOf(roomDays(readings));
const celsius = (steps: readonly { temperatureK: number }[]) =>
  steps.map((s) => Math.round(s.temperatureK - C));

describe('the record of the room', () => {
  it('nobody read it: the usual room, and no last reading', () => {
    expect(room()).toMatchObject({ last: null, read: [] });
    expect(roomAir(room())).toMatchObject({ temperatureK: 22 + C, humidity: 0.5 });
  });
  it('the first step also holds before it, the last goes on', () => {
    const { steps } = room(read(3, 18), read(1, 20));
    const at = (hoursAgo: number) => airThen(steps, NOW - hoursAgo * HOUR).temperatureK - C;
    expect([9, 3, 2, 1, -9].map((h) => Math.round(at(h)))).toEqual([18, 18, 18, 20, 20]);
  });
  it('a plan goes by whole degrees, so that it does not flicker', () => {
    expect(planRoomK(room(read(1, 20.4)))).toBeCloseTo(20 + C, 9);
    expect(planRoomK(room(read(1, 20.6)))).toBeCloseTo(21 + C, 9);
  });
  it('what was taken out, or stands beside a coat, is not the room', () => {
    const apart: RoomSource = { ...TYPED, coatId: 'c' as Coat['id'] };
    const here = room(read(3, 18), read(2, 30, { ...SENSOR, out: true }), read(1, 28, apart));
    expect(celsius(here.steps)).toEqual([18]);
    expect(here.last?.temperatureK).toBeCloseTo(18 + C, 9);
  });
});

describe('a coat that stands apart', () => {
  const apart: RoomSource = { ...TYPED, coatId: 'c' as Coat['id'] };
  it('goes by its own readings from the first to the last, then by the room once that is read again', () => {
    const box = room(read(9, 18), read(6, 28, apart), read(5, 19), read(4, 29, apart));
    expect(celsius(recordOf(box, 'c'))).toEqual([18, 28, 29]);
    expect(celsius(recordOf(box, 'other'))).toEqual([18, 19]);
    const back = room(
      read(9, 18),
      read(6, 28, apart),
      read(5, 19),
      read(4, 29, apart),
      read(1, 20),
    );
    expect(celsius(recordOf(back, 'c'))).toEqual([18, 28, 29, 20]);
  });
  it('a forecast of the room does not bring it back', () => {
    const days = Array.from({ length: 5 * 24 }, (_, i) =>
      read(124 - i, 19 + (i % 24) / 12, SENSOR),
    );
    const box = room(...days, read(1, 30, apart));
    expect(box.forecast.byPattern).toBe(true);
    expect(celsius(recordOf(box, 'c').slice(-1))).toEqual([30]);
    expect(box.steps.length).toBeGreaterThan(days.length + 100);
  });
});

describe('when the clock of a coat was last read', () => {
  const apart: RoomSource = { ...TYPED, coatId: 'c' as Coat['id'] };
  it('by the room, by its own readings, or never', () => {
    expect(lastReadMs(room(), 'c')).toBeNull();
    expect(lastReadMs(room(read(3, 18)), 'c')).toBe(NOW - 3 * HOUR);
    const box = room(read(9, 18), read(6, 28, apart), read(4, 29, apart));
    expect(lastReadMs(box, 'c')).toBe(NOW - 4 * HOUR);
    expect(lastReadMs(box, 'other')).toBe(NOW - 9 * HOUR);
    // The room was read after it came back.
    expect(lastReadMs(room(read(6, 28, apart), read(1, 20)), 'c')).toBe(NOW - HOUR);
  });
});
