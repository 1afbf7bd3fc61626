import { format } from 'date-fns';
import { chooseHours, hourMinute, hourMinuteSecond, hourTick, shortMinute } from './hours';

const AT = new Date(2026, 10, 24, 13, 5, 9);
const told = () =>
  [hourMinute(), hourMinuteSecond(), hourTick(), shortMinute()].map((p) => format(AT, p));

describe('hours of the day', () => {
  afterAll(() => chooseHours('24'));
  it('by 24', () => {
    chooseHours('24');
    expect(told()).toEqual(['13:05', '13:05:09', '13:05', '13:05']);
  });
  it('by 12: a full hour stays short beside its scale, and keeps its half of the day', () => {
    chooseHours('12');
    expect(told()).toEqual(['1:05 pm', '1:05:09 pm', '1 pm', '1:05']);
    // Midnight and noon, after the common rule of clocks.
    expect([0, 12].map((h) => format(new Date(2026, 0, 1, h), hourTick()))).toEqual([
      '12 am',
      '12 pm',
    ]);
  });
});
