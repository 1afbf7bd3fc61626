import { TABLE_NAMES, type TableName } from '@/records';
import { rowJsonSchema } from '@/records/validate';
import { SCHEMA_VERSION } from '../migrations';
import { SHOP_FORMAT } from './shopFile';

type Schema = Record<string, unknown>;

/** A photo stands in the file as text. */
function photoSchema(row: Schema): Schema {
  const properties = { ...(row['properties'] as Record<string, Schema>) };
  delete properties['blob'];
  const required = (row['required'] as readonly string[]).filter((name) => name !== 'blob');
  const text = { type: 'string' };
  return {
    ...row,
    properties: { ...properties, type: text, base64: { ...text, contentEncoding: 'base64' } },
    required: [...required, 'type', 'base64'],
  };
}

const rowSchema = (table: TableName): Schema =>
  table === 'photos' ? photoSchema(rowJsonSchema(table)) : rowJsonSchema(table);

/**
 * The form of a shop file of this version, for other programs. SI units, the unit at the end of each name; instants in ms
 * since 1970 (UTC). That ids are there, and what holds between fields, is checked by the import alone.
 */
export const shopFileSchema = (): Schema => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: `Shop file of Bilamina, version ${SCHEMA_VERSION}`,
  type: 'object',
  properties: {
    format: { const: SHOP_FORMAT },
    version: { const: SCHEMA_VERSION },
    exportedMs: { type: 'number' },
    tables: {
      type: 'object',
      properties: Object.fromEntries(
        TABLE_NAMES.map((table) => [table, { type: 'array', items: rowSchema(table) }]),
      ),
      required: [...TABLE_NAMES],
      additionalProperties: false,
    },
  },
  required: ['format', 'version', 'tables'],
});
