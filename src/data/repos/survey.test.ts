import 'fake-indexeddb/auto';
import { asId, plainArea } from '@/records';
import { contextAt, freshDb, shopWithCoat } from '../test/shop';
import { changeSurvey } from './survey';

describe('survey', () => {
  const picture = (id: string) => ({
    id: asId<'photo'>(id),
    name: id,
    widthPx: 1,
    heightPx: 1,
    blob: new Blob(['x']),
  });
  const box = { left: -1, right: 1, low: -1, high: 1 };
  const [photoId, planPhotoId] = [asId<'photo'>('p1'), asId<'photo'>('p2')];
  const traced = { by: 'photo', photoId, planPhotoId, box, sigmaShare: 0.01 } as const;

  async function surveyed() {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    const [piece] = await db.pieces.toArray();
    const [face] = await db.areas.toArray();
    if (!piece || !face) throw new Error('no piece');
    const {
      id: pieceId,
      name,
      count,
      support,
      note,
      job,
      dueMs,
      use,
      marks,
      level,
      bellyM,
    } = piece;
    const told = { name, count, support, note, job, dueMs, use, marks, level, bellyM };
    const recess = {
      ...plainArea({ kind: 'disc', diameterM: 0.05 }, 0, ['tape wall'], 'recess'),
      depthM: 3e-3,
    };
    return { db, coat, pieceId, face, survey: { ...told, areas: [face] }, recess };
  }

  it('adds, changes and deletes areas; the log has each save', async () => {
    const { db, pieceId, survey, face, recess } = await surveyed();
    await changeSurvey(db, contextAt(3), pieceId, {
      ...survey,
      name: 'Long sill',
      areas: [
        { ...face, porosity: 'porous' },
        { ...recess, id: null },
      ],
    });
    expect(await db.pieces.get(pieceId)).toMatchObject({ name: 'Long sill' });
    expect((await db.areas.toArray()).map((a) => [a.kind, a.porosity])).toEqual(
      expect.arrayContaining([
        ['face', 'porous'],
        ['recess', 'sealed'],
      ]),
    );
    await changeSurvey(db, contextAt(4), pieceId, survey);
    expect(await db.areas.count()).toBe(1);
    const kinds = (await db.log.toArray()).map((e) => e.kind);
    expect(kinds.filter((k) => k === 'piece changed')).toHaveLength(2);
  });

  it('an area under a coat stays, and nothing else of that save is kept', async () => {
    const { db, pieceId, survey, recess } = await surveyed();
    const without = { ...survey, name: 'Gone', areas: [{ ...recess, id: null }] };
    await expect(changeSurvey(db, contextAt(3), pieceId, without)).rejects.toThrow('area needed');
    expect(await db.pieces.get(pieceId)).toMatchObject({ name: 'Sill' });
    expect(await db.areas.count()).toBe(1);
    await expect(changeSurvey(db, contextAt(3), asId('nobody'), survey)).rejects.toThrow(
      'piece gone',
    );
  });

  it('keeps the photos that an area was traced from, as long as it names them', async () => {
    const { db, pieceId, survey, face } = await surveyed();
    const photos = [picture('p1'), picture('p2')];
    await changeSurvey(
      db,
      contextAt(3),
      pieceId,
      { ...survey, areas: [{ ...face, measured: traced }] },
      photos,
    );
    expect((await db.photos.toArray()).map((p) => p.pieceId)).toEqual([pieceId, pieceId]);
    await changeSurvey(db, contextAt(4), pieceId, survey);
    expect(await db.photos.count()).toBe(0);
  });
});
