import { CLINGS, LINES_STAY, viscosityAfter } from '../film';
import { rootBetween } from '../numeric';
import { assert } from '../result';

/** How a mix in its cup flows: like fresh, thick enough to cling to an edge, thickening, so thick that lines stay, or over. */
export const FLOWS = ['fresh', 'clings', 'thickens', 'lines stay', 'over'] as const;
export type Flow = (typeof FLOWS)[number];

/** When each of them begins, s after the mix, in the order of the clock. */
export type FlowMarks = readonly { readonly flow: Flow; readonly fromS: number }[];

/** Age at which the mix is so many times as thick as fresh, s; it always is before the working time is over. */
function thickAt(times: number, workingS: number): number {
  const law = { viscosityPaS: 1, workingS };
  const off = (x: number) => viscosityAfter(law, x) - times;
  const [from, to] = [0, workingS].map((x) => ({ x, y: off(x) }));
  const found = from && to && rootBetween(off, from, to, { tolerance: 1e-6 });
  assert(found?.outcome === 'converged', 'thickAt', found?.outcome);
  return found.value;
}

/**
 * The marks of a batch through its working time.
 * @param workingS working time of what is in the cup, s, > 0
 * @throws RangeError on a working time that is not above zero
 * Source: {@link viscosityAfter}, with the marks of common practice that the film laws use.
 */
export function flowMarks(workingS: number): FlowMarks {
  assert(workingS > 0, 'flowMarks', workingS);
  return [
    { flow: 'fresh', fromS: 0 },
    { flow: 'clings', fromS: thickAt(CLINGS.from, workingS) },
    { flow: 'thickens', fromS: thickAt(CLINGS.to, workingS) },
    { flow: 'lines stay', fromS: thickAt(LINES_STAY, workingS) },
    { flow: 'over', fromS: workingS },
  ];
}

/** How the mix flows at an age, s. */
export const flowAt = (marks: FlowMarks, ageS: number): Flow =>
  marks.findLast((m) => m.fromS <= ageS)?.flow ?? 'fresh';
