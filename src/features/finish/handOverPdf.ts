import { MARGIN, pdfSheet, type Paper, type PdfSheet } from '@/ui/pdf/sheet';
import type { FontBytes } from '@/ui/pdf/fonts';
import type { HandOver } from './handOver';

export interface Picture {
  readonly png: Uint8Array;
}

const SECTION = { width: 210, height: 96 } as const;

/** The build-up as a cut: each film in true relative thickness, on its support. */
function drawSection(sheet: PdfSheet, { films }: HandOver): void {
  sheet.room(SECTION.height + 30);
  const total = films.reduce((sum, f) => sum + f.thicknessM, 0);
  const scale = (SECTION.height - 18) / Math.max(total, 1e-6);
  const bottom = sheet.y - SECTION.height;
  const ink = { borderColor: sheet.colour('#22302f'), borderWidth: 0.8 };
  sheet.page.drawRectangle({
    ...{ x: MARGIN, y: bottom, width: SECTION.width, height: 14, ...ink },
    color: sheet.colour('#d9cdb4'),
  });
  let y = bottom + 14;
  for (const film of films) {
    const height = Math.max(1, film.thicknessM * scale);
    sheet.page.drawRectangle({
      ...{ x: MARGIN, y, width: SECTION.width, height, ...ink },
      color: sheet.colour('#e7b765'),
    });
    y += height;
  }
  const top = sheet.y;
  sheet.y -= 4;
  for (const film of [...films].reverse())
    sheet.text(film.words, 9.5, { x: MARGIN + SECTION.width + 14 });
  sheet.y = Math.min(sheet.y, top - SECTION.height) - 8;
}

async function drawPicture(sheet: PdfSheet, { png }: Picture): Promise<void> {
  const image = await sheet.doc.embedPng(png);
  const scale = Math.min(190 / image.width, 150 / image.height);
  const [width, height] = [image.width * scale, image.height * scale];
  sheet.room(height + 8);
  sheet.page.drawImage(image, {
    ...{ x: sheet.width - MARGIN - width, y: sheet.y - height, width, height },
  });
}

function list(sheet: PdfSheet, title: string, lines: readonly string[]): void {
  if (lines.length === 0) return;
  sheet.room(40);
  sheet.rule();
  sheet.text(title, 12, { bold: true });
  for (const line of lines) sheet.text(line, 10);
}

/** The sheet that goes with a piece, as a PDF in our own letters. */
export async function handOverPdf(
  told: HandOver,
  paper: Paper,
  fonts: FontBytes,
  picture: Picture | null = null,
): Promise<Uint8Array> {
  const sheet = await pdfSheet(told.title, paper, fonts);
  sheet.text(told.title, 22, { bold: true, width: sheet.width - 2 * MARGIN - 200 });
  const under = sheet.y;
  sheet.y = sheet.page.getHeight() - MARGIN;
  if (picture) await drawPicture(sheet, picture);
  const low = picture ? sheet.y - 158 : sheet.y;
  sheet.y = under - 4;
  for (const [label, value] of told.facts) {
    sheet.text(`${label}: ${value}`, 10.5, { width: sheet.width - 2 * MARGIN - 200 });
  }
  sheet.y = Math.min(sheet.y, picture ? low : sheet.y) - 6;
  if (told.films.length > 0) {
    sheet.rule();
    sheet.text('Build-up, cut through', 12, { bold: true });
    drawSection(sheet, told);
  }
  list(sheet, 'Coats, from the ground up', told.coats);
  list(sheet, 'Looks and what came of them', told.looks);
  list(sheet, 'Care', told.care);
  sheet.y -= 10;
  sheet.text(
    'Dates follow the clocks of its coats in the room as it was read and forecast. The resin’s data sheet and local rules go first.',
    8.5,
  );
  return sheet.doc.save();
}

/** A label of 62 × 29 mm: the name, the day, and a code that opens the record in the shop’s own browser. */
export async function labelPdf(
  title: string,
  lines: readonly string[],
  address: string,
  fonts: FontBytes,
): Promise<Uint8Array> {
  const { create } = await import('qrcode');
  const { modules } = create(address, { errorCorrectionLevel: 'M' });
  const MM = 72 / 25.4;
  const [width, height] = [62 * MM, 29 * MM];
  const sheet = await pdfSheet(title, [width, height], fonts, 6);
  const side = height - 12;
  const cell = side / modules.size;
  for (let row = 0; row < modules.size; row += 1)
    for (let column = 0; column < modules.size; column += 1)
      if (modules.get(row, column))
        sheet.page.drawRectangle({
          x: 6 + column * cell,
          y: height - 6 - (row + 1) * cell,
          // A hair wider, so that no gap shows between two.
          ...{ width: cell + 0.06, height: cell + 0.06, color: sheet.colour('#22302f') },
        });
  const x = side + 14;
  sheet.text(title, 11, { x, bold: true });
  for (const line of lines) sheet.text(line, 7.5, { x });
  return sheet.doc.save();
}
