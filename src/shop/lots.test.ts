import { asId, type Lot } from '@/records';
import { lotInUse, lotsOf } from './lots';
import { aBatch, aCoat, acts, aLot, at } from './test/bench';

const lot = (name: string, change: Partial<Lot> = {}) =>
  aLot(name, { fullAKg: 1, fullBKg: 0.9, ...change });
const RESIN = asId<'resin'>('resin');
const none = { batches: [], coats: [] };

describe('bottles of a resin', () => {
  it('open ones first, the newest in front, then the sealed by name, then the empty', () => {
    const lots = [
      lot('empty', { openedMs: at(0), emptyMs: at(9) }),
      lot('sealed b'),
      lot('sealed a'),
      lot('old', { openedMs: at(1) }),
      lot('new', { openedMs: at(2) }),
      lot('other', { resinId: asId('another') }),
    ];
    expect(lotsOf({ lots, ...none }, RESIN).map((l) => l.lot.name)).toEqual([
      'new',
      'old',
      'sealed a',
      'sealed b',
      'empty',
    ]);
  });
  it('what is left is what was in them less what was weighed, and no less than is told', () => {
    const mixed = aBatch('one', ['flood'], { lotId: asId('L') });
    const begun = aBatch('two', ['back'], { lotId: asId('L'), events: [] });
    const half = aBatch('three', ['rim'], {
      lotId: asId('L'),
      events: acts([0, { is: 'weighed A', kg: 0.07, by: 'read' }]),
    });
    const coats = [
      aCoat('flood', 1, { batchId: asId('one') }),
      aCoat('back', 2, { batchId: asId('two') }),
      aCoat('planned', 3, { batchId: null }),
    ];
    const [seen] = lotsOf({ lots: [lot('L')], batches: [mixed, begun, half], coats }, RESIN);
    expect(seen?.batches.map((b) => b.id)).toEqual(['one', 'three']);
    expect(seen?.coats.map((c) => c.id)).toEqual(['flood']);
    // 1000 − 230 − 70 g of A, 900 − 200 g of B.
    expect(seen?.left.aKg).toBeCloseTo(0.7, 12);
    expect(seen?.left.bKg).toBeCloseTo(0.7, 12);
  });
  it('in use is the only open one; of several, or of none, nobody can tell', () => {
    const open = lot('open', { openedMs: at(0) });
    const used = (...lots: Lot[]) => lotInUse({ lots, ...none }, RESIN)?.lot.name ?? null;
    expect(used(lot('sealed'), open)).toBe('open');
    expect(used(open, lot('too', { openedMs: at(1) }))).toBeNull();
    expect(used(open, lot('done', { openedMs: at(1), emptyMs: at(2) }))).toBe('open');
    expect(used(lot('sealed'))).toBeNull();
  });
});
