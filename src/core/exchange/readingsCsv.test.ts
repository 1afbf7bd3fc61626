import { readReadingsCsv } from './readingsCsv';

const K = 273.15;
const NOW = Date.UTC(2026, 10, 24, 13, 30);
/** Central European time: an hour ahead in winter, two from 29 March to 25 October 2026, changes at 01:00 UTC. */
const europe = (ms: number) =>
  ms >= Date.UTC(2026, 2, 29, 1) && ms < Date.UTC(2026, 9, 25, 1) ? 120 : 60;
const read = (text: string, more = {}) =>
  readReadingsCsv(text, { nowMs: NOW, offsetMinAt: europe, dayFirst: true, ...more });
const utc = (...parts: [number, number, number, number, number]) => Date.UTC(...parts);

describe('readings out of a file', () => {
  it('columns in any order, decimal comma, local time with its summer, humidity in per cent', () => {
    const { readings, bad, columns } = read(
      'Luftfeuchte (%);Temperatur;Zeit\n55;21,5;24.11.2026 13:00\n54;21,4;01.07.2026 13:00\n',
    );
    expect(bad).toEqual([]);
    expect(columns).toMatchObject({ time: 'Zeit', temperature: 'Temperatur', surface: null });
    expect(readings).toEqual(
      [
        {
          ...{ atMs: utc(2026, 6, 1, 11, 0), temperatureK: 21.4 + K, surfaceK: null },
          humidity: 0.54,
        },
        {
          ...{ atMs: utc(2026, 10, 24, 12, 0), temperatureK: 21.5 + K, surfaceK: null },
          humidity: 0.55,
        },
      ].map((r) => ({
        ...r,
        humidity: expect.closeTo(r.humidity, 12),
        temperatureK: expect.closeTo(r.temperatureK, 9),
      })),
    );
  });
  it.each([
    ['time,temp\n2026-11-24T12:00:00Z,20', utc(2026, 10, 24, 12, 0), 20],
    ['time,temp\n2026-11-24T13:00:00+01:00,20', utc(2026, 10, 24, 12, 0), 20],
    ['time,temp (F)\n2026-11-24 13:00,68', utc(2026, 10, 24, 12, 0), 20],
    // No room is 68 °C.
    ['time,temp\n2026-11-24 13:00,68', utc(2026, 10, 24, 12, 0), 20],
    ['timestamp\ttemp_c\n1795521600\t20', 1795521600000, 20],
    ['1795521600000,20,0.4', 1795521600000, 20],
    ['Date,Time,Temp\n11/24/2026,1:00:05 PM,20', utc(2026, 10, 24, 12, 0) + 5000, 20],
    ['time,surface temp,room temp\n2026-11-24 13:00,18,20', utc(2026, 10, 24, 12, 0), 20],
    ['\ufefftime,temp\n2026-11-24 13:00,20 °C\n\n', utc(2026, 10, 24, 12, 0), 20],
  ])('%j', (text, atMs, celsius) => {
    const { readings, bad } = read(text);
    expect(bad).toEqual([]);
    expect(readings).toHaveLength(1);
    expect(readings[0]).toMatchObject({ atMs, temperatureK: expect.closeTo(celsius + K, 9) });
  });
  it('bad rows are listed with line and reason, and the rest is kept as it was read', () => {
    const { readings, bad } = read(
      [
        'time,temp,rh',
        '2026-11-20 08:00,20,50',
        'yesterday,20,50',
        '2026-11-31 08:00,20,50',
        '2026-11-20 09:00,,50',
        '2026-11-20 25:00,20,50',
        '2026-11-20 10:00,-60,140',
        '2031-01-01 10:00,20,50',
        '1970-01-01 10:00,20,50',
        '2026-03-29 02:30,20,50',
      ].join('\n'),
    );
    expect(bad.map(({ line, fault }) => [line, fault])).toEqual([
      [3, 'no time'],
      [4, 'no time'],
      [5, 'no temperature'],
      [6, 'no time'],
      [8, 'still to come'],
      [9, 'before 2000'],
      [10, 'a time that the clock skipped'],
    ]);
    expect(bad[0]?.text).toBe('yesterday · 20 · 50');
    // A broken device's row stays in the record; whether it is believed is judged when it is read.
    expect(readings.map((r) => [Math.round(r.temperatureK - K), r.humidity])).toEqual([
      [20, 0.5],
      [-60, expect.closeTo(1.4, 12)],
    ]);
  });
  it('the hour that comes twice in autumn is told apart by the order of the rows, forwards and backwards', () => {
    const rows = ['02:00', '02:30', '02:00', '02:30', '03:00'].map(
      (t, i) => `2026-10-25 ${t},${20 + i}`,
    );
    const wanted = [0, 30, 60, 90, 120].map((m, i) => [utc(2026, 9, 25, 0, m), 20 + i]);
    for (const order of [rows, [...rows].reverse()])
      expect(
        read(`time,temp\n${order.join('\n')}`).readings.map((r) => [
          r.atMs,
          Math.round(r.temperatureK - K),
        ]),
      ).toEqual(wanted);
  });
  it('3/4 is told to be either, and read as the user says', () => {
    const text = 'time,temp\n3/4/2026 12:00,20\n4/4/2026 12:00,20';
    expect(read(text)).toMatchObject({ ambiguous: true });
    expect(read(text).readings[0]?.atMs).toBe(utc(2026, 3, 3, 10, 0));
    expect(read(text, { dayFirst: false }).readings[0]?.atMs).toBe(utc(2026, 2, 4, 11, 0));
    expect(read('time,temp\n13/4/2026 12:00,20')).toMatchObject({ ambiguous: false });
  });
  it('gaps are told, longest first; an empty file tells nothing', () => {
    const at = ['01', '02', '05', '06'].map((d) => `2026-11-${d} 08:00,20`);
    expect(
      read(`time,temp\n${at.join('\n')}`).gaps.map((g) => (g.toMs - g.fromMs) / 86_400_000),
    ).toEqual([3, 1, 1]);
    for (const text of ['', '\n\n', 'time,temp', 'hello']) expect(read(text).readings).toEqual([]);
  });
});
