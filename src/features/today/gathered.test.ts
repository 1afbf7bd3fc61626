import { demoShop } from '@/demo';
import { DEFAULT_SETTINGS } from '@/records';
import { atInstant } from '@/shop/instant';
import { settle } from '@/shop/settle';
import { keepShop, type ShopRows } from '@/shop/shop';
import { gathered } from './gathered';

const NOW = new Date(2026, 10, 24, 13, 30).getTime();
const rows = demoShop(NOW) as unknown as ShopRows;
const { shop } = keepShop({ ...rows, settings: [DEFAULT_SETTINGS] }, settle);

describe('the same step on several pieces', () => {
  const rounds = gathered(atInstant(shop, NOW).pieces);
  it('names only what can be done now, on two pieces or more', () => {
    expect(rounds.length).toBeGreaterThan(1);
    for (const { steps } of rounds) {
      expect(new Set(steps.map((s) => s.piece.id)).size).toBeGreaterThan(1);
      for (const { placed } of steps) expect(['open', 'redo']).toContain(placed.state);
    }
  });
  it('asks no result and no turn in a round, and what has to dry comes first', () => {
    const rules = rounds.flatMap((r) => r.steps.map((s) => s.placed.task.rule));
    for (const rule of ['rub test', 'turn', 'put right', 'layer'])
      expect(rules).not.toContain(rule);
    const waits = rounds.map((r) => r.makesWait);
    expect(waits).toEqual([...waits].sort((a, b) => Number(b) - Number(a)));
  });
});
