import type { Point } from '@/core/geometry';
import { isConvex, REFERENCES, turnToFit, type Corners, type Reference } from '@/core/trace';
import { FieldReader } from '@/features/common/fieldReader';
import type { Format } from '@/features/common/useFormat';
import { ComputeError } from '@/workers/client';

/** A photo that was picked, as the browser shows it. */
export interface ShownPhoto {
  readonly file: File;
  readonly url: string;
  readonly widthPx: number;
  readonly heightPx: number;
}

export type ReferenceChoice = keyof typeof REFERENCES | 'own' | 'piece';

export const REFERENCE_WORDS: readonly (readonly [ReferenceChoice, string])[] = [
  ['a4', 'A4 sheet, 297 × 210 mm'],
  ['a5', 'A5 sheet, 210 × 148 mm'],
  ['a3', 'A3 sheet, 420 × 297 mm'],
  ['letter', 'Letter sheet, 11 × 8½ in'],
  ['card', 'Card, 85.6 × 54 mm'],
  ['own', 'Something else: ruler square, board'],
  ['piece', 'The rectangular piece itself'],
];

export interface TraceDraft {
  readonly reference: ReferenceChoice;
  readonly width: string;
  readonly height: string;
  /** Height of the face over the reference. */
  readonly over: string;
  readonly corners: Corners;
  readonly inside: Point;
  readonly outside: readonly Point[];
  /** One on each part of the face that is to be a place of its own. */
  readonly places: readonly Point[];
  readonly keepSize: boolean;
}

/** Marks to begin with: round the middle of the picture. */
export function startMarks({
  widthPx: w,
  heightPx: h,
}: ShownPhoto): Pick<TraceDraft, 'corners' | 'inside' | 'outside' | 'places'> {
  return {
    corners: [
      [w * 0.1, h * 0.2],
      [w * 0.35, h * 0.2],
      [w * 0.35, h * 0.6],
      [w * 0.1, h * 0.6],
    ],
    inside: [w * 0.65, h * 0.5],
    outside: [],
    places: [],
  };
}

export type TraceRead =
  | { readonly ok: true; readonly reference: Reference; readonly heightM: number }
  | { readonly ok: false; readonly errors: Readonly<Partial<Record<string, string>>> };

/** Reads what is typed beside the photo. */
export function readTrace(draft: TraceDraft, format: Format): TraceRead {
  const reader = new FieldReader<string>(format);
  const sizes = { min: 0.01, max: 10 };
  const typed = draft.reference === 'own' || draft.reference === 'piece';
  const known = typed
    ? {
        widthM: reader.quantity('width', draft.width, 'length', sizes),
        heightM: reader.quantity('height', draft.height, 'length', sizes),
        sigmaM: 0.5e-3,
      }
    : REFERENCES[draft.reference as keyof typeof REFERENCES];
  const sign = /^\s*[-−]/.test(draft.over) ? -1 : 1;
  const rise = reader.quantity('over', draft.over.replace(/^\s*[-−]/, ''), 'length', {
    min: 0,
    max: 0.3,
  });
  if (!isConvex(draft.corners))
    reader.errors['corners'] = 'The corner marks are crossed: they go round the sheet in order.';
  if (!reader.sound) return { ok: false, errors: reader.errors };
  const reference = typed ? known : turnToFit(known, draft.corners);
  return { ok: true, reference, heightM: sign * rise };
}

const LARGEST_BYTES = 60_000_000;

/** Shows a picked file, or throws with a sentence for the user. */
export async function showPhoto(file: File): Promise<ShownPhoto> {
  if (file.size > LARGEST_BYTES)
    throw new Error('This picture is over 60 MB. Choose a smaller one.');
  const url = URL.createObjectURL(file);
  const image = new Image();
  image.src = url;
  try {
    await image.decode();
  } catch {
    URL.revokeObjectURL(url);
    throw new Error('This file is not a picture that the browser can read.');
  }
  return { file, url, widthPx: image.naturalWidth, heightPx: image.naturalHeight };
}

/** The words for a trace that was refused. */
export function traceTrouble(error: unknown): string {
  const fault = error instanceof ComputeError ? error.faults[0] : undefined;
  const path = fault?.path.join('.');
  if (path === 'corners' && fault?.code === 'not-allowed')
    return 'The corner marks are crossed or in a line. Go round the sheet: top left, top right, bottom right, bottom left.';
  if (path === 'corners')
    return 'The sheet is too small in this picture: its shortest side is under 60 px. Go nearer or use a larger one.';
  if (path === 'tilt')
    return 'The picture is taken too much from the side (over 55°). Hold the camera more above the piece.';
  if (path === 'inside')
    return 'No edge was found round the “inside” mark. Put it well inside the piece, and an “outside” mark on the table.';
  if (path === 'photo') return fault?.message ?? 'Not a picture.';
  return error instanceof Error ? error.message : String(error);
}

export const WARNING_WORDS = {
  'reaches the border': 'The outline comes to the edge of the picture: is the whole piece in it?',
  'reference small': 'The sheet is much smaller than the piece: a larger one makes the area surer.',
  'place not found':
    'Round a “part” mark nothing parts the colour from the rest: move the mark, or cut that place by hand.',
  'edge unclear': 'Part of the edge is hard to see. Check it, or add an “outside” mark there.',
} as const;
