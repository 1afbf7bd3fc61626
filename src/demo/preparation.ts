import type { AirReading, Coat, Id, Piece, PrepRecord } from '@/records';
import type { DemoBuilder } from './builder';

const C = 273.15;

type Change = Partial<Pick<PrepRecord, 'state' | 'reason' | 'result' | 'method' | 'own' | 'scope'>>;
type Ago = (days: number, hours?: number) => number;

/** Writes what was done to prepare the invented pieces, in the same form as the real actions do. */
class Preparation {
  readonly tasks: PrepRecord[] = [];
  readonly air: AirReading[] = [];
  constructor(private readonly b: DemoBuilder) {}

  piece(name: string): Piece {
    const piece = this.b.pieces.find((p) => p.name === name);
    if (!piece) throw new RangeError(`demo: no piece ${name}`);
    return piece;
  }

  coat(piece: Piece, name: string): Coat {
    const coat = this.b.coats.find((c) => c.pieceId === piece.id && c.name === name);
    if (!coat) throw new RangeError(`demo: no coat ${name}`);
    return coat;
  }

  face(piece: Piece): Id<'area'> {
    const face = this.b.areas.find((a) => a.pieceId === piece.id);
    if (!face) throw new RangeError(`demo: no face of ${piece.name}`);
    return face.id;
  }

  /** A task that was done or left out, on every area and edge of its piece. */
  note(
    atMs: number,
    piece: Piece,
    [rule, on, title]: readonly [rule: string, on: string, title: string],
    { coat = null, ...change }: Change & { coat?: Coat | null } = {},
  ): void {
    const scope = this.b.areas
      .filter((a) => a.pieceId === piece.id)
      .flatMap((a) => [a.id, ...a.edges.map((_, i) => `${a.id}#${i}`)]);
    const record: PrepRecord = {
      id: this.b.id('task'),
      pieceId: piece.id,
      key: `${rule}:${on}`,
      rule,
      title,
      coatId: coat?.id ?? null,
      state: 'done',
      doneMs: change.state === 'open' ? null : Math.round(atMs),
      scope,
      reason: '',
      result: null,
      order: null,
      method: null,
      limit: null,
      own: null,
      ...change,
    };
    this.tasks.push(record);
    const kind = { done: 'prep done', waived: 'prep waived', open: 'prep added' } as const;
    const more = record.result ?? record.reason;
    this.b.write(atMs, kind[record.state], {
      pieceId: piece.id,
      coatId: coat?.id ?? null,
      text: more ? `${title}: ${more}` : title,
    });
  }

  mask(atMs: number, piece: Piece, coat: Coat, method: PrepRecord['method'], renewed = false) {
    const on = `${coat.id}.${this.face(piece)}`;
    const title = `${renewed ? 'Renew the mask' : 'Mask'}: ${method}`;
    this.note(atMs, piece, ['mask', on, title], { coat, method });
  }

  unmask(atMs: number, piece: Piece, coat: Coat, method: PrepRecord['method']) {
    const on = `${coat.id}.${this.face(piece)}`;
    this.note(atMs, piece, ['unmask', on, `Take the mask off: ${method}`], { method });
  }

  wipe(atMs: number, piece: Piece, coat: Coat) {
    this.note(atMs, piece, ['wipe', coat.id, 'Wipe with alcohol, barely damp'], { coat });
  }

  room(atMs: number, celsius: number, humidity: number) {
    const reading = { fromMs: Math.round(atMs), temperatureK: C + celsius, humidity };
    this.air.push({ id: this.b.id('air'), ...reading });
    this.b.write(atMs, 'air noted', {
      figures: { temperatureK: C + celsius, humidity },
    });
  }
}

const TAPE = 'painter’s tape';

/** The ready one: masked anew, wiped and level, inside its recoat window. */
function viaduct(p: Preparation, ago: Ago) {
  const piece = p.piece('Viaduct painting');
  const [first, second] = [p.coat(piece, 'Flood 1'), p.coat(piece, 'Flood 2')];
  p.mask(ago(0, 12.2), piece, first, TAPE);
  p.wipe(ago(0, 11.7), piece, first);
  p.unmask(ago(0, 2.6), piece, first, TAPE);
  p.mask(ago(0, 1.6), piece, second, TAPE, true);
  p.wipe(ago(0, 1.2), piece, second);
  p.note(ago(0, 1.1), piece, ['level', second.id, 'Level it on its props'], { coat: second });
}

/** The one that waited too long: its mask is past the limit, and the coat has cured hard. */
function reliefMap(p: Preparation, ago: Ago) {
  const piece = p.piece('Relief map');
  const [first, second] = [p.coat(piece, 'Flood 1'), p.coat(piece, 'Flood 2')];
  p.note(ago(2, 5), piece, ['tooth', first.id, 'Sand for tooth'], { coat: first });
  p.wipe(ago(2, 3.5), piece, first);
  p.mask(ago(2, 3), piece, first, TAPE);
  const own = {
    kind: 'note',
    key: 'ridge',
    title: 'Ask the museum whether the ridge stays proud',
    needed: false,
    areaIds: [p.face(piece)],
  } as const;
  p.note(ago(0, 5), piece, ['own note', own.key, own.title], { own, state: 'open', scope: [] });
  p.note(ago(0, 4.4), piece, ['level', second.id, 'Level it on its props'], {
    coat: second,
    state: 'waived',
    reason: 'stands on the turntable that was levelled this morning',
  });
}

function board(p: Preparation, ago: Ago) {
  const piece = p.piece('Signal-box board');
  const [seal, flood] = [p.coat(piece, 'Seal'), p.coat(piece, 'Flood 1')];
  const face = p.face(piece);
  p.note(ago(4, 6), piece, ['dry paint', face, 'Let the paint or varnish dry through'], {
    coat: seal,
  });
  p.note(ago(2, 2), piece, ['hardware', 'piece', 'Take the hardware off'], { coat: seal });
  p.note(ago(2, 1), piece, ['edge ground', face, 'Paint the edges in the ground colour'], {
    coat: seal,
    state: 'waived',
    reason: 'client wants the ash to show on the edges',
  });
  p.mask(ago(1, 4), piece, seal, TAPE);
  p.unmask(ago(0, 18), piece, seal, TAPE);
  p.mask(ago(0, 2), piece, flood, TAPE, true);
  p.wipe(ago(0, 1.5), piece, flood);
}

/**
 * Preparation in every state: open, blocked under a drying layer, waiting, drying, to be done again, done, left
 * out, skipped inside the window, and a mask past its limit.
 */
export function prepareDemo(b: DemoBuilder, ago: Ago): Pick<Preparation, 'tasks' | 'air'> {
  const p = new Preparation(b);
  p.room(ago(21, 3), 21, 0.5);
  p.room(ago(1, 6), 20, 0.64);
  p.room(ago(0, 6), 22, 0.56);
  viaduct(p, ago);
  reliefMap(p, ago);
  board(p, ago);

  const tiles = p.piece('Hall tiles');
  p.mask(ago(0, 9), tiles, p.coat(tiles, 'Flood 1'), TAPE);

  // Ink that was sprayed too thin: the finger took colour off.
  const paddle = p.piece('Guard’s paddle');
  const flood = p.coat(paddle, 'Flood 1');
  const ink = p.face(paddle);
  p.note(ago(1, 2), paddle, ['fix art', ink, 'Fix the art with matte spray'], { coat: flood });
  p.note(ago(0, 5.2), paddle, ['rub test', ink, 'Rub test'], {
    coat: flood,
    result: 'colour comes off',
  });

  const canvas = p.piece('Timetable canvas');
  const skim = p.coat(canvas, 'Skim');
  p.note(ago(0, 4), canvas, ['tear', `${p.face(canvas)}.0`, 'Mend the tear from the back'], {
    coat: skim,
  });
  return p;
}
