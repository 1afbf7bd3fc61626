import type { Coat, LogEntry, Piece } from '@/records';
import { csvOf, isoCell } from './csv';

const COLUMNS = ['time', 'kind', 'piece', 'coat', 'by', 'text', 'figures', 'id', 'about'] as const;

/**
 * The log as CSV, one entry a row, oldest first; instants in UTC, figures in SI with the unit in the name, together for
 * who reads and each in a column of its own for a machine.
 */
export function logCsv(
  entries: readonly LogEntry[],
  pieces: readonly Piece[],
  coats: readonly Coat[],
): string {
  const pieceNames = new Map(pieces.map((p) => [p.id, p.name]));
  const coatNames = new Map(coats.map((c) => [c.id, c.name]));
  const figures = [...new Set(entries.flatMap((e) => Object.keys(e.figures)))].sort();
  const rows = [...entries]
    .sort((a, b) => a.seq - b.seq)
    .map((e) => [
      isoCell(e.atMs),
      e.kind,
      e.pieceId ? (pieceNames.get(e.pieceId) ?? '') : '',
      e.coatId ? (coatNames.get(e.coatId) ?? '') : '',
      e.by,
      e.text,
      Object.entries(e.figures)
        .map(([name, value]) => `${name}=${value}`)
        .join('; '),
      e.id,
      e.aboutId ?? '',
      ...figures.map((name) => (Object.hasOwn(e.figures, name) ? e.figures[name] : '')),
    ]);
  return csvOf([...COLUMNS, ...figures], rows);
}
