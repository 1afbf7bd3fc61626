import type { AirStep } from '@/core/climate';
import { unmaskAges, type MaskMethod } from '@/core/prep';
import { readAt, ROOM_LIMITS_K, timeline, type CoatWindow, type WindowKind } from '@/core/resin';
import { spanText } from '@/features/common/clockText';
import type { Coat } from '@/records';
import { timelineInput } from '@/shop/clockOf';
import type { CoatView } from '@/shop/coatView';
import { ofPiece } from '@/shop/ofPiece';
import { laidMasks } from '@/shop/prepFacts';
import { airThen, lastReadMs, recordOf, type Room } from '@/shop/room';
import type { Shop } from '@/shop/shop';
import { FieldReader } from '@/features/common/fieldReader';
import type { FormRead } from '@/features/common/formErrors';
import type { Format } from '@/features/common/useFormat';

const TITLES: Readonly<Record<Exclude<WindowKind, 'unmask'>, string>> = {
  recoat: 'Recoat without sanding',
  handle: 'Handle, demould',
  'warm load': 'Warm load',
};

export interface WindowRow extends CoatWindow {
  readonly title: string;
  readonly words: string;
}

type Rows = Pick<Shop, 'room' | 'settings' | 'tasks' | 'coats'>;

/** How a coat is masked: by what stands under it, else as the piece or the shop does it. */
export function maskOf({ piece, coat }: CoatView, { settings, tasks, coats }: Rows): MaskMethod {
  const below = new Set(
    ofPiece(coats, piece.id)
      .filter((c) => c.order <= coat.order)
      .map((c) => c.id),
  );
  const pouredMs = coat.pouredMs ?? Infinity;
  const stands = laidMasks(ofPiece(tasks, piece.id)).filter(
    (m) => below.has(m.coatId as Coat['id']) && (m.takenOffMs ?? Infinity) > pouredMs,
  );
  return stands.at(-1)?.method ?? piece.prep.mask ?? settings.prep.mask;
}

const MASK_TITLES: Readonly<Record<MaskMethod, string>> = {
  'painter’s tape': 'Take painter’s tape off',
  'cloth tape': 'Take cloth tape off',
  latex: 'Peel the latex',
  'PVA glue': 'Peel the glue',
  none: '',
};

/** The windows of a coat with what each says now; the mask’s is that of its method, and goes where nothing is masked. */
export function windowRows(view: CoatView, shop: Rows, nowMs: number): WindowRow[] {
  const method = maskOf(view, shop);
  const unmask = unmaskAges(method, view.resin.sheet.times);
  const input = timelineInput(view.coat, view.resin.sheet, shop.room);
  const windows = input
    ? readAt(timeline(unmask ? { ...input, unmask } : input), nowMs).windows
    : (view.clock?.windows ?? []);
  const shown = unmask ? windows : windows.filter((w) => w.kind !== 'unmask');
  return shown.map((w) => {
    const words =
      w.status === 'before'
        ? `in ${spanText(w.opensMs - nowMs)}`
        : w.status === 'shut'
          ? 'shut'
          : w.closesMs === null
            ? '✓ open'
            : `✓ open, ${spanText(w.closesMs - nowMs)} left`;
    return { ...w, title: w.kind === 'unmask' ? MASK_TITLES[method] : TITLES[w.kind], words };
  });
}

export interface RoomRow {
  readonly words: string;
  readonly atMs: number | null;
  readonly temperatureK: number;
}

/** The room of a coat since its pour in a few lines: then, coldest, warmest, last; what nobody read says so. */
export function roomSince({ coat }: CoatView, room: Room, nowMs: number): RoomRow[] {
  const record = recordOf(room, coat.id);
  const pouredMs = coat.pouredMs ?? nowMs;
  const readMs = lastReadMs(room, coat.id);
  const isRead = ({ fromMs }: AirStep) => readMs !== null && fromMs <= readMs;
  const row = (words: string, step: AirStep, atMs = step.fromMs): RoomRow => {
    const { temperatureK } = step;
    if (readMs === null) return { words: `${words}, taken as usual`, atMs, temperatureK };
    // Past the newest reading it is what the record makes the room to be.
    const how = isRead(step) ? ', as read before' : ', by the forecast';
    return { words: atMs > readMs ? words + how : words, atMs, temperatureK };
  };
  const then = airThen(record, pouredMs);
  const since = record.filter((s) => s.fromMs > pouredMs && s.fromMs <= nowMs);
  const rows = [row('at the pour', then, pouredMs)];
  const last = since.at(-1);
  if (!last) return rows;
  if (since.length > 1) {
    const by = (pick: (a: number, b: number) => boolean) =>
      [then, ...since].reduce((a, b) => (pick(b.temperatureK, a.temperatureK) ? b : a));
    const extremes = { coldest: by((a, b) => a < b), warmest: by((a, b) => a > b) };
    for (const [words, step] of Object.entries(extremes))
      rows.push(row(words, step, Math.max(step.fromMs, pouredMs)));
  }
  const newest = isRead(last) ? row('last, from', last) : { ...row('now', last), atMs: null };
  return [...rows, newest];
}

export interface TemperatureDraft {
  temperature: string;
  ago: string;
  of: 'room' | 'apart';
}
export interface TemperatureStepRead {
  readonly temperatureK: number;
  readonly fromMs: number;
  /** It was read beside a coat that stands apart from the room. */
  readonly apart: boolean;
}

/** Reads a room temperature and since when it holds; not before the pour, not in the future. */
export function readTemperature(
  draft: TemperatureDraft,
  pouredMs: number,
  nowMs: number,
  format: Format,
): FormRead<TemperatureDraft, TemperatureStepRead> {
  const reader = new FieldReader<keyof TemperatureDraft>(format);
  const temperatureK = reader.quantity(
    'temperature',
    draft.temperature,
    'temperature',
    ROOM_LIMITS_K,
  );
  const agoS = reader.quantity('ago', draft.ago, 'duration', {
    min: 0,
    max: (nowMs - pouredMs) / 1000,
  });
  if (!reader.sound) return { ok: false, errors: reader.errors };
  const fromMs = Math.max(pouredMs, Math.round(nowMs - agoS * 1000));
  return { ok: true, value: { temperatureK, fromMs, apart: draft.of === 'apart' } };
}
