import 'fake-indexeddb/auto';
import { asId, plainCoat, type AreaCut, type Id } from '@/records';
import { settle } from '@/shop/settle';
import { keepShop } from '@/shop/shop';
import { readWhole } from '../changes';
import type { ShopDb } from '../db';
import { contextAt, freshDb, prepRows, shopWithCoat, T0, TEST_RESIN } from '../test/shop';
import { piecePrep } from '@/shop/prepFacts';
import { planCoat, planCoats, removeCoat, restoreCoat } from './coats';
import { splitCoat } from './splitCoat';
import { dropDraft, keepDraft } from './drafts';
import { addLayer, changeLayer, removeLayer, type NewLayer } from './layers';
import { doTask, reopenTask } from './prep';
import { changeSurvey, duplicatePiece, surveyOf } from './survey';
import { turnPiece } from './turn';

type AreaId = Id<'area'>;
const place = (name: string): AreaId => asId(name);
const layerOf = (
  pieceId: Id<'piece'>,
  areaIds: readonly AreaId[],
  over: Id<'coat'> | null,
): NewLayer => ({
  ...{ pieceId, areaIds, over, kind: 'varnish', name: 'Varnish', state: { at: 'planned' } },
  ...{ greatestM: 2e-4, meanM: 2e-4, share: 1, labelS: 3600 },
});

/** The survey of the test shop's piece, its face cut in two, and perhaps in three. */
async function cutSurvey(db: ShopDb, cuts: number) {
  const [piece] = await db.pieces.toArray();
  const rows = await db.areas.toArray();
  const face = rows.find((a) => a.partOf === null);
  if (!piece || !face) throw new Error('no piece');
  const told: AreaCut[] = [0.05, -0.05].slice(0, cuts).map((x, i) => ({
    ...{ of: place('p0'), makes: place(`p${i + 1}`), closed: false, kind: 'line', wallM: null },
    points: [
      [x, 0.2],
      [x, -0.2],
    ],
  }));
  const names = cuts === 0 ? [] : ['p0', ...told.map((c) => c.makes as string)];
  const areas = names.map((name) => ({
    ...face,
    ...{ id: place(name), name, partOf: face.id, cuts: [] },
  }));
  const survey = surveyOf(piece, [{ ...face, cuts: told }, ...areas]);
  await changeSurvey(db, contextAt(20), piece.id, survey);
  return { piece, face };
}

describe('a face is cut into places', () => {
  it('its coats lie on all of them, with what stays; joined back they lie on the face', async () => {
    const db = freshDb();
    const { id } = await shopWithCoat(db);
    await cutSurvey(db, 1);
    const cut = await db.coats.get(id);
    expect(cut?.areaIds).toEqual(['p0', 'p1']);
    expect(cut?.staysM).toHaveLength(2);
    await cutSurvey(db, 2);
    expect((await db.coats.get(id))?.areaIds).toEqual(['p0', 'p1', 'p2']);
    const widths = (await db.areas.toArray()).filter((a) => a.partOf).map((a) => a.shape);
    expect(widths).toHaveLength(3);
    const { face } = await cutSurvey(db, 0);
    expect((await db.coats.get(id))?.areaIds).toEqual([face.id]);
  });

  it('a place that only one coat covers cannot be joined away', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    await cutSurvey(db, 1);
    await planCoat(db, contextAt(21), {
      ...plainCoat(1e-3),
      ...{ pieceId: coat.pieceId, areaIds: [place('p1')], name: 'Patch', resinId: TEST_RESIN.id },
    });
    await expect(cutSurvey(db, 0)).rejects.toThrow('area needed');
    expect(await db.areas.count()).toBe(3);
  });
});

describe('layers between the coats', () => {
  it('raise what is planned over them, and are gone with their room', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    const layerId = await addLayer(db, contextAt(3), layerOf(coat.pieceId, coat.areaIds, null));
    const second = await addLayer(db, contextAt(4), layerOf(coat.pieceId, coat.areaIds, null));
    expect((await db.layers.get(second))?.turn).toBe(1);
    const { shop } = keepShop((await readWhole(db)).rows, settle);
    expect(shop.layers).toHaveLength(2);
    await removeLayer(db, contextAt(5), layerId);
    await expect(removeLayer(db, contextAt(6), layerId)).rejects.toThrow('layer gone');
    expect((await db.log.toArray()).map((e) => e.kind)).toEqual(
      expect.arrayContaining(['layer planned', 'layer removed']),
    );
  });

  it('are laid through the plan of steps: one row tells both, and it can be taken back', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    const id = await addLayer(db, contextAt(3), layerOf(coat.pieceId, coat.areaIds, null));
    const piece = await db.pieces.get(coat.pieceId);
    if (!piece) throw new Error('no piece');
    const state = async (minutes: number) => {
      const { state: plan } = piecePrep(piece, await prepRows(db), contextAt(minutes).nowMs);
      const placed = plan.tasks.find((t) => t.task.rule === 'layer');
      if (!placed) throw new Error('no step');
      return placed;
    };
    const { task } = await state(4);
    expect((await state(4)).state).toBe('open');
    await doTask(db, contextAt(5), { pieceId: piece.id, task });
    expect((await state(6)).state).toBe('drying');
    expect((await state(5 + 61)).state).toBe('done');
    await reopenTask(db, contextAt(7), { pieceId: piece.id, task });
    expect((await db.layers.get(id))?.state).toEqual({ at: 'planned' });
    const laidMs = contextAt(8).nowMs;
    await changeLayer(db, contextAt(8), id, { state: { at: 'laid', laidMs, dryMs: laidMs } });
    expect((await state(8)).state).toBe('done');
    const late = { at: 'laid', laidMs: laidMs + 1, dryMs: null } as const;
    await expect(changeLayer(db, contextAt(8), id, { state: late })).rejects.toThrow('future');
  });

  it('lie on what is left when their coat goes, and on it again when it comes back', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    const id = await addLayer(db, contextAt(3), layerOf(coat.pieceId, coat.areaIds, coat.id));
    await removeCoat(db, contextAt(4), coat.id);
    expect((await db.layers.get(id))?.over).toBeNull();
    await restoreCoat(db, contextAt(5), coat, [id]);
    expect((await db.layers.get(id))?.over).toBe(coat.id);
    expect((await db.coats.get(coat.id))?.order).toBe(coat.order);
    await expect(restoreCoat(db, contextAt(6), coat, [])).rejects.toThrow('done since');
    await splitCoat(db, contextAt(7), coat.id, [8e-4, 8e-4]);
    const lifts = await db.coats.orderBy('id').toArray();
    const last = lifts.sort((a, b) => a.order - b.order).at(-1);
    expect((await db.layers.get(id))?.over).toBe(last?.id);
  });

  it('come with a ready plan, and a coat goes in at its place', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    const told = {
      ...plainCoat(1e-3),
      ...{ pieceId: coat.pieceId, areaIds: coat.areaIds, resinId: TEST_RESIN.id },
    };
    const { kind, name, greatestM, meanM, share, labelS } = layerOf(coat.pieceId, [], null);
    const layer = { kind, name, greatestM, meanM, share, labelS, areaIds: coat.areaIds, turn: 0 };
    const [low, high] = await planCoats(
      db,
      contextAt(4),
      [
        { ...told, name: 'Low' },
        { ...told, name: 'High' },
      ],
      [{ ...layer, over: 0 }],
    );
    expect((await db.layers.toArray()).map((l) => l.over)).toEqual([low]);
    const between = await planCoat(db, contextAt(5), { ...told, name: 'Between', over: coat.id });
    const order = await Promise.all([coat.id, between, low, high].map((c) => db.coats.get(c!)));
    expect(order.map((c) => c?.order)).toEqual([1, 2, 3, 4]);
  });
});

describe('a piece like another', () => {
  it('has its places, coats and layers as a plan, under ids of its own', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    await cutSurvey(db, 2);
    const [cut] = await db.coats.toArray();
    await addLayer(db, contextAt(22), layerOf(coat.pieceId, cut?.areaIds ?? [], coat.id));
    await db.coats.put({ ...(cut ?? coat), pouredMs: T0, batchId: asId('b') });
    // One that has left is a template as well; the new one is in work.
    await db.pieces.update(coat.pieceId, { closedMs: T0, dueMs: T0 });
    const id = await duplicatePiece(db, contextAt(30), coat.pieceId, 'Second');
    const of = <R extends { readonly pieceId: Id<'piece'> }>(rows: R[]) =>
      rows.filter((r) => r.pieceId === id);
    const [areas, coats, layers] = await Promise.all([
      db.areas.toArray().then(of),
      db.coats.toArray().then(of),
      db.layers.toArray().then(of),
    ]);
    const face = areas.find((a) => a.cuts.length > 0);
    expect(areas.map((a) => a.partOf)).toEqual(expect.arrayContaining([face?.id, null]));
    expect(new Set(face?.cuts.flatMap((c) => [c.of, c.makes]))).toEqual(
      new Set(areas.filter((a) => a !== face).map((a) => a.id)),
    );
    expect(coats).toMatchObject([{ pouredMs: null, batchId: null }]);
    expect(await db.pieces.get(id)).toMatchObject({ name: 'Second', closedMs: null, dueMs: null });
    expect(layers[0]?.over).toBe(coats[0]?.id);
    expect(coats[0]?.areaIds).toEqual(layers[0]?.areaIds);
    expect(await db.areas.count()).toBe(8);
    await expect(duplicatePiece(db, contextAt(31), asId('none'), 'Third')).rejects.toThrow(
      'piece gone',
    );
  });
});

describe('turning, and drafts', () => {
  it('a piece is turned, with its log; not while a coat is soft', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    expect(await turnPiece(db, contextAt(5), coat.pieceId)).toBe('back');
    expect(await turnPiece(db, contextAt(6), coat.pieceId)).toBe('front');
    const pouredMs = contextAt(7).nowMs;
    await db.coats.put({ ...coat, mixedMs: pouredMs, pouredMs });
    await expect(turnPiece(db, contextAt(60), coat.pieceId)).rejects.toThrow('too soft');
    expect(await turnPiece(db, contextAt(7 + 60 * 48), coat.pieceId)).toBe('back');
    const turned = (await db.log.toArray()).filter((e) => e.kind === 'piece turned');
    expect(turned.map((e) => e.text)).toEqual(['back up', 'face up', 'back up']);
    await expect(turnPiece(db, contextAt(9), asId('none'))).rejects.toThrow('piece gone');
  });

  it('a draft is kept and dropped, and leaves no trace in the log', async () => {
    const db = freshDb();
    const id = asId<'draft'>('survey-new');
    await keepDraft(db, { id, pieceId: null, keptMs: T0, json: '{"a":1}' });
    await keepDraft(db, { id, pieceId: null, keptMs: T0 + 1, json: '{"a":2}' });
    expect(await db.drafts.toArray()).toMatchObject([{ json: '{"a":2}' }]);
    await dropDraft(db, id);
    expect(await db.drafts.count()).toBe(0);
    expect(await db.log.count()).toBe(0);
  });
});
