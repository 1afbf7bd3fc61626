import 'fake-indexeddb/auto';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { demoShop } from '@/demo';
import { plainCoat } from '@/records';
import { tryShop } from '@/features/everyView/tryShop';
import { largeShop } from '@/test/large/largeShop';
import { planCoat } from '../../repos/coats';
import { writeLogNote } from '../../repos/bench';
import { weighA } from '../../repos/wet';
import { contextAt, freshDb, shopWithCoat, T0 } from '../../test/shop';
import { A, started } from '../../test/wet';
import { exportShop, fillEmptyShop, readShopFile, type TryOut } from '../shopFile';
import type { ShopDb } from '../../db';
import { countLog, wholeLog } from '../../log';
import { linkFaults } from '../links';
import type { Rows } from './digest';
import {
  type Bundle,
  type BundleWhat,
  makeBundle,
  mergeBundle,
  noteShared,
  packBundle,
  previewMerge,
  readAll,
  readBundle,
} from '.';

const NOW = Date.UTC(2026, 10, 24, 9, 30);
const still = () => Promise.resolve();

async function demoDb(): Promise<ShopDb> {
  const db = freshDb();
  await fillEmptyShop(db, demoShop(NOW));
  return db;
}
const bundleOf = (db: ShopDb, what: BundleWhat, minute = 0): Promise<Bundle> =>
  makeBundle(db, {
    ...{ what, name: 'Bundle', by: 'Ada', nowMs: contextAt(minute).nowMs },
    newId: () => contextAt(minute).newId(),
  });
/** A bundle as another machine gets it: packed, written, read. */
async function handOver(db: ShopDb, what: BundleWhat, minute = 0): Promise<Bundle> {
  const bundle = await bundleOf(db, what, minute);
  const read = await readBundle(await packBundle(bundle, still), still);
  if (!read.ok) throw new Error(JSON.stringify(read.faults));
  await noteShared(db, bundle);
  return read.bundle;
}
const takeIn = (db: ShopDb, bundle: Bundle, minute: number, side?: 'mine' | 'theirs') =>
  previewMerge(db, bundle).then(({ units }) =>
    mergeBundle(
      db,
      bundle,
      new Map(
        side
          ? units
              .filter((u) => u.fate === 'both')
              .map((u) => [u.unit, { side, whole: false }] as const)
          : [],
      ),
      tryShop,
      contextAt(minute),
    ),
  );

describe('a bundle as a file', () => {
  it('packed and read is the same, photos to the byte', async () => {
    const db = await demoDb();
    const bundle = await bundleOf(db, { kind: 'shop' });
    const read = await readBundle(await packBundle(bundle, still), still);
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    expect(read.bundle.head).toEqual(bundle.head);
    const plain = ({ photos, ...rows }: Rows) => ({ ...rows, photos: photos.length });
    expect(plain(read.bundle.rows)).toEqual(plain(bundle.rows));
    const bytes = async ({ photos }: Rows) =>
      Promise.all(
        photos.map(async (p) => [
          p.id,
          [...new Uint8Array(await (p['blob'] as Blob).arrayBuffer())],
        ]),
      );
    expect(await bytes(read.bundle.rows)).toEqual(await bytes(bundle.rows));
    expect(bundle.rows.photos.length).toBeGreaterThan(0);
  });

  it('Python and sha256sum read it, where they are', async () => {
    const db = await demoDb();
    const folder = mkdtempSync(path.join(tmpdir(), 'bundle-'));
    const file = path.join(folder, 'b.zip');
    writeFileSync(file, await packBundle(await bundleOf(db, { kind: 'shop' }), still));
    const python = spawnSync('python3', ['-m', 'zipfile', '-e', file, folder]);
    if (python.error) return;
    expect(python.status).toBe(0);
    const data = JSON.parse(readFileSync(path.join(folder, 'bundle.json'), 'utf8')) as {
      tables: Record<string, unknown[]>;
    };
    expect(data.tables['pieces']).toHaveLength(await db.pieces.count());
    const sums = spawnSync('sha256sum', ['--check', '--strict', 'SHA256SUMS'], { cwd: folder });
    if (!sums.error) expect(sums.status).toBe(0);
    expect(readFileSync(path.join(folder, 'index.html'), 'utf8')).toContain('Door numerals');
  });

  it('what was damaged, cut short, left out or is none is refused with the file that it is about', async () => {
    const db = await demoDb();
    const bytes = await packBundle(await bundleOf(db, { kind: 'shop' }), still);
    const spoilt = async (spoil: (files: Record<string, Uint8Array>) => void) => {
      const files = unzipSync(bytes);
      spoil(files);
      const read = await readBundle(zipSync(files, { level: 0 }), still);
      return read.ok ? 'taken' : read.faults.map((f) => `${f.path}: ${f.message}`).join('; ');
    };
    expect(await spoilt(() => undefined)).toBe('taken');
    expect(
      await spoilt((f) => {
        const text = strFromU8(f['bundle.json'] as Uint8Array);
        f['bundle.json'] = strToU8(text.replace('Door numerals', 'Door figures'));
      }),
    ).toMatch(/^bundle\.json: .*changed/);
    const photo = Object.keys(unzipSync(bytes)).find((n) => n.startsWith('photos/')) ?? '';
    expect(await spoilt((f) => delete f[photo])).toMatch(/^photos\/.*missing/);
    expect(await spoilt((f) => delete f['SHA256SUMS'])).toMatch(/checksums are missing/);
    const cut = await readBundle(bytes.slice(0, bytes.length / 2), still);
    expect(cut.ok ? [] : cut.faults[0]?.message).toMatch(/no ZIP file, or it was cut short/);
  });
});

describe('what comes along', () => {
  it('a bundle of any piece, job, sheet, session or list of steps names nothing that is not in it', async () => {
    const db = await demoDb();
    const all = await readAll(db);
    const whats: BundleWhat[] = [
      ...all.pieces.map((p) => ({ kind: 'piece', id: p.id }) as const),
      ...all.resins.map((r) => ({ kind: 'resin', id: r.id }) as const),
      ...all.sessions.map((s) => ({ kind: 'session', id: s.id }) as const),
      ...all.templates.map((t) => ({ kind: 'template', id: t.id }) as const),
      ...new Set(all.pieces.map((p) => String(p['job'])).filter((job) => job !== '')),
    ].map((what) => (typeof what === 'string' ? { kind: 'job', name: what } : what));
    expect(whats.length).toBeGreaterThan(10);
    for (const what of whats) {
      const { rows } = await bundleOf(db, what);
      expect([what, linkFaults(rows)]).toEqual([what, []]);
      expect(Object.values(rows).some((list) => list.length > 0)).toBe(true);
    }
  });
});

describe('taken in', () => {
  it('by an empty shop: the same shop, one entry more', async () => {
    const [desk, tablet] = [await demoDb(), freshDb()];
    const bundle = await handOver(desk, { kind: 'shop' });
    const result = await takeIn(tablet, bundle, 9);
    expect(result).toMatchObject({ ok: true, whole: [] });
    const [a, b] = [await exportShop(desk, NOW), await exportShop(tablet, NOW)];
    for (const table of Object.keys(a.tables))
      if (table !== 'log' && table !== 'shares' && table !== 'drafts')
        expect([table, b.tables[table]]).toEqual([table, a.tables[table]]);
    const last = await tablet.log.orderBy('seq').last();
    expect(last).toMatchObject({ kind: 'bundle taken in', text: 'Bundle' });
    expect(last?.seq).toBe((await countLog(desk)) + 1);
    // Once more: nothing is new.
    const again = await previewMerge(tablet, bundle);
    expect(again.units.every((u) => u.fate === 'same')).toBe(true);
    expect(again.entries).toBe(0);
  }, 120_000);

  it('a wet session goes from the desk to the tablet and back, with what was done there', async () => {
    const desk = freshDb();
    const tablet = freshDb();
    const coat = await shopWithCoat(desk);
    const { sessionId } = await started(desk, coat);
    const what = { kind: 'session', id: sessionId } as const;
    await takeIn(tablet, await handOver(desk, what, 21), 22);
    const [batch] = await tablet.batches.toArray();
    if (!batch) throw new Error('no batch came over');
    await weighA(tablet, contextAt(23), batch.id, A);
    const back = await handOver(tablet, what, 24);
    const preview = await previewMerge(desk, back);
    expect(preview.units.find((u) => u.kind === 'session')?.fate).toBe('theirs');
    expect(await takeIn(desk, back, 25)).toMatchObject({ ok: true });
    const [here] = await desk.batches.toArray();
    expect(here?.events.map((e) => e.is)).toEqual(['weighed A']);
    expect((await wholeLog(desk)).some((e) => e.kind === 'weighed A')).toBe(true);
  });

  it('coats that both put in one place do not fit together: the piece is taken whole from one side', async () => {
    for (const side of ['mine', 'theirs'] as const) {
      const [desk, tablet] = [freshDb(), freshDb()];
      const coat = await shopWithCoat(desk);
      await takeIn(tablet, await handOver(desk, { kind: 'shop' }, 30), 31);
      const { pieceId, areaIds, resinId } = coat;
      const plan = { ...plainCoat(1e-3), pieceId, areaIds, resinId };
      await planCoat(desk, contextAt(32), { ...plan, name: 'Desk' });
      await planCoat(tablet, contextAt(33), { ...plan, name: 'Tablet' });
      const back = await handOver(tablet, { kind: 'shop' }, 34);
      const { units } = await previewMerge(desk, back);
      const piece = units.find((u) => u.kind === 'piece');
      expect(piece?.fate).toBe('together');
      const result = await mergeBundle(
        ...([desk, back] as const),
        new Map(piece ? [[piece.unit, { side, whole: false }]] : []),
        tryShop,
        contextAt(35),
      );
      expect(result).toMatchObject({ ok: true, whole: [piece?.unit] });
      const names = (await desk.coats.toArray()).map((c) => c.name).sort();
      expect(names).toEqual([coat.name, side === 'mine' ? 'Desk' : 'Tablet'].sort());
    }
  });

  it('never half: a bundle that cannot be shown, or a write that fails, changes nothing', async () => {
    const desk = await demoDb();
    await shopWithCoat(desk).catch(() => undefined);
    const tablet = freshDb();
    await shopWithCoat(tablet);
    await writeLogNote(tablet, contextAt(3), 'mine', null);
    const before = await readAll(tablet);
    const bundle = await bundleOf(desk, { kind: 'shop' });
    const fault = { path: 'tables.pieces[0]', message: 'no' };
    const refused = await mergeBundle(
      ...([tablet, bundle, new Map()] as const),
      () => [[fault]],
      contextAt(40),
    );
    expect(refused).toMatchObject({ ok: false });
    expect(await readAll(tablet)).toEqual(before);
    tablet.shares.hook('creating', () => {
      throw new Error('no room left');
    });
    await expect(takeIn(tablet, bundle, 41)).rejects.toThrow('no room left');
    expect(await readAll(tablet)).toEqual(before);
  }, 120_000);

  it('a large bundle is tried while it is written: a fault that is found last takes all of it back', async () => {
    const read = await readShopFile(largeShop(NOW, 100));
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    const db = await demoDb();
    const before = await readAll(db);
    const { head } = await bundleOf(db, { kind: 'shop' });
    const bundle: Bundle = { head, rows: read.tables as Rows };
    const given: number[] = [];
    const lay = (tryOut: TryOut) =>
      mergeBundle(db, bundle, new Map(), tryOut, contextAt(42), (share) => given.push(share));
    const fault = { path: 'tables.room[0]', message: 'no' };
    let pulled = 0;
    const late = await lay(function* () {
      for (pulled = 0; pulled < 5000; pulled += 1) yield [];
      yield [fault];
    });
    expect(late).toEqual({ ok: false, faults: [fault] });
    expect(pulled).toBe(5000);
    expect(await readAll(db)).toEqual(before);
    expect(await lay(tryShop)).toMatchObject({ ok: true, whole: [] });
    expect(given.at(-1)).toBeGreaterThan(0.99);
    expect(await countLog(db)).toBe(before.log.length + bundle.rows.log.length + 1);
  });

  it('remembers the newest bundles only', async () => {
    const db = freshDb();
    await shopWithCoat(db);
    for (let i = 0; i < 15; i += 1) await noteShared(db, await bundleOf(db, { kind: 'shop' }, i));
    const kept = await db.shares.orderBy('atMs').toArray();
    expect(kept).toHaveLength(12);
    expect(kept.at(-1)?.atMs).toBe(T0 + 14 * 60_000);
  });
});
