import type { Shape } from '@/core/geometry';
import { editText } from '@/core/units';
import type { Area, Piece } from '@/records';
import { writeDay } from '@/features/common/day';
import type { Format } from '@/features/common/useFormat';
import { emptyArea, emptyDraft, OLD_HARD, type AreaDraft, type SurveyDraft } from './draft';

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
