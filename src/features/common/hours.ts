import type { Settings } from '@/records';

let twelve: boolean | undefined;
/** Whether the language of this browser tells the hours by twelve; asked once, for it is asked slowly. */
const byTwelve = (): boolean =>
  (twelve ??=
    new Intl.DateTimeFormat(undefined, { hour: 'numeric' })
      .resolvedOptions()
      .hourCycle?.startsWith('h1') ?? false);

let pattern = 'HH:mm';

/** How the screens tell the time of day from now on: a choice of the whole application, like its language. */
export function chooseHours(hours: Settings['hours']): void {
  pattern = hours === '12' || (hours === 'auto' && byTwelve()) ? 'h:mm aaa' : 'HH:mm';
}

/** The time of day as date-fns writes it: `13:05` or `1:05 pm`. */
export const hourMinute = (): string => pattern;
/** With its seconds. */
export const hourMinuteSecond = (): string => pattern.replace('mm', 'mm:ss');
/** A full hour beside a scale, in five letters: `13:00` or `1 pm`. */
export const hourTick = (): string => pattern.replace('h:mm', 'h');
/** The minute where the hours beside it say which half of the day it is: `13:05` or `1:05`. */
export const shortMinute = (): string => pattern.replace(' aaa', '');
