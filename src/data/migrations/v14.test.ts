import type { Defect, Piece } from '@/records';
import { rowFaults } from '@/records/validate';
import { migrate, SCHEMA_VERSION, type AnyTables } from '.';
import v13 from './fixtures/v13.json';

describe('version 14: findings with their looks, tests and rescues; pieces that are closed', () => {
  const before = v13.tables as unknown as AnyTables;
  const after = migrate(before, 13);
  const rows = <T>(table: string) => after[table] as T[];
  it('no piece has left, and nothing is known of a finding that nobody told', () => {
    expect(rows<Piece>('pieces').map((p) => p.closedMs)).toEqual([null, null]);
    const defects = rows<Defect>('defects');
    expect(defects.length).toBeGreaterThan(0);
    for (const { look, answers, looks, rescue } of defects)
      expect({ look, answers, looks, rescue }).toEqual({
        look: { allOver: null, count: null, sizeM: null, depthM: null },
        ...{ answers: {}, looks: [], rescue: null },
      });
  });
  it('what was repaired stays repaired', () => {
    const [row] = before['defects'] as Record<string, unknown>[];
    const repaired = { ...row, repairedMs: v13.exportedMs };
    const [defect] = migrate({ ...before, defects: [repaired] }, 13)['defects'] as Defect[];
    expect(defect?.repairedMs).toBe(v13.exportedMs);
  });
  it('every row passes', () => {
    expect(SCHEMA_VERSION).toBeGreaterThanOrEqual(14);
    for (const table of ['pieces', 'defects'] as const)
      for (const row of rows(table)) expect(rowFaults(table, row)).toEqual([]);
  });
});
