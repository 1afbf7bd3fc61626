import type { Batch } from './batch';
import type { Coat } from './coat';
import type { LogEntry, LogKind } from './logEntry';

/** Acts of a wet session that can be taken back, in the order in which they follow each other. */
export const WET_ACTS = [
  'weighed A',
  'added A',
  'mixed',
  'stir started',
  'stirred',
  'poured',
  'covered',
] as const satisfies readonly LogKind[];
export type WetActKind = (typeof WET_ACTS)[number];
export type WetAct = LogEntry & { readonly kind: WetActKind };

const isWetAct = (entry: LogEntry): entry is WetAct =>
  (WET_ACTS as readonly LogKind[]).includes(entry.kind);

/** Acts of a batch that stand, the newest last: by the order of writing, whatever the clock said. */
export function standingActs(entries: readonly LogEntry[]): WetAct[] {
  const taken = new Set(entries.filter((e) => e.kind === 'undone').map((e) => e.aboutId));
  return entries
    .filter(isWetAct)
    .filter((e) => !taken.has(e.id))
    .sort((a, b) => a.seq - b.seq);
}

/** The rows of a batch as they are when an act is taken back. */
export interface Undone {
  readonly batch: Batch;
  readonly coats: readonly Coat[];
  /** The session goes on again. */
  readonly reopens: boolean;
}

const readingOf = (part: 'A' | 'B', kg: number | null, by: Batch['aBy']): Batch['reading'] =>
  kg !== null && by === 'read' ? { part, kg } : null;

/** Takes one act back. What was read off the scale is kept as a reading. */
export function undoneAct(
  act: WetAct,
  batch: Batch,
  coats: readonly Coat[],
  earlier: readonly WetAct[],
): Undone {
  const changed = (change: Partial<Batch>): Undone => ({
    batch: { ...batch, ...change },
    coats: [],
    reopens: false,
  });
  switch (act.kind) {
    case 'weighed A':
      return changed({
        aKg: null,
        aBy: null,
        addedAKg: 0,
        reading: readingOf('A', batch.aKg, batch.aBy),
      });
    case 'added A': {
      const added = Number(act.figures['addedAKg'] ?? 0);
      const weighed = earlier.find((e) => e.kind === 'weighed A');
      const more = earlier.some((e) => e.kind === 'added A');
      return changed({
        aKg: (batch.aKg ?? 0) - added,
        addedAKg: batch.addedAKg - added,
        aBy: !more && weighed?.figures['by'] === 'read' ? 'read' : batch.aBy,
      });
    }
    case 'mixed':
      return changed({
        mixedMs: null,
        bKg: null,
        bBy: null,
        reading: readingOf('B', batch.bKg, batch.bBy),
      });
    case 'stir started':
      return changed({ stirStartedMs: null });
    case 'stirred':
      return changed({ stirredMs: null });
    case 'poured':
      return {
        ...changed({ pouredMs: null }),
        coats: coats
          .filter((c) => c.id === act.coatId)
          .map((c) => ({ ...c, mixedMs: null, pouredMs: null, learned: null, touches: [] })),
      };
    case 'covered':
      return {
        ...changed({ coveredMs: null }),
        coats: coats.map((c) => ({ ...c, coveredMs: null })),
        reopens: true,
      };
  }
}
