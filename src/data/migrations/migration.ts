/** Rows of a document of any version, by table name. */
export type AnyTables = Readonly<Record<string, readonly unknown[]>>;

/** One step of the schema. A step is frozen once it has shipped; it keeps its own copies of old types. */
export interface Migration {
  readonly version: number;
  readonly name: string;
  /** Dexie store definitions of this version; null: the table goes, and the step takes in what it held. */
  readonly stores: Readonly<Record<string, string | null>>;
  /** How the browser keeps what stands in a table otherwise: no table of a shop, and in no file. */
  readonly unseen?: Readonly<Record<string, string>>;
  /** Pure: tables of the version before → tables of this version. */
  readonly up: (tables: AnyTables) => AnyTables;
}
