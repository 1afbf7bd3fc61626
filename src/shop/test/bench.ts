import type { WetAct, WetEvent } from '@/core/wet';
import {
  asId,
  type Area,
  type Batch,
  BATCHES,
  type Coat,
  COATS,
  DEFAULT_SETTINGS,
  type Defect,
  DEFECTS,
  type Layer,
  type LogEntry,
  type Lot,
  LOTS,
  plainArea,
  plainCoat,
  type PrepRecord,
  roomDays,
  type SourcedReading,
  TASKS,
} from '@/records';
import { roomOf } from '../room';
import type { Shop } from '../shop';
import { plainPiece, plainResin } from './rows';

export const HOUR = 3_600_000;
const MIN = 60_000;
/** When part A is weighed in a batch of these tests. */
const T0 = Date.UTC(2026, 0, 10, 9);
export const at = (minutes: number): number => T0 + minutes * MIN;

/** An act and its minute. */
export type TimedAct = readonly [minutes: number, act: WetAct];

/** Acts of a batch by the minute; their ids are `e0`, `e1` …. */
export const acts = (...timed: TimedAct[]): WetEvent[] =>
  timed.map(([minutes, act], i) => ({ ...act, id: `e${i}`, atMs: at(minutes) }));

/** Weighed right (1 : 1 by volume, 230 + 200 g), stirred three minutes, poured at ten, covered at thirty. */
export const usualActs = (coatId = 'flood') =>
  [
    [0, { is: 'weighed A', kg: 0.23, by: 'read' }],
    [2, { is: 'mixed', kg: 0.2, by: 'read' }],
    [3, { is: 'stir started' }],
    [6, { is: 'stirred' }],
    [10, { is: 'poured', coatId }],
    [30, { is: 'covered', coatId }],
  ] as const satisfies readonly TimedAct[];

const PIECE = asId<'piece'>('piece');
const RESIN = asId<'resin'>('resin');

export const aBatch = (
  id: string,
  coatIds: readonly string[],
  change: Partial<Batch> = {},
): Batch => ({
  ...BATCHES.defaults,
  id: asId(id),
  sessionId: asId('session'),
  resinId: RESIN,
  coatIds: coatIds.map((c) => asId(c)),
  targetM3: 0.4e-3,
  targetAKg: 0.23,
  targetBKg: 0.2,
  events: acts(...usualActs(coatIds[0])),
  ...change,
});

/** A flood of 2 mm, poured eight minutes after its mix. */
export const aCoat = (id: string, order: number, change: Partial<Coat> = {}): Coat => ({
  ...COATS.defaults,
  ...plainCoat(2e-3),
  id: asId(id),
  pieceId: PIECE,
  name: id,
  resinId: RESIN,
  order,
  areaIds: [asId('face')],
  staysM: [2e-3],
  batchId: asId('batch'),
  mixedMs: at(2),
  pouredMs: at(10),
  coveredMs: at(30),
  ...change,
});

/** A coat that is only planned. */
export const plannedCoat = (id: string, order: number, change: Partial<Coat> = {}): Coat =>
  aCoat(id, order, { batchId: null, mixedMs: null, pouredMs: null, coveredMs: null, ...change });

export const aFace = (change: Partial<Area> = {}): Area => ({
  ...plainArea({ kind: 'rectangle', widthM: 0.3, heightM: 0.2 }, 0.018),
  id: asId('face'),
  pieceId: PIECE,
  porosity: 'sealed',
  ...change,
});

/** The face between walls of tape. */
export const walledFace = (): Area => {
  const face = aFace();
  return { ...face, edges: face.edges.map((e) => ({ ...e, kind: 'tape wall' })) };
};

export const aTask = (rule: string, change: Partial<PrepRecord> = {}): PrepRecord => ({
  ...TASKS.defaults,
  id: asId(`task ${rule}`),
  pieceId: PIECE,
  key: `${rule}:flood`,
  rule,
  title: rule,
  coatId: 'flood',
  state: 'done',
  doneMs: at(-30),
  scope: [],
  ...change,
});

/** Tape round the face, for the flood. */
export const aMask = (change: Partial<PrepRecord> = {}): PrepRecord =>
  aTask('mask', { method: 'painter’s tape', scope: ['face'], ...change });

export const aDefect = (id: string, change: Partial<Defect> = {}): Defect => ({
  ...DEFECTS.defaults,
  id: asId(id),
  pieceId: PIECE,
  coatId: asId('flood'),
  kind: 'fish eye',
  note: '',
  foundMs: at(24 * 60),
  ...change,
});

export const aLot = (name: string, change: Partial<Lot> = {}): Lot => ({
  ...LOTS.defaults,
  id: asId(name),
  resinId: RESIN,
  name,
  ...change,
});

/** Paint on the ground of the face. */
export const aLayer = (state: Layer['state'], change: Partial<Layer> = {}): Layer => ({
  id: asId('layer'),
  pieceId: PIECE,
  areaIds: [asId('face')],
  kind: 'paint',
  name: 'Ground',
  over: null,
  turn: 0,
  greatestM: 1e-4,
  meanM: 1e-4,
  share: 1,
  labelS: 3600,
  state,
  ...change,
});

/** A reading that a hand typed. */
export const read = (
  minutes: number,
  celsius: number,
  humidity = 0.5,
  surfaceC: number | null = null,
): SourcedReading => ({
  atMs: at(minutes),
  temperatureK: celsius + 273.15,
  humidity,
  surfaceK: surfaceC === null ? null : surfaceC + 273.15,
  source: { how: 'typed', by: 'Ines', coatId: null, out: false },
});
/** The room at the sheet's own temperature, read an hour before the mix. */
export const AT_22 = read(-60, 22);

export const entry = (change: Partial<LogEntry> = {}): LogEntry => ({
  id: asId('entry'),
  seq: 1,
  atMs: T0,
  kind: 'session started',
  text: '',
  by: 'Ines',
  pieceId: null,
  coatId: null,
  batchId: null,
  sessionId: asId('session'),
  aboutId: null,
  figures: {},
  ...change,
});

/** A shop with one piece of one face, a flood on it, the batch that it came from, and nothing else. */
export const benchShop = (change: Partial<Shop> = {}, ...readings: SourcedReading[]): Shop => ({
  settings: DEFAULT_SETTINGS,
  pieces: [plainPiece('piece')],
  areas: [aFace()],
  resins: [plainResin('resin')],
  lots: [],
  swatches: [],
  layers: [],
  defects: [],
  tasks: [],
  templates: [],
  coats: [aCoat('flood', 1)],
  sessions: [
    {
      id: asId('session'),
      resinId: RESIN,
      coatIds: [asId('flood')],
      startedMs: at(-10),
      endedMs: at(30),
    },
  ],
  batches: [aBatch('batch', ['flood'])],
  room: roomOf(roomDays(readings)),
  ...change,
});
