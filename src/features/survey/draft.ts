import {
  outlineSides,
  POLYGON_SIDES,
  type EdgeProfile,
  type Path,
  type Point,
  type Shape,
  type ShapeKind,
} from '@/core/geometry';
import { editText } from '@/core/units';
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
  type Area,
  type AreaCut,
  type HardwareMark,
  type Id,
  type Measured,
  type Piece,
  plainArea,
} from '@/records';
import { writeDay } from '@/features/common/day';
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

const text = (format: Format, metric: string, us: string): string =>
  format.units === 'us' ? us : metric;

/** Old resin of which nothing was told. */
const OLD_HARD: OldResin = { kind: 'not known', state: 'hard' };

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
    radius: text(format, '20 mm', '3/4 in'),
    sides: '6',
    across: 'flats',
    edgeHeight: kind === 'recess' || kind === 'edge band' ? '0' : text(format, '18 mm', '3/4 in'),
    outline: null,
    keepBare: [],
    at: [0, 0],
    depth: kind === 'recess' ? text(format, '3 mm', '1/8 in') : '0',
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
      over: text(format, '300 mm', '12 in'),
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

/** The first dimension that is typed for a shape, m; null for one that is drawn. */
function sizeOf(shape: Shape): number | null {
  if (shape.kind === 'outline') return null;
  if (shape.kind === 'disc') return shape.diameterM;
  return shape.kind === 'regularPolygon' ? shape.sizeM : shape.widthM;
}

/** The dimensions of a shape as text. */
export function shapeTexts(
  shape: Shape,
  format: Format,
): Partial<Pick<AreaDraft, 'width' | 'height' | 'radius' | 'sides' | 'across'>> {
  const write = (m: number) => editText(m, format.typed('length'));
  const size = sizeOf(shape);
  return {
    ...(size !== null && { width: write(size) }),
    ...('heightM' in shape && { height: write(shape.heightM) }),
    ...(shape.kind === 'roundedRectangle' && { radius: write(shape.radiusM) }),
    ...(shape.kind === 'regularPolygon' && { sides: String(shape.sides), across: shape.across }),
  };
}

function draftOfArea(area: Area, format: Format): AreaDraft {
  const { shape } = area;
  const write = (m: number) => editText(m, format.typed('length'));
  const common = write(area.edges[0]?.heightM ?? 0);
  return {
    ...emptyArea(format, area.kind),
    ...shapeTexts(shape, format),
    id: area.id,
    name: area.name,
    shape: shape.kind,
    outline: shape.kind === 'outline' ? shape.outer : null,
    keepBare: shape.keepBare ?? [],
    at: area.at,
    depth: write(area.depthM),
    edgeHeight: common,
    edges: area.edges.map((e) => ({
      kind: e.kind,
      height: write(e.heightM) === common ? '' : write(e.heightM),
      profile: e.profile.kind,
      size: 'sizeM' in e.profile ? write(e.profile.sizeM) : '3 mm',
      wall: e.wallM === null ? '' : write(e.wallM),
    })),
    porosity: area.porosity,
    relief: area.relief.map((r) => ({
      kind: r.kind,
      greatest: write(r.greatestM),
      mean: write(r.meanM),
      share: `${Number((r.share * 100).toFixed(3))} %`,
    })),
    surface: {
      kind: area.surface.kind,
      age: area.surface.ageDays === null ? '' : String(area.surface.ageDays),
      resin: area.surface.resin ?? OLD_HARD,
      sanded: area.surface.sanded,
    },
    damage: area.damage.map((d) => ({
      kind: d.kind,
      length: write(d.lengthM),
      width: write(d.widthM),
      depth: write(d.depthM),
    })),
    measured: area.measured,
    cuts: area.cuts.map(({ wallM, ...cut }) => ({
      ...cut,
      wall: wallM === null ? '' : write(wallM),
    })),
    partOf: area.partOf,
    bare: area.bare,
  };
}

export function draftOf(piece: Piece, areas: readonly Area[], format: Format): SurveyDraft {
  const base = emptyDraft(format);
  const { level } = piece;
  const degrees = (slope: number) => `${Number(((Math.atan(slope) * 180) / Math.PI).toFixed(4))}°`;
  return {
    name: piece.name,
    count: String(piece.count),
    support: piece.support,
    note: piece.note,
    job: piece.job,
    due: piece.dueMs === null ? '' : writeDay(piece.dueMs),
    use: piece.use,
    marks: piece.marks,
    belly: editText(piece.bellyM, format.typed('length')),
    level: level
      ? {
          ...base.level,
          alongX: level.tilt ? degrees(level.tilt.alongX) : '',
          alongY: level.tilt ? degrees(level.tilt.alongY) : '',
          by: level.by,
          readMs: level.readMs,
          props: level.props,
        }
      : base.level,
    areas: areas.map((a) => draftOfArea(a, format)),
  };
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
