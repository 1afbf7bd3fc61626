import { shareRows } from './shareRows';

const a = {
  id: 'a',
  shape: {
    points: [
      [0, 0],
      [1, 2],
    ],
  },
};
const b = { id: 'b', shape: { points: [] } };
const copy = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

describe('rows of a fresh read', () => {
  it('are those of the read before where nothing changed, down to the list', () => {
    const before = [a, b];
    expect(shareRows(before, copy(before))).toBe(before);
  });
  it('a changed row is new, the others stay', () => {
    const changed = {
      ...a,
      shape: {
        points: [
          [0, 0],
          [1, 3],
        ],
      },
    };
    const shared = shareRows([a, b], copy([changed, b]));
    expect(shared[0]).toEqual(changed);
    expect(shared[0]).not.toBe(a);
    expect(shared[1]).toBe(b);
  });
  it('added, removed and reordered rows give a new list of known rows', () => {
    const c = { id: 'c', shape: { points: [] } };
    expect(shareRows([a, b], copy([a, b, c])).slice(0, 2)).toEqual([a, b]);
    expect(shareRows([a, b], copy([b]))).toEqual([b]);
    const turned = shareRows([a, b], copy([b, a]));
    expect([turned[0] === b, turned[1] === a]).toEqual([true, true]);
    expect(shareRows([], [])).toEqual([]);
  });
});
