import { format } from 'date-fns';
import { chooseDates, dayMonth, dayMonthYear, monthFirst, weekdayDate } from './dates';
import { readDay, writeDay } from './day';
import { readClock } from './readClock';

const AT = new Date(2026, 10, 24, 13, 5).getTime();
const told = () => [dayMonth(), dayMonthYear(), weekdayDate()].map((p) => format(AT, p));

describe('dates in the order of the reader’s language', () => {
  afterAll(() => chooseDates(false));
  // Source: the Unicode CLDR, by the Intl of this Node.
  it.each([
    ['en-GB', false],
    ['de', false],
    ['fr', false],
    ['en-US', true],
    ['ja', true],
  ])('%s', (language, first) => expect(monthFirst(language)).toBe(first));
  it('the day first', () => {
    chooseDates(false);
    expect(told()).toEqual(['24 Nov', '24 Nov 2026', 'Tuesday 24 November']);
  });
  it('the month first; what is written so is read so', () => {
    chooseDates(true);
    expect(told()).toEqual(['Nov 24', 'Nov 24, 2026', 'Tuesday, November 24']);
    expect(readDay(writeDay(AT))).toBe(new Date(2026, 10, 24).getTime());
    expect(readClock('Nov 24, 2026 1:05 pm', AT)).toBe(AT);
  });
});
