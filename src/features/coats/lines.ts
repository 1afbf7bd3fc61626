import { LINE_LIMITS, LINE_USES, placeOf, type LineUse } from '@/core/coat';
import { shapeSides, type Point } from '@/core/geometry';
import { editText } from '@/core/units';
import type { DrawnLine } from '@/records';
import type { PieceView } from '@/shop/coatView';
import type { FieldReader } from '@/features/common/fieldReader';
import type { Format } from '@/features/common/useFormat';

/** What is typed and drawn of a line. */
export interface LineDraft {
  readonly as: LineUse;
  readonly points: readonly Point[];
  readonly closed: boolean;
  readonly width: string;
  readonly angle: string;
}

/** What is usual of a line. Common practice, no source: rested resin stands at 60–90°, fresh at 20–40°. */
const USUAL: Readonly<Record<LineUse, { readonly widthM: number; readonly degrees: number }>> = {
  barrier: { widthM: 6e-3, degrees: 30 },
  'raised line': { widthM: 3e-3, degrees: 75 },
  wave: { widthM: 9e-3, degrees: 30 },
};

export const LINE_WORDS: Readonly<Record<LineUse, string>> = {
  barrier: 'barrier: a line of clear that colour does not pass',
  'raised line': 'raised line: rested or UV resin that stands',
  wave: 'wave: to be blown out over the coat',
};
export const LINE_HINT: Readonly<Record<LineUse, string>> = {
  barrier: 'Pour it first, along the boundary, and let it settle before colour comes near.',
  'raised line':
    'Rest the mix until it stands, or use UV resin in layers. Along a boundary it is a wall for the coats that follow; elsewhere it stands up in them.',
  wave: 'One line a coat; let it cure, then the next. A thicker line reaches farther: a rule of thumb, not a law.',
};
export const LINE_OPTIONS = LINE_USES.map((use) => [use, LINE_WORDS[use]] as [LineUse, string]);

export function usualLine(as: LineUse, format: Format): LineDraft {
  const { widthM, degrees } = USUAL[as];
  return {
    ...{ as, points: [], closed: false },
    width: editText(widthM, format.typed('film')),
    angle: String(degrees),
  };
}

export const lineDraft = (line: DrawnLine, format: Format): LineDraft => ({
  ...{ as: line.as, points: line.points, closed: line.closed },
  width: editText(line.widthM, format.typed('film')),
  angle: String(Number(((line.angleRad * 180) / Math.PI).toFixed(1))),
});

/** Reads a line; null where a field is wrong. */
export function readLine<F extends string>(
  draft: LineDraft,
  reader: FieldReader<F | 'width' | 'angle' | 'line'>,
): DrawnLine | null {
  const widthM = reader.quantity('width', draft.width, 'film', LINE_LIMITS.widthM);
  const degrees = reader.plain('angle', draft.angle.replace('°', ''), 5, 90);
  if (draft.points.length < 2) reader.errors.line = 'Draw the line: two points at least.';
  if (!reader.sound) return null;
  const { as, points, closed } = draft;
  return { as, points, closed, widthM, angleRad: (degrees * Math.PI) / 180 };
}

/** Boundaries of places that a line can run along. */
export function boundaryLines({ wholes, areas }: Pick<PieceView, 'wholes' | 'areas'>): readonly {
  readonly name: string;
  readonly points: readonly Point[];
}[] {
  const name = (id: string) => areas.find((a) => a.id === id)?.name ?? '';
  return wholes.flatMap((whole) =>
    whole.cuts.flatMap((cut) => {
      const place = placeOf(whole, cut.makes);
      const sides = place ? shapeSides(place.shape) : [];
      const points = sides.flatMap((side, i) => (place?.onCut[i] === cut ? side : []));
      return points.length > 1 ? [{ name: `${name(cut.makes)} and ${name(cut.of)}`, points }] : [];
    }),
  );
}
