import { COUNT_LIMITS } from '@/core/coat';
import {
  checkShape,
  measureShape,
  POLYGON_SIDES,
  SIZE_LIMITS_M,
  type Outline,
  type Shape,
  type ShapeKind,
} from '@/core/geometry';
import type { Issue } from '@/core/result';
import { editText } from '@/core/units';
import { FieldReader } from '@/features/common/fieldReader';
import type { FormRead } from '@/features/common/formErrors';
import { ComputeError } from '@/workers/client';
import type { Format } from '@/features/common/useFormat';
import type { Area, EdgeKind, Piece, Support } from '@/data/records/types';
import type { Survey } from '@/data/repos/bench';

/** What is typed in the survey form, as text. */
export interface SurveyDraft {
  name: string;
  count: string;
  support: Support;
  note: string;
  shape: ShapeKind;
  width: string;
  height: string;
  radius: string;
  sides: string;
  across: 'flats' | 'corners';
  edgeHeight: string;
  /** Taken from a drawing file, when the shape is one. */
  outline: Outline | null;
  edgeKinds: EdgeKind[];
}

/** Dimension of each shape that takes no second one. */
export const WIDTH_LABEL: Readonly<Record<ShapeKind, string>> = {
  rectangle: 'Width',
  roundedRectangle: 'Width',
  disc: 'Diameter',
  ellipse: 'Width',
  regularPolygon: 'Size across',
  outline: 'Drawing',
};
export const SHAPE_LABEL: Readonly<Record<ShapeKind, string>> = {
  rectangle: 'Rectangle',
  roundedRectangle: 'Rectangle, rounded corners',
  disc: 'Disc',
  ellipse: 'Ellipse',
  regularPolygon: 'Regular polygon',
  outline: 'Free outline, from a drawing file',
};
export const hasHeight = (kind: ShapeKind): boolean =>
  kind !== 'disc' && kind !== 'regularPolygon' && kind !== 'outline';

/** How many edges a shape of this kind has that can differ. */
export function sideCount(draft: Pick<SurveyDraft, 'shape' | 'sides' | 'outline'>): number {
  if (draft.shape === 'outline')
    return draft.outline ? measureShape(draft.outline).sideLengthsM.length : 1;
  if (draft.shape === 'disc' || draft.shape === 'ellipse') return 1;
  if (draft.shape !== 'regularPolygon') return 4;
  const sides = Number(draft.sides);
  return Number.isInteger(sides) && sides >= POLYGON_SIDES.min && sides <= POLYGON_SIDES.max
    ? sides
    : POLYGON_SIDES.min;
}

/** One kind for each side: what is there is kept, new sides are open. */
export const fitEdges = (kinds: readonly EdgeKind[], count: number): EdgeKind[] =>
  Array.from({ length: count }, (_, i) => kinds[i] ?? kinds[0] ?? 'open');

export function emptyDraft(format: Format): SurveyDraft {
  const text = (metric: string, us: string) => (format.units === 'us' ? us : metric);
  return {
    name: '',
    count: '1',
    support: 'bare wood',
    note: '',
    shape: 'rectangle',
    width: '',
    height: '',
    radius: text('20 mm', '3/4 in'),
    sides: '6',
    across: 'flats',
    edgeHeight: text('18 mm', '3/4 in'),
    outline: null,
    edgeKinds: ['open', 'open', 'open', 'open'],
  };
}

/** The first dimension that is typed for a shape, m; null for one that is drawn. */
function sizeOf(shape: Shape): number | null {
  if (shape.kind === 'outline') return null;
  if (shape.kind === 'disc') return shape.diameterM;
  return shape.kind === 'regularPolygon' ? shape.sizeM : shape.widthM;
}

export function draftOf(piece: Piece, area: Area, format: Format): SurveyDraft {
  const { shape } = area;
  const text = (m: number) => editText(m, format.typed('length'));
  const base = emptyDraft(format);
  return {
    ...base,
    name: piece.name,
    count: String(piece.count),
    support: piece.support,
    note: piece.note,
    shape: shape.kind,
    width: sizeOf(shape) === null ? '' : text(sizeOf(shape) ?? 0),
    height: 'heightM' in shape ? text(shape.heightM) : '',
    radius: shape.kind === 'roundedRectangle' ? text(shape.radiusM) : base.radius,
    sides: shape.kind === 'regularPolygon' ? String(shape.sides) : base.sides,
    across: shape.kind === 'regularPolygon' ? shape.across : base.across,
    edgeHeight: text(area.edgeHeightM),
    outline: shape.kind === 'outline' ? shape : null,
    edgeKinds: [...area.edgeKinds],
  };
}

const FIELD_OF: Readonly<Record<string, keyof SurveyDraft>> = {
  widthM: 'width',
  diameterM: 'width',
  sizeM: 'width',
  heightM: 'height',
  radiusM: 'radius',
  sides: 'sides',
};

function readShape(draft: SurveyDraft, reader: FieldReader<keyof SurveyDraft>): Shape | null {
  const size = (field: 'width' | 'height') =>
    reader.quantity(field, draft[field], 'length', SIZE_LIMITS_M);
  switch (draft.shape) {
    case 'rectangle':
    case 'ellipse':
      return { kind: draft.shape, widthM: size('width'), heightM: size('height') };
    case 'roundedRectangle':
      return {
        kind: draft.shape,
        widthM: size('width'),
        heightM: size('height'),
        radiusM: reader.quantity('radius', draft.radius, 'length'),
      };
    case 'disc':
      return { kind: draft.shape, diameterM: size('width') };
    case 'regularPolygon':
      return {
        kind: draft.shape,
        sides: reader.whole('sides', draft.sides, POLYGON_SIDES.min, POLYGON_SIDES.max),
        sizeM: size('width'),
        across: draft.across,
      };
    case 'outline':
      if (!draft.outline) reader.errors.outline = 'Choose a drawing file and its outline.';
      return draft.outline;
  }
}

/** Reads the survey form: the survey in SI, or a message for every field that is wrong. */
export function readSurvey(draft: SurveyDraft, format: Format): FormRead<SurveyDraft, Survey> {
  const reader = new FieldReader<keyof SurveyDraft>(format);
  const name = reader.text('name', draft.name, 120);
  const count = reader.whole('count', draft.count, COUNT_LIMITS.min, COUNT_LIMITS.max);
  const shape = readShape(draft, reader);
  const edgeHeightM = reader.quantity('edgeHeight', draft.edgeHeight, 'length', {
    min: 0,
    max: 0.5,
  });
  if (reader.sound && shape) {
    const checked = checkShape(shape);
    if (!checked.ok)
      for (const issue of checked.issues)
        reader.issue(FIELD_OF[String(issue.path[0])] ?? 'width', issue, 'length');
  }
  if (!reader.sound || !shape) return { ok: false, errors: reader.errors };
  const { support, note } = draft;
  const edgeKinds = fitEdges(draft.edgeKinds, sideCount(draft));
  return {
    ok: true,
    value: { name, count, support, note: note.trim(), shape, edgeHeightM, edgeKinds },
  };
}

/** The words for what is wrong with a drawing: an issue of core, or an error of reading. */
export function drawingTrouble(what: Issue | Error | undefined): string {
  if (what instanceof ComputeError) {
    const [fault] = what.faults;
    if (fault?.code === 'does-not-fit') return 'This drawing is too large: simplify it first.';
    return `This file is refused: ${fault?.value ?? what.message}.`;
  }
  if (what instanceof Error) return what.message;
  if (what?.code === 'out-of-range')
    return 'With this unit the outline is not between 1 mm and 10 m. Choose another unit.';
  if (what?.code === 'does-not-fit') return 'A part that stays bare lies outside the outline.';
  if (what?.code === 'not-allowed')
    return `This outline crosses itself near ${(what.value as readonly number[]).map((v) => `${(v * 1000).toFixed(0)} mm`).join(', ')} from its middle. Mend it in the drawing.`;
  return 'Choose a closed shape as the outline.';
}
