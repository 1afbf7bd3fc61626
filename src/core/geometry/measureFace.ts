import { edgeBand, unroll, type EdgeProfile } from './edgeProfile';
import { measureShape } from './measureShape';
import type { Shape } from './shape';
import { shapeSides } from './shapeSides';
import { sideTurns } from './sideTurns';

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

/** What a mitre takes from the end of a stretch for each metre inside, where its neighbour is set back by so much. */
function mitre(ownM: number, otherM: number, cornerRad: number): number {
  const inner = Math.PI - cornerRad;
  const sine = Math.sin(inner);
  if (ownM === 0 || Math.abs(sine) < 1e-9) return 0;
  return (otherM + ownM * Math.cos(inner)) / (ownM * sine);
}

/** For each stretch how much shorter it gets for each metre inside, rad: its own curve and its mitres. */
function narrowings(shape: Shape, setbacksM: readonly number[]): number[] {
  const turns = sideTurns(shapeSides(shape));
  const cornerAfter = turns.map((pieces) => pieces.at(-1)?.cornerRad ?? 0);
  return turns.map((pieces, i) => {
    const own = setbacksM[i] ?? 0;
    const bends = pieces.reduce((sum, p) => sum + p.bendRad, 0);
    // Corners inside a stretch are mitred against itself.
    const inside = pieces
      .slice(0, -1)
      .reduce((sum, p) => sum + (p.cornerRad === 0 ? 0 : 2 * mitre(own, own, p.cornerRad)), 0);
    const after = cornerAfter[i] ?? 0;
    const before = cornerAfter.at(i - 1) ?? 0;
    const ahead = setbacksM[(i + 1) % turns.length] ?? 0;
    const behind = setbacksM.at(i - 1) ?? 0;
    return (
      bends +
      inside +
      (after === 0 ? 0 : mitre(own, ahead, after)) +
      (before === 0 ? 0 : mitre(own, behind, before))
    );
  });
}

/** Flat face that profiles leave, m²: once they meet it is gone, and wider ones give nothing back. */
function flatFace(areaM2: number, perimeterLossM2: number, mitresM2: number): number {
  // Setbacks grow together from nothing: area − loss · λ + mitres · λ². It is gone where that first is zero or turns.
  const turns = mitresM2 > 0 ? perimeterLossM2 / (2 * mitresM2) : Infinity;
  return turns < 1 ? 0 : Math.max(0, areaM2 - perimeterLossM2 + mitresM2);
}

/**
 * Area of a face and of each of its edges, unrolled.
 * @param shape call `checkShape` first @param edges one for each side of the shape
 * @param sigmaShare uncertainty of the area as a share of it, one standard deviation, when a photo told the
 *   outline; null when a rule did
 * Source: measureShape, edgeBand; profiles are mitred at corners, A − P s + s² Σ cot(β/2) where all are alike.
 */
export function measureFace(
  shape: Shape,
  edges: readonly FaceEdge[],
  sigmaShare: number | null = null,
): FaceMeasure {
  const { areaM2, areaSigmaM2, perimeterM, sideLengthsM } = measureShape(shape);
  const told = sideLengthsM.map((_, i) => edges[i] ?? { heightM: 0, profile: SQUARE });
  const setbacks = told.map((e) => unroll(e.profile, e.heightM).setbackM);
  const narrowed = setbacks.some((s) => s > 0) ? narrowings(shape, setbacks) : [];
  const bands = sideLengthsM.map((lengthM, i) => {
    const { profile, heightM } = told[i] ?? { heightM: 0, profile: SQUARE };
    return { lengthM, ...edgeBand(lengthM, narrowed[i] ?? 0, profile, heightM) };
  });
  const sum = (of: (i: number) => number) => sideLengthsM.reduce((s, _, i) => s + of(i), 0);
  const flatM2 = flatFace(
    areaM2,
    sum((i) => (sideLengthsM[i] ?? 0) * (setbacks[i] ?? 0)),
    sum((i) => ((narrowed[i] ?? 0) * (setbacks[i] ?? 0) ** 2) / 2),
  );
  return {
    areaM2: flatM2,
    areaSigmaM2: sigmaShare === null ? areaSigmaM2 : sigmaShare * areaM2,
    perimeterM,
    edges: bands.map(({ lengthM, girthM, bandM2 }) => ({ lengthM, girthM, bandM2 })),
  };
}

const SQUARE = { kind: 'square' } as const;
