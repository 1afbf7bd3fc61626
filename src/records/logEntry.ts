import { WET_ACTS } from '@/core/wet';
import { defineRecord } from './define';
import type { Id } from './id';

export const LOG_KINDS = [
  'piece added',
  'piece changed',
  'piece turned',
  'coat planned',
  'coat changed',
  'coat removed',
  'layer planned',
  'layer changed',
  'layer laid',
  'layer dry',
  'layer removed',
  'resin added',
  'resin changed',
  'lot added',
  'lot changed',
  'lot opened',
  'lot empty',
  'lot removed',
  'swatch added',
  'swatch changed',
  'swatch tried',
  'swatch removed',
  'session started',
  'session left',
  ...WET_ACTS,
  'room temperature',
  'air noted',
  'readings added',
  'readings taken out',
  'readings believed',
  'prep done',
  'prep redone',
  'prep reopened',
  'prep waived',
  'prep added',
  'prep changed',
  'prep removed',
  'touch noted',
  'touch taken back',
  'list kept',
  'list dropped',
  'defect noted',
  'defect tested',
  'defect looked at',
  'defect repaired',
  'rescue chosen',
  'rescue dropped',
  'looked clean',
  'piece closed',
  'piece opened again',
  'bundle taken in',
  'photo added',
  'undone',
  'correction',
  'note',
] as const;
export type LogKind = (typeof LOG_KINDS)[number];

/** One line of the append-only log. */
export interface LogEntry {
  readonly id: Id<'log'>;
  /** Place in the order of writing, from 1: it holds when a clock is set back. */
  readonly seq: number;
  readonly atMs: number;
  readonly kind: LogKind;
  readonly by: string;
  readonly text: string;
  readonly pieceId: Id<'piece'> | null;
  readonly coatId: Id<'coat'> | null;
  readonly batchId: Id<'batch'> | null;
  readonly sessionId: Id<'session'> | null;
  /** The entry that this one corrects or undoes. */
  readonly aboutId: Id<'log'> | null;
  /** Figures of the action, SI, unit in the name. */
  readonly figures: Readonly<Record<string, number | string>>;
}

/** Names that every object of the language has. */
const TAKEN = Object.getOwnPropertyNames(Object.prototype).filter((name) => /^[a-z]/.test(name));
/** Names of figures: SI names as the program writes them. One expression: asking for each name by a schema takes twice as long. */
const FIGURE_NAME = new RegExp(`^(?!(?:${TAKEN.sort().join('|')})$)[a-z][A-Za-z0-9]{0,59}$`);

export const LOG = defineRecord<LogEntry>()({
  name: 'log',
  live: false,
  // A coat that was taken off the plan is still spoken of.
  references: [
    { field: 'pieceId', table: 'pieces' },
    { field: 'sessionId', table: 'sessions' },
    { field: 'batchId', table: 'batches' },
    { field: 'aboutId', table: 'log' },
  ],
  defaults: {
    text: '',
    pieceId: null,
    coatId: null,
    batchId: null,
    sessionId: null,
    aboutId: null,
    figures: {},
  },
  schema: ({ Joi, id, instant, maybeId, number, oneOf, text }) => ({
    id: id(),
    seq: number().integer().min(1).max(1e12),
    atMs: instant(),
    kind: oneOf(LOG_KINDS),
    by: text(60),
    text: text(2000),
    pieceId: maybeId(),
    coatId: maybeId(),
    batchId: maybeId(),
    sessionId: maybeId(),
    aboutId: maybeId(),
    figures: Joi.object()
      .pattern(FIGURE_NAME, Joi.alternatives(Joi.number().min(-1e15).max(1e15), text(500)))
      .max(60)
      .required(),
  }),
});
