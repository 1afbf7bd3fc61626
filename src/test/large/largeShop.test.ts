import { readShopFile } from '@/data/exchange/shopFile';
import { largeShop } from './largeShop';

const NOW = Date.UTC(2026, 5, 1);

describe('the large shop', () => {
  it('is a sound shop file of the sizes it promises', async () => {
    const read = await readShopFile(largeShop(NOW, 60));
    if (!read.ok) throw new Error(JSON.stringify(read.faults.slice(0, 3)));
    const rows = (table: string) => read.tables[table] ?? [];
    expect([rows('pieces').length, rows('coats').length]).toEqual([60, 240]);
    expect(rows('log').length / 60).toBeGreaterThanOrEqual(20);
    expect(rows('log').length / 60).toBeLessThan(22);
    const poured = (rows('coats') as { pouredMs: number | null }[]).map((c) => c.pouredMs);
    expect(poured.some((ms) => ms === null)).toBe(true);
    expect(poured.every((ms) => ms === null || ms < NOW)).toBe(true);
  });
  it('is the same for the same instant', () => {
    expect(largeShop(NOW, 20)).toBe(largeShop(NOW, 20));
    expect(largeShop(NOW, 20)).not.toBe(largeShop(NOW + 1, 20));
  });
});
