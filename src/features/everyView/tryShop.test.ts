import 'fake-indexeddb/auto';
import { demoShop } from '@/demo';
import {
  exportShop,
  fillEmptyShop,
  checkShopFile,
  importShop,
  readShopFile,
} from '@/data/exchange/shopFile';
import { allFaults } from '@/data/exchange/faultSteps';
import { plainCell } from '@/data/exchange/csv';
import { logCsv } from '@/data/exchange/logCsv';
import { contextAt, freshDb, shopWithCoat } from '@/data/test/shop';
import { A, poured, started } from '@/data/test/wet';
import { writeLogNote } from '@/data/repos/bench';
import { noteDefect } from '@/data/repos/findings';
import { removeCoat } from '@/data/repos/coats';
import { leaveSession } from '@/data/repos/session';
import { undoAct } from '@/data/repos/undoAct';
import { weighA } from '@/data/repos/wet';
import { lastAct } from '@/data/test/wet';
import { troubleWords } from '../common/trouble/rowTrouble';
import { each, RowTrouble } from '@/shop/rowTrouble';
import { tryShop } from './tryShop';
import Papa from 'papaparse';

// Jest's sandbox makes `Math` about ten times slower than a browser's.
jest.setTimeout(120_000);

const NOW = Date.UTC(2026, 10, 24, 9, 30);
type File = { tables: Record<string, Record<string, never>[]> };

async function demoFile(): Promise<File> {
  const db = freshDb();
  await fillEmptyShop(db, demoShop(NOW));
  return JSON.parse(JSON.stringify(await exportShop(db, NOW))) as File;
}

describe('a shop file is tried before it is put in place', () => {
  it('the demo passes through every view', async () => {
    const read = await checkShopFile(JSON.stringify(await demoFile()), tryShop, NOW);
    expect(read).toMatchObject({ ok: true });
  });
  it('a row that only the views stumble over is named with its path, and nothing is imported', async () => {
    const file = await demoFile();
    const text = JSON.stringify(file);
    const read = await readShopFile(text);
    if (!read.ok) throw new Error('the demo is not sound');
    const coats = (read.tables['coats'] ?? []) as { pieceId: string }[];
    const spoilt = {
      ...read.tables,
      coats: coats.map((c, i) => (i === 4 ? { ...c, areaIds: null } : c)),
    };
    const [fault] = await allFaults(tryShop(spoilt, NOW));
    const pieces = read.tables['pieces'] as { id: string }[];
    const at = pieces.findIndex((p) => p.id === coats[4]?.pieceId);
    expect(fault).toMatchObject({
      path: `tables.pieces[${at}]`,
      message: expect.stringContaining('cannot be shown') as unknown,
    });
    const db = freshDb();
    const refused = await importShop(db, text, () => [[{ path: 'x', message: 'y' }]]);
    expect(refused).toEqual({ ok: false, faults: [{ path: 'x', message: 'y' }] });
    expect(await db.pieces.count()).toBe(0);
  });
});

describe('files that broke every page once are refused at their path', () => {
  const first = async (spoil: (tables: File['tables']) => void) => {
    const file = await demoFile();
    spoil(file.tables);
    const read = await readShopFile(JSON.stringify(file));
    return read.ok ? '' : (read.faults[0]?.path ?? '');
  };
  const set = (row: object | undefined, change: object) => Object.assign(row ?? {}, change);
  it.each<[string, (t: File['tables']) => void, RegExp]>([
    [
      'an edge profile without its kind',
      (t) => set((t['areas']?.[0] as unknown as { edges: object[] }).edges[0], { profile: {} }),
      /^tables\.areas\[0\]\.edges\[0\]\.profile/,
    ],
    [
      'an intention without its kind',
      (t) => set(t['coats']?.[1], { intent: { thicknessM: 1e-3 } }),
      /^tables\.coats\[1\]\.intent/,
    ],
    [
      'a reserve without its kind',
      (t) => set(t['coats']?.[1], { reserve: { confidence: 0.9 } }),
      /^tables\.coats\[1\]\.reserve/,
    ],
    [
      'an instant at the end of the calendar',
      (t) => set(t['pieces']?.[0], { createdMs: 8.64e15 }),
      /^tables\.pieces\[0\]\.createdMs$/,
    ],
    [
      'an instant before any bench',
      (t) => set(t['log']?.[3], { atMs: 5 }),
      /^tables\.log\[3\]\.atMs$/,
    ],
    [
      'an id that is a script',
      (t) => set(t['resins']?.[0], { id: '"><script>' }),
      /^tables\.resins\[0\]\.id$/,
    ],
    [
      'a figure that every object has',
      (t) => set(t['log']?.[2], { figures: { constructor: 1 } }),
      /^tables\.log\[2\]\.figures/,
    ],
    [
      'a log entry about nothing',
      (t) => set(t['log']?.[2], { aboutId: 'gone' }),
      /^tables\.log\[2\]\.aboutId$/,
    ],
    [
      'two entries in one place of the log',
      (t) => set(t['log']?.[2], { seq: 1 }),
      /^tables\.log\[\d+\]\.seq$/,
    ],
    [
      'a traced face without its photo',
      (t) => (t['photos'] = (t['photos'] ?? []).filter((p) => p['defectId'] !== null)),
      /^tables\.areas\[\d+\]\.measured\.photoId$/,
    ],
    [
      'an open session of no coat',
      (t) => set(t['sessions']?.[0], { coatIds: ['gone'], endedMs: null }),
      /^tables\.(sessions|batches)\[0\]\.coatIds\[0\]$/,
    ],
    ['a row that is no object', (t) => t['tasks']?.push(null as never), /^tables\.tasks\[\d+\]$/],
  ])('%s', async (_what, spoil, path) => {
    expect(await first((t) => void spoil(t))).toMatch(path);
  });
  it('an old file whose rows have not the form of its version is refused, not thrown at', async () => {
    const file = { format: 'bilamina.shop', version: 1, tables: {} as Record<string, unknown[]> };
    for (const t of [
      'settings',
      'resins',
      'pieces',
      'sessions',
      'batches',
      'coats',
      'defects',
      'photos',
      'log',
    ])
      file.tables[t] = [];
    file.tables['areas'] = [{ id: 'a' }];
    expect(await readShopFile(JSON.stringify(file))).toMatchObject({
      ok: false,
      faults: [{ path: 'tables' }],
    });
  });
});

describe('what the shop itself wrote always comes in again', () => {
  it('after a session was left and its coat taken off the plan', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    const { sessionId, batchId } = await started(db, coat);
    await weighA(db, contextAt(11), batchId, A);
    await leaveSession(db, contextAt(12), sessionId);
    await removeCoat(db, contextAt(13), coat.id);
    expect(
      await importShop(freshDb(), JSON.stringify(await exportShop(db, NOW)), tryShop, NOW),
    ).toMatchObject({ ok: true });
  });
  it('after a pour was undone under a noted defect', async () => {
    const db = freshDb();
    const { batchId, sessionId, coat } = await poured(db);
    await noteDefect(db, contextAt(20), {
      pieceId: coat.pieceId,
      coatId: coat.id,
      kind: 'bubbles',
      note: '',
      photo: null,
    });
    for (let i = 0; i < 4; i += 1)
      await undoAct(db, contextAt(21), batchId, await lastAct(db, batchId));
    await leaveSession(db, contextAt(22), sessionId);
    await removeCoat(db, contextAt(23), coat.id);
    expect(await db.defects.toArray()).toMatchObject([{ coatId: null }]);
    expect(
      await importShop(freshDb(), JSON.stringify(await exportShop(db, NOW)), tryShop, NOW),
    ).toMatchObject({ ok: true });
  });
  it('the log as CSV runs nothing in a table program, and reads back to the letter', async () => {
    const db = freshDb();
    await shopWithCoat(db);
    const texts = ['=1+1', '+cmd', '-2', '@sum', "'quoted", '\ttab', 'plain', "it's"];
    for (const text of texts) await writeLogNote(db, contextAt(5), text, null);
    const [log, pieces, coats] = [
      await db.log.toArray(),
      await db.pieces.toArray(),
      await db.coats.toArray(),
    ];
    const csv = logCsv(log, pieces, coats);
    const rows = Papa.parse<Record<string, string>>(csv, {
      header: true,
      skipEmptyLines: true,
    }).data;
    for (const cell of rows.flatMap((r) => Object.values(r)))
      expect(cell).not.toMatch(/^[=+\-@\t\r]/);
    expect(rows.slice(-texts.length).map((r) => plainCell(r['text'] ?? ''))).toEqual(texts);
  });
});

describe('rows that cannot be read', () => {
  it('are named, and the others go on', () => {
    const rows = [{ id: 'a', name: 'Board' }, { id: 'b' }, { id: 'c' }];
    const { values, troubles } = each('coats', rows, (row) => {
      if (row.id === 'a') throw new Error('no areas');
      if (row.id === 'b') throw new RowTrouble('areas', { id: 'x' }, 'torn');
      return row.id;
    });
    expect(values).toEqual(['c']);
    expect(troubles.map(troubleWords)).toEqual(['coat “Board” (a)', 'area (x)']);
    expect(troubles.map((t) => t.message)).toEqual(['no areas', 'torn']);
    expect(troubleWords(new Error('other'))).toBe('');
  });
});
