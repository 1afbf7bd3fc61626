import type { ValidationError } from 'joi';
import { drain } from '../numeric';
import type { Issue, IssueCode, Result } from '../result';
import type { Computation } from './define';
import { COMPUTATIONS, type ComputeName } from './registry';

/** A fault as it leaves the program: with its path and a sentence for whoever called. */
export interface Fault {
  readonly code: IssueCode | 'internal';
  readonly path: readonly (string | number)[];
  readonly message: string;
  /** What was refused, when it is short words. */
  readonly value?: string;
}

export type ComputeResponse =
  | { readonly ok: true; readonly compute: ComputeName; readonly result: unknown }
  | { readonly ok: false; readonly faults: readonly Fault[] };

/** Faults that are told at most, and characters of one. */
const MOST_FAULTS = 100;
const MOST_WORDS = 400;

const isComputeName = (name: unknown): name is ComputeName =>
  typeof name === 'string' && Object.hasOwn(COMPUTATIONS, name);

function codeOf(joiType: string): IssueCode {
  if (joiType === 'any.required') return 'required';
  if (joiType === 'number.base' || joiType === 'number.infinity') return 'not-a-number';
  if (joiType === 'object.unknown') return 'unknown-name';
  return joiType.startsWith('number.') ? 'out-of-range' : 'not-allowed';
}

function issueFault({ code, path, value, allowed }: Issue): Fault {
  const bounds = [
    allowed?.min === undefined ? '' : `at least ${allowed.min}`,
    allowed?.max === undefined ? '' : `at most ${allowed.max}`,
  ].filter(Boolean);
  const wanted = bounds.length > 0 ? `, wanted ${bounds.join(' and ')} (SI)` : '';
  return {
    code,
    path,
    message: `${path.join('.') || 'input'} is ${JSON.stringify(value)}: ${code}${wanted}`.slice(
      0,
      MOST_WORDS,
    ),
    ...(typeof value === 'string' && value.length <= 60 && { value }),
  };
}

const refused = (faults: readonly Fault[]): ComputeResponse => ({ ok: false, faults });

/**
 * Runs one named computation on an untrusted request, step by step: yields the share that is done, 0–1.
 * @param request `{ compute: name, input: {…} }`
 * @returns the result, or a list of faults with paths; never throws on bad input
 */
export function* computeSteps(request: unknown): Generator<number, ComputeResponse, void> {
  const { compute, input } = (
    typeof request === 'object' && request !== null ? request : {}
  ) as Record<string, unknown>;
  if (!isComputeName(compute)) {
    const known = Object.keys(COMPUTATIONS).join(', ');
    const message = `compute must be one of ${known}`;
    return refused([{ code: 'unknown-name', path: ['compute'], message }]);
  }
  const { schema, run } = COMPUTATIONS[compute] as Computation<unknown, unknown>;
  const { error, value } = schema
    .required()
    .validate(input, { abortEarly: false, convert: false }) as {
    error?: ValidationError;
    value: unknown;
  };
  if (error)
    return refused(
      error.details.slice(0, MOST_FAULTS).map((d) => ({
        code: codeOf(d.type),
        path: ['input', ...d.path],
        message: d.message.slice(0, MOST_WORDS),
      })),
    );
  let result: Result<unknown>;
  try {
    const ran = run(value);
    result = 'next' in ran ? yield* ran : ran;
  } catch (thrown) {
    // A bug of ours, or numbers that pass one by one but make no sense together: told, never thrown.
    const why = thrown instanceof Error ? thrown.message : String(thrown);
    const message = `input makes no sense together: ${why}`.slice(0, MOST_WORDS);
    return refused([{ code: 'not-allowed', path: ['input'], message }]);
  }
  if (result.ok) return { ok: true, compute, result: result.value };
  return refused(
    result.issues
      .slice(0, MOST_FAULTS)
      .map((issue) => issueFault({ ...issue, path: ['input', ...issue.path] })),
  );
}

/** {@link computeSteps} in one go. */
export const runCompute = (request: unknown): ComputeResponse => drain(computeSteps(request));
