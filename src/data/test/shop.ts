import { asId, type Coat, DEFAULT_SETTINGS, plainArea, plainCoat, type Resin } from '@/records';
import { TEST_SHEET } from '@/core/resin/test/sheet';
import { createDb, type ShopDb } from '../db';
import { coatHolds } from '@/shop/prepFacts';
import { roomOf } from '@/shop/room';
import { doTask } from '../repos/prep';
import { saveResin } from '../repos/bench';
import { addPiece } from '../repos/survey';
import { planCoat } from '../repos/coats';
import type { ActionContext } from '../write';

let serial = 0;

/** A fresh database for one test; no other in the same process has its name. */
export const freshDb = (): ShopDb => createDb(`shop-${crypto.randomUUID()}`);

/** When the clock of a test starts. */
export const T0 = Date.UTC(2026, 0, 1);

/** The clock and identifiers of a test: minutes after T0, ids counted. */
export function contextAt(minutes: number): ActionContext {
  return {
    nowMs: T0 + minutes * 60_000,
    by: 'Ines',
    newId: <Name extends string>() => {
      serial += 1;
      return asId<Name>(`id-${serial}`);
    },
  };
}

export const TEST_RESIN: Resin = {
  id: asId('resin-1'),
  name: 'Test resin',
  note: '',
  price: null,
  declared: { serviceK: null, food: null, uvStable: null, colourShare: null, curesK: null },
  learnsFromMs: null,
  sheet: TEST_SHEET,
};

/** A shop with a resin, a square piece and one planned flood coat. */
export async function shopWithCoat(db: ShopDb): Promise<Coat> {
  await saveResin(db, contextAt(0), TEST_RESIN);
  const pieceId = await addPiece(db, contextAt(1), {
    name: 'Sill',
    count: 1,
    support: 'bare wood',
    note: '',
    job: '',
    dueMs: null,
    use: { hotCups: false, food: false, daylight: false },
    marks: [],
    level: null,
    bellyM: 0,
    areas: [
      {
        id: null,
        ...plainArea({ kind: 'rectangle', widthM: 0.3, heightM: 0.2 }, 0.018, [
          'open',
          'open',
          'open',
          'tape wall',
        ]),
      },
    ],
  });
  const areas = await db.areas.where('pieceId').equals(pieceId).toArray();
  const coatId = await planCoat(db, contextAt(2), {
    ...plainCoat(1.6e-3),
    pieceId,
    areaIds: areas.map((a) => a.id),
    name: 'Flood 1',
    resinId: TEST_RESIN.id,
  });
  const coat = await db.coats.get(coatId);
  if (!coat) throw new Error('no coat');
  await makeReady(db, coat, 3);
  return coat;
}

/** The rows that preparation is planned from, as they stand. */
export async function prepRows(db: ShopDb) {
  const [areas, layers, coats, resins] = await Promise.all([
    db.areas.toArray(),
    db.layers.toArray(),
    db.coats.toArray(),
    db.resins.toArray(),
  ]);
  const [defects, tasks, days] = await Promise.all([
    db.defects.toArray(),
    db.tasks.toArray(),
    db.room.orderBy('id').toArray(),
  ]);
  const settings = (await db.settings.get('shop')) ?? DEFAULT_SETTINGS;
  return { areas, layers, coats, resins, defects, tasks, room: roomOf(days), settings };
}

/** Does every needed step before a coat. */
export async function makeReady(db: ShopDb, coat: Coat, minutes: number): Promise<void> {
  const piece = await db.pieces.get(coat.pieceId);
  if (!piece) throw new Error('no piece');
  const { nowMs } = contextAt(minutes);
  for (const { task } of coatHolds(piece, coat.id, await prepRows(db), nowMs))
    await doTask(db, contextAt(minutes), { pieceId: piece.id, task }, { method: task.mask });
}
