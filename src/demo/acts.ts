import type { Intent } from '@/core/coat';
import type { CoatKind } from '@/core/piece';
import type { MaskMethod } from '@/core/prep';
import { massRatioBA, type TouchFind } from '@/core/resin';
import type { ShopDb } from '@/data/db';
import { writeLogNote } from '@/data/repos/bench';
import { planCoat } from '@/data/repos/coats';
import { addLayer } from '@/data/repos/layers';
import { addTask, keepTemplate, type NewTask } from '@/data/repos/ownSteps';
import { doTask, waiveTask, type Doing } from '@/data/repos/prep';
import { noteRoom } from '@/data/repos/room';
import { startSession } from '@/data/repos/session';
import { noteTouch } from '@/data/repos/touch';
import { addPiece, changeSurvey, surveyOf } from '@/data/repos/survey';
import { coverCoat, endStir, mixB, pourCoat, startStir, weighA } from '@/data/repos/wet';
import type { ActionContext } from '@/data/write';
import { asId, PIECES, plainCoat, stateOf, type Coat, type Piece } from '@/records';
import { placesIn } from '@/shop/places';
import { faceRows, type LayerSpec, type PieceSpec } from './pieceSpec';
import { ledgerOf, splitOf } from '@/shop/coatView';
import { learnedPace } from '@/shop/learned';
import { lotInUse } from '@/shop/lots';
import { holdsOf, prepOf } from '@/shop/prepView';
import { coatNamed, coatSeen, pieceNamed, shopNow, type Teller } from './teller';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const C = 273.15;

export interface CoatSpec {
  readonly name: string;
  readonly kind: CoatKind;
  /** Id of its resin. */
  readonly resin: string;
  /** A thickness, m, or what the coat is to do. */
  readonly thicknessM?: number;
  readonly intent?: Intent;
  /** Names of its areas; all but a recess when left out. */
  readonly on?: readonly string[];
  readonly more?: Partial<
    Pick<Coat, 'coverage' | 'colours' | 'overrides' | 'restS' | 'reserve' | 'line' | 'freesDams'>
  >;
}

/** A drawn picture that stands for a photo. */
export const drawn = (name: string, widthPx: number, heightPx: number, svg: string) => ({
  ...{ name, widthPx, heightPx },
  blob: new Blob([svg], { type: 'image/svg+xml' }),
});

type Read = Omit<NonNullable<Piece['level']>, 'readMs'>;

/** The propped piece is read. */
async function readLevel(db: ShopDb, c: ActionContext, piece: Piece, level: Read): Promise<void> {
  const survey = surveyOf(piece, await db.areas.where('pieceId').equals(piece.id).toArray());
  await changeSurvey(db, c, piece.id, { ...survey, level: { ...level, readMs: c.nowMs } });
}

/** What is read when it has been wedged until the bubble stands. */
const WEDGED = { tilt: { alongX: 0.00005, alongY: 0 }, by: 'typed' } as const;

/** The acts of the bench by the names of pieces and coats, as a story tells them. */
export class Bench {
  constructor(readonly story: Teller) {}

  note(atMs: number, text: string): void {
    this.story.at(atMs, (db, c) => writeLogNote(db, c, text, null));
  }

  /** The room is read, °C and share. */
  room(atMs: number, celsius: number, humidity: number): void {
    this.story.at(atMs, (db, c) =>
      noteRoom(db, c, { fromMs: c.nowMs, temperatureK: C + celsius, humidity }),
    );
  }

  piece(atMs: number, spec: PieceSpec): void {
    const { about, more = [], photos = [], name, count = 1, support, note } = spec;
    const use = { hotCups: false, food: false, daylight: false };
    const surveyOfSpec = (c: ActionContext) => ({
      ...PIECES.defaults,
      ...{ name, count, support, note, use },
      ...about,
      areas: [...faceRows(spec, () => c.newId<'area'>()), ...more.map((a) => ({ ...a, id: null }))],
    });
    this.story.at(atMs, (db, c) => addPiece(db, c, surveyOfSpec(c), photos));
  }

  /** The propped piece is read. */
  level(atMs: number, piece: string, level: Read): void {
    this.story.at(atMs, async (db, c) => {
      return readLevel(db, c, await pieceNamed(db, piece), level);
    });
  }

  coat(atMs: number, piece: string, spec: CoatSpec): void {
    const { name, kind, resin, thicknessM = 1e-3, intent, on, more } = spec;
    this.story.at(atMs, async (db, c) => {
      const { id: pieceId } = await pieceNamed(db, piece);
      const areas = await db.areas.where('pieceId').equals(pieceId).toArray();
      const own = placesIn(areas).areas.filter((a) =>
        on ? on.includes(a.name) : a.kind !== 'recess' && !a.bare,
      );
      return planCoat(db, c, {
        ...plainCoat(thicknessM),
        ...(intent && { intent }),
        ...more,
        ...{ name, kind, pieceId, areaIds: own.map((a) => a.id), resinId: asId(resin) },
      });
    });
  }

  /** A layer that is not resin goes between the coats. */
  layer(atMs: number, piece: string, spec: LayerSpec): void {
    const { on, over, state = 'planned', ...told } = spec;
    this.story.at(atMs, async (db, c) => {
      const { id: pieceId } = await pieceNamed(db, piece);
      const areas = await db.areas.where('pieceId').equals(pieceId).toArray();
      const areaIds = areas.filter((a) => on.includes(a.name)).map((a) => a.id);
      const below = over === undefined ? null : (await coatNamed(db, piece, over)).id;
      return addLayer(db, c, { ...told, pieceId, areaIds, over: below, state: { at: state } });
    });
  }

  /** A step of the preparation is done, for a coat or for none. */
  do(atMs: number, piece: string, rule: string, coat: string | null, how: Doing = {}): void {
    this.story.at(atMs, async (db, c) => {
      const task = await this.task(db, c, piece, rule, coat);
      return doTask(db, c, { pieceId: (await pieceNamed(db, piece)).id, task }, how);
    });
  }

  waive(atMs: number, piece: string, rule: string, coat: string | null, reason: string): void {
    this.story.at(atMs, async (db, c) => {
      const task = await this.task(db, c, piece, rule, coat);
      return waiveTask(db, c, { pieceId: (await pieceNamed(db, piece)).id, task }, reason);
    });
  }

  keepList(atMs: number, piece: string, name: string): void {
    this.story.at(atMs, async (db, c) =>
      keepTemplate(db, c, (await pieceNamed(db, piece)).id, name),
    );
  }

  ask(
    atMs: number,
    piece: string,
    told: Pick<NewTask, 'title' | 'needed'> &
      Partial<Pick<Extract<NewTask, { kind: 'note' }>, 'on' | 'labelS'>>,
  ): void {
    this.story.at(atMs, async (db, c) =>
      addTask(db, c, (await pieceNamed(db, piece)).id, {
        ...{ kind: 'note', areaIds: [], on: { at: 'next' }, labelS: 0 },
        ...told,
      }),
    );
  }

  /** @throws RangeError where the plan has no such step at that time */
  private async task(
    db: ShopDb,
    { nowMs }: ActionContext,
    piece: string,
    rule: string,
    coat: string | null,
  ) {
    const coatId = coat === null ? null : (await coatNamed(db, piece, coat)).id;
    const { state } = prepOf(await shopNow(db), await pieceNamed(db, piece), nowMs);
    const placed = state.tasks.find(
      ({ task }) => task.rule === rule && (coat === null || task.coatId === coatId),
    );
    if (placed) return placed.task;
    const there = state.tasks.map(({ task }) => `${task.rule} (${task.coatId})`).join(', ');
    throw new RangeError(`demo: ${piece} has no ${rule} for ${coat}; it has ${there}`);
  }

  /** Every step that still holds a coat back is done, minute by minute. */
  private ready(fromMs: number, piece: string, coat: string, by: string, mask: MaskMethod): void {
    for (let i = 0; i < 12; i += 1)
      this.story.at(
        fromMs + i * MINUTE,
        async (db, c) => {
          const row = await pieceNamed(db, piece);
          const { id } = await coatNamed(db, piece, coat);
          const held = holdsOf(await shopNow(db), row, id, c.nowMs).find(
            (t) => t.state === 'open' || t.state === 'redo',
          );
          if (!held) return;
          if (held.task.spoiled === 'out of level')
            return readLevel(db, c, row, { ...WEDGED, props: row.level?.props ?? [] });
          const method = held.task.mask === null ? null : mask;
          await doTask(db, c, { pieceId: row.id, task: held.task }, { method });
        },
        by,
      );
  }

  /**
   * A whole wet session for one coat: made ready, weighed, mixed, stirred, poured and covered.
   * @param bareAfterH the mask is taken off so many hours after the pour
   */
  pour(pouredMs: number, piece: string, coat: string, celsius: number, bareAfterH?: number): void {
    const by = this.story.anyone();
    const slip = 1 + this.story.slip() * 0.012;
    const step = (
      minutes: number,
      act: (db: ShopDb, c: ActionContext, row: Coat) => Promise<unknown>,
    ) =>
      this.story.at(
        pouredMs + minutes * MINUTE,
        async (db, c) => act(db, c, await coatNamed(db, piece, coat)),
        by,
      );
    const batchOf = (row: Coat) => row.batchId ?? asId<'batch'>('');
    const toTenth = (kg: number) => Math.round(kg * 1e4) / 1e4;
    this.ready(pouredMs - 40 * MINUTE, piece, coat, by, 'painter’s tape');
    step(-17, async (db, c) => {
      const seen = await coatSeen(db, piece, coat, c.nowMs);
      const ledger = ledgerOf(seen);
      const split = ledger.ok ? splitOf(ledger.value, seen.resin) : null;
      if (!ledger.ok || !split) throw new RangeError(`demo: ${piece}, ${coat} has no volume`);
      const { id, resinId } = seen.coat;
      const lotId = lotInUse(await shopNow(db), resinId)?.lot.id ?? null;
      return startSession(db, c, {
        ...{ resinId, lotId, temperatureK: C + celsius },
        batches: [
          {
            ...{ coatIds: [id], targetM3: ledger.value.totalM3 },
            ...{ targetAKg: split.aKg, targetBKg: split.bKg },
          },
        ],
      });
    });
    const batch = async (db: ShopDb, row: Coat) => {
      const found = await db.batches.get(batchOf(row));
      if (!found) throw new RangeError(`demo: ${piece}, ${coat} is not being mixed`);
      return found;
    };
    step(-13, async (db, c, row) => {
      const { id, targetAKg } = await batch(db, row);
      return weighA(db, c, id, { kg: toTenth(targetAKg), by: 'read' });
    });
    step(-11, async (db, c, row) => {
      const found = await batch(db, row);
      const { aKg } = stateOf(found);
      const resin = await db.resins.get(row.resinId);
      const ratio = resin ? massRatioBA(resin.sheet) : NaN;
      return mixB(db, c, found.id, { kg: toTenth((aKg ?? NaN) * ratio * slip), by: 'read' });
    });
    step(-10, (db, c, row) => startStir(db, c, batchOf(row)));
    step(-5, (db, c, row) => endStir(db, c, batchOf(row)));
    step(0, async (db, c, row) => {
      const shop = await shopNow(db);
      const resin = shop.resins.find((r) => r.id === row.resinId);
      return pourCoat(db, c, batchOf(row), row.id, resin ? learnedPace(shop, resin) : null);
    });
    step(9, (db, c, row) => coverCoat(db, c, batchOf(row), row.id));
    if (bareAfterH !== undefined)
      this.do(pouredMs + bareAfterH * HOUR, piece, 'unmask', null, { method: 'painter’s tape' });
  }

  /** A gloved finger touches a coat. */
  touch(atMs: number, [piece, coat]: readonly [string, string], found: TouchFind): void {
    this.story.at(atMs, async (db, c) =>
      noteTouch(db, c, (await coatNamed(db, piece, coat)).id, found),
    );
  }

  /** A finger found it near its sheet, a touch slower, three times. */
  touchedWhileCuring(pouredMs: number, coat: readonly [string, string]): void {
    this.touch(pouredMs + 8.5 * HOUR, coat, 'strings');
    this.touch(pouredMs + 9.6 * HOUR, coat, 'tacky');
    this.touch(pouredMs + 17.9 * HOUR, coat, 'leathery');
  }
}
