import { measureShape, type Shape } from '@/core/geometry';
import { AREAS, type Area, type Edge } from './area';
import type { AreaKind, EdgeKind } from '@/core/piece';

/** An area with nothing told but its shape and its edges; kinds go round again when there are too few. */
export function plainArea(
  shape: Shape,
  edgeHeightM: number,
  kinds: readonly EdgeKind[] = ['open'],
  kind: AreaKind = 'face',
): Omit<Area, 'id' | 'pieceId'> {
  const names: Readonly<Record<AreaKind, string>> = {
    face: 'Face',
    'edge band': 'Edge band',
    recess: 'Recess',
    back: 'Back',
  };
  return {
    ...AREAS.defaults,
    name: names[kind],
    kind,
    shape,
    edges: measureShape(shape).sideLengthsM.map((_, i): Edge => ({
      kind: kinds[i % kinds.length] ?? 'open',
      heightM: edgeHeightM,
      profile: { kind: 'square' },
      wallM: null,
    })),
    measured: { by: shape.kind === 'outline' ? 'drawing' : 'rule' },
  };
}
