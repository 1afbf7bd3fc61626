import { format, isValid, parse } from 'date-fns';
import { dayMonthYear } from './dates';

const READ = ['d MMM yyyy', 'MMM d yyyy', 'MMM d, yyyy', 'yyyy-MM-dd'];

/** What a field for a day asks for. */
export const DAY_ASKED = 'A day with its year: 24 Dec 2026.';

/** A day as the application writes it. */
export const writeDay = (ms: number): string => format(ms, dayMonthYear());

/** Reads a day as a hand writes it, `24 Dec 2026` or `2026-12-24`: ms of its midnight here; null for anything else. */
export function readDay(written: string): number | null {
  const text = written.trim().replace(/\s+/g, ' ');
  for (const form of READ) {
    const day = parse(text, form, 0);
    if (isValid(day)) return day.getTime();
  }
  return null;
}
