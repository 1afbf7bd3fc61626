import { format } from 'date-fns';
import { HOUR, NOW, plain } from '../test/shop';
import { clockText, minutesText, spanText } from './clockText';
import { readClock } from './readClock';

describe('clock words', () => {
  it.each([
    [45_000, '45 s'],
    [119_000, '119 s'],
    [38 * 60_000, '38 min'],
    [2 * HOUR, '2 h'],
    [2 * HOUR + 600_000, '2 h 10 min'],
    [59 * HOUR, '2 d 11 h'],
    [Infinity, '–'],
  ])('%d ms: %s', (ms, words) => expect(plain(spanText(ms))).toBe(words));
  it('names the day when it is not today', () => {
    expect(clockText(NOW + HOUR, NOW)).toBe('14:30');
    expect(clockText(NOW + 12 * HOUR, NOW)).toBe('Wed 01:30');
    expect(clockText(NOW + 240 * HOUR, NOW)).toBe('4 Dec 13:30');
    expect(clockText(Infinity, NOW)).toBe('never');
    expect(minutesText(125_000)).toBe('2:05');
  });
});

describe('a time as a hand writes it', () => {
  const text = (written: string) => {
    const read = readClock(written, NOW);
    return read === null ? null : format(read, 'yyyy-MM-dd HH:mm');
  };
  // NOW is Tuesday 24 November 2026, 13:30.
  it.each([
    ['9:05', '2026-11-24 09:05'],
    [' 09.05 ', '2026-11-24 09:05'],
    ['9:05 pm', '2026-11-24 21:05'],
    ['yesterday 18:00', '2026-11-23 18:00'],
    ['Sun 09:00', '2026-11-22 09:00'],
    ['Tue 09:00', '2026-11-24 09:00'],
    ['Tue 19:00', '2026-11-17 19:00'],
    ['3 Nov 9:00', '2026-11-03 09:00'],
    ['Nov 3 9:00 am', '2026-11-03 09:00'],
    ['30 Dec 9:00', '2026-12-30 09:00'],
    ['1 Jun 9:00', '2026-06-01 09:00'],
    ['2 Oct 2025 9:00', '2025-10-02 09:00'],
    ['2026-11-22T09:00', '2026-11-22 09:00'],
    ['2026-11-22 09:00', '2026-11-22 09:00'],
    ['31 Nov 9:00', null],
    ['25:00', null],
    ['soon', null],
    ['', null],
  ])('%s', (written, meant) => expect(text(written)).toBe(meant));
  it('a day of last year is not put into the next', () => {
    const january = Date.UTC(2027, 0, 4, 12);
    expect(format(readClock('30 Dec 9:00', january) ?? 0, 'yyyy-MM-dd')).toBe('2026-12-30');
    expect(format(readClock('Dec 30 9 am', january) ?? 0, 'yyyy-MM-dd')).toBe('2026-12-30');
  });
  it('reads back what a clock shows of the past', () => {
    for (const ago of [0, 1, 20, 100, 143, 300, 4000])
      expect(readClock(clockText(NOW - ago * HOUR, NOW), NOW)).toBe(NOW - ago * HOUR);
  });
});
