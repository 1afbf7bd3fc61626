import { pieceViews, viewPiece } from '@/shop/coatView';
import { askedAtFinish, billOf, careOf, coatRecords, leavingOf } from '@/shop/finish';
import { PDFDocument } from 'pdf-lib';
import { embedFonts, runsOf } from '@/ui/pdf/fonts';
import { linesOf } from '@/ui/pdf/sheet';
import { fontsOnDisk as fonts } from '@/ui/pdf/test/fonts';
import { demoView, METRIC, NOW } from '../test/shop';
import { handOver } from './handOver';
import { handOverPdf, labelPdf } from './handOverPdf';
import { careText, leavingWords } from './words';

const shop = demoView();
const view = (name: string) => {
  const found = pieceViews(shop, NOW).find((v) => v.piece.name === name);
  if (!found) throw new Error(name);
  return found;
};
const labels = view('Luggage label set');

describe('what goes with a piece', () => {
  const told = handOver(labels, coatRecords(shop, labels), careOf(labels) ?? [], [], METRIC, NOW);
  it('names its coats with resin, bottles and what was mixed', () => {
    expect(told.title).toBe('Luggage label set × 12');
    expect(told.coats).toHaveLength(2);
    expect(told.coats[0]).toMatch(
      /^Seal · Tarn Quick · bottles T-55 · film 0\.15\smm as planned · mixed/,
    );
    expect(told.films.map((f) => f.thicknessM)).toEqual([0.15e-3, 1.4e-3]);
  });
  it('its care note counts days from its latest coat, and claims no use that no sheet declares', () => {
    const care = careOf(labels) ?? [];
    const dates = care.flatMap((l) => ('fromMs' in l ? [l.fromMs] : []));
    expect(dates).toEqual([...dates].sort((a, b) => a - b));
    const dome = labels.coats.at(-1);
    // Handled 18 ripe hours after the mix of the dome, in a room about as warm as its sheet speaks of.
    const hours = ((dates[0] ?? 0) - (dome?.coat.mixedMs ?? 0)) / 3_600_000;
    expect(hours).toBeGreaterThan(14);
    expect(hours).toBeLessThan(24);
    expect(care.map((l) => careText(l, METRIC)).join(' ')).not.toMatch(/food|hot cups/i);
  });
  it('becomes a PDF with every font that its letters ask for', async () => {
    const odd = { ...told, title: 'Łódź, Ярославль, Αθήνα', looks: ['ő ỳ ž €'] };
    const bytes = await handOverPdf(odd, 'a4', fonts());
    const doc = await PDFDocument.load(bytes);
    expect([doc.getTitle(), doc.getPageCount()]).toEqual([odd.title, 1]);
  });
  it('has a label the size of its paper', async () => {
    const bytes = await labelPdf('Board', ['job'], 'http://localhost/pieces/x/finish', fonts());
    const [page] = (await PDFDocument.load(bytes)).getPages();
    expect((page?.getWidth() ?? 0) / (72 / 25.4)).toBeCloseTo(62, 6);
    expect((page?.getHeight() ?? 0) / (72 / 25.4)).toBeCloseTo(29, 6);
  });
});

describe('letters', () => {
  it('each is written by the first font that has it, in its place', async () => {
    const { plain } = await embedFonts(await PDFDocument.create(), fonts());
    const runs = runsOf('Łak Ω и 5\u00a0mm', plain);
    expect(runs.map((r) => r.text).join('')).toBe('Łak Ω и 5\u00a0mm');
    expect(runs.map((r) => r.text)).toEqual(['Ł', 'ak ', 'Ω', ' ', 'и', ' 5\u00a0mm']);
    // A letter that no font has is a question mark, never nothing.
    expect(runsOf('漢', plain).map((r) => r.text)).toEqual(['?']);
    expect(linesOf('one two three', 46, 10, plain)).toEqual(['one two', 'three']);
    expect(linesOf('', 46, 10, plain)).toEqual([]);
  });
});

describe('the care note', () => {
  it('tells the days of the clocks: of a batch that cures slower than its sheet later, as Cure does', () => {
    const tiles = view('Hall tiles');
    const slow = { factor: 0.8, sigma: 0.1, count: 3, spread: null };
    const coats = shop.coats.map((c) =>
      c.pieceId === tiles.piece.id ? { ...c, learned: slow } : c,
    );
    const later = viewPiece({ ...shop, coats }, tiles.piece, NOW);
    const handled = (of: typeof tiles) =>
      careOf(of)?.find((l) => l.is === 'handle' && 'fromMs' in l) as { fromMs: number } | undefined;
    const window = later.top?.clock?.windows.find((w) => w.kind === 'handle');
    expect(handled(later)?.fromMs).toBe(window?.opensMs);
    expect(handled(later)?.fromMs).toBeGreaterThan(handled(tiles)?.fromMs ?? Infinity);
  });
});

describe('leaving', () => {
  it('says what keeps each piece of the demo', () => {
    const words = (name: string) =>
      leavingOf(shop, view(name), NOW).map((u) => leavingWords(u, NOW).stage);
    expect(words('Luggage label set')).toEqual([]);
    expect(words('Relief map')).toEqual(expect.arrayContaining(['coats', 'prepare', 'inspect']));
    expect(words('Hall tiles')).toContain('cure');
  });
  it('asks for what the survey calls for', () => {
    expect(askedAtFinish(shop, labels).map((a) => a.step)).toEqual(['photographed', 'packed']);
    const paddle = askedAtFinish(shop, view('Dining-car serving board')).map((a) => a.step);
    expect(paddle).toContain('bare wood oiled');
  });
  it('bills what was weighed, and says what was not', () => {
    const bill = billOf(shop, labels);
    const mixed = coatRecords(shop, labels).map((c) => c.mixKg);
    expect(bill.lines.map((l) => l.kg)).toEqual(mixed);
    expect(bill.lines.every((l) => l.weighed)).toBe(true);
    expect(billOf(shop, view('Guard’s paddle')).lines[0]).toMatchObject({ weighed: false });
    // 24 a kilogram of Millrace.
    expect(bill.lines[1]?.cost).toBeCloseTo(24 * (mixed[1] ?? NaN), 9);
  });
});
