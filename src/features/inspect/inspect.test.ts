import { EVIDENCE_CODES, RESCUE_KINDS, TESTS } from '@/core/inspect';
import { EVIDENCE_WORDS, TEST_WORDS } from '@/features/common/causeWords';
import { RESCUE_WORDS, riskWords } from '@/features/common/rescueWords';
import { DEFECTS, NOT_LOOKED, type Defect } from '@/records';
import { ledgerOf, pieceViews } from '@/shop/coatView';
import { causesOf, filmNow, findingState, laidOver, lookOf, placeOn } from '@/shop/findings';
import { historyOf } from '@/shop/history';
import { rescuesOf } from '@/shop/rescues';
import { statisticsOf } from '@/shop/statistics';
import { demoView, METRIC, NOW } from '../test/shop';
import { EMPTY_LOOK, readLook } from './readLook';
import { rescuePlan } from './rescuePlan';

const shop = demoView();
const view = pieceViews(shop, NOW).find((v) => v.piece.name === 'Relief map');
const dimples = shop.defects.find((d) => d.kind === 'dimples');
const coat = shop.coats.find((c) => c.id === dimples?.coatId);
if (!view || !dimples || !coat) throw new Error('demo changed');
const why = causesOf(shop, dimples);

describe('why a finding of the demo came about', () => {
  it('its log tells of five passes of warm air, and that is what it names', () => {
    expect(historyOf(shop, coat, dimples.foundMs)).toMatchObject({
      ...{ heatPasses: 5, torchPasses: 0, ratioRead: true, stirredS: 300, openS: 540 },
    });
    expect(why.abstains).toBeNull();
    expect(why.ranked[0]?.cause).toBe('overheating');
    const heat = why.ranked[0]?.evidence.find((e) => e.evidence.code === 'many heat passes');
    expect(heat?.weight).toBeGreaterThan(0.7);
  });
  it('nothing is known of a finding that is on no coat', () => {
    const { kind } = dimples;
    const lone: Defect = { ...DEFECTS.defaults, ...dimples, kind, coatId: null, at: null };
    const none = causesOf(shop, { ...lone, look: NOT_LOOKED });
    expect(none.abstains).toBe('no evidence');
    expect(filmNow(shop, undefined, kind, NOW)).toBe('none');
  });
  it('where it sits is measured from the outline', () => {
    // A disc of 380 mm, 158 mm from its middle.
    const edgeM = 0.19 - Math.hypot(0.155, 0.03);
    expect(lookOf(shop, dimples).edgeM).toBeCloseTo(edgeM, 3);
    const board = { kind: 'rectangle', widthM: 0.3, heightM: 0.2 } as const;
    expect(placeOn(board, [0.1, 0]).edgeM).toBeCloseTo(0.05, 6);
    const sides = [placeOn(board, [0.14, 0]), placeOn(board, [-0.14, 0])].map((p) => p.side);
    expect(new Set(sides).size).toBe(2);
  });
  it('a place beside the piece is kept and tells nothing', () => {
    const at = dimples.at && { ...dimples.at, point: [0.18, 0.18] as const };
    expect(at && placeOn({ kind: 'disc', diameterM: 0.38 }, at.point).outside).toBe(true);
    expect(lookOf(shop, { ...dimples, at }).edgeM).toBeNull();
    const told = causesOf(shop, { ...dimples, at }).ranked.flatMap((r) => r.evidence);
    expect(told.map((w) => w.evidence.code)).not.toContain('at the edge');
  });
  it('coats that came over it since are named', () => {
    const proud = shop.defects.find((d) => d.kind === 'proud relief');
    if (!proud) throw new Error('demo changed');
    expect(laidOver(shop, proud).map((c) => c.name)).toEqual(['Flood 1']);
    expect(laidOver(shop, dimples)).toEqual([]);
  });
});

describe('ways back', () => {
  const list = rescuesOf(shop, view, dimples, why, NOW);
  const of = (kind: string) => {
    const found = list.find((r) => r.kind === kind);
    if (!found) throw new Error(kind);
    return found;
  };
  it('take resin by the same ledger as any coat', () => {
    const flood = of('sand and flood');
    const seen = flood.coat?.view;
    if (!seen) throw new Error('no coat');
    const ledger = ledgerOf(seen);
    expect(ledger.ok && ledger.value.totalM3).toBeCloseTo(flood.coat?.mixM3 ?? NaN, 12);
    // 1.6 mm on a disc of 380 mm is 181 ml, and cup, reserve and rim come to it.
    const filmM3 = Math.PI * 0.19 ** 2 * 1.6e-3;
    expect(flood.coat?.mixM3).toBeGreaterThan(filmM3);
    expect(flood.coat?.mixM3).toBeLessThan(1.25 * filmM3);
  });
  it('a patch takes what its spots take, and says so in closed form', () => {
    const patch = of('fill the spot');
    const one = (Math.PI * 0.3e-3 * (3 * 9e-6 + 0.09e-6)) / 6;
    expect(patch.spotM3).toBeCloseTo(7 * one, 15);
    expect(patch.coat?.row.thicknessM).toBeCloseTo(0.3e-3, 9);
  });
  it('wait for what the preparation asks, and for their own steps', () => {
    expect(of('sand and flood').prep.map((t) => t.task.rule)).toContain('flatten');
    const paste = of('texture first');
    expect(paste.pourMs - NOW).toBeGreaterThan(24 * 3_600_000);
    expect(paste.doneMs).toBeGreaterThan(paste.pourMs);
    expect(of('accept')).toMatchObject({ handsS: 0, cost: 0, coat: null });
  });
  it('chosen, one coat goes on the plan with its name and its steps', () => {
    const plan = rescuePlan(view, of('fill the spot'));
    expect(plan.coats).toMatchObject([{ kind: 'patch', name: 'Rescue patch' }]);
    expect(plan.steps.map((s) => s.title)).toEqual(['Sand into the spot and a little round it']);
    const polish = rescuePlan(view, of('polish'));
    // A coat is planned still: it comes before that.
    expect(polish).toMatchObject({ coats: [], steps: [{ on: { at: 'next' } }] });
  });
});

it('a finding closes by its repair, or by a later look where a rescue was chosen', () => {
  const rescue = { kind: 'polish', chosenMs: 1, coatIds: [], taskIds: [] } as const;
  const state = (told: Partial<Defect>) => findingState({ ...dimples, ...told });
  expect(state({})).toBe('open');
  expect(state({ repairedMs: 1 })).toBe('closed');
  expect(state({ rescue })).toBe('rescue chosen');
  expect(state({ rescue, repairedMs: 1 })).toBe('look again');
  expect(state({ rescue, repairedMs: 1, looks: [{ atMs: 2, found: 'gone' }] })).toBe('closed');
});

describe('how much of it', () => {
  const read = (told: Partial<typeof EMPTY_LOOK>) => readLook({ ...EMPTY_LOOK, ...told }, METRIC);
  it('what is not told stays not told', () =>
    expect(read({})).toEqual({ ok: true, value: NOT_LOOKED }));
  it('is read in the shop’s units', () =>
    expect(read({ spread: 'several spots', count: '7', size: '6', depth: '0.3 mm' })).toEqual({
      ok: true,
      value: { allOver: false, count: 7, sizeM: 0.006, depthM: 0.0003 },
    }));
  it('all over has no size of one', () =>
    expect(read({ spread: 'all over', size: '4' })).toMatchObject({
      value: { allOver: true, count: null, sizeM: null },
    }));
  it.each([{ size: 'large' }, { depth: '-1' }, { spread: 'several spots', count: '2.5' }] as const)(
    '%j is told at its field',
    (told) => expect(read(told).ok).toBe(false),
  );
});

it('every code has its words', () => {
  for (const code of EVIDENCE_CODES) expect(EVIDENCE_WORDS[code].so).not.toBe('');
  for (const test of TESTS) expect(TEST_WORDS[test]?.ask).toMatch(/\?$/);
  for (const kind of RESCUE_KINDS) expect(RESCUE_WORDS[kind]).not.toBe('');
  expect([0, 0.1, 0.25, 0.4].map(riskWords)).toEqual(['none', 'low', 'some', 'high']);
});

it('statistics count coats by what is the same about them', () => {
  const poured = shop.coats.filter((c) => c.pouredMs !== null);
  const stats = statisticsOf(shop, new Map());
  expect(stats.poured).toBe(poured.length);
  const faulty = new Set(shop.defects.map((d) => d.coatId));
  expect(stats.firstTimeRight?.hits).toBe(poured.filter((c) => !faulty.has(c.id)).length);
  const all = (rows: typeof stats.byResin) => rows.reduce((sum, r) => sum + r.share.of, 0);
  expect([all(stats.byResin), all(stats.byMonth)]).toEqual([poured.length, poured.length]);
  // Nobody read the log: nothing is said of rooms and people.
  expect([stats.byRoom, stats.byPerson]).toEqual([[], []]);
  expect(stats.reworkKg).toBe(0);
});

it('a circumstance that goes with a fault in every case is said, one that does not is not', () => {
  const [template] = shop.coats.filter((c) => c.pouredMs !== null && c.batchId !== null);
  if (!template) throw new Error('no coat');
  const coats = Array.from({ length: 40 }, (_, i) => ({
    ...{ ...template, id: `c${i}` as typeof template.id },
    // Half of them lay open for an hour.
    coveredMs: (template.pouredMs ?? 0) + (i % 2 === 0 ? 3_600_000 : 300_000),
  }));
  const defects = coats
    .filter((_, i) => i % 2 === 0 && i < 24)
    .map((c, i) => ({
      ...{ ...dimples, id: `d${i}` as typeof dimples.id, kind: 'dust nib' as const },
      coatId: c.id,
    }));
  const { drifts } = statisticsOf({ ...shop, coats, defects }, new Map());
  expect(drifts.map((d) => [d.kind, d.evidence])).toEqual([['dust nib', 'covered late']]);
  expect(drifts[0]).toMatchObject({ withIt: 12, of: 12, elsewhere: 8, elsewhereOf: 28 });
});
