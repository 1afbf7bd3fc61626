import { stateOf, type Batch, type Coat, type Defect, type Settings } from '@/records';
import { rowFaults } from '@/records/validate';
import { migrate, SCHEMA_VERSION, type AnyTables } from '.';
import v12 from './fixtures/v12.json';

describe('version 13: scale, cups of colour and swatches, places of findings, learned losses', () => {
  const before = v12.tables as unknown as AnyTables;
  const after = migrate(before, 12);
  const rows = <T>(table: string) => after[table] as T[];
  it('nothing is followed, cut, pointed at or learned that nobody told', () => {
    expect(rows('swatches')).toEqual([]);
    expect(rows<Settings>('settings')[0]).toMatchObject({
      ...{ scale: null, benchLook: 'paper', cupM3: null, losses: [] },
    });
    expect(rows<Defect>('defects').map((d) => d.at)).toEqual([null, null]);
    expect(rows<Batch>('batches').length).toBe((before['batches'] as unknown[]).length);
    for (const batch of rows<Batch>('batches'))
      expect([batch.cups, batch.tareKg]).toEqual([[], null]);
  });
  it('a colour keeps its share and has no swatch yet', () => {
    const colours = rows<Coat>('coats').flatMap((c) => c.colours);
    expect(colours.map((c) => [c.name, c.share, c.swatchId])).toEqual([
      ['teal', 0.2, null],
      ['pearl', 0.08, null],
    ]);
  });
  it('part A that was added was assumed', () => {
    const [row] = before['batches'] as (Record<string, unknown> & { events: { is: string }[] })[];
    if (!row) throw new Error('no batch');
    const added = { is: 'added A', kg: 0.01, id: 'more', atMs: v12.exportedMs };
    const events = [row.events[0], added, ...row.events.slice(1)];
    const [batch] = migrate({ ...before, batches: [{ ...row, events }] }, 12)['batches'] as Batch[];
    if (!batch) throw new Error('batch lost');
    expect(batch.events[1]).toMatchObject({ is: 'added A', by: 'assumed' });
    expect(stateOf(batch)).toMatchObject({ addedAKg: 0.01, aBy: 'assumed' });
    expect(rowFaults('batches', batch)).toEqual([]);
  });
  it('every row passes', () => {
    expect(SCHEMA_VERSION).toBeGreaterThanOrEqual(13);
    for (const table of ['settings', 'batches', 'defects', 'coats'] as const)
      for (const row of rows(table)) expect(rowFaults(table, row)).toEqual([]);
  });
});
