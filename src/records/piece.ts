import { COUNT_LIMITS } from '@/core/coat';
import type { Point, Tilt } from '@/core/geometry';
import { PIECE_SIDES, SUPPORTS, type PieceSide, type Support } from '@/core/piece';
import type { PrepSchools } from '@/core/prep';
import { defineRecord } from './define';
import type { Id } from './id';

/** Records as they are stored. SI units; instants in ms since the epoch; null where nothing is known yet. */
export interface Piece {
  readonly id: Id<'piece'>;
  readonly name: string;
  readonly count: number;
  readonly support: Support;
  readonly note: string;
  readonly createdMs: number;
  /** What the piece will meet in use. */
  readonly use: { readonly hotCups: boolean; readonly food: boolean; readonly daylight: boolean };
  /** Where hardware was, on the plan of the face, so that it goes back. */
  readonly marks: readonly HardwareMark[];
  readonly level: LevelReading | null;
  /** How far the middle of a canvas hangs, m; 0 for all that is stiff. */
  readonly bellyM: number;
  /** Schools of preparation that differ from the shop's. */
  readonly prep: Partial<PrepSchools>;
  /** Which side lies up. */
  readonly up: PieceSide;
  /** When it was turned over last. */
  readonly turnedMs: number | null;
  /** The job that it belongs to, empty for none, and when that is due. */
  readonly job: string;
  readonly dueMs: number | null;
  /** When it left with its record closed; null: it is in work. */
  readonly closedMs: number | null;
}

export interface HardwareMark {
  readonly name: string;
  readonly at: Point;
}

/** How far out of level the propped piece was found, and where its props stand. */
export interface LevelReading {
  /** Null: its props are placed, and nothing was read. */
  readonly tilt: Tilt | null;
  readonly by: string;
  readonly readMs: number;
  readonly props: readonly Point[];
}

export const PIECES = defineRecord<Piece>()({
  name: 'pieces',
  live: true,
  references: [],
  defaults: {
    marks: [],
    level: null,
    bellyM: 0,
    prep: {},
    up: 'front',
    turnedMs: null,
    job: '',
    dueMs: null,
    closedMs: null,
  },
  order: (a, b) => a.createdMs - b.createdMs,
  schema: ({
    Joi,
    flag,
    id,
    instant,
    listOf,
    maybeInstant,
    name,
    number,
    oneOf,
    point,
    schools,
    text,
  }) => ({
    id: id(),
    name: name(),
    count: number().integer().min(COUNT_LIMITS.min).max(COUNT_LIMITS.max),
    support: oneOf(SUPPORTS),
    note: text(4000),
    createdMs: instant(),
    use: Joi.object({ hotCups: flag(), food: flag(), daylight: flag() }).required(),
    marks: listOf(Joi.object({ name: name(), at: point() }), 50),
    level: Joi.object({
      tilt: Joi.object({
        alongX: number().min(-1).max(1),
        alongY: number().min(-1).max(1),
      })
        .allow(null)
        .required(),
      by: text(60),
      readMs: instant(),
      props: listOf(point().optional(), 12),
    })
      .allow(null)
      .required(),
    bellyM: number().min(0).max(0.1),
    prep: schools(),
    up: oneOf(PIECE_SIDES),
    turnedMs: maybeInstant(),
    job: text(120),
    dueMs: maybeInstant(),
    closedMs: maybeInstant(),
  }),
});
