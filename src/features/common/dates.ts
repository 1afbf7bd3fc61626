/** Whether a language writes the month before the day. @param language the browser's own when left out */
export function monthFirst(language?: string): boolean {
  const parts = new Intl.DateTimeFormat(language, { day: 'numeric', month: 'short' })
    .formatToParts(0)
    .map((part) => part.type);
  return parts.indexOf('month') < parts.indexOf('day');
}

let american = false;

/** In which order the screens write day and month from now on; the month is always a word, so nobody mistakes it. */
export function chooseDates(first: boolean): void {
  american = first;
}

/** A day as date-fns writes it: `24 Nov` or `Nov 24`. */
export const dayMonth = (): string => (american ? 'MMM d' : 'd MMM');
/** With its year: `24 Nov 2026` or `Nov 24, 2026`. */
export const dayMonthYear = (): string => (american ? 'MMM d, yyyy' : 'd MMM yyyy');
/** With its weekday, in full: `Tuesday 24 November` or `Tuesday, November 24`. */
export const weekdayDate = (): string => (american ? 'EEEE, MMMM d' : 'EEEE d MMMM');
