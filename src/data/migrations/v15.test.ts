import type { Settings } from '@/records';
import { rowFaults } from '@/records/validate';
import { migrate, SCHEMA_VERSION, type AnyTables } from '.';
import v14 from './fixtures/v14.json';

describe('version 15: shares between machines; look and clock of the application', () => {
  const before = v14.tables as unknown as AnyTables;
  const after = migrate(before, 14);
  it('looks as it did, and nothing was ever shared', () => {
    const [settings] = after['settings'] as Settings[];
    expect(settings).toMatchObject({ look: 'paper', hours: 'auto' });
    expect(settings?.benchLook).toBe(v14.tables.settings[0]?.benchLook);
    expect(after['shares']).toEqual([]);
    expect(rowFaults('settings', settings)).toEqual([]);
  });
  it('all else is as it was', () => {
    expect(SCHEMA_VERSION).toBeGreaterThanOrEqual(15);
    for (const table of ['pieces', 'coats', 'log'] as const)
      expect(after[table]).toEqual(before[table]);
  });
});
