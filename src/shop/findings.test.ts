import { asId } from '@/records';
import { filmNow, findingState, laidOver, lookOf, placeOf, placeOn } from './findings';
import { aCoat, aDefect, aFace, at, benchShop, HOUR } from './test/bench';

const rescue = { kind: 'polish', chosenMs: at(0), coatIds: [], taskIds: [] } as const;

describe('where a finding stands', () => {
  it('open, chosen, looked at again, closed', () => {
    const state = (change: Parameters<typeof aDefect>[1]) => findingState(aDefect('d', change));
    const gone = [{ atMs: at(9), found: 'gone' }] as const;
    const still = [...gone, { atMs: at(10), found: 'still there' }] as const;
    expect(state({})).toBe('open');
    expect(state({ rescue })).toBe('rescue chosen');
    expect(state({ rescue, repairedMs: at(5) })).toBe('look again');
    expect(state({ rescue, repairedMs: at(5), looks: still })).toBe('look again');
    expect(state({ rescue, repairedMs: at(5), looks: gone })).toBe('closed');
    // Put right by hand, without a way back that was chosen: no later look is asked.
    expect(state({ repairedMs: at(5) })).toBe('closed');
  });
});

describe('where a place lies on its outline', () => {
  // 300 × 200 mm about the origin.
  const { shape } = aFace();
  it('its distance to the nearest edge, inside and beside', () => {
    expect(placeOn(shape, [0.1, 0])).toMatchObject({ outside: false });
    expect(placeOn(shape, [0.1, 0]).edgeM).toBeCloseTo(0.05, 9);
    expect(placeOn(shape, [0, 0]).edgeM).toBeCloseTo(0.1, 9);
    expect(placeOn(shape, [0.16, 0])).toMatchObject({ outside: true });
    expect(placeOn(shape, [0.16, 0]).edgeM).toBeCloseTo(0.01, 9);
    // Off a corner: 3, 4, 5.
    expect(placeOn(shape, [0.153, 0.104]).edgeM).toBeCloseTo(5e-3, 9);
  });
  it('opposite sides are two sides', () => {
    const sides = [
      [0.14, 0],
      [-0.14, 0],
      [0, 0.09],
      [0, -0.09],
    ].map(([x = 0, y = 0]) => placeOn(shape, [x, y]).side);
    expect([...sides].sort()).toEqual([0, 1, 2, 3]);
  });
  it('a place beside the piece tells no distance, one that nobody pointed at neither', () => {
    const shop = benchShop();
    const look = { allOver: false, count: 3, sizeM: null, depthM: null };
    const on = (x: number) => aDefect('d', { look, at: { areaId: asId('face'), point: [x, 0] } });
    expect(lookOf(shop, on(0.12))).toMatchObject({ allOver: false, count: 3 });
    expect(lookOf(shop, on(0.12)).edgeM).toBeCloseTo(0.03, 9);
    expect(lookOf(shop, on(0.2)).edgeM).toBeNull();
    expect(lookOf(shop, aDefect('d')).edgeM).toBeNull();
    expect(placeOf({ areas: [] }, on(0))).toBeNull();
  });
});

describe('what was laid over a finding', () => {
  it('coats poured since, on its place, the oldest first', () => {
    const later = (id: string, hours: number | null, areaId = 'face') =>
      aCoat(id, 2, {
        areaIds: [asId(areaId)],
        pouredMs: hours === null ? null : at(24 * 60) + hours * HOUR,
      });
    const coats = [
      aCoat('flood', 1),
      later('third', 9),
      later('second', 3),
      later('same', 0),
      later('planned', null),
      later('back', 4, 'back'),
    ];
    const over = (change = {}) => laidOver({ coats }, aDefect('d', change)).map((c) => c.id);
    expect(over()).toEqual(['second', 'third']);
    expect(over({ at: { areaId: asId('back'), point: [0, 0] } })).toEqual(['back']);
    expect(over({ coatId: null })).toEqual([]);
  });
});

describe('the film that a finding is in', () => {
  const shop = benchShop();
  const now = (hours: number, kind: Parameters<typeof filmNow>[2] = 'fish eye') =>
    filmNow(shop, shop.coats[0], kind, at(2) + hours * HOUR);
  // The sheet at its own 22 °C: no flow at 5 h, recoat shuts at 14 h.
  it.each([
    [4.9, 'wet'],
    [5.1, 'soft'],
    [13.9, 'soft'],
    [14.1, 'hard'],
    [200, 'hard'],
  ] as const)('after %f h: %s', (hours, film) => {
    expect(now(hours)).toBe(film);
  });
  it('what was found sticky is sticky once it no longer flows', () => {
    expect(now(4.9, 'soft spot')).toBe('wet');
    expect(now(30, 'soft spot')).toBe('sticky');
    expect(now(30, 'tacky all over')).toBe('sticky');
  });
  it('no coat, or one that is not poured: none', () => {
    expect(filmNow(shop, undefined, 'fish eye', at(0))).toBe('none');
    expect(filmNow(shop, aCoat('x', 1, { pouredMs: null }), 'fish eye', at(0))).toBe('none');
  });
});
