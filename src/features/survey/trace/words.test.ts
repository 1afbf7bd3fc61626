import { REFERENCES } from '@/core/trace';
import { ComputeError } from '@/workers/client';
import { drawingTrouble } from '../readSurvey';
import { readTrace, startMarks, traceTrouble, type TraceDraft } from './traceModel';
import { METRIC, plain } from '@/features/test/shop';

describe('what is read beside a photo', () => {
  const photo = { file: new File([], 'x.png'), url: '', widthPx: 2000, heightPx: 1500 };
  const draft: TraceDraft = {
    reference: 'a4',
    width: '',
    height: '',
    over: '0',
    keepSize: false,
    ...startMarks(photo),
    corners: [
      [100, 100],
      [700, 100],
      [700, 520],
      [100, 520],
    ],
  };
  it('a sheet lies as it is seen; a height over it has a sign', () => {
    expect(readTrace(draft, METRIC)).toEqual({ ok: true, reference: REFERENCES.a4, heightM: 0 });
    const upright: TraceDraft = {
      ...draft,
      over: '-12 mm',
      corners: [
        [100, 100],
        [520, 100],
        [520, 700],
        [100, 700],
      ],
    };
    expect(readTrace(upright, METRIC)).toMatchObject({
      ok: true,
      reference: { widthM: 0.21, heightM: 0.297 },
      heightM: expect.closeTo(-0.012, 12),
    });
  });
  it('a size of one’s own is typed and stays as it is typed', () => {
    const own: TraceDraft = { ...draft, reference: 'own', width: '12 in', height: '300' };
    expect(readTrace(own, METRIC)).toMatchObject({
      ok: true,
      reference: { widthM: expect.closeTo(0.3048, 12), heightM: 0.3 },
    });
  });
  it.each<[string, Partial<TraceDraft>, string[]]>([
    ['nothing typed', { reference: 'piece' }, ['width', 'height']],
    ['a height that is none', { over: 'high' }, ['over']],
    [
      'crossed marks',
      {
        corners: [
          [100, 100],
          [700, 520],
          [700, 100],
          [100, 520],
        ],
      },
      ['corners'],
    ],
  ])('%s is told at its field', (_name, change, fields) => {
    const read = readTrace({ ...draft, ...change }, METRIC);
    expect(read.ok ? [] : Object.keys(read.errors)).toEqual(fields);
  });

  const refused = (path: string, code: string, message = '') =>
    traceTrouble(new ComputeError([{ code: code as 'internal', path: [path], message }]));
  it.each([
    ['corners', 'not-allowed', /crossed or in a line/],
    ['corners', 'does-not-fit', /too small in this picture/],
    ['tilt', 'does-not-fit', /too much from the side/],
    ['inside', 'does-not-fit', /No edge was found/],
  ])('a refusal at %s (%s) has its words', (path, code, words) =>
    expect(refused(path, code)).toMatch(words),
  );
  it('other troubles are told as they come', () => {
    expect(refused('photo', 'not-allowed', 'no picture')).toBe('no picture');
    expect(traceTrouble(new Error('worker lost'))).toBe('worker lost');
    expect(traceTrouble('odd')).toBe('odd');
  });
});

describe('what is wrong with a drawing', () => {
  it.each([
    [{ code: 'does-not-fit', path: ['keepBare', 0], value: 'outside' }, /stays bare lies outside/],
    [{ code: 'out-of-range', path: [], value: 0 }, /no area/],
    [{ code: 'out-of-range', path: [], value: 20 }, /between 1 mm and 10 m/],
    [{ code: 'not-allowed', path: [], value: [0.012, -0.003] }, /near 12 mm, -3 mm/],
    [{ code: 'required', path: [], value: null }, /Choose a closed shape/],
    [new Error('over 20 MB'), /over 20 MB/],
    [new ComputeError([{ code: 'does-not-fit', path: [], message: '' }]), /too large/],
    [
      new ComputeError([{ code: 'not-allowed', path: [], message: '', value: 'not SVG' }]),
      /refused: not SVG/,
    ],
  ] as const)('%j', (what, words) => expect(plain(drawingTrouble(what))).toMatch(words));
});
