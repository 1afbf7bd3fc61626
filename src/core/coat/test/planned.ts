import { measureShape, type Shape } from '../../geometry';
import type { CoatKind, EdgeKind, Support } from '../../piece';
import { TEST_SHEET } from '../../resin/test/sheet';
import {
  planCoat,
  usualIntent,
  type CoatPlan,
  type Intent,
  type PlanArea,
  type PlanCoat,
  type PlanInput,
} from '..';

export const ROOM_K = 295.15;

/** A face with nothing told but its shape, its thickness and how its edges are. */
export const faceOf = (
  shape: Shape,
  edges: readonly EdgeKind[] = ['open'],
  heightM = 0.018,
  change: Partial<PlanArea> = {},
): PlanArea => ({
  id: 'face',
  name: 'Face',
  kind: 'face',
  shape,
  depthM: 0,
  edges: measureShape(shape).sideLengthsM.map((_, i) => ({
    kind: edges[i % edges.length] ?? 'open',
    heightM,
    profile: { kind: 'square' },
  })),
  porosity: 'sealed',
  relief: [],
  measured: { by: 'rule' },
  ...change,
});

export interface Wish {
  readonly kind?: CoatKind;
  readonly count?: number;
  readonly support?: Support;
  /** Null: the one that a coat of this kind starts with. */
  readonly intent?: Intent | null;
  readonly coat?: Partial<PlanCoat>;
  readonly piece?: Partial<PlanInput['piece']>;
  readonly coats?: PlanInput['coats'];
  readonly sheet?: Partial<PlanInput['sheet']>;
}

export function planInput(areas: readonly PlanArea[], wish: Wish = {}): PlanInput {
  const { kind = 'flood', count = 1, support = 'sealed panel', intent = null } = wish;
  const grounds = areas.map((a) => ({ ...a, edges: a.edges.map((e) => e.kind) }));
  return {
    coat: {
      kind,
      order: 10,
      areaIds: areas.map((a) => a.id),
      coverage: 1,
      intent: intent ?? usualIntent(kind, grounds, support).intent,
      restS: 600,
      reserve: { by: 'risk', confidence: 0.95 },
      overrides: [],
      ...wish.coat,
    },
    piece: { count, support, tilt: null, bellyM: 0, ...wish.piece },
    areas,
    coats: wish.coats ?? [],
    sheet: { ...TEST_SHEET, ...wish.sheet },
    sealed: new Set(),
  };
}

/** A coat planned as its user would. @throws RangeError with what stands against it */
export function planned(areas: readonly PlanArea[], wish: Wish = {}): CoatPlan {
  const found = planCoat(planInput(areas, wish), ROOM_K);
  if (!found.ok) throw new RangeError(JSON.stringify(found.issues));
  return found.value;
}
