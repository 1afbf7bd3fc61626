import type { TableName } from '@/records';
import { RowTrouble } from '@/shop/rowTrouble';

const SINGULAR: Readonly<Record<TableName, string>> = {
  settings: 'the settings',
  resins: 'resin',
  lots: 'lot of bottles',
  swatches: 'swatch',
  pieces: 'piece',
  areas: 'area',
  sessions: 'wet session',
  batches: 'batch',
  coats: 'coat',
  layers: 'layer',
  defects: 'defect',
  photos: 'photo',
  drafts: 'draft',
  shares: 'bundle that was shared',
  tasks: 'step',
  templates: 'list of steps',
  room: 'day of the room’s record',
  log: 'entry of the log',
};

/** Names what cannot be shown: `piece “Board” (a1b2)`. */
export function troubleWords(error: Error): string {
  if (!(error instanceof RowTrouble)) return '';
  const { table, row } = error;
  return `${SINGULAR[table]}${row.name ? ` “${row.name}”` : ''} (${row.id})`;
}
