import { type EdgeProfile, type Point, type Shape } from '@/core/geometry';
import {
  AREA_KINDS,
  BOUNDARIES,
  DAMAGE_KINDS,
  EDGE_KINDS,
  OLD_RESINS,
  OLD_STATES,
  POROSITIES,
  RELIEF_KINDS,
  SURFACES,
  type AreaKind,
  type Damage,
  type EdgeKind,
  type Porosity,
  type Relief,
  type Surface,
} from '@/core/piece';
import { defineRecord, type Parts } from './define';
import type { Id } from './id';

/** A stretch of an area's outline. */
export interface Edge {
  readonly kind: EdgeKind;
  readonly heightM: number;
  readonly profile: EdgeProfile;
  /** How high its wall stands over the ground, m; null: as high as is needed, or no wall. */
  readonly wallM: number | null;
}

/** A cut of a face, or of one of its places, in two. */
export interface AreaCut {
  /** The place that is cut; it keeps its name for what is left of it. */
  readonly of: Id<'area'>;
  /** The place that the cut makes: to the left of the line, or inside a closed one. */
  readonly makes: Id<'area'>;
  /** Straight pieces from point to point, on the plan of the face, m. */
  readonly points: readonly Point[];
  readonly closed: boolean;
  /** What stands on the line. */
  readonly kind: (typeof BOUNDARIES)[number];
  readonly wallM: number | null;
}

/** How an outline became known. */
export type Measured =
  | { readonly by: 'rule' }
  | { readonly by: 'drawing' }
  | {
      readonly by: 'photo';
      readonly photoId: Id<'photo'>;
      /** The face seen straight from above, and where it lies on the plan, m. */
      readonly planPhotoId: Id<'photo'>;
      readonly box: {
        readonly left: number;
        readonly right: number;
        readonly low: number;
        readonly high: number;
      };
      /** Uncertainty of the area, share of it, one standard deviation. */
      readonly sigmaShare: number;
    };

export interface Area {
  readonly id: Id<'area'>;
  readonly pieceId: Id<'piece'>;
  readonly name: string;
  readonly kind: AreaKind;
  readonly shape: Shape;
  /** Where the shape's own origin lies on the plan of the piece, m. */
  readonly at: Point;
  /** Depth of a recess, m; 0 for the others. */
  readonly depthM: number;
  /** One for each side of the shape, in the order of `shapeSides`. */
  readonly edges: readonly Edge[];
  readonly porosity: Porosity;
  readonly relief: readonly Relief[];
  readonly surface: Surface;
  readonly damage: readonly Damage[];
  readonly measured: Measured;
  /** Cuts of a face into places, in their order; none: it is one place. */
  readonly cuts: readonly AreaCut[];
  /** The face that it is a place of; its outline is cut from that. Null: it is no place of another. */
  readonly partOf: Id<'area'> | null;
  /** It stays bare: no coat goes on it. */
  readonly bare: boolean;
}

export const edgeKindsOf = (area: Pick<Area, 'edges'>): readonly EdgeKind[] =>
  area.edges.map((e) => e.kind);
/** Thickness of the thickest edge, m. */
export const edgeHeightOf = (area: Pick<Area, 'edges'>): number =>
  Math.max(0, ...area.edges.map((e) => e.heightM));

const edge = ({ Joi, number, oneOf }: Parts) =>
  Joi.object({
    kind: oneOf(EDGE_KINDS),
    wallM: number().min(0).max(0.5).allow(null),
    heightM: number().min(0).max(0.5),
    profile: Joi.alternatives()
      .conditional('.kind', {
        is: Joi.valid('round', 'bevel'),
        then: Joi.object({ kind: Joi.string().required(), sizeM: number().min(0).max(0.5) }),
        otherwise: Joi.object({ kind: Joi.valid('square', 'eased').required() }),
      })
      .required(),
  });
const cut = ({ Joi, flag, id, listOf, number, oneOf, point }: Parts) =>
  Joi.object({
    of: id(),
    makes: id(),
    points: listOf(point().optional(), 20_000).min(2),
    closed: flag(),
    kind: oneOf(BOUNDARIES),
    wallM: number().min(0).max(0.5).allow(null),
  });
const relief = ({ Joi, number, oneOf }: Parts) =>
  Joi.object({
    kind: oneOf(RELIEF_KINDS),
    greatestM: number().min(0).max(0.2),
    meanM: number().min(0).max(Joi.ref('greatestM')),
    share: number().min(0).max(1),
  });
const damage = ({ Joi, number, oneOf }: Parts) =>
  Joi.object({
    kind: oneOf(DAMAGE_KINDS),
    lengthM: number().min(0).max(10),
    widthM: number().min(0).max(10),
    depthM: number().min(0).max(0.2),
  });
const measured = ({ Joi, id, number, place }: Parts) =>
  Joi.alternatives()
    .conditional('.by', {
      is: 'photo',
      then: Joi.object({
        by: Joi.string().required(),
        photoId: id(),
        planPhotoId: id(),
        box: Joi.object({ left: place(), right: place(), low: place(), high: place() }).required(),
        sigmaShare: number().min(0).max(1),
      }),
      otherwise: Joi.object({ by: Joi.valid('rule', 'drawing').required() }),
    })
    .required();

export const AREAS = defineRecord<Area>()({
  name: 'areas',
  live: true,
  references: [
    { field: 'pieceId', table: 'pieces' },
    { field: 'partOf', table: 'areas' },
    { field: 'cuts.of', table: 'areas', later: true },
    { field: 'cuts.makes', table: 'areas', later: true },
    // A photo names its piece, so it comes after the areas that were traced from it.
    { field: 'measured.photoId', table: 'photos', later: true },
    { field: 'measured.planPhotoId', table: 'photos', later: true },
  ],
  defaults: {
    at: [0, 0],
    depthM: 0,
    porosity: 'sealed',
    relief: [],
    surface: { kind: 'bare', resin: null, ageDays: null, sanded: false },
    damage: [],
    cuts: [],
    partOf: null,
    bare: false,
  },
  meaning: ({ shape, edges }, { checkShape, measureShape }) => {
    const checked = checkShape(shape);
    if (!checked.ok)
      return checked.issues.map((issue) => ({ ...issue, path: ['shape', ...issue.path] }));
    const sides = measureShape(shape).sideLengthsM.length;
    return edges.length === sides
      ? []
      : [
          {
            code: 'does-not-fit',
            path: ['edges'],
            value: edges.length,
            allowed: { min: sides, max: sides },
          },
        ];
  },
  schema: (parts) => {
    const { Joi, flag, id, listOf, maybeId, name, number, oneOf, point, shapeSchema } = parts;
    return {
      id: id(),
      pieceId: id(),
      name: name(),
      kind: oneOf(AREA_KINDS),
      shape: shapeSchema,
      at: point(),
      depthM: number().min(0).max(0.5),
      edges: listOf(edge(parts), 200).min(1),
      porosity: oneOf(POROSITIES),
      relief: listOf(relief(parts), 8),
      surface: Joi.object({
        kind: oneOf(SURFACES),
        ageDays: number().min(0).max(40_000).allow(null),
        sanded: flag(),
        resin: Joi.when('kind', {
          is: 'old resin',
          then: Joi.object({ kind: oneOf(OLD_RESINS), state: oneOf(OLD_STATES) }).required(),
          otherwise: Joi.valid(null).required(),
        }),
      }).required(),
      damage: listOf(damage(parts), 12),
      measured: measured(parts),
      cuts: listOf(cut(parts), 60),
      partOf: maybeId(),
      bare: flag(),
    };
  },
});
