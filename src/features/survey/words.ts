import type { EdgeProfile, ShapeKind } from '@/core/geometry';
import type { AreaKind, EdgeKind, Porosity } from '@/core/piece';
import type { AreaDraft } from './draft';

/** Dimension of each shape that takes no second one. */
export const WIDTH_LABEL: Readonly<Record<ShapeKind, string>> = {
  rectangle: 'Width',
  roundedRectangle: 'Width',
  disc: 'Diameter',
  ellipse: 'Width',
  regularPolygon: 'Size across',
  outline: 'Drawing',
};
export const SHAPE_LABEL: Readonly<Record<ShapeKind, string>> = {
  rectangle: 'Rectangle',
  roundedRectangle: 'Rectangle, rounded corners',
  disc: 'Disc',
  ellipse: 'Ellipse',
  regularPolygon: 'Regular polygon',
  outline: 'Free outline: drawn, photo or file',
};
export const hasHeight = (kind: ShapeKind): boolean =>
  kind === 'rectangle' || kind === 'roundedRectangle' || kind === 'ellipse';

export const EDGE_WORDS: Readonly<Record<EdgeKind, string>> = {
  open: 'open: resin may run over',
  doming: 'doming: the edge holds a dome',
  'own rim': 'own rim: the piece itself holds it',
  mould: 'mould: it is still in one',
  dam: 'dam: silicone or dough, comes off',
  'tape wall': 'tape wall: masked, comes off',
  'raised line': 'raised line: cured bead or relief paint',
  line: 'line: nothing stands there, the film ends by itself',
};
export const PROFILE_WORDS: Readonly<Record<EdgeProfile['kind'], string>> = {
  square: 'square',
  eased: 'eased (about 1 mm)',
  round: 'rounded over, radius',
  bevel: 'bevelled, size',
};
export const AREA_WORDS: Readonly<Record<AreaKind, string>> = {
  face: 'face',
  'edge band': 'edge band, unrolled',
  recess: 'recess in the face',
  back: 'back',
};
export const POROSITY_WORDS: Readonly<Record<Porosity, string>> = {
  sealed: 'sealed: nothing soaks in',
  porous: 'porous',
  'very porous': 'very porous: end grain, bare cork',
};

const FOUR = ['Bottom', 'Right', 'Top', 'Left'];

/** Name of an edge: by its place on shapes that have places, else by number. */
export function edgeName(
  { shape }: Pick<AreaDraft, 'shape'>,
  index: number,
  count: number,
): string {
  if (count === 1) return 'All round';
  if (count === 4 && shape !== 'outline' && shape !== 'regularPolygon') return FOUR[index] ?? '';
  return `Edge ${index + 1}`;
}
