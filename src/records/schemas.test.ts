import { seededRandom } from '@/core/numeric';
import { demoShop } from '@/demo';
import { rowFaults, warmSchemas } from './validate';
import { DEFAULT_SETTINGS } from './settings';
import { TABLE_NAMES, type TableName } from './tables';

const demo = demoShop(Date.UTC(2026, 10, 24, 13, 30));
type Row = Record<string, unknown>;
/** Nobody is typing in the demo, and nothing was handed over. */
const drafts = [{ id: 'survey-new', pieceId: null, keptMs: Date.UTC(2026, 0, 1), json: '{}' }];
const shares = [
  { id: 'bundle-1', atMs: Date.UTC(2026, 0, 1), way: 'out', rows: { 'pieces:p1': '1k9x' } },
];
const MADE: Readonly<Partial<Record<TableName, readonly Row[]>>> = { drafts, shares };
const rowsOf = (table: TableName): readonly Row[] => MADE[table] ?? (demo[table] as Row[]);

/** Fields that may be null: nothing is known yet. */
const MAY_BE_NULL: Readonly<Partial<Record<TableName, readonly string[]>>> = {
  settings: ['lastBackupMs', 'sensor', 'scale', 'cupM3', 'hourly'],
  resins: ['price', 'learnsFromMs'],
  pieces: ['level', 'turnedMs', 'dueMs', 'closedMs'],
  areas: ['partOf'],
  layers: ['over'],
  lots: ['openedMs', 'bestBeforeMs', 'fullAKg', 'fullBKg', 'emptyMs'],
  sessions: ['endedMs'],
  batches: ['lotId', 'reading', 'tareKg'],
  coats: ['batchId', 'learned', 'pouredMs', 'coveredMs', 'line'],
  defects: ['coatId', 'repairedMs', 'at', 'rescue'],
  photos: ['defectId'],
  drafts: ['pieceId'],
  tasks: ['coatId', 'doneMs', 'result', 'order', 'method', 'limit', 'own'],
  log: ['pieceId', 'coatId', 'batchId', 'sessionId', 'aboutId'],
};

describe.each(TABLE_NAMES)('rows of %s', (table) => {
  const [row] = rowsOf(table);
  if (!row) throw new Error(`the demo has no ${table}`);

  it('of the demo are all sound', () => {
    for (const each of rowsOf(table)) expect(rowFaults(table, each)).toEqual([]);
  });

  it('need every field', () => {
    for (const field of Object.keys(row)) {
      const rest = Object.fromEntries(Object.entries(row).filter(([name]) => name !== field));
      expect({ field, found: rowFaults(table, rest).map((f) => f.path) }).toMatchObject({
        found: expect.arrayContaining([field]),
      });
    }
  });

  it('take no unknown field', () => {
    expect(rowFaults(table, { ...row, spell: 1 }).map((f) => f.path)).toEqual(['spell']);
  });

  it('take null only where nothing may be known', () => {
    for (const field of Object.keys(row)) {
      const faults = rowFaults(table, { ...row, [field]: null }).map(
        (f) => f.path.split(/[.[]/)[0],
      );
      const allowed = MAY_BE_NULL[table]?.includes(field) ?? false;
      // A coat that is not poured was not mixed.
      const others = faults.filter((f) => !(field === 'pouredMs' && f === 'mixedMs'));
      expect({ field, faulty: others.length > 0 }).toEqual({ field, faulty: !allowed });
    }
  });

  it('take a number only as a finite number, never as text', () => {
    for (const [field, value] of Object.entries(row)) {
      if (typeof value !== 'number') continue;
      for (const wrong of [NaN, Infinity, String(value), {}])
        expect({
          field,
          wrong,
          sound: rowFaults(table, { ...row, [field]: wrong }).length === 0,
        }).toEqual({
          field,
          wrong,
          sound: false,
        });
    }
  });

  it('are refused whole when they are no object', () => {
    for (const wrong of [null, undefined, 7, 'row', []])
      expect(rowFaults(table, wrong).length).toBeGreaterThan(0);
  });
});

describe('meaning of rows', () => {
  it('an area’s edges must fit its shape', () => {
    const [area] = rowsOf('areas');
    const one = {
      ...area,
      edges: (area?.['edges'] as unknown[]).slice(0, 1),
      shape: { kind: 'rectangle', widthM: 0.1, heightM: 0.1 },
    };
    expect(rowFaults('areas', one)[0]?.message).toBe('does not fit: 1; wanted 4');
  });

  it('opening hours stand in order', () => {
    expect(
      rowFaults('settings', { ...DEFAULT_SETTINGS, opensMin: 600, closesMin: 600 })[0]?.path,
    ).toBe('closesMin');
  });

  it('a resin’s faults name their place in the sheet, with the allowed interval', () => {
    const [resin] = rowsOf('resins');
    const sheet = { ...(resin?.['sheet'] as Row), viscosityPaS: 5000 };
    const [fault] = rowFaults('resins', { ...resin, sheet });
    expect(fault?.path).toBe('sheet.viscosityPaS');
    expect(fault?.message).toContain('at most 100');
  });

  it('schools of reserve are closed', () => {
    const [coat] = rowsOf('coats');
    const faults = (reserve: unknown) => rowFaults('coats', { ...coat, reserve }).length;
    expect(faults({ by: 'share', share: 0.1 })).toBe(0);
    expect(faults({ by: 'risk', confidence: 0.99 })).toBe(0);
    expect(faults({ by: 'luck' })).toBeGreaterThan(0);
    expect(faults({ by: 'share', confidence: 0.9 })).toBeGreaterThan(0);
  });

  it('warming the schemas breathes before each, and changes nothing', async () => {
    let breaths = 0;
    await warmSchemas(() => Promise.resolve((breaths += 1)));
    expect(breaths).toBe(TABLE_NAMES.length);
    expect(rowFaults('pieces', rowsOf('pieces')[0])).toEqual([]);
  });
});

it('random rubbish is refused and never throws (seeded)', () => {
  const random = seededRandom(77);
  const rubbish = (depth: number): unknown => {
    const pick = Math.floor(random() * 7);
    if (pick === 0) return random() * 1e6 - 5e5;
    if (pick === 1) return 'x'.repeat(Math.floor(random() * 20));
    if (pick === 2) return null;
    if (pick === 3) return random() < 0.5;
    if (depth <= 0) return undefined;
    if (pick === 4) return Array.from({ length: 3 }, () => rubbish(depth - 1));
    return Object.fromEntries(['id', 'name', 'shape', 'kind'].map((k) => [k, rubbish(depth - 1)]));
  };
  for (let i = 0; i < 400; i += 1) {
    const table = TABLE_NAMES[Math.floor(random() * TABLE_NAMES.length)] ?? 'pieces';
    expect(rowFaults(table, rubbish(3)).length).toBeGreaterThan(0);
  }
});
