import Papa from 'papaparse';
import { csvOf, plainCell } from '@/data/exchange/csv';
import { demoView } from '../test/shop';
import { ledgerOf, pieceViews } from '@/shop/coatView';
import { CSV_TABLES, csvTable } from './csvTables';

const NOW = Date.UTC(2026, 10, 24, 13, 42);
const shop = demoView();
const read = (text: string) =>
  Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });

describe('tables as CSV, read by papaparse', () => {
  it.each(CSV_TABLES)('%s: every row has every field, and no line is lost', (name) => {
    const { data, errors, meta } = read(csvTable(name, shop, NOW));
    expect(errors).toEqual([]);
    expect(data.length).toBeGreaterThan(3);
    for (const row of data) expect(Object.keys(row)).toEqual(meta.fields);
  });
  it('the ledger’s lines sum to the mix of the coat, in SI', () => {
    const ledger = read(csvTable('ledger', shop, NOW)).data;
    for (const coat of read(csvTable('coats', shop, NOW)).data) {
      if (coat['mix_m3'] === '') continue;
      const lines = ledger.filter((l) => l['coat_id'] === coat['id']);
      const sum = lines.reduce((s, l) => s + Number(l['volume_m3']), 0);
      expect(sum).toBeCloseTo(Number(coat['mix_m3']), 12);
    }
    const view = pieceViews(shop, NOW).flatMap((v) => v.coats)[0];
    const made = view && ledgerOf(view);
    expect(made?.ok && made.value.totalM3).toBeGreaterThan(0);
  });
  it('cells by the examples of RFC 4180 §2: quotes doubled, commas and breaks inside quotes, CRLF', () => {
    const text = csvOf(
      ['aaa', 'bbb'],
      [
        ['b"bb', 'c,c\r\nc'],
        ['', 4],
      ],
    );
    expect(text).toBe('aaa,bbb\r\n"b""bb","c,c\r\nc"\r\n,4\r\n');
  });
  it('a text that begins like a formula is made harmless and comes back; a number stands as it is', () => {
    const cells = ['=1+1', '+2', '-x', '@a', "'q", 'plain'];
    const { data } = Papa.parse<string[]>(
      csvOf(
        ['a'],
        cells.map((c) => [c]),
      ),
      {
        skipEmptyLines: true,
      },
    );
    const told = data.slice(1).map(([cell]) => cell ?? '');
    expect(told.slice(0, 5).every((c) => c.startsWith("'"))).toBe(true);
    expect(told.map(plainCell)).toEqual(cells);
    expect(csvOf(['a'], [[-2.5e-7]])).toContain('\r\n-2.5e-7\r\n');
  });
});
