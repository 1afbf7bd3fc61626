import { jStat } from 'jstat';
import { seededRandom } from '../numeric';
import { byChance, proportion } from './chance';

describe('Wilson’s interval', () => {
  // Newcombe 1998, Statistics in Medicine 17, table I, score method without continuity correction; from memory.
  it.each([
    [81, 263, 0.2553, 0.3662],
    [15, 148, 0.0624, 0.1605],
    [0, 20, 0, 0.1611],
    [1, 29, 0.0061, 0.1718],
  ])('%i of %i', (hits, of, low, high) => {
    const found = proportion(hits, of);
    expect(found.low).toBeCloseTo(low, 4);
    expect(found.high).toBeCloseTo(high, 4);
  });

  it('its ends are where the score test of a statistics library just refuses', () => {
    const z = jStat.normal.inv(0.975, 0, 1);
    const random = seededRandom(4);
    for (let i = 0; i < 100; i += 1) {
      const of = 2 + Math.floor(random() * 400);
      const hits = 1 + Math.floor(random() * (of - 1));
      const { share, low, high } = proportion(hits, of);
      for (const p of [low, high])
        expect(Math.abs(share - p) / Math.sqrt((p * (1 - p)) / of)).toBeCloseTo(z, 6);
    }
  });

  it('refuses what cannot be counted', () => {
    for (const [hits, of] of [
      [1, 0],
      [-1, 3],
      [4, 3],
      [NaN, 3],
    ] as const)
      expect(() => proportion(hits, of)).toThrow(/proportion/);
  });
});

describe('Fisher’s exact test', () => {
  it('of the lady who tasted tea (Fisher 1935)', () => {
    const all = { withBoth: 4, faultOnly: 0, circumstanceOnly: 0, neither: 4 };
    expect(byChance(all)).toBeCloseTo(1 / 70, 12);
    const three = { withBoth: 3, faultOnly: 1, circumstanceOnly: 1, neither: 3 };
    expect(byChance(three)).toBeCloseTo(17 / 70, 12);
  });

  it('is the tail of a hypergeometric distribution', () => {
    const random = seededRandom(8);
    const some = () => Math.floor(random() * 20);
    for (let i = 0; i < 60; i += 1) {
      const [a, b, c, d] = [1 + some(), some(), some(), some()];
      const told = { withBoth: a, faultOnly: b, circumstanceOnly: c, neither: d };
      const below = jStat.hypgeom.cdf(a - 1, a + b + c + d, a + c, a + b);
      expect(byChance(told)).toBeCloseTo(1 - below, 8);
    }
  });
});
