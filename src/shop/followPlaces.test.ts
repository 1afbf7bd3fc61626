import { asId, type AreaCut, type Id } from '@/records';
import { followPlaces } from './followPlaces';

const id = (name: string): Id<'area'> => asId(name);
const cut = (of: string, makes: string): AreaCut => ({
  ...{ of: id(of), makes: id(makes), points: [], closed: false, kind: 'line', wallM: null },
});
const row = (name: string, partOf: string | null = null, cuts: readonly AreaCut[] = []) => ({
  id: id(name),
  partOf: partOf === null ? null : id(partOf),
  cuts,
});
const whole = [row('face'), row('back')];
const halves = [
  row('face', null, [cut('a', 'b')]),
  row('a', 'face'),
  row('b', 'face'),
  row('back'),
];
const thirds = [
  row('face', null, [cut('a', 'b'), cut('b', 'c')]),
  ...['a', 'b', 'c'].map((n) => row(n, 'face')),
  row('back'),
];
const follow = (on: string[], before: typeof whole, after: typeof whole) =>
  followPlaces(on.map(id), before, after)?.map((f) => `${f.id}<${f.was}`);

describe('what lies on areas that are cut anew', () => {
  it('lies on all places of a face that is cut, and on both parts of a place', () => {
    expect(follow(['face'], whole, halves)).toEqual(['a<face', 'b<face']);
    expect(follow(['b'], halves, thirds)).toEqual(['b<b', 'c<b']);
    expect(follow(['a', 'back'], halves, thirds)).toEqual(['a<a', 'back<back']);
    expect(follow(['face'], whole, thirds)).toEqual(['a<face', 'b<face', 'c<face']);
  });

  it('goes back with places that are joined, when it covers them all', () => {
    expect(follow(['a', 'b'], halves, whole)).toEqual(['face<a']);
    expect(follow(['b', 'c'], thirds, halves)).toEqual(['b<b']);
    expect(follow(['back'], halves, whole)).toEqual(['back<back']);
  });

  it('cannot follow where it covers only one of them, or its area is gone', () => {
    expect(follow(['a'], halves, whole)).toBeUndefined();
    expect(follow(['c'], thirds, halves)).toBeUndefined();
    expect(follow(['b'], thirds, halves)).toEqual(['b<b']);
    expect(follow(['back'], whole, [row('face')])).toBeUndefined();
  });
});
