import type { Shape } from '@/core/geometry';
import type { EdgeKind, Support, Surface } from '@/core/piece';
import type { NewPhoto } from '@/data/repos/survey';
import { plainArea, type Area, type AreaCut, type Id, type Layer, type Piece } from '@/records';

export interface PieceSpec {
  readonly name: string;
  readonly count?: number;
  readonly support: Support;
  readonly note: string;
  readonly shape: Shape;
  readonly edgeHeightM: number;
  readonly edges: readonly EdgeKind[];
  readonly face?: Partial<Omit<Area, 'id' | 'pieceId'>>;
  readonly about?: Partial<Pick<Piece, 'use' | 'marks' | 'bellyM' | 'job' | 'dueMs'>>;
  /** Areas besides the face. */
  readonly more?: readonly Omit<Area, 'id' | 'pieceId'>[];
  readonly photos?: readonly NewPhoto[];
  /** Cuts of the face into places, by their names, and what is told of some of them. */
  readonly cuts?: readonly (Omit<AreaCut, 'of' | 'makes'> & {
    readonly of: string;
    readonly makes: string;
  })[];
  readonly places?: Readonly<Record<string, Partial<Omit<Area, 'id' | 'pieceId'>>>>;
  /** How high the walls of its face stand, m. */
  readonly wallM?: number;
}

export interface LayerSpec extends Pick<
  Layer,
  'kind' | 'name' | 'greatestM' | 'meanM' | 'share' | 'labelS'
> {
  readonly on: readonly string[];
  /** Name of the coat that it lies on; the ground when left out. */
  readonly over?: string;
  readonly state?: 'planned' | 'there before';
}

/** A face with its places, when it is cut. */
export function faceRows(spec: PieceSpec, newId: () => Id<'area'>) {
  const { shape, edgeHeightM, edges, face, cuts = [], places = {}, wallM = null } = spec;
  const plain = plainArea(shape, edgeHeightM, edges);
  const row = { ...plain, edges: plain.edges.map((e) => ({ ...e, wallM })), ...face };
  if (cuts.length === 0) return [{ ...row, id: null }];
  const ids = new Map<string, Id<'area'>>();
  const named = (name: string) => {
    const id = ids.get(name) ?? newId();
    ids.set(name, id);
    return id;
  };
  const id = newId();
  const told = cuts.map((c) => ({ ...c, of: named(c.of), makes: named(c.makes) }));
  return [
    { ...row, id, cuts: told },
    ...[...ids].map(([name, own]) => ({ ...row, ...places[name], name, id: own, partOf: id })),
  ];
}

/** Hard old epoxy of so many days. */
export const oldEpoxy = (ageDays: number, sanded: boolean): Surface => ({
  ...{ kind: 'old resin', ageDays, sanded },
  resin: { kind: 'epoxy', state: 'hard' },
});
