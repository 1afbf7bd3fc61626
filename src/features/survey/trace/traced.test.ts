import { shapePath, type Path } from '@/core/geometry';
import { asId } from '@/records';
import { METRIC } from '@/features/test/shop';
import { emptyDraft } from '../draft';
import { tracedDraft } from './traced';

const box: Path = shapePath({ kind: 'rectangle', widthM: 0.2, heightM: 0.1 });
const known = { by: 'rule' as const };
let made = 0;
const makeId = () => asId<'area'>(`area-${++made}`);

describe('a traced outline with the boundaries of its places', () => {
  const line = { points: [[0.05, -0.06] as const, [0.05, 0.06] as const], closed: false, px: [] };

  test('cuts the area by each line; what is to the left of a line is the place', () => {
    const next = tracedDraft(
      emptyDraft(METRIC),
      0,
      { outline: box, cuts: [line] },
      known,
      METRIC,
      makeId,
    );
    expect(next.areas.map((a) => [a.name, a.shape, a.partOf !== null])).toEqual([
      ['Face', 'outline', false],
      ['Face 1', 'outline', true],
      ['Face 2', 'outline', true],
    ]);
    expect(next.areas[0]?.cuts).toHaveLength(1);
  });

  test('a line that does not cut is left out, and the outline stays', () => {
    const off = { ...line, points: [[0.5, -0.06] as const, [0.5, 0.06] as const] };
    const next = tracedDraft(
      emptyDraft(METRIC),
      0,
      { outline: box, cuts: [off] },
      known,
      METRIC,
      makeId,
    );
    expect(next.areas).toHaveLength(1);
    expect(next.areas[0]?.outline).toBe(box);
  });
});
