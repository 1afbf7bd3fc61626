import {
  measureFace,
  type EdgeProfile,
  type FaceMeasure,
  type Point,
  type Shape,
} from '../geometry';
import { isWall, type EdgeKind, type Porosity, type Relief } from '../piece';
import type { BuildArea } from './buildUp';
import { PLAIN_AREA, type LedgerArea } from './input';

/** A surveyed area as coats are planned on it. */
export interface PlanArea extends BuildArea {
  readonly name: string;
  readonly shape: Shape;
  /** Where the shape's own origin lies on the plan, m. */
  readonly at?: Point;
  /** The face that it is a place of. */
  readonly partOf?: string | null;
  /** One for each side of the shape. */
  readonly edges: readonly {
    readonly kind: EdgeKind;
    readonly heightM: number;
    readonly profile: EdgeProfile;
    /** How high its wall stands over the ground, m; null: as high as is needed. */
    readonly wallM?: number | null;
  }[];
  readonly porosity: Porosity;
  readonly relief: readonly Relief[];
  /** How the outline became known; a photo says how well, share of the area, one standard deviation. */
  readonly measured:
    { readonly by: 'rule' | 'drawing' } | { readonly by: 'photo'; readonly sigmaShare: number };
}

const measures = new WeakMap<object, FaceMeasure>();

/** Area of a surveyed face and its edges, with the uncertainty of how it was measured; remembered with the row. */
export function measureArea(area: Pick<PlanArea, 'shape' | 'edges' | 'measured'>): FaceMeasure {
  const known = measures.get(area);
  if (known) return known;
  const sigmaShare = area.measured.by === 'photo' ? area.measured.sigmaShare : null;
  const measure = measureFace(area.shape, area.edges, sigmaShare);
  measures.set(area, measure);
  return measure;
}

/** A bare area as the volume ledger takes it: its face, the edges that resin runs down, and its walls. */
export function ledgerArea(area: PlanArea, count: number): LedgerArea {
  const { areaM2, areaSigmaM2, edges } = measureArea(area);
  const openEdges = edges
    .filter((_, i) => area.edges[i]?.kind === 'open')
    .map(({ bandM2, girthM, lengthM }) => ({ areaM2: bandM2, heightM: girthM, lengthM }));
  const dammedM = edges
    .filter((_, i) => isWall(area.edges[i]?.kind ?? 'open'))
    .reduce((sum, { lengthM }) => sum + lengthM, 0);
  return { ...PLAIN_AREA, name: area.name, areaM2, areaSigmaM2, count, openEdges, dammedM };
}

/** For each stretch of its outline whether a wall stands there. */
export const wallsOf = (area: Pick<PlanArea, 'edges'>): readonly boolean[] =>
  area.edges.map((e) => isWall(e.kind));

/** Faces and backs have edges, walls and a level; a recess and a band have not. */
export const isFlat = ({ kind }: Pick<PlanArea, 'kind'>): boolean =>
  kind === 'face' || kind === 'back';

export const edgeKinds = (area: Pick<PlanArea, 'edges'>): readonly EdgeKind[] =>
  area.edges.map((e) => e.kind);
