import { readDay, writeDay } from './day';

const DAY = new Date(2026, 11, 24).getTime();

describe('a day as it is written', () => {
  it.each(['24 Dec 2026', ' 24  dec 2026 ', 'Dec 24 2026', 'Dec 24, 2026', '2026-12-24'])(
    'reads %s',
    (text) => expect(readDay(text)).toBe(DAY),
  );
  it.each(['', 'soon', '24 Dec', '32 Dec 2026', '2026-13-01'])('does not read %s', (text) =>
    expect(readDay(text)).toBeNull(),
  );
  it('comes back as it was written', () => expect(readDay(writeDay(DAY))).toBe(DAY));
});
