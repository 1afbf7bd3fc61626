import { stampText } from '@/features/common/clockText';
import type { RowFate, UnitKind, UnitPreview } from '@/data/exchange/bundle';
import type { TableName } from '@/records';

const KINDS: Readonly<Record<UnitKind, string>> = {
  piece: 'piece',
  resin: 'data sheet',
  session: 'wet session',
  template: 'list of steps',
  settings: 'settings of the shop',
  room: 'room',
};

/** One and several of a table’s rows. */
const ROWS: Readonly<Partial<Record<TableName, readonly [one: string, several: string]>>> = {
  pieces: ['its facts', 'its facts'],
  areas: ['face', 'faces'],
  coats: ['coat', 'coats'],
  layers: ['layer', 'layers'],
  tasks: ['step', 'steps'],
  defects: ['finding', 'findings'],
  photos: ['photo', 'photos'],
  resins: ['the sheet', 'the sheet'],
  lots: ['lot of bottles', 'lots of bottles'],
  swatches: ['swatch', 'swatches'],
  sessions: ['the session', 'the session'],
  batches: ['batch', 'batches'],
  templates: ['the list', 'the list'],
  settings: ['the choices', 'the choices'],
};
/** Tables of which a unit has one row. */
const SINGLE: readonly TableName[] = ['pieces', 'resins', 'sessions', 'templates', 'settings'];

const HOW: Readonly<Record<Exclude<RowFate, 'same'>, string>> = {
  new: 'new',
  theirs: 'changed there',
  gone: 'removed there',
  mine: 'changed here',
  both: 'changed on both sides',
};

const FATES: Readonly<Record<UnitPreview['fate'], string>> = {
  new: 'new here',
  same: 'the same',
  theirs: 'changed there',
  mine: 'changed here: stays',
  together: 'changed here and there, nothing twice: both are kept',
  both: 'changed on both sides',
};

/** What a unit of a bundle is called, how it stands, and which of its rows. */
export function unitWords({ kind, name, startedMs, fate, rows }: UnitPreview): {
  readonly title: string;
  readonly fate: string;
  readonly details: string;
} {
  const called = startedMs === null ? name : stampText(startedMs);
  const details = rows.map(({ table, fate: how, count }) => {
    const [one, several] = ROWS[table] ?? [table, table];
    const what = SINGLE.includes(table) ? one : `${count} ${count === 1 ? one : several}`;
    return how === 'same' ? what : `${what} ${HOW[how]}`;
  });
  return {
    title: called ? `${called} (${KINDS[kind]})` : KINDS[kind],
    fate: FATES[fate],
    details: fate === 'new' || fate === 'same' ? '' : details.join(', '),
  };
}

/** What taking a bundle in comes to, in one sentence. */
export function mergeSummary(units: readonly UnitPreview[], entries: number): string {
  const count = (...fates: readonly UnitPreview['fate'][]) =>
    units.filter((u) => fates.includes(u.fate)).length;
  const parts = [
    [count('new'), 'new'],
    [count('theirs', 'together'), 'brought up to date'],
    [count('both'), 'to be decided'],
    [count('same', 'mine'), 'as they are here'],
  ] as const;
  const told = parts.filter(([n]) => n > 0).map(([n, words]) => `${n} ${words}`);
  const log = entries === 1 ? 'one entry' : `${entries} entries`;
  return `${told.join(', ')}; ${log} for the log.`;
}
