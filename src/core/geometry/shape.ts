import type { Path } from './path';

/** A shape that is told by its dimensions. Lengths in m. */
type Dimensioned =
  | { readonly kind: 'rectangle'; readonly widthM: number; readonly heightM: number }
  | {
      readonly kind: 'roundedRectangle';
      readonly widthM: number;
      readonly heightM: number;
      readonly radiusM: number;
    }
  | { readonly kind: 'disc'; readonly diameterM: number }
  | { readonly kind: 'ellipse'; readonly widthM: number; readonly heightM: number }
  | {
      readonly kind: 'regularPolygon';
      readonly sides: number;
      readonly sizeM: number;
      readonly across: 'flats' | 'corners';
    };

/** Outline of a face, with the parts of it that stay bare. */
export type Shape = (Dimensioned & { readonly keepBare?: readonly Path[] }) | Outline;

/** A free outline about its own centre, with parts that stay bare. */
export interface Outline {
  readonly kind: 'outline';
  readonly outer: Path;
  readonly keepBare: readonly Path[];
}

export type ShapeKind = Shape['kind'];
export const SHAPE_KINDS: readonly ShapeKind[] = [
  'rectangle',
  'roundedRectangle',
  'disc',
  'ellipse',
  'regularPolygon',
  'outline',
];

/** What a bench takes: 1 mm to 10 m. Common practice, no source. */
export const SIZE_LIMITS_M = { min: 1e-3, max: 10 } as const;
export const POLYGON_SIDES = { min: 3, max: 60 } as const;

/** Largest corner radius of a rounded rectangle, m: half its shorter side. */
export function maxRadiusM(widthM: number, heightM: number): number {
  return Math.min(widthM, heightM) / 2;
}
