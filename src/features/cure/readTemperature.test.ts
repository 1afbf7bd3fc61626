import { roomDays, type SourcedReading } from '@/records';
import { roomOf } from '@/shop/room';
import { pieceViews } from '@/shop/coatView';
import { readTemperature, roomSince } from './model';
import { demoView, HOUR, METRIC, NOW } from '../test/shop';

describe('room temperature form', () => {
  const read = (temperature: string, ago: string) =>
    readTemperature({ temperature, ago, of: 'room' }, NOW - 5 * HOUR, NOW, METRIC);
  it('takes a reading since the pour, in either scale', () => {
    expect(read('64 F', '2 h')).toEqual({
      ok: true,
      value: { temperatureK: expect.closeTo(290.928, 3), fromMs: NOW - 2 * HOUR, apart: false },
    });
  });
  it('refuses before the pour, the future, and no room', () => {
    expect(read('18', '6 h')).toMatchObject({
      ok: false,
      errors: { ago: expect.stringContaining('Between') },
    });
    expect(read('18', '-1 h')).toMatchObject({ ok: false });
    expect(read('90 C', '0')).toMatchObject({
      ok: false,
      errors: { temperature: expect.stringContaining('Between') },
    });
  });
});

describe('the room of a coat since its pour', () => {
  const top = pieceViews(demoView(), NOW).find((v) => v.piece.name === 'Hall tiles')?.top;
  if (!top) throw new Error('demo changed');
  const source = { how: 'typed', by: '', coatId: null, out: false } as const;
  const read = (hoursAgo: number, celsius: number): SourcedReading => ({
    ...{ atMs: NOW - hoursAgo * HOUR, temperatureK: celsius + 273.15, humidity: 0.5 },
    ...{ surfaceK: null, source },
  });
  const told = (...readings: SourcedReading[]) =>
    roomSince(top, roomOf(roomDays(readings)), NOW).map((r) => [
      r.words,
      Math.round(r.temperatureK - 273.15),
    ]);
  it('the pour itself may be the coldest; what was read before it is not in it', () => {
    expect(told(read(30, 5), read(20, 18), read(4, 22), read(1, 20))).toEqual([
      ['at the pour', 18],
      ['coldest', 18],
      ['warmest', 22],
      ['last, from', 20],
    ]);
  });
  it('what nobody read then is not told as read', () => {
    expect(told()).toEqual([['at the pour, taken as usual', 22]]);
    expect(told(read(20, 18))).toEqual([['at the pour, as read before', 18]]);
    // Four days of cold nights, none since: the room is carried on by the hour.
    const hours = Array.from({ length: 4 * 24 }, (_, h) => read(130 - h, h % 24 < 12 ? 14 : 24));
    const words = told(...hours).map(([w]) => w);
    expect(words[0]).toBe('at the pour, by the forecast');
    expect(words[1]).toBe('coldest, by the forecast');
    expect(words.at(-1)).toBe('now, by the forecast');
  });
  it('what was read beside a coat that stands apart is told as read', () => {
    const beside = (hoursAgo: number, celsius: number): SourcedReading => ({
      ...read(hoursAgo, celsius),
      source: { ...source, coatId: top.coat.id },
    });
    const ends = ['last, from', 16];
    expect(told(read(20, 18), beside(2, 16)).at(-1)).toEqual(ends);
    expect(told(beside(20, 18), beside(2, 16)).at(-1)).toEqual(ends);
    // Brought back: the room was read again, and is carried on from there.
    const hours = Array.from({ length: 4 * 24 }, (_, h) => read(98 - h, h % 24 < 12 ? 14 : 24));
    expect(told(beside(5, 16), ...hours).at(-1)?.[0]).toBe('now, by the forecast');
  });
});
