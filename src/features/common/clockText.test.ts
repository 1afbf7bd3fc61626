import { HOUR, NOW, plain } from '../test/shop';
import { clockText, minutesText, spanText } from './clockText';

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
