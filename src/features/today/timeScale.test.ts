import { HOUR, NOW } from '../test/shop';
import { timeScale } from './timeScale';

describe('timeScale', () => {
  const scale = timeScale(NOW, 420, 1110);
  it('runs down without a jump and draws closed hours shorter', () => {
    let last = -1;
    for (let t = scale.startMs; t <= scale.endMs; t += HOUR / 4) {
      expect(scale.y(t)).toBeGreaterThan(last);
      last = scale.y(t);
    }
    expect(scale.y(scale.endMs)).toBeCloseTo(scale.heightPx, 6);
    const midnight = new Date(2026, 10, 25).getTime();
    expect(scale.y(NOW + HOUR) - scale.y(NOW)).toBeGreaterThan(
      2 * (scale.y(midnight + HOUR) - scale.y(midnight)),
    );
  });
  it('shows now at every hour of the day', () => {
    for (let h = 0; h < 24; h += 1) {
      const now = new Date(2026, 10, 24, h, 15).getTime();
      const s = timeScale(now, 420, 1110);
      expect(s.startMs).toBeLessThan(now);
      expect(s.endMs).toBeGreaterThan(now + 8 * HOUR);
    }
  });
});
