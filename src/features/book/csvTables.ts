import { csvOf, isoCell, type Cell } from '@/data/exchange/csv';
import { shapeBox } from '@/core/geometry';
import { edgeHeightOf, readingsOf, type Area } from '@/records';
import { ledgerOf, pieceViews, type CoatView } from '@/shop/coatView';
import type { Shop } from '@/shop/shop';

interface Table {
  readonly fields: readonly string[];
  readonly rows: readonly (readonly Cell[])[];
}

/** Width, depth, diameter and height of the edge of a face, m; a disc has a diameter alone. */
function sizeCells(face: Area | undefined): Cell[] {
  if (!face) return [null, null, null, null];
  const { widthM, heightM } = shapeBox(face.shape);
  const round = face.shape.kind === 'disc';
  return [...(round ? [null, null, widthM] : [widthM, heightM, null]), edgeHeightOf(face)];
}

function pieces(shop: Shop, nowMs: number): Table {
  return {
    fields: [
      ...['piece', 'job', 'count', 'support', 'width_m', 'depth_m', 'diameter_m', 'edge_m'],
      ...['coats', 'coats_poured', 'findings_open', 'note', 'created', 'due', 'left', 'id'],
    ],
    rows: pieceViews(shop, nowMs).map(({ piece, coats, openDefects, drawn }) => [
      ...[piece.name, piece.job, piece.count, piece.support, ...sizeCells(drawn[0])],
      ...[coats.length, coats.filter((c) => c.clock).length, openDefects, piece.note],
      ...[isoCell(piece.createdMs), isoCell(piece.dueMs), isoCell(piece.closedMs), piece.id],
    ]),
  };
}

const everyCoat = (shop: Shop, nowMs: number): readonly CoatView[] =>
  pieceViews(shop, nowMs).flatMap((view) => view.coats);

function coats(shop: Shop, nowMs: number): Table {
  return {
    fields: [
      ...['piece', 'coat', 'kind', 'order', 'resin', 'state', 'film_m', 'mix_m3', 'mix_kg'],
      ...['sigma_m3', 'mixed', 'poured', 'covered', 'id'],
    ],
    rows: everyCoat(shop, nowMs).map((view) => {
      const { coat, piece, resin, state } = view;
      const ledger = ledgerOf(view);
      const of = ledger.ok ? ledger.value : null;
      return [
        ...[piece.name, coat.name, coat.kind, coat.order, resin.name, state, coat.thicknessM],
        ...[of?.totalM3, of?.totalKg, of?.sigmaM3],
        ...[isoCell(coat.mixedMs), isoCell(coat.pouredMs), isoCell(coat.coveredMs), coat.id],
      ];
    }),
  };
}

function ledger(shop: Shop, nowMs: number): Table {
  return {
    fields: ['piece', 'coat', 'line', 'volume_m3', 'computed_m3', 'set_by_hand', 'coat_id'],
    rows: everyCoat(shop, nowMs).flatMap((view) => {
      const { coat, piece } = view;
      const made = ledgerOf(view);
      if (!made.ok) return [];
      return made.value.lines.map((line) => [
        ...[piece.name, coat.name, line.id, line.volumeM3],
        ...[line.computedM3 ?? line.volumeM3, line.computedM3 !== undefined, coat.id],
      ]);
    }),
  };
}

function readings(shop: Shop): Table {
  const names = new Map(shop.coats.map((c) => [c.id as string, c.name]));
  return {
    fields: [
      ...[
        'time',
        'temperature_k',
        'humidity',
        'surface_k',
        'from',
        'by',
        'coat_apart',
        'taken_out',
      ],
    ],
    rows: shop.room.days.flatMap((day) =>
      readingsOf(day).map((r) => [
        ...[isoCell(r.atMs), r.temperatureK, r.humidity, r.surfaceK, r.source.how, r.source.by],
        ...[r.source.coatId ? (names.get(r.source.coatId) ?? r.source.coatId) : '', r.source.out],
      ]),
    ),
  };
}

/** Tables that leave as CSV, beside the log: numbers in SI with the unit in the name, instants in UTC. */
export const CSV_TABLES = ['pieces', 'coats', 'ledger', 'readings'] as const;
export type CsvTable = (typeof CSV_TABLES)[number];

const MAKE: Readonly<Record<CsvTable, (shop: Shop, nowMs: number) => Table>> = {
  ...{ pieces, coats, ledger, readings },
};

/** One table of the shop as the text of a CSV file. */
export function csvTable(name: CsvTable, shop: Shop, nowMs: number): string {
  const { fields, rows } = MAKE[name](shop, nowMs);
  return csvOf(fields, rows);
}
