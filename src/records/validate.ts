import type { Issue } from '@/core/result';
import * as parts from './parts';
import { RECORDS, TABLE_NAMES, type TableName } from './tables';

/** One fault of a row or a file, at its path. */
export interface RowFault {
  readonly path: string;
  readonly message: string;
}

const makeSchema = (table: TableName) => parts.Joi.object(RECORDS[table].schema(parts)).required();
const made = new Map<TableName, ReturnType<typeof makeSchema>>();

/** The schema of a table, made when the first row is checked: all at once would hold up the first tap. */
function schemaOf(table: TableName): ReturnType<typeof makeSchema> {
  const known = made.get(table);
  if (known) return known;
  const schema = makeSchema(table);
  made.set(table, schema);
  return schema;
}

const dotted = (path: readonly (string | number)[]): string =>
  path.map((p, i) => (typeof p === 'number' ? `[${p}]` : i === 0 ? p : `.${p}`)).join('');

function issueFault({ allowed, code, path, value }: Issue): RowFault {
  const exactly = allowed?.min !== undefined && allowed.min === allowed.max;
  const bounds = [
    allowed?.min === undefined ? '' : `at least ${allowed.min}`,
    allowed?.max === undefined ? '' : `at most ${allowed.max}`,
  ].filter(Boolean);
  const interval = bounds.length > 0 ? `; wanted ${bounds.join(' and ')} (SI)` : '';
  const wanted = exactly ? `; wanted ${allowed.min}` : interval;
  return {
    path: dotted(path),
    message: `${code.replaceAll('-', ' ')}: ${String(value)}${wanted}`,
  };
}

/** Every fault of one row: its form by Joi, then its meaning by core. Empty when the row is sound. */
export function rowFaults<T extends TableName>(table: T, row: unknown): RowFault[] {
  const { error } = schemaOf(table).validate(row, { abortEarly: false, convert: false });
  if (error) return error.details.map((d) => ({ path: dotted(d.path), message: d.message }));
  const meaning = RECORDS[table].meaning as
    ((row: unknown, given: typeof parts) => readonly Issue[]) | undefined;
  return (meaning?.(row, parts) ?? []).map(issueFault);
}

/** Joi names null among the types of a choice but not among its values: it is added there. */
function withNulls(node: unknown): unknown {
  if (Array.isArray(node)) return node.map(withNulls);
  if (typeof node !== 'object' || node === null) return node;
  const made = Object.fromEntries(Object.entries(node).map(([k, v]) => [k, withNulls(v)]));
  const { type, enum: values } = made as { type?: unknown; enum?: unknown };
  return Array.isArray(type) && type.includes('null') && Array.isArray(values)
    ? { ...made, enum: [...values, null] }
    : made;
}

/** The form of a row as JSON Schema; meaning between fields is not in it. */
export const rowJsonSchema = (table: TableName): Record<string, unknown> =>
  withNulls(schemaOf(table)['~standard'].jsonSchema.input({ target: 'draft-2020-12' })) as Record<
    string,
    unknown
  >;

/** Makes every schema and runs it once, so that no write waits for it. @param breathe lets the page answer before each */
export async function warmSchemas(breathe: () => Promise<unknown>): Promise<void> {
  for (const table of TABLE_NAMES) {
    await breathe();
    schemaOf(table).validate({}, { abortEarly: false });
  }
}
