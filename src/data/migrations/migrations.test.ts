import type { Batch, TableName } from '@/records';
import { rowFaults } from '@/records/validate';
import { MIGRATIONS, migrate, SCHEMA_VERSION, type AnyTables } from '.';
import v1 from './fixtures/v1.json';
import v2 from './fixtures/v2.json';
import v3 from './fixtures/v3.json';
import v4 from './fixtures/v4.json';
import v7 from './fixtures/v7.json';
import v8 from './fixtures/v8.json';
import v9 from './fixtures/v9.json';

const tablesV1 = v1.tables as unknown as AnyTables;
const areaV1 = {
  id: 'a',
  pieceId: 'p',
  name: 'Face',
  shape: { kind: 'regularPolygon', sides: 3, sizeM: 0.1, across: 'flats' },
  edgeHeightM: 0.009,
  edgeKinds: ['open', 'dammed', 'doming'],
};
const pieceV1 = {
  id: 'p',
  name: 'Tile',
  count: 8,
  support: 'tile',
  note: 'old',
  createdMs: 5,
};

describe('steps of the schema', () => {
  it('are numbered without gaps, have names, and end at the version of this program', () => {
    expect(MIGRATIONS.map((m) => m.version)).toEqual(MIGRATIONS.map((_, i) => i + 1));
    expect(new Set(MIGRATIONS.map((m) => m.name)).size).toBe(MIGRATIONS.length);
    expect(SCHEMA_VERSION).toBe(MIGRATIONS.length);
  });

  it('only those that are newer run, in order', () => {
    for (let version = 1; version <= SCHEMA_VERSION; version += 1) {
      const ran: string[] = [];
      migrate({ pieces: [], areas: [] }, version, (name) => ran.push(name));
      expect(ran).toEqual(MIGRATIONS.slice(version).map((m) => m.name));
    }
  });

  it('change no row they are given, and give the same each time', () => {
    const before = JSON.stringify(tablesV1);
    const once = JSON.stringify(migrate(tablesV1, 1));
    expect(JSON.stringify(tablesV1)).toBe(before);
    expect(JSON.stringify(migrate(tablesV1, 1))).toBe(once);
  });
});

describe('version 2: the full survey', () => {
  const after = migrate({ pieces: [pieceV1], areas: [areaV1], log: [{ id: 'l' }] }, 1);
  const [piece] = after['pieces'] ?? [];
  const [area] = after['areas'] ?? [];

  it('each edge keeps its kind and takes the thickness of the area, square', () => {
    expect(area).toMatchObject({
      edges: [
        { kind: 'open', heightM: 0.009, profile: { kind: 'square' } },
        { kind: 'tape wall', heightM: 0.009, profile: { kind: 'square' } },
        { kind: 'doming', heightM: 0.009, profile: { kind: 'square' } },
      ],
    });
    expect(Object.keys(area as object)).not.toContain('edgeKinds');
    expect(Object.keys(area as object)).not.toContain('edgeHeightM');
  });

  it('what was not asked before is told as nothing special', () => {
    expect(area).toMatchObject({
      kind: 'face',
      at: [0, 0],
      depthM: 0,
      porosity: 'sealed',
      relief: [],
      surface: { kind: 'bare', resin: null, ageDays: null, sanded: false },
      measured: { by: 'rule' },
    });
    expect(piece).toMatchObject({
      ...pieceV1,
      createdMs: Date.UTC(2000, 0, 1) + 5,
      use: { hotCups: false, food: false, daylight: false },
      marks: [],
      level: null,
    });
  });

  it('other tables go through as they are; tables that are missing are made', () => {
    expect(after['log']).toEqual([{ id: 'l', seq: 1 }]);
    expect(migrate({}, 1)).toMatchObject({ pieces: [], areas: [] });
  });

  it('every row it makes passes the schemas of today', () => {
    expect(rowFaults('areas', area)).toEqual([]);
    expect(rowFaults('pieces', piece)).toEqual([]);
  });
});

describe('version 3: preparation and the room', () => {
  const tablesV2 = v2.tables as unknown as AnyTables;
  const after = migrate(tablesV2, 2);
  it('gives pieces, areas and the shop what preparation asks, and an empty list of tasks', () => {
    expect(after['pieces']).toEqual(
      tablesV2['pieces']?.map((p) => ({
        ...(p as object),
        prep: {},
        bellyM: 0,
        up: 'front',
        turnedMs: null,
        job: '',
        dueMs: null,
        closedMs: null,
      })),
    );
    for (const area of after['areas'] ?? []) expect(area).toMatchObject({ damage: [] });
    expect(after['settings']).toMatchObject([
      { prep: { mask: 'painter’s tape', recoat: 'inside the window' } },
    ]);
    expect(after['tasks']).toEqual([]);
  });
  it('begins the record of the air with the room of the settings', () => {
    // From the first instant that a record may hold.
    const fromMs = Date.UTC(2000, 0, 1);
    const told = { readMs: [fromMs], temperatureK: [295.15], humidity: [0.5], surfaceK: [null] };
    expect(after['room']?.[0]).toMatchObject(told);
    expect(migrate({}, 2)['room']).toEqual([]);
  });
  it('every row it makes passes the schemas of today', () => {
    for (const table of ['settings', 'pieces', 'areas', 'room'] as const)
      for (const row of after[table] ?? []) expect(rowFaults(table, row)).toEqual([]);
  });
});

describe('version 4: coats by intention and what they cost', () => {
  const tablesV3 = v3.tables as unknown as AnyTables;
  const after = migrate(tablesV3, 3);
  it('every coat is given its own thickness and covers all of its areas', () => {
    expect(after['coats']?.length).toBeGreaterThan(2);
    for (const [i, coat] of (after['coats'] ?? []).entries()) {
      const { thicknessM } = coat as { thicknessM: number };
      const { history, ...before } = tablesV3['coats']?.[i] as {
        history: unknown;
        pouredMs: number;
      };
      expect(history).toBeDefined();
      expect(coat).toEqual({
        ...before,
        intent: { by: 'given', thicknessM },
        coverage: 1,
        overrides: [],
        colours: [],
        // Version 7: what was poured is taken for what stays.
        staysM: (coat as { areaIds: string[] }).areaIds.map(() => thicknessM),
        // Version 8: no coat was a line, and no dam came off by a coat.
        ...{ line: null, freesDams: false },
        // Version 10: nobody noted silicone or a touch.
        ...{ silicone: false, touches: [] },
        // Version 11: the room has a record of its own, and old clocks start with the pour.
        ...{ mixedMs: before.pouredMs, learned: null },
      });
    }
  });
  it('no belly, no price yet, and a currency', () => {
    for (const piece of after['pieces'] ?? []) expect(piece).toMatchObject({ bellyM: 0 });
    for (const resin of after['resins'] ?? []) expect(resin).toMatchObject({ price: null });
    expect(after['settings']).toMatchObject([{ currency: '£', consumables: 1.2 }]);
    expect(migrate({}, 3)).toMatchObject({ coats: [], pieces: [], resins: [], settings: [] });
  });
  it('every row of the old file passes the schemas of today', () => {
    for (const table of ['settings', 'resins', 'pieces', 'areas', 'coats', 'batches'] as const)
      for (const row of after[table] ?? []) expect(rowFaults(table, row)).toEqual([]);
  });
});

describe('version 5: order of the log, how a weight became known', () => {
  const tablesV4 = v4.tables as unknown as AnyTables;
  const after = migrate(tablesV4, 4);
  it('numbers the log in the order of its times, and says of old weighings that it is not told', () => {
    const log = after['log'] as { seq: number; atMs: number }[];
    expect(log.map((e) => e.seq)).toEqual(log.map((_, i) => i + 1));
    expect(log.map((e) => e.atMs)).toEqual([...log.map((e) => e.atMs)].sort((a, b) => a - b));
    for (const { reading, events } of (after['batches'] ?? []) as Batch[]) {
      expect(reading).toBeNull();
      expect(events.slice(0, 2)).toMatchObject([
        { is: 'weighed A', by: 'not told' },
        { is: 'mixed', by: 'not told' },
      ]);
    }
    const fresh = migrate({ batches: [{ id: 'b', aKg: null, bKg: null, coatIds: ['c'] }] }, 4);
    expect(fresh['batches']).toMatchObject([{ events: [] }]);
  });
  it('moves what a clock that was never set wrote, and keeps order and spans', () => {
    const history = [{ fromMs: 60_000, temperatureK: 290 }];
    const coats = [{ id: 'c', pouredMs: 60_000, coveredMs: null, history }];
    const log = [
      { id: 'late', atMs: 90_000 },
      { id: 'early', atMs: 60_000 },
      { id: 'never', atMs: 8.64e15 },
    ];
    const moved = migrate({ coats, log }, 4);
    const t0 = Date.UTC(2000, 0, 1);
    expect(moved['coats']).toMatchObject([{ pouredMs: t0 + 60_000, coveredMs: null }]);
    expect(moved['room']).toMatchObject([{ readMs: [t0 + 60_000], temperatureK: [290] }]);
    expect(moved['log']).toEqual([
      { id: 'early', atMs: t0 + 60_000, seq: 1 },
      { id: 'late', atMs: t0 + 90_000, seq: 2 },
      { id: 'never', atMs: Date.UTC(2200, 0, 1), seq: 3 },
    ]);
  });
  it('every row of the old file passes the schemas of today, photos but for their form', () => {
    for (const [table, rows] of Object.entries(after))
      if (table !== 'photos')
        for (const row of rows) expect(rowFaults(table as TableName, row)).toEqual([]);
  });
});

describe('version 8: places, walls, layers and lines', () => {
  const before = v7.tables as unknown as AnyTables;
  const after = migrate(before, 7);
  it('a wall of a face is of tape as it was masked, that of a recess its own rim; nothing is cut', () => {
    const kinds = (tables: AnyTables) =>
      (tables['areas'] as { edges: { kind: string }[] }[]).map((a) => a.edges.map((e) => e.kind));
    expect(kinds(after)).toEqual(
      kinds(before).map((edges) => edges.map((k) => (k === 'dammed' ? 'tape wall' : k))),
    );
    expect(kinds(after).flat()).toContain('tape wall');
    const pit = { kind: 'recess', edges: [{ kind: 'dammed' }, { kind: 'open' }] };
    expect(migrate({ areas: [pit] }, 7)['areas']).toMatchObject([
      {
        ...{ kind: 'recess', cuts: [], partOf: null, bare: false },
        edges: [
          { kind: 'own rim', wallM: null },
          { kind: 'open', wallM: null },
        ],
      },
    ]);
  });
  it('coats cover what they covered, and every row passes the schemas of today', () => {
    const told = (tables: AnyTables) =>
      (tables['coats'] as { areaIds: unknown; coverage: unknown; staysM: unknown }[]).map(
        ({ areaIds, coverage, staysM }) => ({ areaIds, coverage, staysM }),
      );
    expect(told(after)).toEqual(told(before));
    expect(after['layers']).toEqual([]);
    for (const [table, rows] of Object.entries(after))
      if (table !== 'photos')
        for (const row of rows) expect(rowFaults(table as TableName, row)).toEqual([]);
  });
});

describe('version 9: old resin told whole, and when a piece was turned', () => {
  const tables = v8.tables as unknown as AnyTables;
  const old = { kind: 'old resin', ageDays: 9, sanded: true };
  const areas = [...(tables['areas'] ?? []), { ...(tables['areas']?.[0] as object), surface: old }];
  const after = migrate({ ...tables, areas }, 8);
  it('old resin keeps its age, of a kind that is not known and hard as it was taken to be', () => {
    expect(after['areas']?.at(-1)).toMatchObject({
      surface: { ...old, resin: { kind: 'not known', state: 'hard' } },
    });
    for (const piece of after['pieces'] ?? []) expect(piece).toMatchObject({ turnedMs: null });
  });
  it('every row of a shop of version 8 passes the schemas of today', () => {
    for (const [table, rows] of Object.entries(after))
      for (const row of rows) expect(rowFaults(table as TableName, row)).toEqual([]);
  });
});

describe('version 10: own steps with a place, templates, stages of a tear', () => {
  const before = v9.tables as unknown as AnyTables;
  const after = migrate(before, 9);
  const tasks = (after['tasks'] ?? []) as { rule: string; key: string; doneMs: number | null }[];
  it('a tear that was mended is mended in all its stages, at the instant that was noted', () => {
    const [tear] = tasks.filter((t) => t.rule === 'tear');
    const rest = tasks.filter((t) => t.rule.startsWith('tear '));
    expect(rest.map((t) => t.rule)).toEqual(['tear wet', 'tear base']);
    const place = tear?.key.slice('tear:'.length);
    expect(rest.map((t) => t.key)).toEqual([`tear wet:${place}`, `tear base:${place}`]);
    for (const stage of rest) expect(stage.doneMs).toBe(tear?.doneMs);
  });
  it('a step of one’s own waits for what comes next, and does not dry', () => {
    const own = (after['tasks'] as { own: object | null }[]).flatMap((t) => t.own ?? []);
    expect(own).toMatchObject([{ kind: 'note', on: { at: 'next' }, labelS: 0 }]);
    expect(after['templates']).toEqual([]);
  });
  it('every row of a shop of version 9 passes the schemas of today', () => {
    for (const [table, rows] of Object.entries(after))
      for (const row of rows) expect(rowFaults(table as TableName, row)).toEqual([]);
  });
});
