import { costOf, jobCost, leftOver, waitingFor } from './money';
import { NOW } from '@/features/test/shop';
import { coatOf, ledger, onPiece, shop } from './test/demo';

describe('cost and left-over', () => {
  const dome = coatOf('Lamp-room tray', 'Dome');
  it('a coat by hand: its kilograms × 24, and the consumables', () => {
    const own = ledger(dome);
    const cost = costOf(dome, own, 1.2);
    expect(cost?.total).toBeCloseTo(own.totalKg * 24 + 1.2, 9);
    expect(costOf({ ...dome, resin: { ...dome.resin, price: null } }, own, 1.2)).toBeNull();
  });
  it('a job is the sum of its coats, and says which have no price', () => {
    const tray = onPiece('Lamp-room tray');
    const own = ledger(dome);
    const job = jobCost(tray, dome.coat.id, own, 1);
    const sum = tray.coats.reduce((s, c) => s + (costOf(c, ledger(c), 1)?.total ?? 0), 0);
    expect(job.total).toBeCloseTo(sum, 9);
    expect(job.explanation.inputs.map((i) => i.label)).toEqual(
      tray.coats.map((c, i) => `${i + 1}. ${c.coat.name}, your currency`),
    );
    expect(job.wasteShare).toBeGreaterThan(0);
    expect(job.wasteShare).toBeLessThan(1);
    const free = { coats: tray.coats.map((c) => ({ ...c, resin: { ...c.resin, price: null } })) };
    expect(jobCost(free, dome.coat.id, own, 1)).toMatchObject({
      total: 0,
      unknown: ['Fill', 'Colours', 'Dome', 'Back', 'Patch'],
    });
  });
  it('what is left goes to planned coats of the same resin that fit, never to the piece itself', () => {
    const { fillers, restM3 } = leftOver(
      waitingFor(shop, coatOf('Viaduct painting', 'Flood 2'), NOW),
      60e-6,
    );
    expect(fillers.map((f) => f.text)).toEqual([
      '2 of 6 Buffet coasters, Flood 1',
      'Dining-car serving board, Barrier',
    ]);
    expect(restM3 + fillers.reduce((s, f) => s + f.volumeM3, 0)).toBeCloseTo(60e-6, 12);
    expect(fillers.every((f) => !f.ready)).toBe(true);
    expect(leftOver(waitingFor(shop, dome, NOW), 60e-6).fillers.map((f) => f.text)).not.toContain(
      'Lamp-room tray, Fill',
    );
    expect(leftOver(waitingFor(shop, dome, NOW), 0).fillers).toEqual([]);
  });
});
