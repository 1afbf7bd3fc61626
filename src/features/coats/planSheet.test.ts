import { ledgerOf, pieceViews, splitOf } from '@/shop/coatView';
import { fontsOnDisk as fonts } from '@/ui/pdf/test/fonts';
import { demoView, METRIC, NOW, US } from '../test/shop';
import { planSheet } from './planSheet';
import { planSheetPdf } from './planSheetPdf';

const shop = demoView();
const view = (name: string) => {
  const found = pieceViews(shop, NOW).find((v) => v.piece.name === name);
  if (!found) throw new Error(name);
  return found;
};
const tray = view('Lamp-room tray');

describe('the coat plan', () => {
  const plan = planSheet(tray, shop, METRIC, NOW);
  it('tells every coat from the ground up', () => {
    expect(plan.coats.map((c) => c.title)).toEqual(
      tray.coats.map((c, i) => `${i + 1}. ${c.coat.name}, ${c.resin.name}`),
    );
  });
  it('says what to weigh as the ledger of the coat has it', () => {
    const at = tray.coats.findIndex((c) => c.coat.pouredMs === null);
    const planned = tray.coats[at];
    const ledger = planned && ledgerOf(planned);
    if (!planned || !ledger?.ok) throw new Error('nothing planned');
    const split = splitOf(ledger.value, planned.resin);
    const [, amounts, parts] = plan.coats[at]?.lines ?? [];
    expect(amounts).toBe(
      `Mix ${METRIC.show(ledger.value.totalM3, 'volume').text}: A ${METRIC.scale(split?.aKg ?? 0).text}, B ${METRIC.scale(split?.bKg ?? 0).text}`,
    );
    for (const line of ledger.value.lines.filter((l) => l.volumeM3 !== 0))
      expect(parts).toContain(line.explanation.title);
  });
  it('of a poured coat only when that was, and nothing to mix', () => {
    const labels = view('Luggage label set');
    const [first] = planSheet(labels, shop, METRIC, NOW).coats;
    expect(labels.coats[0]?.coat.pouredMs).not.toBeNull();
    expect(first?.lines).toHaveLength(1);
    expect(first?.lines[0]).toMatch(/poured \d+ \w+ \d{4}/);
    expect(first?.cautions).toEqual([]);
  });
  it('tells cautions and pours where there are any, in the units of the shop', () => {
    const all = pieceViews(shop, NOW).map((v) => planSheet(v, shop, US, NOW));
    expect(all.some((p) => p.coats.some((c) => c.cautions.length > 0))).toBe(true);
    // Two and a half times what one pour may be: three pours.
    const coats = tray.coats.map((c) => {
      const thicknessM = 2.5 * c.resin.sheet.thickestM;
      return { ...c, coat: { ...c.coat, pouredMs: null, thicknessM } };
    });
    const deep = planSheet({ ...tray, coats }, shop, US, NOW);
    expect(deep.coats.flatMap((c) => c.lines).join('\n')).toMatch(/^In 3 pours: .+\smil, then/m);
    expect(JSON.stringify(all)).not.toMatch(/\d\s?(ml|mm)\b/);
  });
  it('is written without a section where none is drawn', async () => {
    const bytes = await planSheetPdf(plan, 'a4', fonts(), null);
    expect(Buffer.from(bytes.slice(0, 5)).toString()).toBe('%PDF-');
  });
});
