import { measureShape } from '@/core/geometry';
import { formatOf } from '@/features/common/useFormat';
import { asId, DEFAULT_SETTINGS, type Id } from '@/records';
import { emptyArea, emptyDraft, type SurveyDraft } from './draft';
import { cutHere, holeAt, joinBack, joinsTo, setCut, stripLine, withPlaces } from './places';
import { readSurvey } from './readSurvey';
import { shapeNow } from './readShape';

const METRIC = formatOf(DEFAULT_SETTINGS);
let serial = 0;
const newId = (): Id<'area'> => asId(`a${(serial += 1)}`);
const across = (x: number) => ({
  closed: false,
  points: [
    [x, 0.3],
    [x, -0.3],
  ] as const,
});
const board: SurveyDraft = {
  ...emptyDraft(METRIC),
  name: 'Board',
  areas: [{ ...emptyArea(METRIC), width: '520 mm', height: '220 mm' }],
};
const cut = (draft: SurveyDraft, index: number, x: number): SurveyDraft => {
  const made = cutHere(draft, index, across(x), METRIC, newId);
  if (!made.ok) throw new Error(made.why);
  return made.draft;
};
const areas = (draft: SurveyDraft) =>
  draft.areas.map((a) => {
    const shape = shapeNow(a, METRIC);
    return [a.name, shape ? Math.round(measureShape(shape).areaM2 * 1e6) : null];
  });

describe('places in the survey', () => {
  it('a face is cut, a place is cut, and each is named', () => {
    const two = cut(board, 0, 0.14);
    expect(areas(two)).toEqual([
      ['Face', 114400],
      ['Face 1', 88000],
      ['Face 2', 26400],
    ]);
    const place = two.areas.findIndex((a) => a.name === 'Face 1');
    expect(areas(cut(two, place, 0)).slice(1)).toEqual([
      ['Face 1', 57200],
      ['Face 2', 26400],
      ['Face 3', 30800],
    ]);
    // The whole face: every place that the line goes through.
    const level = cutHere(
      two,
      0,
      {
        closed: false,
        points: [
          [-0.4, 0],
          [0.4, 0],
        ],
      },
      METRIC,
      newId,
    );
    expect(level.ok && level.draft.areas).toHaveLength(5);
  });

  it('places follow the size of their face, and a cut that no longer cuts is told at the face', () => {
    const two = cut(board, 0, 0.14);
    const wider = withPlaces(
      { ...two, areas: two.areas.map((a, i) => (i === 0 ? { ...a, height: '100 mm' } : a)) },
      METRIC,
    );
    expect(areas(wider).slice(1)).toEqual([
      ['Face 1', 40000],
      ['Face 2', 12000],
    ]);
    const short = {
      ...two,
      areas: two.areas.map((a, i) => (i === 0 ? { ...a, width: '200 mm' } : a)),
    };
    const read = readSurvey(withPlaces(short, METRIC), METRIC);
    expect(read.ok || read.errors['areas.0.outline']).toContain('does not cut');
  });

  it('a line that misses is refused with its reason, and nothing changes', () => {
    expect(cutHere(board, 0, across(0.5), METRIC, newId)).toEqual({
      ok: false,
      why: expect.stringContaining('from edge to edge'),
    });
    const bow = {
      closed: true,
      points: [
        [-0.1, 0],
        [0.1, 0.1],
        [0.1, 0],
        [-0.1, 0.1],
      ] as const,
    };
    expect(cutHere(board, 0, bow, METRIC, newId)).toMatchObject({
      why: expect.stringContaining('loop'),
    });
    expect(
      cutHere({ ...board, areas: [emptyArea(METRIC)] }, 0, across(0), METRIC, newId),
    ).toMatchObject({ ok: false });
  });

  it('joins back, last cut first; the last of all gives the face back', () => {
    const two = cut(board, 0, 0.14);
    const three = cut(two, 1, 0);
    const at = (d: SurveyDraft, name: string) => d.areas.findIndex((a) => a.name === name);
    expect(joinsTo(three, at(three, 'Face 3'))?.name).toBe('Face 1');
    expect(joinsTo(three, at(three, 'Face 1'))).toBeNull();
    const back = joinBack(three, at(three, 'Face 3'), METRIC);
    expect(areas(back)).toEqual(areas(two));
    expect(areas(joinBack(back, at(back, 'Face 2'), METRIC))).toEqual([['Face', 114400]]);
    expect(joinBack(three, at(three, 'Face 1'), METRIC)).toBe(three);
  });

  it('what stands on a cut goes to the edges of both its places', () => {
    const two = cut(board, 0, 0.14);
    const [first] = two.areas[0]?.cuts ?? [];
    const walled = setCut(two, first!.makes, { kind: 'raised line', wall: '2.5 mm' }, METRIC);
    const read = readSurvey(walled, METRIC);
    if (!read.ok) throw new Error(JSON.stringify(read.errors));
    for (const place of read.value.areas.slice(1)) {
      const on = place.edges.filter((e) => e.kind === 'raised line');
      expect(on).toEqual([
        expect.objectContaining({ wallM: expect.closeTo(2.5e-3, 12), heightM: 0 }),
      ]);
    }
    const wrong = readSurvey(setCut(walled, first!.makes, { wall: 'tall' }, METRIC), METRIC);
    expect(wrong.ok || Object.keys(wrong.errors)).toEqual(['areas.0.cuts.0.wall']);
  });

  it('a hole by numbers takes its round from the face', () => {
    const face = board.areas[0]!;
    const hole = holeAt(shapeNow(face, METRIC)!, 0.04, 0.1, 0.05);
    const holed = { ...board, areas: [{ ...face, keepBare: [hole] }] };
    // π · 20² mm² off 520 × 220 mm.
    expect(areas(holed)).toEqual([['Face', 114400 - 1257]]);
  });

  it('a strip along the edge is a place of even width', () => {
    const shape = shapeNow(board.areas[0]!, METRIC)!;
    const made = cutHere(board, 0, stripLine(shape, [0, 0], 0.02)!, METRIC, newId);
    if (!made.ok) throw new Error(made.why);
    expect(areas(made.draft).slice(1)).toEqual([
      ['Face 1', 114400 - 480 * 180],
      ['Face 2', 480 * 180],
    ]);
    expect(stripLine(shape, [0, 0], 0.2)).toBeNull();
  });
});
