import { useRead } from '@/data/hooks';
import { type Batch, standingActs, type WetAct } from '@/records';

/** The newest act of a batch that stands: what Undo takes back. */
export function useLastAct({ id }: Batch): WetAct | null {
  const { value } = useRead((db) => db.log.where('batchId').equals(id).toArray(), id);
  return value ? (standingActs(value).at(-1) ?? null) : null;
}
