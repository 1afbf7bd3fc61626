import { HOLDS_MS, planPrep } from '..';
import { LEVEL_SHARE, tolerableSlope } from '../../film';
import type { PrepFacts } from '../facts';
import { area, coat, facts, found, HOUR, NOW, pouredAgo, relief, surface } from '../test/facts';

describe('a reading of the level', () => {
  const asked = (change: Partial<Omit<PrepFacts, 'schools'>>) =>
    found(facts(change)).includes('level');
  it('counts for a day', () => {
    const holdsMs = HOLDS_MS.level ?? NaN;
    expect(holdsMs).toBe(24 * HOUR);
    expect(asked({ slopeMs: NOW - HOUR })).toBe(false);
    expect(asked({ slopeMs: NOW - holdsMs })).toBe(false);
    expect(asked({ slopeMs: NOW - holdsMs - 1 })).toBe(true);
  });
  it('counts until the piece is turned', () => {
    const slopeMs = NOW - HOUR;
    expect(asked({ slopeMs, turnedMs: slopeMs - 1 })).toBe(false);
    expect(asked({ slopeMs, turnedMs: slopeMs })).toBe(false);
    expect(asked({ slopeMs, turnedMs: slopeMs + 1 })).toBe(true);
  });
  it('is fine up to what the film bears, and not beyond', () => {
    const { spanM } = facts();
    const slope = tolerableSlope(spanM, coat().thicknessM, LEVEL_SHARE, 'edge to edge');
    expect(asked({ slope })).toBe(false);
    expect(asked({ slope: slope * (1 + 1e-9) })).toBe(true);
  });
});

describe('paper between pieces that cure', () => {
  const asked = (hours: number, more: ReturnType<typeof coat>[] = []) =>
    found(facts({ coats: [coat({ poured: pouredAgo(hours) }), ...more], count: 6 })).includes(
      'interleave',
    );
  it('is asked for until they have cured, and not before the last coat', () => {
    // The sheet says 120 h.
    expect([asked(119), asked(120)]).toEqual([true, false]);
    expect(asked(30, [coat({ id: 'second', order: 2 })])).toBe(false);
  });
});

describe('what stands under all coats or dries below them', () => {
  it('props are of the first coat that waits, though only a later one drips', () => {
    const rim = area({}, ['own rim']);
    const open = area({ id: 'open' });
    const coats = [coat(), coat({ id: 'over', order: 2, areaIds: ['face', 'open'] })];
    const props = planPrep(facts({ areas: [rim, open], coats })).find((t) => t.rule === 'props');
    expect(props?.coatId).toBe('flood');
  });
  it('paste dries by its own thickness, whatever else stands on the face', () => {
    const [paste, sand] = [...relief('paste').relief, ...relief('sand').relief];
    if (!paste || !sand) throw new Error('no relief');
    const both = [sand, paste, { ...sand, meanM: 5e-3 }];
    const dry = planPrep(facts({ areas: [area({ relief: both })] })).find(
      (t) => t.rule === 'dry paste',
    );
    expect(dry?.drying?.thicknessM).toBe(1e-3);
  });
  it('a rim is sanded flush before a flood, not before another fill', () => {
    const asked = (kind: 'flood' | 'fill') =>
      found(
        facts({
          areas: [area({}, ['mould'])],
          coats: [
            coat({ id: 'first', kind: 'fill', poured: pouredAgo(30) }),
            coat({ id: 'second', order: 2, kind }),
          ],
        }),
      ).includes('meniscus');
    expect([asked('flood'), asked('fill')]).toEqual([true, false]);
  });
});

describe('tape of a part that stays bare', () => {
  const stepOf = (change: Parameters<typeof area>[0], support: PrepFacts['support']) =>
    planPrep(facts({ support, areas: [area({ bareOutlineM: 0.2, ...change })] })).find(
      (t) => t.rule === 'mask',
    )?.step;
  it('comes first where a spray would go over it, else with the others', () => {
    expect(stepOf(surface('ink'), 'sealed panel')).toBe('keep bare');
    expect(stepOf({}, 'sealed panel')).toBe('mask');
    expect(stepOf({ bareOutlineM: 0, ...surface('ink') }, 'sealed panel')).toBe('mask');
  });
});

describe('work of several pieces', () => {
  it('takes off as many times as much as one', () => {
    const coats = [coat({ id: 'first', poured: pouredAgo(30) }), coat({ id: 'second', order: 2 })];
    const removed = (count: number) =>
      planPrep(
        facts({ count, coats, defects: [{ id: 'd', kind: 'drips', coatId: 'first' }] }),
      ).flatMap((t) => t.sanding?.removeM3 ?? [])[0];
    const one = removed(1) ?? NaN;
    expect(one).toBeGreaterThan(0);
    expect(removed(6)).toBeCloseTo(6 * one, 15);
  });
});
