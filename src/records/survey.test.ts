import { shapePath } from '@/core/geometry';
import type { Area } from './area';
import { plainArea } from './plainArea';
import { asId } from './id';
import type { Piece } from './piece';
import { rowFaults } from './validate';

const area: Area = {
  ...plainArea({ kind: 'rectangle', widthM: 0.3, heightM: 0.2 }, 0.018),
  id: asId('area-1'),
  pieceId: asId('piece-1'),
};
const piece: Piece = {
  id: asId('piece-1'),
  name: 'Sill',
  count: 1,
  support: 'bare wood',
  note: '',
  createdMs: Date.UTC(2026, 0, 1),
  use: { hotCups: true, food: false, daylight: true },
  marks: [{ name: 'hinge', at: [0.1, 0] }],
  prep: {},
  up: 'front',
  turnedMs: null,
  closedMs: null,
  job: '',
  dueMs: null,
  bellyM: 0,
  level: {
    tilt: { alongX: 0.001, alongY: -0.002 },
    by: 'typed',
    readMs: Date.UTC(2026, 0, 2),
    props: [
      [-0.1, 0],
      [0.1, 0.1],
      [0.1, -0.1],
    ],
  },
};
const [edge] = area.edges;
if (!edge) throw new Error('no edge');
const withEdge = (change: object) => ({
  ...area,
  edges: [{ ...edge, ...change }, ...area.edges.slice(1)],
});
const relief = { kind: 'stones', greatestM: 0.003, meanM: 0.002, share: 0.4 } as const;
const photo = {
  by: 'photo',
  photoId: asId<'photo'>('a'),
  planPhotoId: asId<'photo'>('b'),
  box: { left: -0.1, right: 0.1, low: -0.1, high: 0.1 },
  sigmaShare: 0.01,
} as const;
const paths = (table: 'areas' | 'pieces', row: unknown) => rowFaults(table, row).map((f) => f.path);

describe('sound surveys', () => {
  it.each<[string, Area]>([
    ['plain', area],
    ['a back', { ...area, kind: 'back', name: 'Back' }],
    ['a recess with a depth', { ...area, kind: 'recess', depthM: 0.004, at: [0.05, -0.02] }],
    [
      'rounded and bevelled edges',
      {
        ...area,
        edges: area.edges.map((e, i) => ({
          ...e,
          profile: i % 2 === 0 ? { kind: 'round', sizeM: 0.004 } : { kind: 'bevel', sizeM: 0.002 },
        })),
      },
    ],
    ['an eased edge', withEdge({ profile: { kind: 'eased' } }) as Area],
    ['relief', { ...area, relief: [relief, { ...relief, kind: 'leaf' }] }],
    [
      'old resin of known age',
      {
        ...area,
        surface: {
          kind: 'old resin',
          resin: { kind: 'polyester', state: 'greasy' },
          ...{ ageDays: 12, sanded: true },
        },
      },
    ],
    ['traced from a photo', { ...area, measured: photo }],
    [
      'a bare part in a rectangle',
      {
        ...area,
        shape: {
          ...area.shape,
          keepBare: [shapePath({ kind: 'disc', diameterM: 0.05 })],
        } as Area['shape'],
      },
    ],
    [
      'a free outline without bare parts',
      {
        ...area,
        ...plainArea(
          { kind: 'outline', outer: shapePath({ kind: 'disc', diameterM: 0.2 }), keepBare: [] },
          0.01,
        ),
      },
    ],
  ])('%s', (_name, row) => expect(rowFaults('areas', row)).toEqual([]));

  it.each<[string, Piece]>([
    ['all told', piece],
    ['not levelled', { ...piece, level: null }],
    ['levelled without props', { ...piece, level: piece.level && { ...piece.level, props: [] } }],
    ['no marks', { ...piece, marks: [] }],
  ])('a piece: %s', (_name, row) => expect(rowFaults('pieces', row)).toEqual([]));
});

describe('surveys that are not sound are refused at their path', () => {
  it.each<[string, unknown, string[]]>([
    ['an unknown kind of area', { ...area, kind: 'lid' }, ['kind']],
    ['an edge of no kind', withEdge({ kind: 'wet' }), ['edges[0].kind']],
    ['a negative thickness', withEdge({ heightM: -1 }), ['edges[0].heightM']],
    [
      'a round edge without its radius',
      withEdge({ profile: { kind: 'round' } }),
      ['edges[0].profile.sizeM'],
    ],
    [
      'a square edge with a size',
      withEdge({ profile: { kind: 'square', sizeM: 0.1 } }),
      ['edges[0].profile.sizeM'],
    ],
    ['too few edges', { ...area, edges: [edge] }, ['edges']],
    ['no edges', { ...area, edges: [] }, ['edges']],
    [
      'relief higher in the mean than at its top',
      { ...area, relief: [{ ...relief, meanM: 0.01 }] },
      ['relief[0].meanM'],
    ],
    [
      'relief over more than all',
      { ...area, relief: [{ ...relief, share: 1.2 }] },
      ['relief[0].share'],
    ],
    ['relief of no kind', { ...area, relief: [{ ...relief, kind: 'fur' }] }, ['relief[0].kind']],
    ['a ninth relief', { ...area, relief: Array.from({ length: 9 }, () => relief) }, ['relief']],
    [
      'a surface of no kind',
      { ...area, surface: { ...area.surface, kind: 'wet' } },
      ['surface.kind'],
    ],
    ['a negative age', { ...area, surface: { ...area.surface, ageDays: -1 } }, ['surface.ageDays']],
    [
      'sanded as a word',
      { ...area, surface: { ...area.surface, sanded: 'yes' } },
      ['surface.sanded'],
    ],
    ['measured by guess', { ...area, measured: { by: 'guess' } }, ['measured.by']],
    [
      'a photo without its place',
      { ...area, measured: { ...photo, box: undefined } },
      ['measured.box'],
    ],
    [
      'more unsure than all',
      { ...area, measured: { ...photo, sigmaShare: 2 } },
      ['measured.sigmaShare'],
    ],
    ['a place that is none', { ...area, at: 'here' }, ['at']],
    ['a depth of a metre', { ...area, depthM: 1 }, ['depthM']],
    ['a porosity of no kind', { ...area, porosity: 'spongy' }, ['porosity']],
    [
      'a bare part outside',
      {
        ...area,
        shape: {
          ...area.shape,
          keepBare: [shapePath({ kind: 'disc', diameterM: 0.05 })].map((p) => ({
            ...p,
            start: [NaN, 0],
          })),
        },
      },
      ['shape.keepBare[0].start[0]'],
    ],
  ])('%s', (_name, row, expected) => expect(paths('areas', row)).toEqual(expected));

  it.each<[string, unknown, string[]]>([
    ['use that is not told', { ...piece, use: { hotCups: true, food: false } }, ['use.daylight']],
    ['a mark without a name', { ...piece, marks: [{ name: ' ', at: [0, 0] }] }, ['marks[0].name']],
    ['a mark nowhere', { ...piece, marks: [{ name: 'hinge' }] }, ['marks[0].at']],
    [
      'a cliff',
      { ...piece, level: { ...piece.level, tilt: { alongX: 3, alongY: 0 } } },
      ['level.tilt.alongX'],
    ],
    [
      'too many props',
      { ...piece, level: { ...piece.level, props: Array.from({ length: 13 }, () => [0, 0]) } },
      ['level.props'],
    ],
  ])('a piece: %s', (_name, row, expected) => expect(paths('pieces', row)).toEqual(expected));
});
