/** Why an action or the opening of a shop was refused: a code with data. The words stand in `features`. */
export interface Refusals {
  /** The shop in this browser was brought up to date by a newer copy of the program in another tab. */
  readonly overtaken: { readonly version: number };
  /** The shop was written by a newer program. */
  readonly newer: { readonly version: number };
  /** There is no room for the copy that is kept while an old shop is brought up to date. */
  readonly 'no room for a copy': { readonly version: number };
  /** Bringing an old shop up to date failed; nothing of it was changed. */
  readonly 'upgrade failed': { readonly version: number; readonly reason: string };
  /** An entry of the log was to be changed or deleted: it is append-only. */
  readonly 'append-only': { readonly act: 'change' | 'delete' };
  /** Two people changed the same fields. */
  readonly conflict: { readonly fields: readonly FieldConflict[] };
}

/** A field that was changed here and elsewhere, with both values. */
export interface FieldConflict {
  readonly field: string;
  readonly mine: unknown;
  readonly theirs: unknown;
}

export type RefusalCode = keyof Refusals;

/** An action that the shop refuses: nothing was written. */
export class ActionError<C extends RefusalCode = RefusalCode> extends Error {
  override readonly name = 'ActionError';
  constructor(
    readonly code: C,
    readonly data: Refusals[C],
  ) {
    super(code);
  }
}

/** True for a refusal of that code; narrows its data. */
export const isRefusal = <C extends RefusalCode>(
  error: unknown,
  code: C,
): error is ActionError<C> => error instanceof ActionError && error.code === code;

/** Why an action came too late, or was never possible: what it meets in the shop is not what it was made for. */
export interface Stales {
  readonly 'piece gone': null;
  readonly 'area needed': { readonly name: string };
  readonly 'coat held back': { readonly name: string; readonly task: string };
  readonly 'coat gone or being mixed': null;
  readonly 'coat not planned': { readonly verb: 'changed' | 'removed' | 'moved' | 'split' };
  readonly 'coat poured': null;
  readonly 'nothing to touch': null;
  readonly 'layer gone': null;
  readonly 'too soft to turn': { readonly name: string; readonly fromMs: number };
  readonly 'no place to move to': null;
  readonly 'nothing goes below it': { readonly name: string };
  readonly 'session left': null;
  readonly 'swatch gone': null;
  readonly 'resin already mixed': null;
  readonly 'batch gone': null;
  readonly 'resin gone': null;
  readonly 'lot gone': null;
  readonly 'batch moved on': { readonly step: string };
  readonly 'batch not waiting for its cover': null;
  readonly 'already taken back': null;
  readonly 'something else was done since': null;
  readonly 'done in the future': null;
  /** Another tab ticked it first. */
  readonly 'done elsewhere': { readonly atMs: number };
  readonly 'that side lies up already': null;
  readonly 'waived without a reason': null;
  readonly 'not a step of your own': null;
  readonly 'no steps to keep': null;
  readonly 'list gone': null;
  readonly 'defect already repaired': null;
  readonly 'finding gone': null;
  readonly 'rescue chosen already': null;
  /** A coat of it is mixed, or a step of it was done. */
  readonly 'rescue begun': null;
  /** It has left: its record is read-only. */
  readonly 'piece closed': { readonly name: string };
  /** It cannot leave while something of it is open. */
  readonly 'piece not finished': { readonly why: NotFinished };
}
/** What keeps a piece from being closed. */
export type NotFinished = 'in a session' | 'mask on' | 'coat open' | 'finding open' | 'cures';
export type StaleCode = keyof Stales;

/** The record changed under the action (another tab): nothing was written. */
export class StaleActionError<C extends StaleCode = StaleCode> extends Error {
  override readonly name = 'StaleActionError';
  constructor(
    readonly code: C,
    ...[data]: Stales[C] extends null ? [] : [Stales[C]]
  ) {
    super(code);
    this.data = data ?? null;
  }
  readonly data: Stales[C] | null;
}
