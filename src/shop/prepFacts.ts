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
  type PrepLayer,
  type PrepState,
} from '@/core/prep';
import { fitFaults, USUAL_COLOUR, type ResinSheet } from '@/core/resin';
import type { AirStep } from '@/core/climate';
import {
  asId,
  TASKS,
  type Area,
  type Coat,
  type Layer,
  type Id,
  type Piece,
  type PrepRecord,
  type Resin,
  type Settings,
  type Tables,
} from '@/records';
import { clockOf } from './clockOf';
import { byId, ofPiece } from './ofPiece';
import { placesIn } from './places';
import { airThen, type Room } from './room';
import { coversOf } from './prepCovers';

/** The rows that a plan of preparation is made from. */
export type PrepRows = {
  readonly [
    T in 'areas' | 'coats' | 'layers' | 'resins' | 'defects' | 'tasks'
  ]: readonly Tables[T][];
} & { readonly settings: Settings; readonly room: Room };

/** Rows never change once they are read, so what an area measures is remembered with its row. */
const knownAreas = new WeakMap<Area, PrepArea>();

function prepArea(area: Area): PrepArea {
  const known = knownAreas.get(area);
  if (known) return known;
  const measure = measureArea(area);
  const { id, name, kind, shape, at, depthM, porosity, relief, surface, damage, bare } = area;
  const told: PrepArea = {
    ...{ id, name, kind, shape, at, depthM, porosity, relief, surface, damage, bare },
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
export function coatInstants(
  coat: Coat,
  sheet: ResinSheet,
  room: Room,
  nowMs: number,
): CoatInstants | null {
  const { pouredMs } = coat;
  const clock = clockOf(coat, sheet, room, nowMs);
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
    curedMs: spans.find((s) => s.state === 'fully cured')?.fromMs ?? Infinity,
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

const uphill = ({ level }: Piece): Point => [level?.tilt?.alongX ?? 0, level?.tilt?.alongY ?? 0];
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

/** A surface that was read counts for an hour, ms: it follows the room. Judgement, no source. */
const SURFACE_HOLDS_MS = 3_600_000;

/** The newest reading of a surface up to an instant that still counts, K. */
function surfaceAt({ surfaces }: Room, nowMs: number): number | null {
  const read = surfaces.findLast((s) => s.atMs <= nowMs);
  return read && nowMs - read.atMs <= SURFACE_HOLDS_MS ? read.surfaceK : null;
}

/** The air as it was noted last, with the surface where that was read not long before; null: nobody noted it. */
export function airAt(room: Room, nowMs: number): NonNullable<PrepFacts['air']> | null {
  const first = room.read[0];
  if (!first || first.fromMs > nowMs) return null;
  const { temperatureK, humidity } = airThen(room.read, nowMs);
  return { temperatureK, humidity, surfaceK: surfaceAt(room, nowMs) };
}

/** The most colour that a mix bears: by its sheet, or what is usual. */
const colourOf = (resin: Resin | undefined) => {
  const told = resin?.declared.colourShare ?? null;
  return { share: told ?? USUAL_COLOUR, said: told !== null };
};

const recordOf = (records: readonly PrepRecord[], key: string) =>
  records.find((r) => r.key === key && r.state === 'done');

/** Masks that were put on, oldest first, with the instant they came off. */
export function laidMasks(
  records: readonly PrepRecord[],
  areas: readonly Pick<Area, 'id' | 'partOf'>[] = [],
): LaidMask[] {
  return records
    .flatMap((record): LaidMask[] => {
      const [areaId] = record.scope;
      const { coatId, doneMs, method } = record;
      if (record.rule !== 'mask' || record.state !== 'done' || !areaId || !coatId) return [];
      if (doneMs === null || method === null) return [];
      const off = recordOf(records, `unmask:${coatId}.${areaId}`)?.doneMs ?? null;
      const takenOffMs = off !== null && off >= doneMs ? off : null;
      // A mask of a face that has been cut since lies on all its places; each may be taken off by itself.
      const on = areas.filter((a) => a.partOf === areaId).map((a) => a.id);
      return (on.length > 0 ? on : [areaId]).map((id) => {
        const own = id === areaId ? null : recordOf(records, `unmask:${coatId}.${id}`)?.doneMs;
        return {
          coatId,
          areaId: id,
          method,
          laidMs: doneMs,
          takenOffMs: takenOffMs ?? own ?? null,
        };
      });
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
  const { areas, wholes, drawn } = placesIn(ofPiece(rows.areas, piece.id));
  const records = ofPiece(rows.tasks, piece.id);
  const told = areasOf(areas);
  const face = drawn.find((a) => a.kind === 'face') ?? drawn[0];
  return {
    nowMs,
    count: piece.count,
    support: piece.support,
    ...{ up: piece.up, turnedMs: piece.turnedMs },
    daylight: piece.use.daylight,
    hardware: piece.marks.map((m) => m.name),
    air: airAt(rows.room, nowMs),
    slope: piece.level?.tilt ? steepest(piece.level.tilt).slope : null,
    slopeMs: piece.level?.readMs ?? null,
    spanM: face && leans(piece) ? reachOf(face.shape, uphill(piece)).lengthM : spanOf(face),
    areas: told,
    coats: ofPiece(rows.coats, piece.id).map((coat) => {
      const resin = byId(rows.resins, coat.resinId);
      const sheet = resin?.sheet;
      const fit = resin ? fitFaults(piece.use, resin.declared) : [];
      const { id, name, kind, order, areaIds, thicknessM, staysM, coverage, freesDams } = coat;
      const { silicone, colours } = coat;
      const poured = sheet ? coatInstants(coat, sheet, rows.room, nowMs) : null;
      const covers = coversOf(areaIds, areas, wholes, told);
      return {
        ...{ id, name, kind, order, areaIds, thicknessM, staysM, coverage, freesDams, poured },
        silicone,
        ...(colours.length > 0 && { colour: colourOf(resin) }),
        ...(covers && { covers }),
        ...(fit.length > 0 && { fit }),
      };
    }),
    layers: ofPiece(rows.layers, piece.id).map(prepLayer),
    defects: ofPiece(rows.defects, piece.id).filter((d) => d.repairedMs === null),
    repaired: ofPiece(rows.defects, piece.id).flatMap(({ kind, coatId, repairedMs }) => {
      const coat = byId(rows.coats, coatId);
      const areaIds = coat?.areaIds ?? areas.map((a) => a.id);
      return repairedMs === null ? [] : [{ kind, areaIds, atMs: repairedMs }];
    }),
    masks: laidMasks(records, areas),
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
  rows.room,
  rows.resins,
  ...ofPiece(rows.areas, piece.id),
  ...ofPiece(rows.coats, piece.id),
  ...ofPiece(rows.layers, piece.id),
  ...ofPiece(rows.defects, piece.id),
  ...ofPiece(rows.tasks, piece.id),
];

function prepLayer(layer: Layer): PrepLayer {
  const { id, kind, areaIds, over, turn, greatestM, meanM, share, name, labelS, state } = layer;
  return {
    ...{ id, kind, areaIds, over, turn, greatestM, meanM, share, name, labelS },
    state: state.at,
    dryMs: state.at === 'laid' ? state.dryMs : null,
  };
}

/** That a layer was laid stands in its own row; the plan of steps sees it as done. */
const layerRecord = ({ id, pieceId, name, areaIds, state }: Layer): PrepRecord[] =>
  state.at === 'laid'
    ? [
        {
          ...{
            ...TASKS.defaults,
            id: asId<'task'>(id),
            pieceId,
            key: `layer:${id}`,
            rule: 'layer',
          },
          ...{ title: name, coatId: null, state: 'done', doneMs: state.laidMs, scope: areaIds },
        },
      ]
    : [];

/** The plan of a piece with its state. */
export interface PiecePrep {
  readonly facts: PrepFacts;
  readonly state: PrepState;
  readonly records: readonly PrepRecord[];
  /** The room's record, at least one step. */
  readonly air: readonly AirStep[];
}

export function piecePrep(piece: Piece, rows: PrepRows, nowMs: number): PiecePrep {
  const facts = prepFacts(piece, rows, nowMs);
  const layers = ofPiece(rows.layers, piece.id).flatMap(layerRecord);
  const records = [...ofPiece(rows.tasks, piece.id), ...layers];
  const air = rows.room.steps;
  const state = placeTasks(facts, planPrep(facts), records, air);
  return { facts, state, records, air };
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
