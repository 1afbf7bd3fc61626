import { createEvents, type DateTime, type EventAttributes } from 'ics';
import type { DateKind, ShopDate } from '@/shop/calendar';

const TITLES: Readonly<Record<DateKind, string>> = {
  recoat: 'Recoat without sanding',
  handle: 'Can be handled, demoulded',
  'warm load': 'Bears a warm load',
  mask: 'Take the mask off',
  dry: 'Dry',
  'light use': 'Light use',
  'fully cured': 'Fully cured',
  due: 'Due',
};

/** A calendar shows an instant as a short while. */
const SHORTEST_MIN = 15;

const utc = (ms: number): DateTime => {
  const d = new Date(ms);
  const day = [d.getUTCFullYear(), d.getUTCMonth() + 1, d.getUTCDate()] as const;
  return [...day, d.getUTCHours(), d.getUTCMinutes()];
};

function eventOf(date: ShopDate, nowMs: number): EventAttributes {
  const title = `${date.piece}: ${TITLES[date.kind]}`;
  const minutes = Math.max(SHORTEST_MIN, Math.round((date.endMs - date.startMs) / 60_000));
  return {
    uid: `${date.uid.replace(/[^\w-]/g, '-')}@bilamina`,
    title: date.of ? `${title} (${date.of})` : title,
    description:
      'By the clocks of the shop when this file was made; they move with the room. Bilamina shows where they stand now.',
    start: utc(date.startMs),
    startInputType: 'utc',
    startOutputType: 'utc',
    duration: { hours: Math.floor(minutes / 60), minutes: minutes % 60 },
    // A calendar keeps the newer of two with one uid.
    sequence: Math.floor(nowMs / 60_000) % 2 ** 31,
    busyStatus: 'FREE',
    productId: '-//Bilamina//EN',
    calName: 'Bilamina',
    ...(date.warnS !== null && {
      alarms: [
        {
          action: 'display',
          description: title,
          // Told before its end: that is what is missed.
          trigger: utc(date.endMs - date.warnS * 1000),
        },
      ],
    }),
  };
}

/**
 * Dates as an iCalendar file (RFC 5545): UTC, uids that stay, alarms before windows shut and masks reach their limit.
 * @throws Error where the library refuses a date
 */
export function calendarText(dates: readonly ShopDate[], nowMs: number): string {
  const { error, value } = createEvents(dates.map((d) => eventOf(d, nowMs)));
  if (error || !value) throw error ?? new Error('No calendar could be made.');
  return value;
}
