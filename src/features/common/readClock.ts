import { isValid, parse, subDays, subYears } from 'date-fns';

const CLOCKS = ['H:mm', 'h:mm a', 'h a'];
const DAYS = [
  ...['', 'EEE ', 'd MMM ', 'MMM d ', 'd MMM yyyy ', 'MMM d, yyyy '],
  ...['yyyy-MM-dd ', "yyyy-MM-dd'T'"],
];
/** A day without a year that lies further ahead than this was meant last year. */
const AHEAD_DAYS = 180;

/** What the field asks for, with two ways to write it. */
export const CLOCK_ASKED =
  'A time of day, with its day if not today: 14:30, Sun 9:00, 22 Nov 9:00.';

/**
 * Reads a moment of the past as a hand writes it: `14:30`, `9:00 pm`, `yesterday 18:00`, `Sun 9:00`, `22 Nov 9:00`,
 * `2026-11-22 09:00`. A weekday is the last one; a day without a year lies near now.
 * @returns ms since the epoch, null when it reads as none of these.
 */
export function readClock(written: string, nowMs: number): number | null {
  const text = written.trim().replace(/\s+/g, ' ').replace(/\./g, ':');
  const yesterday = /^yesterday /i.exec(text);
  if (yesterday) return readClock(text.slice(10), subDays(nowMs, 1).getTime());
  for (const day of DAYS)
    for (const clock of CLOCKS) {
      const read = parse(text, day + clock, nowMs);
      if (!isValid(read)) continue;
      if (day === 'EEE ' && read.getTime() > nowMs) return subDays(read, 7).getTime();
      const named = day === 'd MMM ' || day === 'MMM d ';
      const far = named && read.getTime() > nowMs + AHEAD_DAYS * 86_400_000;
      return (far ? subYears(read, 1) : read).getTime();
    }
  return null;
}
