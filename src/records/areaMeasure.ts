import { PLAIN_AREA, type LedgerArea } from '@/core/coat';
import { measureFace, measureShape, type FaceMeasure, type Shape } from '@/core/geometry';
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
    })),
    measured: { by: shape.kind === 'outline' ? 'drawing' : 'rule' },
  };
}

const measures = new WeakMap<object, FaceMeasure>();

/** Area of a surveyed face and its edges, with the uncertainty of how it was measured; remembered with the row. */
export function measureArea(area: Pick<Area, 'shape' | 'edges' | 'measured'>): FaceMeasure {
  const known = measures.get(area);
  if (known) return known;
  const sigmaShare = area.measured.by === 'photo' ? area.measured.sigmaShare : null;
  const measure = measureFace(area.shape, area.edges, sigmaShare);
  measures.set(area, measure);
  return measure;
}

/** A bare area as the volume ledger takes it: its face, the edges that resin runs down, and its walls. */
export function ledgerArea(area: Area, count: number): LedgerArea {
  const { areaM2, areaSigmaM2, edges } = measureArea(area);
  const openEdges = edges
    .filter((_, i) => area.edges[i]?.kind === 'open')
    .map(({ bandM2, girthM }) => ({ areaM2: bandM2, heightM: girthM }));
  const dammedM = edges
    .filter((_, i) => area.edges[i]?.kind === 'dammed')
    .reduce((sum, { lengthM }) => sum + lengthM, 0);
  return { ...PLAIN_AREA, name: area.name, areaM2, areaSigmaM2, count, openEdges, dammedM };
}
