import type { CoatKind } from '../piece';

/** What is done one after the other when a coat is poured. */
export const STROKES = [
  'level',
  'barrier line',
  'sides first',
  'stream',
  'ribbon',
  'middle',
  'thin',
  'spot',
  'colours',
  'one line',
  'over the edge',
  'edges by finger',
  'edges again',
  'feed run-off',
  'raking look',
] as const;
export type Stroke = (typeof STROKES)[number];

/** A coat as far as the hand that pours it has to know. */
export interface StrokeCoat {
  readonly kind: CoatKind;
  /** It ends at a boundary inside a face: clear is drawn along it first. */
  readonly boundary: boolean;
  readonly openEdges: boolean;
  /** The plan lets it run over open edges on purpose. */
  readonly floods: boolean;
  readonly relief: boolean;
  readonly colours: boolean;
}

/** The main part of a coat, by what it is. */
function body({ kind, relief, colours }: StrokeCoat): readonly Stroke[] {
  switch (kind) {
    case 'seal':
      return ['thin'];
    case 'edge':
      return [];
    case 'patch':
      return ['spot'];
    case 'line':
      return ['one line'];
    case 'lock':
      return ['stream'];
    case 'flood':
    case 'fill':
    case 'dome':
    case 'art':
    case 'back':
      return [
        ...(relief ? (['stream'] as const) : []),
        ...(['ribbon', 'middle'] as const),
        ...(colours ? (['colours'] as const) : []),
      ];
  }
}

/**
 * The order of strokes of a coat.
 * Source: common practice, no source: level, clear along a boundary, sides first where the edge is a coat by itself, a ribbon
 * near the edges, then the middle, over the edge last, edges by finger and again, what ran off fed back.
 */
export function strokesOf(coat: StrokeCoat): readonly Stroke[] {
  const edges = coat.openEdges && coat.kind !== 'line' && coat.kind !== 'patch';
  const sides = coat.kind === 'edge';
  return [
    'level',
    ...(coat.boundary ? (['barrier line'] as const) : []),
    ...(sides ? (['sides first'] as const) : []),
    ...body(coat),
    ...(edges && coat.floods ? (['over the edge'] as const) : []),
    ...(edges && (coat.floods || sides) ? (['edges by finger', 'edges again'] as const) : []),
    ...(edges && coat.floods ? (['feed run-off'] as const) : []),
    'raking look',
  ];
}
