import type { RowFault } from '@/records/validate';
import { breathe } from '../breathe';

/** A search for faults that is done a little at a time; each step tells what it found. */
export type FaultSteps = Iterable<readonly RowFault[]>;

/** Longest that is searched in one go, ms: what waits may answer in between. */
const BREATH_MS = 40;

/** Searches to the end and lets others work in between. */
export async function allFaults(steps: FaultSteps): Promise<RowFault[]> {
  const faults: RowFault[] = [];
  let since = Date.now();
  for (const found of steps) {
    faults.push(...found);
    if (Date.now() - since < BREATH_MS) continue;
    await breathe();
    since = Date.now();
  }
  return faults;
}

/** What was to be stored cannot be shown; thrown inside a transaction, it takes back what was written. */
export class Unsound extends Error {
  override readonly name = 'Unsound';
  constructor(readonly faults: readonly RowFault[]) {
    super(faults[0]?.message);
  }
}

/** Work that is done while the browser writes. */
export interface Meanwhile {
  /**
   * Does some of it; whether there is more.
   * @param rows were handed over since the last time @throws Unsound at its end, with all that was found
   */
  readonly step: (rows?: number) => boolean;
  /** Told when nothing but storing is left: from here on it cannot be stopped. */
  readonly last: () => void;
}

/** Longest that is searched while the browser has rows to write, ms: it has to be given the next ones. */
const SLICE_MS = 20;

/** Most that is told before the last step, as a share. */
const NEARLY = 0.99;

/**
 * The search as work that is done while the browser writes.
 * @param count rows that will be handed over @param tell told the share of them that is; 1: only storing is left
 */
export function meanwhile(
  steps: FaultSteps,
  count: number,
  tell: (share: number) => void,
): Meanwhile {
  let given = 0;
  const rest = steps[Symbol.iterator]();
  const faults: RowFault[] = [];
  let over = false;
  const step = (rows = 0) => {
    if (rows > 0) tell((NEARLY * (given += rows)) / count);
    const since = Date.now();
    while (!over && Date.now() - since < SLICE_MS) {
      const { done, value } = rest.next();
      if (done) {
        over = true;
        if (faults.length > 0) throw new Unsound(faults);
      } else faults.push(...(value as readonly RowFault[]));
    }
    return !over;
  };
  return { step, last: () => tell(1) };
}
