import type { Migration } from './migration';

type Row = Readonly<Record<string, unknown>>;
const rowsOf = (rows: readonly unknown[] | undefined): readonly Row[] => (rows ?? []) as Row[];

/** A step of one's own waited for whatever came next, and none of them dried. */
function own(row: Row, turn: number): Row {
  const told = row['own'] as Row | null;
  if (!told) return row;
  const dries = told['kind'] === 'note' ? { labelS: 0 } : {};
  return { ...row, own: { ...told, on: { at: 'next' }, turn, ...dries } };
}

/** A tear was one step; now its cloth and its base are steps of their own, and what was done was all of it. */
const stages = (row: Row): readonly Row[] =>
  row['rule'] === 'tear' && typeof row['key'] === 'string'
    ? [
        row,
        ...['wet', 'base'].map((stage) => ({
          ...row,
          id: `${String(row['id'])}-${stage}`,
          key: String(row['key']).replace(/^tear:/, `tear ${stage}:`),
          rule: `tear ${stage}`,
          title: stage === 'wet' ? 'Wet and dry the cloth' : 'Brush an acrylic base',
          order: null,
        })),
      ]
    : [row];

/** Own steps have a place and may dry; a tear has stages; silicone and the surface's own temperature are noted. */
export const v10: Migration = {
  version: 10,
  name: 'own steps with a place, templates, stages of a tear',
  stores: { templates: 'id' },
  up: (tables) => ({
    ...tables,
    tasks: rowsOf(tables['tasks']).flatMap((row, i) => stages(own(row, i))),
    coats: rowsOf(tables['coats']).map((row) => ({ ...row, silicone: false, touches: [] })),
    resins: rowsOf(tables['resins']).map((row) => ({
      ...row,
      declared: { ...(row['declared'] as Row), colourShare: null },
    })),
    air: rowsOf(tables['air']).map((row) => ({ ...row, surfaceK: null })),
    templates: [],
  }),
};
