import Papa from 'papaparse';
import type { Coat, LogEntry, Piece } from '../records/types';

const COLUMNS = ['time', 'kind', 'piece', 'coat', 'by', 'text', 'figures', 'id', 'about'] as const;

/**
 * The log as CSV by RFC 4180 (CRLF, quotes doubled), one entry a row, oldest first; instants in UTC
 * (ISO 8601), figures in SI with the unit in the name.
 */
export function logCsv(
  entries: readonly LogEntry[],
  pieces: readonly Piece[],
  coats: readonly Coat[],
): string {
  const pieceNames = new Map(pieces.map((p) => [p.id, p.name]));
  const coatNames = new Map(coats.map((c) => [c.id, c.name]));
  const rows = [...entries]
    .sort((a, b) => a.atMs - b.atMs)
    .map((e) => [
      new Date(e.atMs).toISOString(),
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
    ]);
  return Papa.unparse({ fields: [...COLUMNS], data: rows }, { newline: '\r\n' }) + '\r\n';
}
