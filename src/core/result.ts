/** The closed list of what can be wrong with an input. Wording lives in `features`. */
export type IssueCode =
  | 'required'
  | 'not-a-number'
  | 'ambiguous-number'
  | 'unknown-unit'
  | 'wrong-quantity'
  | 'out-of-range'
  | 'out-of-order'
  | 'does-not-fit'
  | 'not-allowed'
  | 'unknown-name'
  | 'not-converged';

export interface Allowed {
  readonly min?: number;
  readonly max?: number;
  readonly values?: readonly string[];
}

/** One fault: what is wrong (`code`), with which input (`path`), its value, and what is allowed (SI). */
export interface Issue {
  readonly code: IssueCode;
  readonly path: readonly (string | number)[];
  readonly value: unknown;
  readonly allowed?: Allowed;
}

export type Result<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly issues: readonly Issue[] };

export const ok = <T>(value: T): Result<T> => ({ ok: true, value });

export const fail = (...issues: Issue[]): Result<never> => ({ ok: false, issues });

/** Stops the program on a bug: an input that no caller may pass. Names the function and the value. */
export function assert(condition: boolean, where: string, value: unknown): asserts condition {
  if (!condition) throw new RangeError(`${where}: not valid: ${JSON.stringify(value)}`);
}

/** Closes a switch over a union, so that the compiler names the case that was forgotten. */
export function exhaustive(value: never): never {
  throw new RangeError(`unexpected case: ${JSON.stringify(value)}`);
}
