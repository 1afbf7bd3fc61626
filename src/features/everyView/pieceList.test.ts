import Papa from 'papaparse';
import { csvTable } from '../book/csvTables';
import { readPieceList } from '../survey/pieceList';
import { demoView, METRIC, NOW } from '../test/shop';

describe('pieces as CSV, out and in', () => {
  it('takes back what leaves as CSV: names, counts, supports and sizes', () => {
    const shop = demoView();
    const text = csvTable('pieces', shop, NOW);
    const told = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
    const rows = readPieceList(text, METRIC).rows;
    expect(rows).toHaveLength(told.data.length);
    for (const [i, row] of told.data.entries()) {
      const size = Number(row['diameter_m'] || row['width_m']);
      if (!(size > 0)) continue;
      const { survey, faults } = rows[i] ?? {};
      expect(faults).toEqual([]);
      const shape = survey?.areas[0]?.shape;
      const own =
        shape?.kind === 'disc' ? shape.diameterM : shape && 'widthM' in shape && shape.widthM;
      expect(own).toBeCloseTo(size, 6);
      expect(survey).toMatchObject({ count: Number(row['count']), support: row['support'] });
    }
  });
});
