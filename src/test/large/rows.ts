import { coatLedger } from '@/core/coat';
import { massRatioBA, splitMix } from '@/core/resin';
import { seededRandom } from '@/core/numeric';
import {
  type Area,
  asId,
  type Batch,
  type Coat,
  COATS,
  type Id,
  LOG,
  type LogEntry,
  type LogKind,
  type Piece,
  PIECES,
  plainArea,
  plainCoat,
  type Resin,
  type SourcedReading,
  type WetSession,
} from '@/records';
import type { CoatSpec } from '@/demo/acts';
import type { PieceSpec } from '@/demo/pieceSpec';
import { filmOf, ledgerInput, type PlanGround } from '@/shop/coatFacts';

const MINUTE = 60_000;

type OnePiece = Omit<PieceSpec, 'more' | 'photos'>;
type OneCoat = Omit<CoatSpec, 'resin'> & { readonly resin: Resin };

interface Pour {
  readonly pouredMs: number;
  readonly temperatureK: number;
}

/** Writes rows and log of many pieces at once, in the form in which acts write them: acts would take too long. */
export class LargeRows {
  readonly pieces: Piece[] = [];
  readonly areas: Area[] = [];
  readonly coats: Coat[] = [];
  readonly sessions: WetSession[] = [];
  readonly readings: SourcedReading[] = [];
  readonly batches: Batch[] = [];
  readonly log: LogEntry[] = [];
  private readonly random = seededRandom(1874);
  private serial = 0;
  private person = '';
  constructor(private readonly people: readonly string[]) {}

  id<Name extends string>(kind: Name): Id<Name> {
    this.serial += 1;
    return asId(`demo-${kind}-${String(this.serial).padStart(4, '0')}`);
  }

  write(atMs: number, kind: LogKind, about: Partial<LogEntry> = {}): LogEntry {
    // One person works through a whole session.
    if (about.batchId === undefined || kind === 'session started')
      this.person = this.people[Math.floor(this.random() * this.people.length)] ?? '';
    const entry: LogEntry = {
      id: this.id('log'),
      seq: this.log.length + 1,
      atMs: Math.round(atMs),
      kind,
      by: this.person,
      ...LOG.defaults,
      ...about,
    };
    this.log.push(entry);
    return entry;
  }

  piece(atMs: number, spec: OnePiece): Piece {
    const { name, count = 1, support, note, shape, edgeHeightM, edges, about = {} } = spec;
    const piece: Piece = {
      ...PIECES.defaults,
      id: this.id('piece'),
      name,
      count,
      support,
      note,
      createdMs: Math.round(atMs),
      use: { hotCups: false, food: false, daylight: false },
      ...about,
    };
    this.pieces.push(piece);
    this.area(piece, { ...plainArea(shape, edgeHeightM, edges), ...spec.face });
    this.write(atMs, 'piece added', { pieceId: piece.id, text: name });
    return piece;
  }

  area(piece: Piece, area: Omit<Area, 'id' | 'pieceId'>): Area {
    const row = { ...area, id: this.id('area'), pieceId: piece.id };
    this.areas.push(row);
    return row;
  }

  /** A planned coat; `pour` lays it. */
  coat(atMs: number, piece: Piece, spec: OneCoat): Coat {
    const order = this.coats.filter((c) => c.pieceId === piece.id).length + 1;
    const areas = this.areas.filter((a) => a.pieceId === piece.id);
    const intent = spec.intent ?? { by: 'given', thicknessM: spec.thicknessM ?? 1.6e-3 };
    const row: Coat = {
      ...COATS.defaults,
      ...plainCoat(spec.thicknessM ?? 1.6e-3),
      ...spec.more,
      intent,
      kind: spec.kind,
      areaIds: areas.filter((a) => spec.on?.includes(a.name) ?? true).map((a) => a.id),
      order,
      id: this.id('coat'),
      pieceId: piece.id,
      name: spec.name,
      resinId: spec.resin.id,
    };
    const found = filmOf(row, this.ground(piece), spec.resin.sheet);
    if (!found.ok) throw new RangeError(`large shop: ${spec.name} cannot be laid`);
    const coat = { ...row, ...found.value };
    this.coats.push(coat);
    const { thicknessM } = coat;
    this.write(atMs, 'coat planned', {
      pieceId: piece.id,
      coatId: coat.id,
      text: spec.name,
      figures: { thicknessM },
    });
    return coat;
  }

  private ground(piece: Piece): PlanGround {
    return {
      piece,
      areas: this.areas.filter((a) => a.pieceId === piece.id),
      wholes: [],
      layers: [],
      coats: this.coats.filter((c) => c.pieceId === piece.id),
      sealed: new Set(),
    };
  }

  private volume(coat: Coat, piece: Piece, resin: Resin): number {
    const ledger = coatLedger(ledgerInput(coat, this.ground(piece), resin.sheet));
    if (!ledger.ok) throw new RangeError(`large shop: ${coat.name} has no ledger`);
    return ledger.value.totalM3;
  }

  /** A wet session for one coat, ending with its cover; of its steps only those that change a coat are logged. */
  pour(coat: Coat, resin: Resin, { pouredMs, temperatureK }: Pour): Coat {
    const piece = this.pieces.find((p) => p.id === coat.pieceId);
    if (!piece) throw new RangeError('large shop: coat without piece');
    const targetM3 = this.volume(coat, piece, resin);
    const split = splitMix(targetM3, resin.sheet);
    if (!split.ok) throw new RangeError('large shop: no split');
    const aKg = Math.round(split.value.aKg * 1e4) / 1e4;
    const bKg =
      Math.round(aKg * massRatioBA(resin.sheet) * (1 + (this.random() - 0.5) * 0.012) * 1e4) / 1e4;
    const at = (minutes: number) => Math.round(pouredMs + minutes * MINUTE);
    const sessionId = this.id('session');
    const batchId = this.id('batch');
    const about = { pieceId: piece.id, batchId, sessionId };
    const { id: coatId, name, thicknessM } = coat;
    this.sessions.push({
      id: sessionId,
      resinId: resin.id,
      coatIds: [coatId],
      startedMs: at(-17),
      endedMs: at(9),
    });
    this.batches.push({
      id: batchId,
      sessionId,
      resinId: resin.id,
      lotId: null,
      measure: 'weight',
      coatIds: [coatId],
      targetM3,
      targetAKg: split.value.aKg,
      targetBKg: split.value.bKg,
      ...{ cups: [], tareKg: null, reading: null },
      events: [
        { is: 'weighed A', kg: aKg, by: 'read', id: this.id('event'), atMs: at(-13) },
        { is: 'mixed', kg: bKg, by: 'read', id: this.id('event'), atMs: at(-11) },
        { is: 'stir started', id: this.id('event'), atMs: at(-10) },
        { is: 'stirred', id: this.id('event'), atMs: at(-5) },
        { is: 'poured', coatId, id: this.id('event'), atMs: at(0) },
        { is: 'covered', coatId, id: this.id('event'), atMs: at(9) },
      ],
    });
    this.write(at(-17), 'session started', {
      ...about,
      text: name,
      figures: { targetM3, temperatureK },
    });
    this.write(at(-11), 'mixed', {
      ...about,
      figures: { bKg, by: 'read', ratioErrorShare: bKg / (aKg * massRatioBA(resin.sheet)) - 1 },
    });
    this.write(at(0), 'poured', {
      ...about,
      coatId,
      text: name,
      figures: { thicknessM, temperatureK },
    });
    this.write(at(9), 'covered', { ...about, coatId, text: name });
    this.readings.push({
      ...{ atMs: at(-17), temperatureK, humidity: null, surfaceK: null },
      source: { how: 'typed', by: 'Ines', coatId: null, out: false },
    });
    const poured: Coat = {
      ...{ ...coat, batchId },
      ...{ mixedMs: at(-11), pouredMs: at(0), coveredMs: at(9) },
    };
    this.coats.splice(this.coats.indexOf(coat), 1, poured);
    return poured;
  }
}
