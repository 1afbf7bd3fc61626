import type { Shape } from '../geometry';
import { US_FLUID_OUNCE_M3 } from '../units';
import { FLOOD_OVER_M2, SPREAD_M, type Intent } from '.';
import { faceOf, planned, type Wish } from './test/planned';

const INCH = 0.0254;
const over: Intent = { by: 'over', perMetreM2: FLOOD_OVER_M2 };
const disc = (diameterM: number): Shape => ({ kind: 'disc', diameterM });
const square = (widthM: number, heightM = widthM): Shape => ({
  kind: 'rectangle',
  widthM,
  heightM,
});
const hexagon: Shape = { kind: 'regularPolygon', sides: 6, sizeM: 0.1, across: 'corners' };

/** Nothing typed but the size; the intention that the words name, or the one it starts with. */
const mixed = (shape: Shape, heightM: number, wish: Wish) =>
  planned([faceOf(shape, ['open'], heightM)], wish).ledger;

describe('rules of the trade, planned as a user would (common practice, no source)', () => {
  it.each<[string, Shape, number, Wish, number, number]>([
    ['12 × 12 in panel, 5 to 6', square(12 * INCH), 0.018, {}, 5, 6],
    [
      '12 in disc flooded over the edge, 6 ± 0.6',
      disc(12 * INCH),
      0.018,
      { intent: over },
      5.4,
      6.6,
    ],
    [
      'four hexagons 100 mm across corners with run-off, 4 ± 0.6',
      hexagon,
      0.006,
      { count: 4, support: 'tile' },
      3.4,
      4.6,
    ],
    ['500 mm round worked with colours, 13 to 15', disc(0.5), 0.018, { kind: 'art' }, 13, 15],
    ['400 × 600 mm painting, 13 to 16', square(0.4, 0.6), 0.018, { support: 'canvas' }, 13, 16],
  ])('%s fl oz', (_, shape, heightM, wish, least, most) => {
    const floz = mixed(shape, heightM, wish).totalM3 / US_FLUID_OUNCE_M3;
    expect(floz).toBeGreaterThanOrEqual(least);
    expect(floz).toBeLessThanOrEqual(most);
  });
  it('a 4 in round as wet ground takes 1 ± 0.2 fl oz poured', () => {
    const { pouredM3 } = mixed(disc(4 * INCH), 0.006, { kind: 'art', support: 'tile' });
    expect(Math.abs(pouredM3 / US_FLUID_OUNCE_M3 - 1)).toBeLessThan(0.2);
  });
  it('tops and edges of two 95 mm castings, spread, take 20 ± 3 ml', () => {
    const spread: Intent = { by: 'spread', thicknessM: SPREAD_M };
    const { totalM3 } = mixed(disc(0.095), 0.01, { count: 2, intent: spread });
    expect(Math.abs(totalM3 * 1e6 - 20)).toBeLessThan(3);
  });
  it('8 to 12 % of what is mixed stay in the cup or are reserve', () => {
    for (const shape of [square(12 * INCH), disc(0.5), square(0.4, 0.6)]) {
      const { totalM3, pouredM3 } = mixed(shape, 0.018, {});
      expect(1 - pouredM3 / totalM3).toBeGreaterThan(0.07);
      expect(1 - pouredM3 / totalM3).toBeLessThan(0.13);
    }
  });
});
