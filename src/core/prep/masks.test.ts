import { MASK_FACTS, MASK_METHODS, planPrep, removal, sumMaterials, type MaskMethod } from '.';
import { coat, facts, HOUR, NOW, pouredAgo, task } from './test/facts';

const DAY = 24 * HOUR;
const first = (hours: number) => coat({ id: 'first', poured: pouredAgo(hours) });
const second = coat({ id: 'second', name: 'Flood 2', order: 2 });
const laid = (method: MaskMethod, hours: number, takenOffMs: number | null = null) => ({
  masks: [{ coatId: 'first', areaId: 'face', method, laidMs: NOW - hours * HOUR, takenOffMs }],
  schools: { mask: method },
});

/** Common practice of the trade, no source: before the pour, take off, limit. */
describe('when a mask comes off', () => {
  const poured = pouredAgo(0);
  it.each<[MaskMethod, number, number, number]>([
    ['painter’s tape', 7, 16, 48],
    ['cloth tape', 5, 7, 96],
    ['latex', 20, 14 * 24, 14 * 24],
    ['PVA glue', 20, Infinity, Infinity],
    ['none', 1 / 3, 5, 5],
  ])('%s: best from %d h to %d h, not after %d h', (method, from, to, limit) => {
    const out = removal(method, NOW, poured);
    expect(out.bestFromMs - NOW).toBeCloseTo(from * HOUR, 3);
    expect(out.bestToMs - NOW).toBe(to * HOUR);
    expect(out.limitMs - NOW).toBe(limit * HOUR);
  });
  it('each method tells how it goes on, comes off, and what to do when that was missed', () => {
    for (const method of MASK_METHODS)
      for (const words of [
        MASK_FACTS[method].how,
        MASK_FACTS[method].off,
        MASK_FACTS[method].missed,
      ])
        expect(words).toMatch(/\w{3}.*\.$/);
  });
});

describe('masks through coats', () => {
  const rules = (of: Parameters<typeof facts>[0]) => planPrep(facts(of)).map((t) => t.rule);
  it('tape comes off and is put on again before the next coat', () => {
    const of = { coats: [first(10), second], ...laid('painter’s tape', 11) };
    expect(task(facts(of), 'unmask')).toMatchObject({ coatId: 'second', problems: [] });
    expect(task(facts(of), 'mask').title).toBe('Renew the mask: painter’s tape');
  });
  it('glue stays on for the second coat, and comes off when no coat follows', () => {
    const stays = rules({ coats: [first(10), second], ...laid('PVA glue', 40) });
    expect(stays).not.toContain('unmask');
    expect(stays).not.toContain('mask');
    expect(rules({ coats: [first(30)], ...laid('PVA glue', 60) })).toContain('unmask');
  });
  it('latex stays under one more coat, not under a third', () => {
    const upper = (order: number, hours: number | null) =>
      coat({ id: `c${order}`, order, poured: hours === null ? null : pouredAgo(hours) });
    const two = { coats: [first(10), second], ...laid('latex', 20) };
    expect(rules(two)).not.toContain('unmask');
    const three = { coats: [first(20), upper(2, 10), upper(3, null)], ...laid('latex', 30) };
    expect(rules(three)).toContain('unmask');
  });
  it('past the limit the task says what to do now', () => {
    const late = facts({ coats: [first(50)], ...laid('painter’s tape', 49) });
    expect(task(late, 'unmask')).toMatchObject({
      how: MASK_FACTS['painter’s tape'].missed,
      problems: ['mask past its limit'],
    });
    const intime = facts({ coats: [first(47)], ...laid('painter’s tape', 47.9) });
    expect(task(intime, 'unmask')).toMatchObject({ how: MASK_FACTS['painter’s tape'].off });
  });
  it('latex left for three weeks on a coat that was never poured is to be laid again', () => {
    const of = (hours: number) =>
      facts({ coats: [coat({ id: 'first' })], ...laid('latex', hours) });
    expect(task(of(21 * 24), 'mask')).toMatchObject({
      spoiled: 'spoiled',
      problems: ['mask past its limit'],
    });
    expect(task(of(13 * 24), 'mask')).toMatchObject({ spoiled: null, problems: [] });
  });
  it('what was taken off stays in the list without a fault until the next coat lies there', () => {
    const of = { coats: [first(90)], ...laid('painter’s tape', 91, NOW - HOUR) };
    expect(task(facts(of), 'unmask').problems).toEqual([]);
    const upper = coat({ id: 'c2', order: 2, poured: pouredAgo(0.5) });
    expect(rules({ ...of, coats: [first(90), upper] })).not.toContain('unmask');
  });
  it('without a mask the drips are scraped from twenty minutes on until it has set', () => {
    const scrape = task(facts({ coats: [first(1)], schools: { mask: 'none' } }), 'unmask');
    expect(scrape).toMatchObject({ title: 'Scrape the drips', mask: 'none' });
    expect(scrape.removal?.limitMs).toBe(NOW + 4 * HOUR);
    expect(scrape.notBeforeMs).toBe(NOW - HOUR + 20 * 60_000);
  });
  it('tape over too many coats is said', () => {
    const of = {
      coats: [first(20), coat({ id: 'c2', order: 2, poured: pouredAgo(8) })],
      ...laid('painter’s tape', 21),
    };
    expect(task(facts(of), 'unmask').problems).toContain('mask through too many coats');
  });
});

describe('what is bought', () => {
  it('sums by material and rounds up to what is sold', () => {
    expect(
      sumMaterials([
        { name: 'painter’s tape 24 mm', amount: 30 },
        { name: 'paper P240', amount: 2 },
        { name: 'painter’s tape 24 mm', amount: 21 },
        { name: 'paper P240', amount: 1 },
        { name: 'alcohol', amount: 0 },
      ]),
    ).toEqual([
      {
        name: 'painter’s tape 24 mm',
        amount: 51,
        quantity: 'length',
        pack: 'roll',
        packs: 2,
      },
      { name: 'paper P240', amount: 3, quantity: 'number', pack: 'sheet', packs: 3 },
    ]);
  });
  it('a whole pack is one pack, whatever rounding makes of it', () => {
    const packs = (amount: number) => sumMaterials([{ name: 'liquid latex', amount }])[0]?.packs;
    expect([packs(250e-6), packs(0.1e-3 + 0.15e-3), packs(251e-6), packs(1e-7)]).toEqual([
      1, 1, 2, 1,
    ]);
  });
  it('a mask that is not kept past its limit has room for its best span', () => {
    for (const method of ['painter’s tape', 'cloth tape', 'latex', 'none'] as const) {
      const out = removal(method, NOW, pouredAgo(0));
      expect(out.bestFromMs).toBeLessThan(out.limitMs);
      expect(out.bestToMs).toBeLessThanOrEqual(Math.max(out.limitMs, NOW + 14 * DAY));
    }
  });
});
