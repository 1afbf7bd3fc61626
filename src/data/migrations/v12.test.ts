import { stateOf, type Batch, type Coat, type Resin, type TableName } from '@/records';
import { rowFaults } from '@/records/validate';
import { migrate, type AnyTables } from '.';
import v11 from './fixtures/v11.json';

describe('version 12: lots, assumed densities, what was touched', () => {
  const before = v11.tables as unknown as AnyTables;
  const after = migrate(before, 11);
  const assumed = (tables: AnyTables) =>
    (tables['resins'] as Resin[]).map((r) => [r.name, r.sheet.assumedDensity ?? null]);
  it('a sheet that was filled in from its label says that its densities were taken, another does not', () => {
    expect(Object.fromEntries(assumed(after))).toMatchObject({
      'Cup and jar': ['A', 'B'],
      'Millrace Clear': null,
    });
    const told = (before['resins'] as Resin[]).map((r) =>
      r.name === 'Cup and jar' ? { ...r, sheet: { ...r.sheet, densityAKgM3: 1130 } } : r,
    );
    expect(Object.fromEntries(assumed(migrate({ resins: told }, 11)))).toMatchObject({
      'Cup and jar': ['B'],
    });
  });
  it('what was done with a batch folds to what its fields said, each act under its id in the log', () => {
    type Old = Record<string, unknown> & { id: string };
    const ids = new Map(
      (before['log'] as { id: string; kind: string }[]).map((e) => [e.id, e.kind]),
    );
    const old = before['batches'] as Old[];
    expect(old).toHaveLength(4);
    for (const was of old) {
      const is = (after['batches'] as Batch[]).find((b) => b.id === was.id);
      if (!is) throw new Error('batch lost');
      const { poured, covered, ...state } = stateOf(is);
      for (const field of ['aKg', 'bKg', 'aBy', 'bBy', 'mixedMs', 'stirStartedMs', 'stirredMs'])
        expect([field, state[field as 'aKg']]).toEqual([field, was[field]]);
      expect(Math.max(...poured.values())).toBe(was['pouredMs']);
      expect(Math.max(...covered.values())).toBe(was['coveredMs']);
      expect(is.events.map((e) => ids.get(e.id))).toEqual(is.events.map((e) => e.is));
    }
  });
  it('a batch that was left half-way goes on where it stood, with what was added to it', () => {
    const [was] = before['batches'] as (Record<string, unknown> & { coatIds: string[] })[];
    const half = { ...was, stirStartedMs: null, stirredMs: null, pouredMs: null, coveredMs: null };
    const more = { ...half, aKg: 0.11, addedAKg: 0.01, aBy: 'assumed' };
    const coats = (before['coats'] as Coat[]).map((c) => ({
      ...c,
      pouredMs: null,
      coveredMs: null,
    }));
    const [batch] = migrate({ ...before, coats, batches: [more] }, 11)['batches'] as Batch[];
    if (!batch) throw new Error('batch lost');
    const { step, aKg, addedAKg } = stateOf(batch);
    expect([step, aKg?.toFixed(9), addedAKg]).toEqual(['stir', '0.110000000', 0.01]);
    expect(rowFaults('batches', batch)).toEqual([]);
  });
  it('what was touched was the coat, no batch is told its bottles, and every row passes', () => {
    const touches = (tables: AnyTables) => (tables['coats'] as Coat[]).flatMap((c) => c.touches);
    expect(touches(after).length).toBe(touches(before).length);
    expect(touches(after).map((t) => t.on)).toEqual(touches(before).map(() => 'coat'));
    expect(touches(before).length).toBeGreaterThan(2);
    expect((after['batches'] as Batch[]).map((b) => b.lotId)).toEqual([null, null, null, null]);
    for (const [table, rows] of Object.entries(after))
      for (const row of rows) expect(rowFaults(table as TableName, row)).toEqual([]);
  });
});
