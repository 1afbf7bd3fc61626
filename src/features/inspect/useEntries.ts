import type { LogEntry } from '@/records';
import type { EvidenceCode } from '@/core/inspect';
import { useRead } from '@/data/hooks';
import { entriesAbout } from '@/data/log';
import { EVIDENCE_WORDS } from '@/features/common/causeWords';

/** What the log says of a piece and of the sessions of its coats, oldest first. */
export function useEntries(
  pieceId: string,
  sessionIds: readonly string[],
): readonly LogEntry[] | null {
  const key = [pieceId, ...sessionIds].join(' ');
  const { value } = useRead((db) => entriesAbout(db, { pieceId, sessionIds }), key);
  return value;
}

/** Entries that tell a piece of evidence about a coat: its own, its batch’s, and those of the whole piece. */
export function entriesOf(
  entries: readonly LogEntry[],
  code: EvidenceCode,
  about: { readonly coatId: string | null; readonly batchId: string | null },
): readonly LogEntry[] {
  const kinds: readonly string[] = EVIDENCE_WORDS[code].kinds;
  return entries.filter(
    (e) =>
      kinds.includes(e.kind) &&
      (e.coatId === null || e.coatId === about.coatId) &&
      (e.batchId === null || e.batchId === about.batchId),
  );
}
