import { computeSteps } from '@/core/compute';
import { Refused, type Job } from './job';
import { findBreaks } from './findBreaks';
import { isBreaksAsk, isTraceAsk } from './protocol';
import { tracePhoto } from './tracePhoto';

/** Longest that a computation runs before messages are let in, ms. */
const BREATH_MS = 30;

/** A computation of core; a name that is none of them is refused with the list of those that are. */
const computation =
  (compute: string): Job =>
  async (input, step) => {
    const steps = computeSteps({ compute, input });
    let since = Date.now();
    for (;;) {
      const next = steps.next();
      if (next.done) {
        if (!next.value.ok) throw new Refused(next.value.faults);
        return next.value.result;
      }
      if (Date.now() - since < BREATH_MS) continue;
      await step(next.value);
      since = Date.now();
    }
  };

/** Jobs that need what only a browser has; everything else is a computation of core. */
const BROWSER_JOBS: ReadonlyMap<string, Job> = new Map<string, Job>([
  [
    'tracePhoto',
    async (input, step) => {
      if (isTraceAsk(input)) return tracePhoto(input, step);
      const message = 'tracePhoto: what is asked has no photo or no marks';
      throw new Refused([{ code: 'not-allowed', path: ['input'], message }]);
    },
  ],
  [
    'findBreaks',
    async (input, step) => {
      if (isBreaksAsk(input)) return findBreaks(input, step);
      const message = 'findBreaks: what is asked has no photo, no corners or no size';
      throw new Refused([{ code: 'not-allowed', path: ['input'], message }]);
    },
  ],
]);

/** How a job is done. */
export const jobOf = (name: string): Job => BROWSER_JOBS.get(name) ?? computation(name);
