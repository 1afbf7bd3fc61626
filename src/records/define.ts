import type { PartialSchemaMap } from 'joi';
import type { Issue } from '@/core/result';
import type * as PartsModule from './parts';

/** The parts that schemas are made of: handed in, so that records do not bring Joi with them. */
export type Parts = typeof PartsModule;

/** A field that names rows of a table: one, several, or none where it is null. */
export interface Reference {
  /** Its path in the row, with dots. */
  readonly field: string;
  readonly table: string;
  /** The row that is named may be written after this one. */
  readonly later?: true;
}

/** All that is known of a table and of its rows, once. */
export interface RecordDefinition<R> {
  readonly name: string;
  /** The form of a row; unknown fields are refused. */
  readonly schema: (parts: Parts) => PartialSchemaMap;
  /** What a row may be made from that is told nothing else. */
  readonly defaults: Partial<R>;
  readonly references: readonly Reference[];
  /** Read whole with the shop and followed; the others are asked for where they are shown. */
  readonly live: boolean;
  /** Order in which the shop holds its rows. */
  readonly order?: (a: R, b: R) => number;
  /** Faults of meaning in a row whose form is right. */
  readonly meaning?: (row: R, parts: Parts) => readonly Issue[];
}

/** Describes one table; its row type is carried along. */
export const defineRecord =
  <R extends { readonly id: string }>() =>
  <const D extends RecordDefinition<R>>(definition: D): D & { readonly row?: R } =>
    definition;
