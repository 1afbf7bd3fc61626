import {
  outlineSides,
  POLYGON_SIDES,
  type EdgeProfile,
  type Path,
  type Point,
  type ShapeKind,
} from '@/core/geometry';
import {
  usualGround,
  type AreaKind,
  type DamageKind,
  type EdgeKind,
  type OldResin,
  type Porosity,
  type ReliefKind,
  type Support,
  type Surface,
} from '@/core/piece';
import {
  type AreaCut,
  type HardwareMark,
  type Id,
  type Measured,
  type Piece,
  plainArea,
} from '@/records';
import type { Format } from '@/features/common/useFormat';

/** What is typed and drawn in the survey of a piece: lengths as text, places in m. */
export interface EdgeDraft {
  readonly kind: EdgeKind;
  /** Empty: as the area says. */
  readonly height: string;
  readonly profile: EdgeProfile['kind'];
  readonly size: string;
  /** Height of its wall over the ground; empty: as high as is needed. */
  readonly wall: string;
}

/** A cut of a face into places, as it is drawn: on the plan of the face, m. */
export interface CutDraft extends Omit<AreaCut, 'wallM'> {
  readonly wall: string;
}

export interface ReliefDraft {
  readonly kind: ReliefKind;
  readonly greatest: string;
  readonly mean: string;
  readonly share: string;
}

export interface DamageDraft {
  readonly kind: DamageKind;
  readonly length: string;
  readonly width: string;
  readonly depth: string;
}

export interface AreaDraft {
  readonly id: Id<'area'> | null;
  readonly name: string;
  readonly kind: AreaKind;
  readonly shape: ShapeKind;
  readonly width: string;
  readonly height: string;
  readonly radius: string;
  readonly sides: string;
  readonly across: 'flats' | 'corners';
  readonly edgeHeight: string;
  /** Drawn, traced or taken from a file, when the shape is a free outline. */
  readonly outline: Path | null;
  readonly keepBare: readonly Path[];
  readonly at: Point;
  readonly depth: string;
  readonly edges: readonly EdgeDraft[];
  readonly porosity: Porosity;
  readonly relief: readonly ReliefDraft[];
  readonly surface: {
    readonly kind: Surface['kind'];
    readonly resin: OldResin;
    readonly age: string;
    readonly sanded: boolean;
  };
  readonly damage: readonly DamageDraft[];
  readonly measured: Measured;
  readonly cuts: readonly CutDraft[];
  /** The face that it is a place of; its outline follows from that. */
  readonly partOf: Id<'area'> | null;
  readonly bare: boolean;
}

export interface LevelDraft {
  /** Rise towards the right and towards the back: a length over `over`, or an angle with its sign. */
  readonly alongX: string;
  readonly alongY: string;
  readonly over: string;
  readonly by: string;
  readonly readMs: number;
  readonly props: readonly Point[];
}

export interface SurveyDraft {
  readonly name: string;
  readonly count: string;
  readonly support: Support;
  readonly note: string;
  readonly job: string;
  /** A day, 24 Dec 2026; empty: none. */
  readonly due: string;
  readonly use: Piece['use'];
  readonly marks: readonly HardwareMark[];
  readonly level: LevelDraft;
  readonly belly: string;
  readonly areas: readonly AreaDraft[];
}

/** Old resin of which nothing was told. */
export const OLD_HARD: OldResin = { kind: 'not known', state: 'hard' };

export function emptyArea(
  format: Format,
  kind: AreaKind = 'face',
  support: Support = 'sealed panel',
): AreaDraft {
  const { porosity, surface } = usualGround(support);
  return {
    id: null,
    name: plainArea({ kind: 'disc', diameterM: 1 }, 0, ['open'], kind).name,
    kind,
    shape: 'rectangle',
    width: '',
    height: '',
    radius: format.either('20 mm', '3/4 in'),
    sides: '6',
    across: 'flats',
    edgeHeight: kind === 'recess' || kind === 'edge band' ? '0' : format.either('18 mm', '3/4 in'),
    outline: null,
    keepBare: [],
    at: [0, 0],
    depth: kind === 'recess' ? format.either('3 mm', '1/8 in') : '0',
    edges: [0, 1, 2, 3].map(() => emptyEdge(kind === 'recess' ? 'own rim' : 'open')),
    porosity,
    relief: [],
    surface: { kind: surface, resin: OLD_HARD, age: '', sanded: false },
    damage: [],
    measured: { by: 'rule' },
    cuts: [],
    partOf: null,
    bare: false,
  };
}

export const emptyEdge = (kind: EdgeKind): EdgeDraft => ({
  kind,
  height: '',
  profile: 'square',
  size: '3 mm',
  wall: '',
});

export function emptyDraft(format: Format): SurveyDraft {
  return {
    name: '',
    count: '1',
    support: 'bare wood',
    note: '',
    job: '',
    due: '',
    use: { hotCups: false, food: false, daylight: false },
    marks: [],
    level: {
      alongX: '',
      alongY: '',
      over: format.either('300 mm', '12 in'),
      by: 'typed',
      readMs: 0,
      props: [],
    },
    belly: '0',
    areas: [emptyArea(format, 'face', 'bare wood')],
  };
}

/** Another support: areas that nobody told more of are taken for what is usual of it. */
export function withSupport(draft: SurveyDraft, support: Support): SurveyDraft {
  const [was, is] = [usualGround(draft.support), usualGround(support)];
  const areas = draft.areas.map((area): AreaDraft => ({
    ...area,
    porosity: area.porosity === was.porosity ? is.porosity : area.porosity,
    surface: {
      ...area.surface,
      kind: area.surface.kind === was.surface ? is.surface : area.surface.kind,
    },
  }));
  return { ...draft, support, areas };
}

/** How many edges an area has that can differ. */
export function sideCount(area: AreaDraft): number {
  if (area.shape === 'outline') return area.outline ? outlineSides(area.outline).length : 1;
  if (area.shape === 'disc' || area.shape === 'ellipse') return 1;
  if (area.shape !== 'regularPolygon') return 4;
  const sides = Number(area.sides);
  return Number.isInteger(sides) && sides >= POLYGON_SIDES.min && sides <= POLYGON_SIDES.max
    ? sides
    : POLYGON_SIDES.min;
}

/** One edge for each side: what is there is kept, new sides are like the first. */
export const fitEdges = (edges: readonly EdgeDraft[], count: number): EdgeDraft[] =>
  Array.from({ length: count }, (_, i) => edges[i] ?? edges[0] ?? emptyEdge('open'));
