import type { ValidationError } from 'joi';
import type { Issue, IssueCode } from '../result';
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

const isName = (name: unknown): name is ComputeName =>
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
    message: `${path.join('.') || 'input'} is ${JSON.stringify(value)}: ${code}${wanted}`,
    ...(typeof value === 'string' && value.length <= 60 && { value }),
  };
}

/**
 * Runs one named computation on an untrusted request.
 * @param request `{ compute: name, input: {…} }`
 * @returns the result, or a list of faults with paths; never throws on bad input
 */
export function runCompute(request: unknown): ComputeResponse {
  const { compute, input } = (
    typeof request === 'object' && request !== null ? request : {}
  ) as Record<string, unknown>;
  if (!isName(compute)) {
    const known = Object.keys(COMPUTATIONS).join(', ');
    return {
      ok: false,
      faults: [
        { code: 'unknown-name', path: ['compute'], message: `compute must be one of ${known}` },
      ],
    };
  }
  const { schema, run } = COMPUTATIONS[compute] as Computation<unknown, unknown>;
  const { error, value } = schema
    .required()
    .validate(input, { abortEarly: false, convert: false }) as {
    error?: ValidationError;
    value: unknown;
  };
  if (error) {
    return {
      ok: false,
      faults: error.details.map((d) => ({
        code: codeOf(d.type),
        path: ['input', ...d.path],
        message: d.message,
      })),
    };
  }
  const result = run(value);
  if (result.ok) return { ok: true, compute, result: result.value };
  return {
    ok: false,
    faults: result.issues.map((issue) => issueFault({ ...issue, path: ['input', ...issue.path] })),
  };
}
