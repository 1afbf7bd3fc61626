import { runCompute, type Fault } from '@/core/compute';

/** Longest answer that is sent, characters of JSON. */
export const LARGEST_ANSWER = 5_000_000;

/** An HTTP answer: its status and its JSON. */
export interface Answer {
  readonly status: number;
  readonly body: string;
}

/** An answer that says what is wrong. */
export const faultAnswer = (status: number, ...faults: readonly Fault[]): Answer => ({
  status,
  body: JSON.stringify({ faults }),
});

export const refusal = (status: number, message: string, code: Fault['code'] = 'not-allowed') =>
  faultAnswer(status, { code, path: [], message });

/** Typed arrays leave as lists. */
const plainLists = (_key: string, value: unknown): unknown =>
  value instanceof Float64Array ? Array.from(value) : value;

/** Answers the text of one request; whatever the text is, it never throws. */
export function serveJob(text: string): Answer {
  let request: unknown;
  try {
    request = JSON.parse(text);
  } catch {
    return refusal(400, 'The body is not JSON.');
  }
  const response = runCompute(request);
  if (!response.ok) return faultAnswer(422, ...response.faults);
  const body = JSON.stringify({ compute: response.compute, result: response.result }, plainLists);
  return body.length > LARGEST_ANSWER
    ? refusal(422, `The answer is over ${LARGEST_ANSWER} characters: ask for less.`, 'does-not-fit')
    : { status: 200, body };
}
