import { standing, type DoneAct } from '@/core/wet';
import type { Batch } from '@/records';

/** The newest act of a batch that stands: what Undo takes back. */
export const useLastAct = ({ events }: Batch): DoneAct | null => standing(events).at(-1) ?? null;
