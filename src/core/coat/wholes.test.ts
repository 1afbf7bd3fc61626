import { cutBoard } from './test/cutBoard';
import { borders, joinPlaces, placeOf, placesOf } from './wholes';

/** Made anew for each test: what is worked out of a face is remembered with it. */
const threePlaces = () => {
  const { whole } = cutBoard([-0.1, 0.1], { kind: 'raised line', wallM: 2e-3 });
  // Cuts are made from right to left: the first is at 0.1 m, the second at −0.1 m.
  const [right, left] = whole.cuts;
  return { whole, right, left };
};
const kinds = (edges: readonly { kind: string }[]) => edges.map((e) => e.kind).sort();

describe('places of a face', () => {
  it('one alone has its cuts for sides, and what stands on them', () => {
    const { whole, right, left } = threePlaces();
    const middle = placeOf(whole, 'p1');
    expect(middle?.onCut.filter((c) => c !== null)).toEqual(
      expect.arrayContaining([right, left]) as unknown,
    );
    expect(kinds(middle?.edges ?? [])).toEqual(['open', 'open', 'raised line', 'raised line']);
    const cut = middle?.edges[middle.onCut.indexOf(right ?? null)];
    expect(cut).toMatchObject({ kind: 'raised line', wallM: 2e-3, heightM: 0 });
    const outer = middle?.edges.find((e) => e.kind === 'open');
    expect(outer).toMatchObject({ heightM: 0.02 });
    expect(middle?.inner).toEqual([]);
    expect(placeOf(whole, 'p1')).toBe(middle);
    expect(placeOf(whole, 'nowhere')).toBeNull();
  });
  it('two that border are one, with the cut between them inside', () => {
    const { whole, right, left } = threePlaces();
    const [both, ...more] = joinPlaces(whole, ['p0', 'p1']);
    expect(more).toEqual([]);
    expect(both?.ids).toEqual(['p0', 'p1']);
    expect(both?.joined.inner).toEqual([left]);
    expect(both?.joined.onCut.filter((c) => c !== null)).toEqual([right]);
    expect(kinds(both?.joined.edges ?? [])).toEqual(['open', 'open', 'open', 'raised line']);
    // Asked in another order it is the same answer.
    expect(joinPlaces(whole, ['p1', 'p0'])[0]?.joined).toBe(both?.joined);
  });
  it('two that do not are two, each as it is alone', () => {
    const { whole } = threePlaces();
    const apart = joinPlaces(whole, ['p0', 'p2']);
    expect(apart.map((a) => a.ids)).toEqual([['p0'], ['p2']]);
    expect(apart.map((a) => a.joined.inner)).toEqual([[], []]);
    expect(apart[0]?.joined.shape).toEqual(placeOf(whole, 'p0')?.shape);
    expect(joinPlaces(whole, ['p0', 'nowhere']).map((a) => a.ids)).toEqual([['p0']]);
  });
  it('one that borders on both of two brings them together', () => {
    const [all] = joinPlaces(cutBoard([-0.2, -0.1, 0.1]).whole, ['p0', 'p2', 'p1']);
    expect([...(all?.ids ?? [])].sort()).toEqual(['p0', 'p1', 'p2']);
  });
  it('all together are the face itself, its cuts inside', () => {
    const { whole } = threePlaces();
    const [all, ...more] = joinPlaces(whole, ['p2', 'p0', 'p1']);
    expect(more).toEqual([]);
    expect(all?.joined).toEqual({
      ...{ shape: whole.shape, edges: whole.edges, inner: whole.cuts },
      onCut: [null, null, null, null],
    });
    expect(all?.joined.shape).toBe(whole.shape);
  });
  it('are worked out once for a face, and anew for another shape of it', () => {
    const { whole } = threePlaces();
    expect(placesOf(whole)).toBe(placesOf({ ...whole }));
    const wider = { ...whole, shape: { kind: 'rectangle', widthM: 0.6, heightM: 0.22 } as const };
    expect(placesOf(wider)).not.toBe(placesOf(whole));
    const [a, b, c] = ['p0', 'p1', 'p2'].map((id) => placesOf(whole).get(id));
    if (!a || !b || !c) throw new Error('no places');
    expect([borders(a, b), borders(b, c), borders(a, c)]).toEqual([true, true, false]);
    const unmade = whole.cuts.map((cut) => ({
      ...cut,
      points: [
        [9, 9],
        [9, 8],
      ] as const,
    }));
    expect(() => placesOf({ ...whole, cuts: unmade })).toThrow('placesOf');
  });
});
