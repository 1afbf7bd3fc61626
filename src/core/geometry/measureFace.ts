import { edgeBand, type EdgeProfile } from './edgeProfile';
import { measureShape } from './measureShape';
import type { Shape } from './shape';

/** A stretch of the outline: its thickness and how its corner is shaped. */
export interface FaceEdge {
  readonly heightM: number;
  readonly profile: EdgeProfile;
}

export interface FaceMeasure {
  /** Flat face: outline less bare parts and less what the edge profiles take, m². */
  readonly areaM2: number;
  readonly areaSigmaM2: number;
  readonly perimeterM: number;
  /** For each stretch its length, girth and unrolled area. */
  readonly edges: readonly {
    readonly lengthM: number;
    readonly girthM: number;
    readonly bandM2: number;
  }[];
}

/**
 * Area of a face and of each of its edges, unrolled.
 * @param shape call `checkShape` first @param edges one for each side of the shape
 * @param sigmaShare uncertainty of the area as a share of it, one standard deviation, when a photo told the
 *   outline; null when a rule did
 * Source: measureShape, edgeBand; the turn of the outline is shared out by length.
 */
export function measureFace(
  shape: Shape,
  edges: readonly FaceEdge[],
  sigmaShare: number | null = null,
): FaceMeasure {
  const { areaM2, areaSigmaM2, perimeterM, sideLengthsM } = measureShape(shape);
  const bands = sideLengthsM.map((lengthM, i) => {
    const edge = edges[i] ?? { heightM: 0, profile: { kind: 'square' } as const };
    const turn = (2 * Math.PI * lengthM) / perimeterM;
    return { lengthM, ...edgeBand(lengthM, turn, edge.profile, edge.heightM) };
  });
  const lost = bands.reduce((sum, b) => sum + b.faceLostM2, 0);
  return {
    areaM2: Math.max(0, areaM2 - lost),
    areaSigmaM2: sigmaShare === null ? areaSigmaM2 : sigmaShare * areaM2,
    perimeterM,
    edges: bands.map(({ lengthM, girthM, bandM2 }) => ({ lengthM, girthM, bandM2 })),
  };
}
