import type { Color, PDFDocument, PDFPage } from 'pdf-lib';
import { embedFonts, runsOf, widthOf, type FontBytes, type FontSet } from './fonts';

/** Sizes of paper, points. */
export const PAPERS = { a4: [595.28, 841.89], letter: [612, 792] } as const;
export type Paper = keyof typeof PAPERS;
export const MARGIN = 46;

export interface TextAt {
  readonly x?: number;
  readonly bold?: boolean;
  /** Room from `x` to the right, points; to the margin when left out. */
  readonly width?: number;
}

/** A sheet that text runs down, in our own letters, page after page. */
export interface PdfSheet {
  readonly doc: PDFDocument;
  readonly width: number;
  y: number;
  page: PDFPage;
  readonly colour: (hex: string) => Color;
  /** Begins a page where less than so many points are left. */
  readonly room: (height: number) => void;
  readonly text: (text: string, size: number, at?: TextAt) => void;
  readonly rule: () => void;
}

/** Widths of words at one point, by the fonts that write them: laying letters out is slow, and words come again. */
const known = new WeakMap<FontSet, Map<string, number>>();

function wordWidth(word: string, set: FontSet): number {
  const widths = known.get(set) ?? new Map<string, number>();
  known.set(set, widths);
  const width = widths.get(word) ?? widthOf(runsOf(word, set), 1);
  widths.set(word, width);
  return width;
}

/** Words broken into lines no wider than a width. */
export function linesOf(text: string, width: number, size: number, set: FontSet): string[] {
  const lines: string[] = [];
  const space = wordWidth(' ', set);
  let [line, long] = ['', 0];
  for (const word of text.split(' ')) {
    const own = wordWidth(word, set);
    if (line !== '' && size * (long + space + own) > width) {
      lines.push(line);
      [line, long] = [word, own];
    } else [line, long] = line === '' ? [word, own] : [`${line} ${word}`, long + space + own];
  }
  return line === '' ? lines : [...lines, line];
}

/** An empty sheet of a paper, or of a size in points. */
export async function pdfSheet(
  title: string,
  paper: Paper | readonly [number, number],
  fonts: FontBytes,
  margin = MARGIN,
): Promise<PdfSheet> {
  const { PDFDocument, rgb } = await import('pdf-lib');
  const doc = await PDFDocument.create();
  doc.setTitle(title);
  doc.setCreator('Bilamina');
  const sets = await embedFonts(doc, fonts);
  const size: [number, number] = typeof paper === 'string' ? [...PAPERS[paper]] : [...paper];
  const [width, height] = size;
  const colour = (hex: string) => {
    const part = (i: number) => Number.parseInt(hex.slice(1 + 2 * i, 3 + 2 * i), 16) / 255;
    return rgb(part(0), part(1), part(2));
  };
  const sheet: PdfSheet = {
    ...{ doc, width, colour },
    y: height - margin,
    page: doc.addPage(size),
    room(needed) {
      if (sheet.y - needed >= margin) return;
      sheet.page = doc.addPage(size);
      sheet.y = height - margin;
    },
    text(text, points, { x = margin, bold = false, width: own } = {}) {
      const set = bold ? sets.bold : sets.plain;
      for (const line of linesOf(text, own ?? width - margin - x, points, set)) {
        sheet.room(points * 1.3);
        let at = x;
        for (const run of runsOf(line, set)) {
          sheet.page.drawText(run.text, {
            ...{ x: at, y: sheet.y - points * 0.85, size: points, font: run.font },
            color: colour('#22302f'),
          });
          at += run.font.widthOfTextAtSize(run.text, points);
        }
        sheet.y -= points * 1.3;
      }
    },
    rule() {
      sheet.y -= 5;
      sheet.page.drawLine({
        start: { x: margin, y: sheet.y },
        end: { x: width - margin, y: sheet.y },
        ...{ thickness: 0.7, color: colour('#8a8069') },
      });
      sheet.y -= 7;
    },
  };
  return sheet;
}
