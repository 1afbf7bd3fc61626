import { asId, type PrepRecord } from '@/records';
import {
  dryingTasks,
  dueTasks,
  holdsOf,
  leftSteps,
  maskClocks,
  prepOf,
  wasMasked,
} from './prepView';
import type { Shop } from './shop';
import {
  aCoat,
  aFace,
  aMask,
  at,
  AT_22,
  aTask,
  benchShop,
  HOUR,
  plannedCoat,
  walledFace,
} from './test/bench';

const mask = aMask({ key: 'mask:flood.face' });
const shopOf = (change: Partial<Shop>) => benchShop({ areas: [walledFace()], ...change }, AT_22);
const pieceOf = (shop: Shop) => {
  const [piece] = shop.pieces;
  if (!piece) throw new Error('no piece');
  return piece;
};
const clocks = (hours: number, tasks: readonly PrepRecord[] = [mask]) => {
  const shop = shopOf({ tasks });
  return maskClocks(shop, pieceOf(shop), at(2) + hours * HOUR);
};

describe('the clock of a mask', () => {
  it('on, best, late, over; each to its own end', () => {
    const [first] = clocks(1);
    if (!first) throw new Error('no mask');
    const { bestFromMs, bestToMs, limitMs } = first.removal;
    const phaseAt = (ms: number) => {
      const [clock] = clocks((ms - at(2)) / HOUR);
      return [clock?.phase, clock?.atMs];
    };
    expect(bestFromMs).toBeLessThan(bestToMs);
    expect(phaseAt(bestFromMs - 1000)).toEqual(['on', bestFromMs]);
    expect(phaseAt(bestFromMs)).toEqual(['best', Math.min(bestToMs, limitMs)]);
    expect(phaseAt(limitMs - 1000)[1]).toBe(limitMs);
    expect(phaseAt(limitMs)).toEqual(['over', limitMs]);
  });
  it('none without a mask, none once it is off', () => {
    expect(clocks(1, [])).toEqual([]);
    const off = aTask('unmask', { key: 'unmask:flood.face', doneMs: at(2) + HOUR });
    expect(clocks(2, [mask, off])).toEqual([]);
    const shop = shopOf({ tasks: [mask, off] });
    expect(wasMasked(shop, pieceOf(shop), 'flood')).toBe(true);
    expect(wasMasked(shop, pieceOf(shop), 'other')).toBe(false);
    expect(wasMasked(shopOf({}), pieceOf(shop), 'flood')).toBe(false);
  });
});

describe('the plan of steps', () => {
  const next = plannedCoat('next', 2);
  const last = { ...next, id: asId<'coat'>('last'), name: 'last', order: 3 };
  const shop = shopOf({ coats: [aCoat('flood', 1), next, last] });
  const NOW = at(2) + 30 * HOUR;
  it('what is due is before the next coat, not before the one after it', () => {
    const prep = prepOf(shop, pieceOf(shop), NOW);
    const due = dueTasks(prep).map((t) => t.task.coatId);
    expect(due).toContain('next');
    expect(due).not.toContain('last');
    expect(prep.state.tasks.some((t) => t.task.coatId === 'last')).toBe(true);
  });
  it('the same plan is given again while its rows are the same, and made anew when a row changes', () => {
    const piece = pieceOf(shop);
    const first = prepOf(shop, piece, NOW);
    expect(prepOf({ ...shop }, piece, NOW + 1000)).toBe(first);
    const changed = { ...shop, tasks: [aTask('wipe', { coatId: 'next', key: 'wipe:next' })] };
    expect(prepOf(changed, piece, NOW + 1000)).not.toBe(first);
    // Time alone moves a plan on: after ten seconds where something cures or waits, else after ten minutes.
    const moved = (fromMs: number, standsMs: number) => {
      const again = prepOf(shop, piece, fromMs);
      expect(prepOf(shop, piece, fromMs + standsMs - 1)).toBe(again);
      expect(prepOf(shop, piece, fromMs + standsMs)).not.toBe(again);
    };
    moved(at(2) + 5 * HOUR, 10_000);
    moved(NOW + 9 * HOUR, 600_000);
  });
  it('a hard coat holds the next one until it is sanded', () => {
    const held = holdsOf(shop, pieceOf(shop), 'next', NOW).map((t) => t.task.rule);
    expect(held).toContain('tooth');
    expect(holdsOf(shop, pieceOf(shop), 'next', NOW)).toBe(
      holdsOf(shop, pieceOf(shop), 'next', NOW),
    );
  });
  it('what dries is told while it dries', () => {
    const seal = { ...next, kind: 'flood' as const, order: 1 };
    const porous = [aFace({ porosity: 'porous' })];
    const bare = benchShop({ areas: porous, coats: [seal], batches: [] }, AT_22);
    const asked = prepOf(bare, pieceOf(bare), at(1)).state.tasks.find(
      (t) => t.task.rule === 'seal',
    );
    if (!asked) throw new Error('no seal');
    const { key, scope } = asked.task;
    const tasks = [aTask('seal', { coatId: asked.task.coatId, key, scope, doneMs: at(0) })];
    const drying = { ...bare, tasks };
    const rules = (ms: number) => dryingTasks(drying, pieceOf(drying), ms).map((t) => t.task.rule);
    expect(dryingTasks(bare, pieceOf(bare), at(1))).toEqual([]);
    expect(rules(at(1))).toEqual(['seal']);
    expect(rules(at(0) + 1000 * HOUR)).toEqual([]);
  });
  it('steps after the last coat are left once every coat lies', () => {
    const note = {
      kind: 'note',
      key: 'own:felt',
      title: 'Felt',
      needed: true,
      areaIds: [],
      on: { at: 'last' },
      turn: 0,
      labelS: 0,
    };
    const felt = aTask('own note', {
      key: 'own:felt',
      coatId: null,
      state: 'open',
      doneMs: null,
      own: note as unknown as PrepRecord['own'],
    });
    const laid = shopOf({ tasks: [felt] });
    expect(leftSteps(laid, pieceOf(laid), NOW).map((t) => t.task.key)).toEqual([
      'own note:own:felt',
    ]);
    expect(leftSteps(shopOf({}), pieceOf(laid), NOW)).toEqual([]);
  });
});
