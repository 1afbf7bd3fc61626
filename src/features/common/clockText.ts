import { dayMonth, dayMonthYear } from './dates';
import { hourMinute } from './hours';
import { format, isSameDay } from 'date-fns';

const DAY_MS = 86_400_000;

/** Clock time, with the weekday or date when it is not today. */
export function clockText(atMs: number, nowMs: number): string {
  // The calendar ends there.
  if (!(Math.abs(atMs) <= 8.64e15)) return 'never';
  if (isSameDay(atMs, nowMs)) return format(atMs, hourMinute());
  if (Math.abs(atMs - nowMs) < 6 * DAY_MS) return format(atMs, `EEE ${hourMinute()}`);
  return format(atMs, `${dayMonth()} ${hourMinute()}`);
}

/** A span in words with units: `38 min`, `2 h 10 min`, `3 d 4 h`; seconds below two minutes. */
export function spanText(ms: number): string {
  const size = Math.abs(ms);
  if (!Number.isFinite(size)) return '–';
  if (size < 120_000) return `${Math.round(size / 1000)}\u00a0s`;
  const minutes = Math.round(size / 60_000);
  if (minutes < 60) return `${minutes}\u00a0min`;
  const hours = Math.floor(minutes / 60);
  const rest = minutes % 60;
  if (hours < 48) return rest === 0 ? `${hours}\u00a0h` : `${hours}\u00a0h ${rest}\u00a0min`;
  return `${Math.floor(hours / 24)}\u00a0d ${hours % 24}\u00a0h`;
}

/** Minutes and seconds for clocks that are read from afar: `4:05`. */
export function minutesText(ms: number): string {
  const seconds = Math.max(0, Math.floor(Math.abs(ms) / 1000));
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

/** A day with its year, for what is kept and printed: `27 Nov 2026`. */
export const dateText = (atMs: number): string => format(atMs, dayMonthYear());
/** The same with its time of day. */
export const stampText = (atMs: number): string =>
  format(atMs, `${dayMonthYear()}, ${hourMinute()}`);
