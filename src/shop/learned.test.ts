import { demoView } from '@/features/test/shop';
import type { Coat } from '@/records';
import { learnedPace } from './learned';

const shop = demoView();
const resin = shop.resins.find((r) => r.name === 'Millrace Clear');
if (!resin) throw new Error('demo changed');
const of = (coats: readonly Coat[]) => learnedPace({ coats, room: shop.room }, resin);

describe('what the batches of a shop teach', () => {
  const touched = shop.coats.filter((c) => c.touches.length > 0);
  it('two batches of the demo were touched', () => {
    expect(of(shop.coats)).toMatchObject({ count: 2 });
    expect(touched.length).toBeGreaterThan(1);
  });
  it('coats of one batch are one witness; other resins, coats without a touch and put aside ones are none', () => {
    const [first] = touched;
    if (!first) throw new Error('no touch');
    const twin = {
      ...first,
      id: `${first.id}-twin` as Coat['id'],
      touches: first.touches.slice(1),
    };
    expect(of([first, twin])?.count).toBe(1);
    expect(of([{ ...first, resinId: 'other' as Coat['resinId'] }])).toBeNull();
    expect(of([{ ...first, touches: [] }])).toBeNull();
    const later = { ...resin, learnsFromMs: (first.pouredMs ?? 0) + 1 };
    expect(learnedPace({ coats: [first], room: shop.room }, later)).toBeNull();
  });
  it('what a coat was poured with does not teach again', () => {
    const [first] = touched;
    if (!first) throw new Error('no touch');
    const learned = { factor: 0.5, sigma: 0.05, count: 9, spread: 0.1 };
    expect(of([{ ...first, learned }])?.factor).toBeCloseTo(
      of([{ ...first, learned: null }])?.factor ?? NaN,
      12,
    );
  });
});
