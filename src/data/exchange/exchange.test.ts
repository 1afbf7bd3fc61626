import 'fake-indexeddb/auto';
import Papa from 'papaparse';
import { demoShop } from '@/demo';
import { createDb, openShop } from '../db';
import { readOldShop } from '../oldShop';
import { MIGRATIONS, migrate, SCHEMA_VERSION, tablesOf } from '../migrations';
import { TABLE_NAMES } from '@/records';
import { contextAt, freshDb, shopWithCoat } from '../test/shop';
import { writeLogNote } from '../repos/bench';
import { base64ToBlob, blobToBase64 } from './base64';
import { logCsv } from './logCsv';
import { exportShop, fillEmptyShop, importShop, readShopFile, wipeShop } from './shopFile';
import { FILES } from '../migrations/fixtures';
import v1Document from '../migrations/fixtures/v1.json';
import v2Document from '../migrations/fixtures/v2.json';

const NOW = Date.UTC(2026, 10, 24, 9, 30);
const text = (value: unknown) => JSON.stringify(value);

async function demoDb() {
  const db = freshDb();
  await fillEmptyShop(db, demoShop(NOW));
  return db;
}

describe('shop file', () => {
  it('export, wipe, import: the same shop, photos to the byte', async () => {
    const db = await demoDb();
    const before = await exportShop(db, NOW);
    await wipeShop(db);
    expect(await db.log.count()).toBe(0);
    const outcome = await importShop(db, text(before));
    expect(outcome).toMatchObject({ ok: true });
    expect(await exportShop(db, NOW)).toEqual(before);
    expect((before.tables['photos'] ?? []).length).toBeGreaterThan(0);
  });

  it('a new demo never goes over data that is there', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    expect(await fillEmptyShop(db, demoShop(NOW))).toBe(false);
    expect(await db.pieces.count()).toBe(1);
    expect(await db.coats.get(coat.id)).toEqual(coat);
  });

  it('every row of the demo passes the same checks as an import, at any hour', async () => {
    for (const hour of [0, 7, 13, 23]) {
      const db = freshDb();
      await fillEmptyShop(db, demoShop(NOW + hour * 3_600_000));
      expect(await readShopFile(text(await exportShop(db, NOW)))).toMatchObject({ ok: true });
    }
    // A limit for what never comes, not for speed.
  }, 120_000);
});

describe('import of what is not sound changes nothing and says where', () => {
  it('what is found wrong only while it is written takes all of it back', async () => {
    const db = freshDb();
    await shopWithCoat(db);
    const before = await exportShop(db, NOW);
    const file = text(await exportShop(await demoDb(), NOW));
    const fault = { path: 'tables.log[0]', message: 'It cannot be shown.' };
    const outcome = await importShop(db, file, function* () {
      for (let i = 0; i < 1000; i += 1) yield [];
      yield [fault];
    });
    expect(outcome).toEqual({ ok: false, faults: [fault] });
    expect(await exportShop(db, NOW)).toEqual(before);
  });

  const faultsAfter = async (spoil: (file: ReturnType<typeof JSON.parse>) => void) => {
    const db = await demoDb();
    const before = await exportShop(db, NOW);
    const file: unknown = JSON.parse(text(before));
    spoil(file);
    const outcome = await importShop(db, text(file));
    expect(await exportShop(db, NOW)).toEqual(before);
    return outcome.ok ? [] : outcome.faults.map((f) => f.path);
  };

  it.each<[string, (file: ReturnType<typeof JSON.parse>) => void, string[]]>([
    ['a foreign file', (f) => (f.format = 'other'), ['format']],
    ['no version', (f) => delete f.version, ['version']],
    ['a newer file', (f) => (f.version = SCHEMA_VERSION + 1), ['version']],
    ['a missing table', (f) => delete f.tables.coats, ['tables.coats']],
    ['an unknown table', (f) => (f.tables.spells = []), ['tables.spells']],
    [
      'a negative thickness',
      (f) => (f.tables.coats[1].thicknessM = -1),
      ['tables.coats[1].thicknessM'],
    ],
    [
      'a 10 km board',
      (f) => (f.tables.areas[0].shape.widthM = 10000),
      ['tables.areas[0].shape.widthM'],
    ],
    ['ratio 0', (f) => (f.tables.resins[0].sheet.ratio.a = 0), ['tables.resins[0].sheet.ratio.a']],
    [
      'a missing density',
      (f) => delete f.tables.resins[2].sheet.densityBKgM3,
      ['tables.resins[2].sheet.densityBKgM3'],
    ],
    [
      'windows out of order',
      (f) => (f.tables.resins[1].sheet.times.recoatClosesS = 61),
      ['tables.resins[1].sheet.times.recoatClosesS'],
    ],
    [
      'a coat of no piece',
      (f) => (f.tables.coats[0].pieceId = 'gone'),
      ['tables.coats[0].pieceId'],
    ],
    [
      'two rows with one id',
      (f) => (f.tables.pieces[1].id = f.tables.pieces[0].id),
      ['tables.pieces'],
    ],
    ['an id that no table takes', (f) => (f.tables.log[3].id = {}), ['tables.log[3].id']],
    [
      'edges that do not fit the shape',
      (f) => f.tables.areas[2].edges.pop(),
      ['tables.areas[2].edges'],
    ],
    ['a broken picture', (f) => (f.tables.photos[0].base64 = '***'), ['tables.photos[0].base64']],
  ])('%s', async (_name, spoil, paths) => {
    expect((await faultsAfter(spoil)).slice(0, 1)).toEqual(paths);
  });

  it('two coats of a piece in one place, or a poured one over a planned one: each named at its order', async () => {
    interface Row {
      pieceId: string;
      order: number;
      pouredMs: number | null;
    }
    const swapped = await faultsAfter((f) => {
      const coats = f.tables.coats as Row[];
      const planned = coats.find(
        (c) => c.pouredMs === null && coats.some((o) => o.pieceId === c.pieceId && o.pouredMs),
      );
      const poured = coats.find((c) => c.pieceId === planned?.pieceId && c.pouredMs !== null);
      if (planned && poured) [planned.order, poured.order] = [poured.order, planned.order];
    });
    expect(swapped[0]).toMatch(/^tables\.coats\[\d+\]\.order$/);
    const twice = await faultsAfter((f) => {
      const coats = f.tables.coats as Row[];
      const [first] = coats;
      for (const c of coats) if (c.pieceId === first?.pieceId) c.order = 1;
    });
    expect(twice[0]).toMatch(/^tables\.coats\[\d+\]\.order$/);
  });

  it('a truncated file, an empty one, and one that is only a number', async () => {
    const whole = text(await exportShop(await demoDb(), NOW));
    for (const bad of [whole.slice(0, -200), '', '42', 'null', '[]'])
      expect(await readShopFile(bad)).toMatchObject({ ok: false });
  });

  it('a poured coat without its room temperature', async () => {
    const paths = await faultsAfter((f) => {
      const coat = f.tables.coats.findIndex(
        (c: { pouredMs: number | null }) => c.pouredMs !== null,
      );
      f.tables.coats[coat].history = [];
    });
    expect(paths[0]).toMatch(/^tables\.coats\[\d+\]\.history$/);
  });
});

describe('migrations', () => {
  it('are named, gapless and in order', () => {
    expect(MIGRATIONS.map((m) => m.version)).toEqual(MIGRATIONS.map((_, i) => i + 1));
    expect(new Set(MIGRATIONS.map((m) => m.name)).size).toBe(MIGRATIONS.length);
    expect(tablesOf(SCHEMA_VERSION).sort()).toEqual([...TABLE_NAMES].sort());
  });

  it('open every past document, and every step has run', async () => {
    const ran = new Set<string>(['first tables']);
    migrate(v1Document.tables, v1Document.version, (name) => ran.add(name));
    expect([...ran]).toEqual(MIGRATIONS.map((m) => m.name));
    for (const document of Object.values(FILES))
      expect(await readShopFile(text(document))).toMatchObject({ ok: true });
    const torn = { ...v2Document.tables, pieces: undefined };
    expect(await readShopFile(text({ ...v2Document, tables: torn }))).toMatchObject({
      faults: [{ path: 'tables.pieces' }],
    });
  });
});

describe('log as CSV', () => {
  it('is RFC 4180: CRLF, quotes doubled, one header, read back by a general parser', async () => {
    const db = freshDb();
    await shopWithCoat(db);
    const nasty = 'a "quoted", comma\r\nand line';
    await writeLogNote(db, contextAt(5), nasty, null);
    const [log, pieces, coats] = [
      await db.log.toArray(),
      await db.pieces.toArray(),
      await db.coats.toArray(),
    ];
    const csv = logCsv(log, pieces, coats);
    expect(csv.endsWith('\r\n')).toBe(true);
    expect(csv).toContain('"a ""quoted"", comma\r\nand line"');
    const rows = Papa.parse<Record<string, string>>(csv, {
      header: true,
      skipEmptyLines: true,
    }).data;
    expect(rows.map((r) => r['kind'])).toEqual([
      'resin added',
      'piece added',
      'coat planned',
      'prep done',
      'prep done',
      'prep done',
      'note',
    ]);
    expect(rows.at(-1)?.['text']).toBe(nasty);
    expect(rows[2]).toMatchObject({
      piece: 'Sill',
      coat: 'Flood 1',
      time: '2026-01-01T00:02:00.000Z',
      figures: 'thicknessM=0.0016',
    });
  });
});

describe('base64', () => {
  it('keeps every byte, past the size of one slice', async () => {
    const bytes = Uint8Array.from({ length: 100_001 }, (_, i) => (i * 31) % 256);
    const back = base64ToBlob(await blobToBase64(new Blob([bytes])), 'image/png');
    expect(new Uint8Array((await back?.arrayBuffer()) ?? new ArrayBuffer(0))).toEqual(bytes);
    expect(back?.type).toBe('image/png');
    expect(base64ToBlob(7, 'x')).toBeNull();
  });
});

describe('a database of a newer program', () => {
  it('is refused for writing, and can still be read whole', async () => {
    const name = 'newer-shop';
    const newer = createDb(name);
    newer.version(SCHEMA_VERSION + 1).stores({ spells: 'id' });
    await newer.open();
    await newer.table('spells').add({ id: 'kept' });
    newer.close();
    await expect(openShop(createDb(name))).rejects.toMatchObject({ code: 'newer' });
    const { version, tables } = await readOldShop(name);
    expect(version).toBe(SCHEMA_VERSION + 1);
    expect(tables['spells']).toEqual([{ id: 'kept' }]);
  });
});
