import 'fake-indexeddb/auto';
import { asId, DEFAULT_SETTINGS } from '@/records';
import { isRefusal } from './errors';
import { mergeRecord, mergeRows } from './merge';
import { changeCoat } from './repos/coats';
import { saveResin, saveSettings } from './repos/bench';
import { changeSurvey, surveyOf } from './repos/survey';
import { contextAt, freshDb, shopWithCoat, TEST_RESIN } from './test/shop';

const base = { a: 1, b: 2, deep: { kind: 'x', c: 3, d: 4 }, list: [1, 2] };

describe('two changes of one record', () => {
  it('of different fields are both kept, inside objects as well', () => {
    const mine = { ...base, a: 10, deep: { ...base.deep, c: 30 } };
    const theirs = { ...base, b: 20, deep: { ...base.deep, d: 40 } };
    expect(mergeRecord(mine, theirs, { base })).toEqual({
      value: { a: 10, b: 20, deep: { kind: 'x', c: 30, d: 40 }, list: [1, 2] },
      conflicts: [],
    });
  });
  it('of one field are told with both values; a side may be preferred', () => {
    const mine = { ...base, a: 10, list: [1] };
    const theirs = { ...base, a: 11, list: [2] };
    expect(mergeRecord(mine, theirs, { base }).conflicts).toEqual([
      { field: 'a', mine: 10, theirs: 11 },
      { field: 'list', mine: [1], theirs: [2] },
    ]);
    expect(mergeRecord(mine, theirs, { base, prefer: 'mine' })).toEqual({
      value: mine,
      conflicts: [],
    });
    expect(mergeRecord(mine, theirs, { base, prefer: 'theirs' })).toEqual({
      value: theirs,
      conflicts: [],
    });
  });
  it('of one field to the same value are no conflict', () => {
    const both = { ...base, a: 10 };
    expect(mergeRecord(both, { ...both }, { base })).toEqual({ value: both, conflicts: [] });
  });
  it('a value that is another kind of thing is one field, not a mixture of both', () => {
    const mine = { ...base, deep: { kind: 'y', c: 3, d: 4 } };
    const theirs = { ...base, deep: { kind: 'z', c: 3, d: 9 } };
    expect(mergeRecord(mine, theirs, { base }).conflicts).toMatchObject([{ field: 'deep' }]);
  });
  it('what a form rounds while it reads a row is no change of its user', () => {
    const stored = { ...base, a: 1.0000001 };
    const read = { ...base, a: 1 };
    const theirs = { ...stored, a: 7 };
    expect(mergeRecord(read, theirs, { base: stored, read })).toEqual({
      value: theirs,
      conflicts: [],
    });
    // Without a change of theirs the stored value stays to its last digit.
    expect(mergeRecord(read, stored, { base: stored, read }).value.a).toBe(1.0000001);
  });
});

describe('two changes of one list', () => {
  const rows = [
    { id: 'p', name: 'P', v: 1 },
    { id: 'q', name: 'Q', v: 1 },
  ];
  const [p, q] = rows as [(typeof rows)[0], (typeof rows)[0]];
  it('added here and there, taken away here or there', () => {
    const mine = [p, { id: null, name: 'new', v: 0 }] as const;
    const theirs = [p, q, { id: 'r', name: 'R', v: 1 }];
    expect(mergeRows(mine, theirs, { base: rows }).value.map((r) => r.name)).toEqual([
      'P',
      'new',
      'R',
    ]);
    expect(mergeRows(rows, [p], { base: rows }).value.map((r) => r.name)).toEqual(['P']);
  });
  it('taken away on one side but changed on the other stays; changed on both is told by its name', () => {
    const changed = { ...q, v: 2 };
    expect(mergeRows([p], [p, changed], { base: rows }).value).toEqual([p, changed]);
    expect(mergeRows([p, changed], [p], { base: rows }).value).toEqual([p, changed]);
    expect(mergeRows([p, changed], [p, { ...q, v: 3 }], { base: rows }).conflicts).toEqual([
      { field: 'Q: v', mine: 2, theirs: 3 },
    ]);
  });
});

describe('in the shop', () => {
  it('settings: what was changed elsewhere is kept, one field of both is refused until one side is chosen', async () => {
    const db = freshDb();
    await saveSettings(db, contextAt(0), DEFAULT_SETTINGS);
    await saveSettings(db, contextAt(1), { ...DEFAULT_SETTINGS, currency: '€' });
    const mine = { ...DEFAULT_SETTINGS, person: 'Rowan' };
    const stored = await saveSettings(db, contextAt(2), mine, { base: DEFAULT_SETTINGS });
    expect(stored).toMatchObject({ currency: '€', person: 'Rowan' });
    const clash = saveSettings(
      db,
      contextAt(3),
      { ...mine, currency: '$' },
      { base: DEFAULT_SETTINGS },
    );
    const error: unknown = await clash.catch((e: unknown) => e);
    expect(isRefusal(error, 'conflict') && error.data.fields).toEqual([
      { field: 'currency', mine: '$', theirs: '€' },
    ]);
    expect(await db.settings.get('shop')).toEqual(stored);
  });
  it('a sheet is merged field by field', async () => {
    const db = freshDb();
    await saveResin(db, contextAt(0), TEST_RESIN);
    await saveResin(db, contextAt(1), {
      ...TEST_RESIN,
      sheet: { ...TEST_RESIN.sheet, stirS: 180 },
    });
    const mine = { ...TEST_RESIN, note: 'new lot' };
    await saveResin(db, contextAt(2), mine, { base: TEST_RESIN });
    expect(await db.resins.get(TEST_RESIN.id)).toMatchObject({
      note: 'new lot',
      sheet: { stirS: 180 },
    });
  });
  it('a survey keeps the area and the note that another tab added', async () => {
    const db = freshDb();
    const { pieceId } = await shopWithCoat(db);
    const read = async () => {
      const piece = await db.pieces.get(pieceId);
      if (!piece) throw new Error('no piece');
      return surveyOf(piece, await db.areas.where('pieceId').equals(pieceId).toArray());
    };
    const begun = await read();
    const [face] = begun.areas;
    if (!face) throw new Error('no face');
    const back = { ...face, id: asId<'area'>('their-back'), name: 'Back', kind: 'back' as const };
    await changeSurvey(db, contextAt(5), pieceId, {
      ...begun,
      note: 'theirs',
      areas: [face, back],
    });
    const mine = { ...begun, areas: [{ ...face, porosity: 'porous' as const }] };
    await changeSurvey(db, contextAt(6), pieceId, mine, [], { base: begun });
    const now = await read();
    expect(now.note).toBe('theirs');
    expect(now.areas.map((a) => [a.name, a.porosity]).sort()).toEqual([
      ['Back', 'sealed'],
      ['Face', 'porous'],
    ]);
  });
  it('a coat: the same field of two people is told, their own quick steps are not', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    await changeCoat(db, contextAt(4), coat.id, { restS: 60 });
    const mine = { restS: 120 };
    const clash = changeCoat(db, contextAt(5), coat.id, mine, { base: { restS: coat.restS } });
    await expect(clash).rejects.toMatchObject({
      code: 'conflict',
      data: { fields: [{ field: 'restS', mine: 120, theirs: 60 }] },
    });
    const own = { base: { restS: coat.restS }, own: { restS: 60 } };
    await changeCoat(db, contextAt(6), coat.id, mine, own);
    expect(await db.coats.get(coat.id)).toMatchObject({ restS: 120 });
    const late = { base: { restS: 0 }, prefer: 'theirs' as const };
    await changeCoat(db, contextAt(7), coat.id, { restS: 5, name: 'Mine' }, late);
    expect(await db.coats.get(coat.id)).toMatchObject({ restS: 120, name: 'Flood 1' });
  });
});
