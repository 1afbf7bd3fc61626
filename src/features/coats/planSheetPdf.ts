import type { FontBytes } from '@/ui/pdf/fonts';
import { MARGIN, pdfSheet, type Paper, type PdfSheet } from '@/ui/pdf/sheet';
import type { PlanSheet } from './planSheet';

const TALLEST = 250;

async function drawSection(sheet: PdfSheet, png: Uint8Array): Promise<void> {
  const image = await sheet.doc.embedPng(png);
  const room = sheet.width - 2 * MARGIN;
  const scale = Math.min(room / image.width, TALLEST / image.height);
  const [width, height] = [image.width * scale, image.height * scale];
  sheet.room(height + 10);
  sheet.page.drawImage(image, { x: MARGIN, y: sheet.y - height, width, height });
  sheet.y -= height + 10;
}

/**
 * The coat plan as a PDF, in our own letters.
 * @param section the cut that is shown, as PNG; null: none is drawn @returns bytes of the file
 */
export async function planSheetPdf(
  plan: PlanSheet,
  paper: Paper,
  fonts: FontBytes,
  section: Uint8Array | null,
): Promise<Uint8Array> {
  const sheet = await pdfSheet(plan.title, paper, fonts);
  sheet.text(plan.title, 22, { bold: true });
  for (const fact of plan.facts) sheet.text(fact, 10.5);
  sheet.y -= 6;
  if (section) await drawSection(sheet, section);
  for (const coat of plan.coats) {
    sheet.room(50);
    sheet.rule();
    sheet.text(coat.title, 12, { bold: true });
    for (const line of coat.lines) sheet.text(line, 10);
    for (const caution of coat.cautions) sheet.text(`! ${caution}`, 10, { x: MARGIN + 10 });
  }
  sheet.y -= 8;
  sheet.text(
    'Weigh, do not measure by volume, where the sheet gives a ratio by weight. The safety data sheet and local rules go first.',
    8.5,
  );
  return sheet.doc.save();
}
