import ICAL from 'ical.js';
import { shopDates } from '@/shop/calendar';
import { pieceViews } from '@/shop/coatView';
import { demoView } from '../test/shop';
import { calendarText } from './calendarFile';

const NOW = Date.UTC(2026, 10, 24, 13, 42);
const shop = demoView();
const read = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as [string, unknown[], unknown[]])
    .getAllSubcomponents('vevent')
    .map((v) => new ICAL.Event(v));

describe('the calendar, read by ical.js', () => {
  const dates = shopDates(shop, NOW);
  const events = read(calendarText(dates, NOW));

  it('holds every date once, at its minute', () => {
    expect(events).toHaveLength(dates.length);
    expect(new Set(events.map((e) => e.uid)).size).toBe(events.length);
    for (const [i, date] of dates.entries()) {
      const event = events[i];
      expect(event?.summary).toContain(date.piece);
      const minute = Math.floor(date.startMs / 60_000) * 60_000;
      expect(event?.startDate.toJSDate().getTime()).toBe(minute);
      const shownMs = (event?.endDate.toJSDate().getTime() ?? 0) - minute;
      expect(Math.abs(shownMs - Math.max(15 * 60_000, date.endMs - date.startMs))).toBeLessThan(
        60_000,
      );
    }
  });

  it('a recoat window is in it as its clock has it, and is told before it shuts', () => {
    const view = pieceViews(shop, NOW).find((v) => v.piece.name === 'Viaduct painting');
    const window = view?.top?.clock?.windows.find((w) => w.kind === 'recoat');
    const at = events.findIndex((e) => e.summary.startsWith('Viaduct painting: Recoat'));
    expect(dates[at]).toMatchObject({ startMs: window?.opensMs, endMs: window?.closesMs });
    const alarm = events[at]?.component.getFirstSubcomponent('valarm');
    const trigger = alarm?.getFirstPropertyValue('trigger') as ICAL.Time | undefined;
    const before = (window?.closesMs ?? 0) - (trigger?.toJSDate().getTime() ?? 0);
    expect(Math.abs(before - 45 * 60_000)).toBeLessThan(60_000);
  });

  it('told again an hour later, what stays keeps its uid and comes as the newer', () => {
    const later = shopDates(shop, NOW + 3_600_000);
    const again = read(calendarText(later, NOW + 3_600_000));
    const before = new Map(events.map((e) => [e.uid, e.sequence]));
    const kept = again.filter((e) => before.has(e.uid));
    expect(kept.length).toBeGreaterThan(3);
    for (const e of kept) expect(e.sequence).toBeGreaterThan(before.get(e.uid) ?? Infinity);
  });

  it('names masks, drying, care and what is due', () => {
    const kinds = new Set(dates.map((d) => d.kind));
    expect([...kinds]).toEqual(
      expect.arrayContaining(['recoat', 'mask', 'dry', 'fully cured', 'handle']),
    );
    for (const d of dates) expect(d.endMs).toBeGreaterThan(NOW);
  });
});
