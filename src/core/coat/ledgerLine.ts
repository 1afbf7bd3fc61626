import type { Explanation } from '../explain';
import type { LedgerLineId } from './input';

export interface LedgerLine {
  readonly id: LedgerLineId;
  readonly volumeM3: number;
  readonly explanation: Explanation;
  /** What the ledger had worked out, m³, where the user set the line. */
  readonly computedM3?: number;
}
