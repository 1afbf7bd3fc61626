import { measureArea } from '@/core/coat';
import { measureShape, shapeBox, steepest, reachOf, type Point } from '@/core/geometry';
import {
  holdsBack,
  placeTasks,
  planPrep,
  type CoatInstants,
  type LaidMask,
  type PlacedTask,
  type PrepArea,
  type PrepFacts,
  type PrepState,
} from '@/core/prep';
import type { ResinSheet } from '@/core/resin';
import type { AirStep } from '@/core/climate';
import {
  type Area,
  type Coat,
  type Id,
  type Piece,
  type PrepRecord,
  type Settings,
  type Tables,
} from '@/records';
import { clockOf } from './clockOf';
import { byId, ofPiece } from './ofPiece';

/** The rows that a plan of preparation is made from. */
export type PrepRows = {
  readonly [T in 'areas' | 'coats' | 'resins' | 'defects' | 'tasks' | 'air']: readonly Tables[T][];
} & { readonly settings: Settings };

/** The room's record, at least one step: the settings' room where nothing was noted. */
export const airOf = ({ air, settings }: Pick<PrepRows, 'air' | 'settings'>): readonly AirStep[] =>
  air.length > 0
    ? air
    : [{ fromMs: 0, temperatureK: settings.roomTemperatureK, humidity: settings.roomHumidity }];

/** Rows never change once they are read, so what an area measures is remembered with its row. */
const knownAreas = new WeakMap<Area, PrepArea>();

function prepArea(area: Area): PrepArea {
  const known = knownAreas.get(area);
  if (known) return known;
  const measure = measureArea(area);
  const { id, name, kind, shape, at, depthM, porosity, relief, surface, damage } = area;
  const told: PrepArea = {
    ...{ id, name, kind, shape, at, depthM, porosity, relief, surface, damage },
    areaM2: measure.areaM2,
    edges: area.edges.map((edge, i) => ({
      kind: edge.kind,
      heightM: edge.heightM,
      lengthM: measure.edges[i]?.lengthM ?? 0,
    })),
    bareOutlineM: (shape.keepBare ?? []).reduce((sum, outer) => {
      const part = { kind: 'outline', outer, keepBare: [] } as const;
      return sum + measureShape(part).perimeterM;
    }, 0),
  };
  knownAreas.set(area, told);
  return told;
}

/** Instants of a poured coat by the record of its room. */
export function coatInstants(coat: Coat, sheet: ResinSheet, nowMs: number): CoatInstants | null {
  const { pouredMs } = coat;
  const clock = clockOf(coat, sheet, nowMs);
  if (pouredMs === null || !clock) return null;
  const { windows, spans } = clock;
  const window = (kind: string) => windows.find((w) => w.kind === kind);
  return {
    pouredMs,
    noFlowMs: spans[0]?.toMs ?? pouredMs,
    leatheryMs: window('unmask')?.opensMs ?? pouredMs,
    unmaskClosesMs: window('unmask')?.closesMs ?? Infinity,
    recoatOpensMs: window('recoat')?.opensMs ?? pouredMs,
    recoatClosesMs: window('recoat')?.closesMs ?? Infinity,
    handleMs: window('handle')?.opensMs ?? pouredMs,
  };
}

const prepAreas = new WeakMap<readonly Area[], readonly PrepArea[]>();

/** The same list for the same rows: what is worked out from it is remembered with it. */
function areasOf(rows: readonly Area[]): readonly PrepArea[] {
  const known = prepAreas.get(rows) ?? rows.map(prepArea);
  prepAreas.set(rows, known);
  return known;
}

/** Longest side of a face, m. */
const spans = new WeakMap<Area, number>();

const uphill = ({ level }: Piece): Point => [level?.tilt.alongX ?? 0, level?.tilt.alongY ?? 0];
const leans = (piece: Piece): boolean => Math.hypot(...uphill(piece)) > 0;

function spanOf(face: Area | undefined): number {
  if (!face) return 1e-3;
  const known = spans.get(face);
  if (known !== undefined) return known;
  const { widthM, heightM } = shapeBox(face.shape);
  const span = Math.max(widthM, heightM, 1e-3);
  spans.set(face, span);
  return span;
}

const recordOf = (records: readonly PrepRecord[], key: string) =>
  records.find((r) => r.key === key && r.state === 'done');

/** Masks that were put on, oldest first, with the instant they came off. */
export function laidMasks(records: readonly PrepRecord[]): LaidMask[] {
  return records
    .flatMap((record): LaidMask[] => {
      const [areaId] = record.scope;
      const { coatId, doneMs, method } = record;
      if (record.rule !== 'mask' || record.state !== 'done' || !areaId || !coatId) return [];
      if (doneMs === null || method === null) return [];
      const off = recordOf(records, `unmask:${coatId}.${areaId}`)?.doneMs ?? null;
      const takenOffMs = off !== null && off >= doneMs ? off : null;
      return [{ coatId, areaId, method, laidMs: doneMs, takenOffMs }];
    })
    .sort((a, b) => a.laidMs - b.laidMs);
}

/** Areas whose rub test failed after they were fixed last. */
const rubFailures = (records: readonly PrepRecord[]): string[] =>
  records.flatMap((rub) => {
    const [areaId] = rub.scope;
    if (rub.rule !== 'rub test' || rub.result !== 'colour comes off' || !areaId) return [];
    const fixedMs = recordOf(records, `fix art:${areaId}`)?.doneMs ?? -Infinity;
    return fixedMs <= (rub.doneMs ?? 0) ? [areaId] : [];
  });

/** What the rules look at, from the rows of the shop. Areas come face first, as they are given. */
export function prepFacts(piece: Piece, rows: PrepRows, nowMs: number): PrepFacts {
  const areas = ofPiece(rows.areas, piece.id);
  const records = ofPiece(rows.tasks, piece.id);
  const face = areas.find((a) => a.kind === 'face') ?? areas[0];
  return {
    nowMs,
    count: piece.count,
    support: piece.support,
    daylight: piece.use.daylight,
    hardware: piece.marks.map((m) => m.name),
    slope: piece.level ? steepest(piece.level.tilt).slope : null,
    spanM: face && leans(piece) ? reachOf(face.shape, uphill(piece)).lengthM : spanOf(face),
    areas: areasOf(areas),
    coats: ofPiece(rows.coats, piece.id).map((coat) => {
      const sheet = byId(rows.resins, coat.resinId)?.sheet;
      const { id, name, kind, order, areaIds, thicknessM, staysM, coverage } = coat;
      const poured = sheet ? coatInstants(coat, sheet, nowMs) : null;
      return { id, name, kind, order, areaIds, thicknessM, staysM, coverage, poured };
    }),
    defects: ofPiece(rows.defects, piece.id).filter((d) => d.repairedMs === null),
    masks: laidMasks(records),
    rubFailed: rubFailures(records),
    schools: { ...rows.settings.prep, ...piece.prep },
    limits: Object.fromEntries(records.flatMap((r) => (r.limit ? [[r.key, r.limit]] : []))),
    own: records.flatMap((r) => (r.own ? [r.own] : [])),
  };
}

/** The rows that a piece's plan hangs on: while they are the same ones, only time can change it. */
export const rowsBehind = (piece: Piece, rows: PrepRows): readonly unknown[] => [
  piece,
  rows.settings,
  rows.air,
  rows.resins,
  ...ofPiece(rows.areas, piece.id),
  ...ofPiece(rows.coats, piece.id),
  ...ofPiece(rows.defects, piece.id),
  ...ofPiece(rows.tasks, piece.id),
];

/** The plan of a piece with its state. */
export interface PiecePrep {
  readonly facts: PrepFacts;
  readonly state: PrepState;
  readonly records: readonly PrepRecord[];
}

export function piecePrep(piece: Piece, rows: PrepRows, nowMs: number): PiecePrep {
  const facts = prepFacts(piece, rows, nowMs);
  const records = ofPiece(rows.tasks, piece.id);
  const state = placeTasks(facts, planPrep(facts), records, airOf(rows));
  return { facts, state, records };
}

/** What holds a coat back now. */
export function coatHolds(
  piece: Piece,
  coatId: Id<'coat'>,
  rows: PrepRows,
  nowMs: number,
): readonly PlacedTask[] {
  const { facts, state } = piecePrep(piece, rows, nowMs);
  return holdsBack(facts, state, coatId);
}
