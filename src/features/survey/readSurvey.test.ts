import { draftOf } from './draftOf';
import { emptyDraft, emptyEdge, type AreaDraft, type SurveyDraft } from './draft';
import { readSurvey } from './readSurvey';
import { demoView, METRIC, plain, US } from '../test/shop';

const shop = demoView();

describe('survey form', () => {
  const read = (change: Partial<SurveyDraft & AreaDraft>, format = METRIC) => {
    const base = emptyDraft(format);
    const { name = 'Sill', count = '1', level = base.level, ...area } = change;
    const areas = base.areas.map((a) => ({ ...a, width: '30 cm', height: '12 in', ...area }));
    return readSurvey({ ...base, name, count, level, areas }, format);
  };
  const errors = (change: Partial<SurveyDraft & AreaDraft>) => {
    const result = read(change);
    return result.ok
      ? {}
      : Object.fromEntries(
          Object.entries(result.errors).map(([k, v]) => [k.replace('areas.0.', ''), plain(v)]),
        );
  };
  const face = (r: ReturnType<typeof read>) => (r.ok ? r.value.areas[0] : undefined);

  it('reads mixed units into SI', () => {
    expect(face(read({}))?.shape).toEqual({
      kind: 'rectangle',
      widthM: 0.3,
      heightM: expect.closeTo(0.3048, 12),
    });
  });

  it('a bare number means mm, or inches in a US shop', () => {
    const width = (r: ReturnType<typeof read>) => {
      const shape = face(r)?.shape;
      return shape?.kind === 'rectangle' ? shape.widthM : NaN;
    };
    expect(width(read({ width: '300' }))).toBeCloseTo(0.3, 12);
    expect(width(read({ width: '12' }, US))).toBeCloseTo(0.3048, 12);
  });

  it.each<[Partial<SurveyDraft & AreaDraft>, Record<string, string>]>([
    [{ width: '10 km' }, { width: 'Between 1 mm and 10 m.' }],
    [{ width: '0' }, { width: 'Between 1 mm and 10 m.' }],
    [{ width: '-3 cm' }, { width: 'Between 1 mm and 10 m.' }],
    [{ width: 'NaN' }, { width: 'Not a number. Write for example 30 cm, 12 in, 1/8".' }],
    [
      { width: '12 ml' },
      { width: 'That unit measures something else. Write for example 30 cm, 12 in, 1/8".' },
    ],
    [
      { width: '', height: '' },
      { width: 'Needed.', height: 'Needed.' },
    ],
    [{ name: '  ' }, { name: 'Needed.' }],
    [{ count: '0' }, { count: 'A whole number from 1 to 500.' }],
    [{ count: '2.5' }, { count: 'A whole number from 1 to 500.' }],
    [{ shape: 'roundedRectangle', radius: '20 cm' }, { radius: 'Does not fit: at most 150 mm.' }],
    [{ shape: 'regularPolygon', sides: '2' }, { sides: 'A whole number from 3 to 60.' }],
    [
      { shape: 'outline' },
      { outline: 'Draw the outline, trace a photo or choose a drawing file.' },
    ],
    [
      { relief: [{ kind: 'stones', greatest: '3 mm', mean: '4 mm', share: '120 %' }] },
      {
        'relief.0.mean': 'Between 0 mm and 3 mm.',
        'relief.0.share': 'Between 0.0 % and 100 %.',
      },
    ],
  ])('%j', (change, expected) => expect(errors(change)).toEqual(expected));

  it('fits the edges to the shape: what is there is kept, more are like the first', () => {
    const edges = [
      emptyEdge('tape wall'),
      { ...emptyEdge('open'), profile: 'round' as const, size: '4 mm' },
    ];
    const hexagon = face(read({ shape: 'regularPolygon', sides: '6', edges }));
    expect(hexagon?.edges.map((e) => e.kind)).toEqual([
      'tape wall',
      'open',
      'tape wall',
      'tape wall',
      'tape wall',
      'tape wall',
    ]);
    expect(hexagon?.edges[1]).toEqual({
      kind: 'open',
      heightM: expect.closeTo(0.018, 12),
      profile: { kind: 'round', sizeM: expect.closeTo(0.004, 12) },
      wallM: null,
    });
    expect(face(read({ shape: 'disc' }))?.edges).toHaveLength(1);
  });

  it('reads a slope as a rise over a length or as an angle, with its sign', () => {
    const level = (alongX: string, alongY = '') => {
      const result = read({
        level: { ...emptyDraft(METRIC).level, alongX, alongY, over: '500 mm' },
      });
      return result.ok ? result.value.level?.tilt : result.errors;
    };
    expect(level('2 mm', '-1')).toEqual({
      alongX: expect.closeTo(0.004, 12),
      alongY: expect.closeTo(-0.002, 12),
    });
    expect(level('-1°')).toEqual({
      alongX: expect.closeTo(-Math.tan(Math.PI / 180), 12),
      alongY: 0,
    });
    expect(level('80°')).toEqual({ 'level.alongX': 'An angle from 0° to 45°.' });
    expect(level('')).toBeUndefined();
  });

  it('a drawn outline is saved about its own middle, and what stands on the plan goes with it', () => {
    const square = (x: number, y: number, s: number) => ({
      start: [x, y] as const,
      segments: (
        [
          [x + s, y],
          [x + s, y + s],
          [x, y + s],
          [x, y],
        ] as const
      ).map((to) => ({ kind: 'line' as const, to })),
    });
    const base = emptyDraft(METRIC);
    const draft: SurveyDraft = {
      ...base,
      name: 'Drawn',
      marks: [{ name: 'hinge', at: [0.3, 0.1] }],
      areas: base.areas.map((a) => ({
        ...a,
        shape: 'outline',
        outline: square(0.2, 0, 0.2),
        keepBare: [square(0.2, 0, 0.05)],
      })),
    };
    const result = readSurvey(draft, METRIC);
    if (!result.ok) throw new Error(JSON.stringify(result.errors));
    const shape = result.value.areas[0]?.shape;
    expect(shape?.kind === 'outline' && shape.outer.start).toEqual([
      expect.closeTo(-0.1, 12),
      expect.closeTo(-0.1, 12),
    ]);
    expect(shape?.keepBare?.[0]?.start[0]).toBeCloseTo(-0.1, 12);
    expect(result.value.marks[0]?.at).toEqual([expect.closeTo(0, 12), expect.closeTo(0, 12)]);
  });

  it('writes every piece of the demo into the form and reads the same back', () => {
    for (const piece of shop.pieces) {
      const areas = shop.areas.filter((a) => a.pieceId === piece.id);
      for (const format of [METRIC, US]) {
        const result = readSurvey(draftOf(piece, areas, format), format);
        if (!result.ok) throw new Error(piece.name + JSON.stringify(result.errors));
        const { count, marks, use } = result.value;
        expect({ count, use, marks: marks.length }).toEqual({
          count: piece.count,
          use: piece.use,
          marks: piece.marks.length,
        });
        areas.forEach((area, i) => {
          const back = result.value.areas[i];
          expect(back?.edges.map((e) => e.kind)).toEqual(area.edges.map((e) => e.kind));
          expect(back?.relief).toHaveLength(area.relief.length);
          for (const [key, value] of Object.entries(area.shape))
            if (typeof value === 'number')
              expect(Number(back?.shape[key as keyof typeof back.shape]) / value).toBeCloseTo(
                1,
                format === US ? 4 : 8,
              );
        });
      }
    }
  });
});
