import { shapeBox, type Shape } from '@/core/geometry';
import type { Format } from './useFormat';

/** Size of a shape in words: `600 × 400 mm`. */
export function sizeWords(shape: Shape, { show }: Format): string {
  const { widthM, heightM } = shapeBox(shape);
  if (shape.kind === 'disc') return `⌀ ${show(widthM, 'length').text}`;
  if (shape.kind === 'regularPolygon')
    return `${shape.sides}-sided, ${show(shape.sizeM, 'length').text} across ${shape.across}`;
  return `${show(widthM, 'length').number} × ${show(heightM, 'length').text}`;
}
