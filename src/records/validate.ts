import { checkShape, measureShape } from '@/core/geometry';
import { checkSheet } from '@/core/resin';
import type { Issue } from '@/core/result';
import { ROW_SCHEMAS } from './schemas';
import type { Area, Resin, TableName } from './types';

/** One fault of a row or a file, at its path. */
export interface RowFault {
  readonly path: string;
  readonly message: string;
}

const dotted = (path: readonly (string | number)[]): string =>
  path.map((p, i) => (typeof p === 'number' ? `[${p}]` : i === 0 ? p : `.${p}`)).join('');

function issueFault(prefix: string, issue: Issue): RowFault {
  const { allowed } = issue;
  const bounds = [
    allowed?.min === undefined ? '' : `at least ${allowed.min}`,
    allowed?.max === undefined ? '' : `at most ${allowed.max}`,
  ].filter(Boolean);
  const wanted = bounds.length > 0 ? `; wanted ${bounds.join(' and ')} (SI)` : '';
  return {
    path: dotted([prefix, ...issue.path]),
    message: `${issue.code.replaceAll('-', ' ')}: ${String(issue.value)}${wanted}`,
  };
}

function meaningFaults(table: TableName, row: unknown): RowFault[] {
  if (table === 'areas') {
    const area = row as Area;
    const shape = checkShape(area.shape);
    if (!shape.ok) return shape.issues.map((issue) => issueFault('shape', issue));
    const sides = measureShape(area.shape).sideLengthsM.length;
    if (area.edges.length !== sides)
      return [
        {
          path: 'edges',
          message: `wanted one for each of the ${sides} sides, found ${area.edges.length}`,
        },
      ];
  }
  if (table === 'resins') {
    const sheet = checkSheet((row as Resin).sheet);
    if (!sheet.ok) return sheet.issues.map((issue) => issueFault('sheet', issue));
  }
  return [];
}

/** Every fault of one row: its form by Joi, then its meaning by core. Empty when the row is sound. */
export function rowFaults(table: TableName, row: unknown): RowFault[] {
  const { error } = ROW_SCHEMAS[table]
    .required()
    .validate(row, { abortEarly: false, convert: false });
  if (error) return error.details.map((d) => ({ path: dotted(d.path), message: d.message }));
  return meaningFaults(table, row);
}

/** Runs every schema once, so that the first real write does not wait for them to be made ready. */
export function warmSchemas(): void {
  for (const schema of Object.values(ROW_SCHEMAS)) schema.validate({}, { abortEarly: false });
}
