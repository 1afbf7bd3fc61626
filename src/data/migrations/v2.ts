import type { Migration } from './migration';

interface AreaV1 {
  readonly edgeHeightM: number;
  readonly edgeKinds: readonly string[];
}

function areaUp(row: unknown): unknown {
  const { edgeHeightM, edgeKinds, ...rest } = row as AreaV1;
  return {
    ...rest,
    kind: 'face',
    at: [0, 0],
    depthM: 0,
    edges: edgeKinds.map((kind) => ({ kind, heightM: edgeHeightM, profile: { kind: 'square' } })),
    porosity: 'sealed',
    relief: [],
    surface: { kind: 'bare', ageDays: null, sanded: false },
    measured: { by: 'rule' },
  };
}

const pieceUp = (row: unknown): unknown => ({
  ...(row as object),
  use: { hotCups: false, food: false, daylight: false },
  marks: [],
  level: null,
});

/** Areas get kind, place, edges with their own thickness and profile, surface; pieces get use, marks, level. */
export const v2: Migration = {
  version: 2,
  name: 'full survey of a piece',
  stores: {},
  up: (tables) => ({
    ...tables,
    pieces: (tables['pieces'] ?? []).map(pieceUp),
    areas: (tables['areas'] ?? []).map(areaUp),
  }),
};
