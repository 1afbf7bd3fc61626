import type { Color, PDFFont, PDFPage } from 'pdf-lib';
import { extent } from '@/core/numeric';
import type { UnitSystem } from '@/core/units';
import type { DayPiece, DaySheet } from './daySheet';
import { CAUTION_WORDS, DEFER } from './words';

const A4 = [595.28, 841.89] as const;
const LETTER = [612, 792] as const;
const MARGIN = 42;
const THUMB = 40;

/** Signs that the built-in fonts of a PDF do not have. */
const SIGNS: Readonly<Record<string, string>> = {
  '−': '-',
  '≈': '~',
  '⌀': 'dia.',
  '\u00a0': ' ',
  ł: 'l',
  Ł: 'L',
};
const KNOWN = /[\x20-\x7e\u00a1-\u00ff’‘“”–—…•™€Œœ]/u;

/** Text that the built-in fonts can write; marks on letters that they lack are dropped. */
export function plainText(text: string): string {
  return [...text]
    .map((sign) => {
      if (sign in SIGNS) return SIGNS[sign] ?? '';
      if (KNOWN.test(sign)) return sign;
      const base = sign.normalize('NFD').replace(/\p{M}/gu, '');
      return KNOWN.test(base) ? base : '?';
    })
    .join('');
}

/** Breaks text into lines no wider than `width`, by the measure of a font. */
export function wrap(text: string, width: number, measure: (text: string) => number): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(' ')) {
    const longer = line ? `${line} ${word}` : word;
    if (line && measure(longer) > width) {
      lines.push(line);
      line = word;
    } else line = longer;
  }
  return line ? [...lines, line] : lines;
}

interface Writer {
  y: number;
  page: PDFPage;
  /** Outlined, not filled. */
  readonly line: { readonly borderWidth: number; readonly borderColor: Color };
  readonly room: (height: number) => void;
  readonly text: (text: string, size: number, at?: { x?: number; bold?: boolean }) => void;
}

function outlinePath({ outline }: DayPiece): { path: string; scale: number } | null {
  if (outline.length < 3) return null;
  const [xs, ys] = [outline.map((p) => p[0]), outline.map((p) => p[1])];
  const [[left, right], [low, top]] = [extent(xs), extent(ys)];
  const scale = THUMB / Math.max(right - left, top - low);
  const step = Math.max(1, Math.floor(outline.length / 200));
  const points = outline
    .filter((_, i) => i % step === 0)
    .map(([x, y]) => `${((x - left) * scale).toFixed(1)} ${((top - y) * scale).toFixed(1)}`);
  return { path: `M ${points.join(' L ')} Z`, scale };
}

function writePiece(w: Writer, piece: DayPiece): void {
  w.room(THUMB + 24);
  const { y: top, page } = w;
  const drawn = outlinePath(piece);
  if (drawn) w.page.drawSvgPath(drawn.path, { x: MARGIN, y: top, ...w.line });
  const x = MARGIN + THUMB + 14;
  w.y = top - 12;
  w.text(`${piece.name}, ${piece.coat}`, 12, { x, bold: true });
  for (const line of piece.lines) {
    w.room(32);
    w.page.drawRectangle({ x, y: w.y - 10, width: 9, height: 9, ...w.line });
    w.y -= 2;
    w.text(line.title, 10, { x: x + 16 });
    w.text([line.detail, line.amounts].filter(Boolean).join(' · '), 8.5, { x: x + 16 });
    w.y -= 3;
  }
  w.y = (w.page === page ? Math.min(w.y, top - THUMB) : w.y) - 10;
}

/**
 * The day sheet as a PDF, on the paper of the shop's units.
 * @returns bytes of the file
 */
export async function daySheetPdf(sheet: DaySheet, units: UnitSystem): Promise<Uint8Array> {
  const { PDFDocument, StandardFonts, rgb } = await import('pdf-lib');
  const doc = await PDFDocument.create();
  doc.setTitle(plainText(sheet.title));
  const [plain, bold]: [PDFFont, PDFFont] = [
    await doc.embedFont(StandardFonts.Helvetica),
    await doc.embedFont(StandardFonts.HelveticaBold),
  ];
  const size = units === 'us' ? LETTER : A4;
  const [width, height] = size;
  const writer: Writer = {
    y: height - MARGIN,
    page: doc.addPage([...size]),
    line: { borderWidth: 0.8, borderColor: rgb(0, 0, 0) },
    room(needed) {
      if (writer.y - needed > MARGIN) return;
      writer.page = doc.addPage([...size]);
      writer.y = height - MARGIN;
    },
    text(text, points, { x = MARGIN, bold: strong = false } = {}) {
      const font = strong ? bold : plain;
      const measure = (part: string) => font.widthOfTextAtSize(part, points);
      for (const line of wrap(plainText(text), width - MARGIN - x, measure)) {
        writer.room(points * 1.3);
        writer.page.drawText(line, { x, y: writer.y - points * 0.8, size: points, font });
        writer.y -= points * 1.3;
      }
    },
  };
  writer.text(sheet.title, 16, { bold: true });
  writer.text(sheet.room, 10);
  writer.y -= 10;
  if (sheet.pieces.length === 0) writer.text('Nothing waits for preparation.', 11);
  if (sheet.materials.length > 0)
    writer.text('To have at hand, all pieces together', 12, { bold: true });
  for (const [name, amount, packs] of sheet.materials)
    writer.text(`${name}: ${amount} (${packs})`, 10);
  writer.y -= 14;
  for (const piece of sheet.pieces) writePiece(writer, piece);
  writer.y -= 8;
  for (const caution of sheet.cautions) writer.text(CAUTION_WORDS[caution].join(' '), 8.5);
  writer.text(DEFER, 8.5, { bold: true });
  return doc.save();
}
