import Papa from 'papaparse';
import type { Coat, LogEntry, Piece } from '@/records';

const COLUMNS = ['time', 'kind', 'piece', 'coat', 'by', 'text', 'figures', 'id', 'about'] as const;

/** What a table program takes for the beginning of a formula, and the mark that says it is none. */
const FORMULA = /^[=+\-@\t\r']/;
const safeCell = (text: string): string => (FORMULA.test(text) ? `'${text}` : text);

/** A cell of such a file as it was before it was made harmless. */
export const plainCell = (cell: string): string => cell.replace(/^'(?=[=+\-@\t\r'])/, '');

/**
 * The log as CSV by RFC 4180 (CRLF, quotes doubled), one entry a row, oldest first; instants in UTC
 * (ISO 8601), figures in SI with the unit in the name. A cell that a table program would run as a formula gets a
 * leading apostrophe, which `plainCell` takes off again. Source: OWASP, CSV injection (from memory).
 */
export function logCsv(
  entries: readonly LogEntry[],
  pieces: readonly Piece[],
  coats: readonly Coat[],
): string {
  const pieceNames = new Map(pieces.map((p) => [p.id, p.name]));
  const coatNames = new Map(coats.map((c) => [c.id, c.name]));
  const rows = [...entries]
    .sort((a, b) => a.seq - b.seq)
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
    ])
    .map((cells) => cells.map(safeCell));
  return Papa.unparse({ fields: [...COLUMNS], data: rows }, { newline: '\r\n' }) + '\r\n';
}
