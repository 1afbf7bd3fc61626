import type { Id } from './id';

export const LOG_KINDS = [
  'piece added',
  'piece changed',
  'coat planned',
  'coat changed',
  'coat removed',
  'resin added',
  'resin changed',
  'session started',
  'session left',
  'weighed A',
  'added A',
  'mixed',
  'stir started',
  'stirred',
  'poured',
  'covered',
  'room temperature',
  'air noted',
  'prep done',
  'prep redone',
  'prep reopened',
  'prep waived',
  'prep added',
  'prep changed',
  'prep removed',
  'defect noted',
  'defect repaired',
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
