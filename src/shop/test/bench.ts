import type { WetAct, WetEvent } from '@/core/wet';
import {
  asId,
  type Area,
  type Batch,
  type Coat,
  DEFAULT_SETTINGS,
  type Defect,
  type LogEntry,
  NOT_LOOKED,
  plainArea,
  plainCoat,
  type PrepRecord,
  roomDays,
  type SourcedReading,
} from '@/records';
import { roomOf } from '../room';
import type { Shop } from '../shop';
import { plainPiece, plainResin } from './rows';

export const HOUR = 3_600_000;
export const MIN = 60_000;
/** When part A is weighed in a batch of these tests. */
export const T0 = Date.UTC(2026, 0, 10, 9);
export const at = (minutes: number): number => T0 + minutes * MIN;

/** An act and its minute. */
export type Told = readonly [minutes: number, act: WetAct];

/** Acts of a batch by the minute; their ids are `e0`, `e1` …. */
export const acts = (...told: Told[]): WetEvent[] =>
  told.map(([minutes, act], i) => ({ ...act, id: `e${i}`, atMs: at(minutes) }));

/** Weighed right (1 : 1 by volume, 230 + 200 g), stirred three minutes, poured at ten, covered at thirty. */
export const usualActs = (coatId = 'flood') =>
  [
    [0, { is: 'weighed A', kg: 0.23, by: 'read' }],
    [2, { is: 'mixed', kg: 0.2, by: 'read' }],
    [3, { is: 'stir started' }],
    [6, { is: 'stirred' }],
    [10, { is: 'poured', coatId }],
    [30, { is: 'covered', coatId }],
  ] as const satisfies readonly Told[];

export const aBatch = (
  id: string,
  coatIds: readonly string[],
  change: Partial<Batch> = {},
): Batch => ({
  ...{ id: asId(id), sessionId: asId('session'), resinId: asId('resin'), lotId: null },
  ...{ coatIds: coatIds.map((c) => asId(c)), measure: 'weight', targetM3: 0.4e-3 },
  ...{ targetAKg: 0.23, targetBKg: 0.2, cups: [], tareKg: null, reading: null },
  events: acts(...usualActs(coatIds[0])),
  ...change,
});

export const aCoat = (id: string, order: number, change: Partial<Coat> = {}): Coat => ({
  ...plainCoat(2e-3),
  ...{ id: asId(id), pieceId: asId('piece'), name: id, resinId: asId('resin'), order },
  ...{ areaIds: [asId('face')], staysM: [2e-3], batchId: asId('batch') },
  ...{ mixedMs: at(2), pouredMs: at(10), coveredMs: at(30), learned: null, touches: [] },
  ...change,
});

export const aFace = (change: Partial<Area> = {}): Area => ({
  ...plainArea({ kind: 'rectangle', widthM: 0.3, heightM: 0.2 }, 0.018),
  ...{ id: asId('face'), pieceId: asId('piece'), porosity: 'sealed' },
  ...change,
});

export const aTask = (rule: string, change: Partial<PrepRecord> = {}): PrepRecord => ({
  ...{ id: asId(`task ${rule}`), pieceId: asId('piece'), key: `${rule}:flood`, rule, title: rule },
  ...{ coatId: 'flood', state: 'done', doneMs: at(-30), scope: [], reason: '', result: null },
  ...{ order: null, method: null, limit: null, own: null },
  ...change,
});

export const aDefect = (id: string, change: Partial<Defect> = {}): Defect => ({
  ...{ id: asId(id), pieceId: asId('piece'), coatId: asId('flood'), kind: 'fish eye', note: '' },
  ...{ at: null, look: NOT_LOOKED, answers: {}, rescue: null, looks: [] },
  ...{ foundMs: at(24 * 60), repairedMs: null },
  ...change,
});

/** A reading that a hand typed. */
export const read = (
  minutes: number,
  celsius: number,
  humidity = 0.5,
  surfaceC: number | null = null,
): SourcedReading => ({
  ...{ atMs: at(minutes), temperatureK: celsius + 273.15, humidity },
  surfaceK: surfaceC === null ? null : surfaceC + 273.15,
  source: { how: 'typed', by: 'Ines', coatId: null, out: false },
});

export const entry = (change: Partial<LogEntry> = {}): LogEntry => ({
  ...{ id: asId('entry'), seq: 1, atMs: T0, kind: 'session started', text: '', by: 'Ines' },
  ...{ pieceId: null, coatId: null, batchId: null, sessionId: asId('session'), aboutId: null },
  figures: {},
  ...change,
});

/** A shop with one piece of one face, a flood on it, the batch that it came from, and nothing else. */
export const benchShop = (change: Partial<Shop> = {}, ...readings: SourcedReading[]): Shop => ({
  settings: DEFAULT_SETTINGS,
  pieces: [plainPiece('piece')],
  areas: [aFace()],
  resins: [plainResin('resin')],
  ...{ lots: [], swatches: [], layers: [], defects: [], tasks: [], templates: [] },
  coats: [aCoat('flood', 1)],
  sessions: [
    {
      ...{ id: asId('session'), resinId: asId('resin'), coatIds: [asId('flood')] },
      ...{ startedMs: at(-10), endedMs: at(30) },
    },
  ],
  batches: [aBatch('batch', ['flood'])],
  room: roomOf(roomDays(readings)),
  ...change,
});
