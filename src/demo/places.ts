import { LAYER_FACTS } from '@/core/coat';
import type { Point } from '@/core/geometry';
import type { Bench } from './acts';

type Ago = (days: number, hours?: number) => number;
const layer = (kind: keyof typeof LAYER_FACTS) => {
  const { greatestM, meanM, share, labelS } = LAYER_FACTS[kind];
  return { kind, greatestM, meanM, share, labelS };
};

/** A serving board whose end stays bare wood, with a line of clear along it. */
function servingBoard(b: Bench, ago: Ago, resin: string) {
  const name = 'Dining-car serving board';
  b.piece(ago(0, 6.9), {
    ...{ name, support: 'bare wood' },
    note: 'Elm board for the dining car; the handle end stays bare and is oiled.',
    about: {
      ...{ job: 'Dining car', dueMs: ago(-16) },
      use: { hotCups: false, food: true, daylight: false },
    },
    shape: { kind: 'rectangle', widthM: 0.52, heightM: 0.22 },
    ...{ edgeHeightM: 0.02, edges: ['open'] },
    face: { porosity: 'porous' },
    cuts: [
      {
        ...{ of: 'Board', makes: 'Handle end', closed: false, kind: 'line', wallM: null },
        points: [
          [0.14, 0.2],
          [0.14, -0.2],
        ],
      },
    ],
    places: { 'Handle end': { bare: true } },
  });
  b.coat(ago(0, 6.8), name, {
    ...{ name: 'Barrier', kind: 'line', resin, on: ['Board'] },
    more: {
      line: {
        ...{ as: 'barrier', closed: false, widthM: 6e-3, angleRad: Math.PI / 3 },
        points: [
          [0.137, -0.11],
          [0.137, 0.11],
        ],
      },
    },
  });
  b.coat(ago(0, 6.7), name, {
    ...{ name: 'Flood 1', kind: 'flood', resin, on: ['Board'], intent: { by: 'natural' } },
  });
}

/** Water beside a bank of paste: part-face coats, and a wave line on each. */
function estuary(b: Bench, ago: Ago, resin: string) {
  const name = 'Estuary panel';
  const shore: Point[] = [
    [-0.3, -0.02],
    [-0.18, 0.015],
    [-0.05, -0.01],
    [0.06, 0.03],
    [0.19, 0.01],
    [0.3, 0.045],
  ];
  const wave = (rise: number) => ({
    ...{ as: 'wave' as const, closed: false, widthM: 9e-3, angleRad: Math.PI / 6 },
    points: shore.map(([x, y]): Point => [x * 0.97, y - rise]),
  });
  b.piece(ago(0, 6.5), {
    ...{ name, support: 'sealed panel' },
    note: 'Mouth of the river below the viaduct: sand of paste, water of resin.',
    shape: { kind: 'rectangle', widthM: 0.6, heightM: 0.3 },
    ...{ edgeHeightM: 0.018, edges: ['tape wall'] },
    cuts: [
      { of: 'Water', makes: 'Sand bank', points: shore, closed: false, kind: 'line', wallM: null },
    ],
  });
  b.layer(ago(0, 6.45), name, {
    ...{
      ...layer('paste'),
      name: 'Sand of paste',
      on: ['Sand bank'],
      greatestM: 4e-3,
      meanM: 3.2e-3,
    },
    state: 'there before',
  });
  b.coat(ago(0, 6.4), name, {
    ...{ name: 'Deep water', kind: 'art', resin, on: ['Water'], thicknessM: 1.6e-3 },
    more: { colours: [{ name: 'teal', share: 0.06, swatchId: null }] },
  });
  b.coat(ago(0, 6.35), name, {
    ...{ name: 'Wave 1', kind: 'line', resin, on: ['Water'], more: { line: wave(0.03) } },
  });
  b.coat(ago(0, 6.3), name, {
    ...{ name: 'Shallow water', kind: 'art', resin, on: ['Water'], thicknessM: 1.2e-3 },
  });
  b.coat(ago(0, 6.25), name, {
    ...{ name: 'Wave 2', kind: 'line', resin, on: ['Water'], more: { line: wave(0.012) } },
  });
}

/** Four cells between raised lines in a mould, then a flood that stands above the lines. */
function bufferPlate(b: Bench, ago: Ago, resin: string) {
  const name = 'Buffer-beam roundel';
  const line = { closed: false, kind: 'raised line', wallM: 2.4e-3 } as const;
  b.piece(ago(0, 6.2), {
    ...{ name, support: 'cured resin' },
    note: 'Company colours in four cells, still in its mould.',
    shape: { kind: 'disc', diameterM: 0.24 },
    ...{ edgeHeightM: 0.012, edges: ['mould'], wallM: 6e-3 },
    cuts: [
      {
        ...line,
        of: 'Red',
        makes: 'Cream',
        points: [
          [0, 0.2],
          [0, -0.2],
        ],
      },
      {
        ...line,
        of: 'Red',
        makes: 'Green',
        points: [
          [-0.2, 0],
          [0.2, 0],
        ],
      },
      {
        ...line,
        of: 'Cream',
        makes: 'Black',
        points: [
          [-0.2, 0],
          [0.2, 0],
        ],
      },
    ],
  });
  for (const [i, cell] of ['Red', 'Cream', 'Green', 'Black'].entries())
    b.coat(ago(0, 6.15 - i * 0.02), name, {
      ...{ name: `${cell} cell`, kind: 'art', resin, on: [cell], thicknessM: 1.8e-3 },
      more: { colours: [{ name: cell.toLowerCase(), share: 0.05, swatchId: null }] },
    });
  b.coat(ago(0, 6), name, {
    ...{ name: 'Flood over all', kind: 'flood', resin, thicknessM: 2e-3 },
  });
}

/** A design of tape and glitter in varnish between two fills, inside a dam that comes off. */
function lampPlaque(b: Bench, ago: Ago, resin: string) {
  const name = 'Signal-lamp plaque';
  b.piece(ago(0, 5.9), {
    ...{ name, support: 'sealed panel' },
    note: 'Tape cut to the lamp, glitter between two fills; the dough dam comes off, then once more over the edge.',
    shape: { kind: 'ellipse', widthM: 0.32, heightM: 0.22 },
    ...{ edgeHeightM: 0.015, edges: ['dam'], wallM: 8e-3 },
    cuts: [
      {
        ...{ of: 'Sky', makes: 'Lamp', closed: true, kind: 'line', wallM: null },
        points: [
          [-0.04, -0.05],
          [0.04, -0.05],
          [0.055, 0.01],
          [0, 0.06],
          [-0.055, 0.01],
        ],
      },
    ],
  });
  b.coat(ago(0, 5.85), name, { name: 'First fill', kind: 'flood', resin, thicknessM: 2e-3 });
  b.layer(ago(0, 5.8), name, {
    ...{ ...layer('tape design'), name: 'Tape lattice', over: 'First fill', on: ['Sky'] },
    share: 0.3,
  });
  b.layer(ago(0, 5.75), name, {
    ...{ ...layer('glitter in varnish'), name: 'Amber glitter', over: 'First fill', on: ['Lamp'] },
  });
  b.coat(ago(0, 5.7), name, {
    ...{ name: 'Second fill', kind: 'flood', resin, thicknessM: 2e-3, more: { freesDams: true } },
  });
  b.coat(ago(0, 5.65), name, {
    ...{ name: 'Over the edge', kind: 'flood', resin, intent: { by: 'over', perMetreM2: 50e-6 } },
  });
}

/** Pieces whose faces are more than one place. */
export function tellPlaces(b: Bench, ago: Ago, resin: string): void {
  for (const part of [servingBoard, estuary, bufferPlate, lampPlaque]) part(b, ago, resin);
}
