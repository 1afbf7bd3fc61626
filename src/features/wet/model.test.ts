import { demoView, NOW } from '../test/shop';
import { ratioGauge, wantedB, wetView } from './model';

const shop = demoView();

describe('wet session', () => {
  const session = shop.sessions[0];
  const view = wetView(shop, session?.id ?? '', NOW);
  if (!view) throw new Error('no session');
  it('knows where it stands and when the working time ends', () => {
    expect(view.step).toBe('done');
    expect((view.workingEndsMs ?? 0) - (view.done.mixedMs ?? 0)).toBeCloseTo(view.workingMs, 2);
    expect(wetView(shop, 'gone', NOW)).toBeNull();
  });
  it('B follows the A that was weighed: 100 : 45 by weight', () => {
    expect(wantedB({ ...view, done: { ...view.done, aKg: 0.2 } })).toBeCloseTo(0.09, 12);
  });
  it('places the ratio on its gauge, right in the middle, and stops at its ends', () => {
    const at = (b: number) => ratioGauge(0.1, b, view.resin).at;
    expect(at(0.045)).toBeCloseTo(0.5, 12);
    expect(at(0.045 * 1.05)).toBeCloseTo(0.75, 12);
    expect([at(0), at(1)]).toEqual([0, 1]);
  });
});
