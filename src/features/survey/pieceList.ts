import { isValid, parseISO } from 'date-fns';
import Papa from 'papaparse';
import { SUPPORTS, type Support } from '@/core/piece';
import type { Survey } from '@/data/repos/survey';
import { dateText } from '@/features/common/clockText';
import type { Format } from '@/features/common/useFormat';
import { emptyDraft, withSupport, type SurveyDraft } from './draft';
import { readSurvey } from './readSurvey';

/** Rows of a list that are looked at; a shop that adds more at once cuts its list. */
export const LIST_MOST = 500;

type Column =
  'name' | 'count' | 'support' | 'width' | 'depth' | 'diameter' | 'edge' | 'job' | 'due' | 'note';
/** Words in the head of a column, what is special first. */
const HEADS: readonly (readonly [Column, RegExp])[] = [
  ['count', /count|quantity|qty|^n$|^pieces$/i],
  ['name', /^piece|name|title/i],
  ['support', /support|material|ground/i],
  ['diameter', /diam|⌀|^dia/i],
  ['width', /width|wide|^w\b/i],
  ['edge', /edge|thick/i],
  ['depth', /depth|height|length|^d\b|^h\b/i],
  ['job', /job|order|commission/i],
  ['due', /due/i],
  ['note', /note|remark/i],
];
const UNIT = /(?:[_ (\[])(mm|cm|m|in|ft)[)\]]?$/i;

/** One row of the list: a piece that can be added, or what is wrong with it. */
export interface ListedPiece {
  /** Of the file, from 1; the head is the first. */
  readonly line: number;
  readonly name: string;
  readonly survey: Survey | null;
  readonly faults: readonly string[];
}

export interface PieceList {
  readonly rows: readonly ListedPiece[];
  /** Heads of columns that say nothing of a piece here. */
  readonly ignored: readonly string[];
}

type Cells = Readonly<Partial<Record<Column, string>>>;

/** A cell as it was meant: the mark before what looks like a formula is ours, or a spreadsheet’s. */
const plainCell = (cell: string): string => cell.trim().replace(/^'(?=[=+\-@])/, '');
const withUnit = (cell: string, unit: string | undefined): string =>
  unit && /^[\d.,\s]+$/.test(cell) && cell !== '' ? `${cell} ${unit}` : cell;

/** A day as other programs write it, ISO 8601, in the words of the form. */
const dayOf = (cell: string): string => {
  const day = /^\d{4}-\d\d-\d\d/.test(cell) ? parseISO(cell) : null;
  return day && isValid(day) ? dateText(day.getTime()) : cell;
};

function draftOfRow(cells: Cells, format: Format): { draft: SurveyDraft; faults: string[] } {
  const told = cells.support ?? '';
  const support = SUPPORTS.find((s) => s.toLowerCase() === told.toLowerCase());
  const empty = withSupport(emptyDraft(format), (support ?? 'bare wood') as Support);
  const [face] = empty.areas;
  const round = (cells.diameter ?? '') !== '';
  const draft: SurveyDraft = {
    ...empty,
    name: cells.name ?? '',
    count: cells.count || '1',
    job: cells.job ?? '',
    due: dayOf(cells.due ?? ''),
    note: cells.note ?? '',
    areas: face
      ? [
          {
            ...face,
            shape: round ? 'disc' : 'rectangle',
            width: (round ? cells.diameter : cells.width) ?? '',
            height: cells.depth ?? '',
            edgeHeight: cells.edge || face.edgeHeight,
          },
        ]
      : [],
  };
  const unknown = told !== '' && !support;
  return { draft, faults: unknown ? [`support: one of ${SUPPORTS.join(', ')}`] : [] };
}

/** Where a message of the form stands, in the words of a list. */
const FIELD: readonly (readonly [RegExp, string])[] = [
  [/width$/, 'width'],
  [/height$/, 'depth'],
  [/edgeHeight$/, 'edge'],
];
const wordOf = (field: string): string => FIELD.find(([at]) => at.test(field))?.[1] ?? field;

/**
 * A list of pieces (CSV, RFC 4180): a head, then a row each. Sizes without a unit are in that of their head, else in the shop’s.
 * @returns each row read as the survey form reads it, with what is wrong
 */
export function readPieceList(text: string, format: Format): PieceList {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const [heads = [], ...body] = data;
  const columns = heads.map((head) => HEADS.find(([, words]) => words.test(head.trim()))?.[0]);
  const units = heads.map((head) => UNIT.exec(head.trim())?.[1]?.toLowerCase());
  const rows = body.slice(0, LIST_MOST).map((row, i): ListedPiece => {
    const cells: Partial<Record<Column, string>> = {};
    row.forEach((cell, at) => {
      const column = columns[at];
      // The first column of a kind counts.
      if (column && cells[column] === undefined)
        cells[column] = withUnit(plainCell(cell), units[at]);
    });
    const { draft, faults } = draftOfRow(cells, format);
    const read = readSurvey(draft, format);
    const wrong = read.ok
      ? []
      : Object.entries(read.errors).map(([field, words]) => `${wordOf(field)}: ${String(words)}`);
    return {
      line: i + 2,
      name: draft.name,
      survey: read.ok && faults.length === 0 ? read.value : null,
      faults: [...faults, ...wrong],
    };
  });
  return { rows, ignored: heads.filter((head, at) => head.trim() !== '' && !columns[at]) };
}
