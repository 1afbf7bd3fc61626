import Papa from 'papaparse';

/** What a table program takes for the beginning of a formula, and the mark that says it is none. */
const FORMULA = /^[=+\-@\t\r']/;
const safeCell = (text: string): string => (FORMULA.test(text) ? `'${text}` : text);

/** A cell of such a file as it was before it was made harmless. */
export const plainCell = (cell: string): string => cell.replace(/^'(?=[=+\-@\t\r'])/, '');

/** A cell: text, a number as a machine reads it, an instant, or nothing. */
export type Cell = string | number | boolean | null | undefined;

/**
 * A table as CSV by RFC 4180: CRLF, quotes doubled, a header line. A text that a table program would run as a formula gets
 * a leading apostrophe, which `plainCell` takes off again; numbers stand as they are. Source: OWASP, CSV injection (from
 * memory).
 */
export function csvOf(fields: readonly string[], rows: readonly (readonly Cell[])[]): string {
  const data = rows.map((cells) =>
    cells.map((cell) => (typeof cell === 'string' ? safeCell(cell) : String(cell ?? ''))),
  );
  return Papa.unparse({ fields: [...fields], data }, { newline: '\r\n' }) + '\r\n';
}

/** An instant in UTC (ISO 8601); nothing stays nothing. */
export const isoCell = (ms: number | null | undefined): string =>
  ms === null || ms === undefined ? '' : new Date(ms).toISOString();
