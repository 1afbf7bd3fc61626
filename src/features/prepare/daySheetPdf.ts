import { extent } from '@/core/numeric';
import type { FontBytes } from '@/ui/pdf/fonts';
import { MARGIN, pdfSheet, type Paper, type PdfSheet } from '@/ui/pdf/sheet';
import type { DayPiece, DaySheet } from './daySheet';
import { CAUTION_WORDS, DEFER } from './words';

const THUMB = 40;

/** The outline of a piece as a path, to fit a square; null: it has none. */
function outlinePath({ outline }: DayPiece): string | null {
  if (outline.length < 3) return null;
  const [xs, ys] = [outline.map((p) => p[0]), outline.map((p) => p[1])];
  const [[left, right], [low, top]] = [extent(xs), extent(ys)];
  const scale = THUMB / Math.max(right - left, top - low);
  const step = Math.max(1, Math.floor(outline.length / 200));
  const points = outline
    .filter((_, i) => i % step === 0)
    .map(([x, y]) => `${((x - left) * scale).toFixed(1)} ${((top - y) * scale).toFixed(1)}`);
  return `M ${points.join(' L ')} Z`;
}

function writePiece(sheet: PdfSheet, piece: DayPiece): void {
  const line = { borderWidth: 0.8, borderColor: sheet.colour('#22302f') };
  sheet.room(THUMB + 24);
  const { y: top, page } = sheet;
  const path = outlinePath(piece);
  if (path) sheet.page.drawSvgPath(path, { x: MARGIN, y: top, ...line });
  const x = MARGIN + THUMB + 14;
  sheet.y = top - 12;
  sheet.text(`${piece.name}, ${piece.coat}`, 12, { x, bold: true });
  for (const step of piece.lines) {
    sheet.room(32);
    sheet.page.drawRectangle({ x, y: sheet.y - 10, width: 9, height: 9, ...line });
    sheet.y -= 2;
    sheet.text(step.title, 10, { x: x + 16 });
    sheet.text([step.detail, step.amounts].filter(Boolean).join(' · '), 8.5, { x: x + 16 });
    sheet.y -= 3;
  }
  sheet.y = (sheet.page === page ? Math.min(sheet.y, top - THUMB) : sheet.y) - 10;
}

/**
 * The day sheet as a PDF, in our own letters.
 * @returns bytes of the file
 */
export async function daySheetPdf(
  day: DaySheet,
  paper: Paper,
  fonts: FontBytes,
): Promise<Uint8Array> {
  const sheet = await pdfSheet(day.title, paper, fonts);
  sheet.text(day.title, 16, { bold: true });
  sheet.text(day.room, 10);
  sheet.y -= 10;
  if (day.pieces.length === 0) sheet.text('Nothing waits for preparation.', 11);
  if (day.materials.length > 0)
    sheet.text('To have at hand, all pieces together', 12, { bold: true });
  for (const [name, amount, packs] of day.materials)
    sheet.text(`${name}: ${amount} (${packs})`, 10);
  sheet.y -= 14;
  for (const piece of day.pieces) writePiece(sheet, piece);
  sheet.y -= 8;
  for (const caution of day.cautions) sheet.text(CAUTION_WORDS[caution].join(' '), 8.5);
  sheet.text(DEFER, 8.5, { bold: true });
  return sheet.doc.save();
}
