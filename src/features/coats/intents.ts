import { LOCK_LIFT_M, type Intent, type IntentKind } from '@/core/coat';
import type { Issue } from '@/core/result';
import { editText } from '@/core/units';
import type { CoatKind } from '@/core/piece';
import type { FieldReader } from '@/features/common/fieldReader';
import { issueText } from '@/features/common/issueText';
import type { Format } from '@/features/common/useFormat';

interface IntentWords {
  readonly choice: string;
  /** Label and hint of its own number; null where it has none. */
  readonly field: { readonly label: string; readonly hint: string } | null;
}

export const INTENT_WORDS: Readonly<Record<IntentKind, IntentWords>> = {
  given: {
    choice: 'a given thickness',
    field: { label: 'Film thickness', hint: '' },
  },
  natural: { choice: 'level itself and stay', field: null },
  bury: {
    choice: 'bury the relief',
    field: { label: 'Cover over the relief', hint: 'Over its highest point' },
  },
  fill: {
    choice: 'fill a recess',
    field: { label: 'Stop below the rim by', hint: '0 fills it level with the face' },
  },
  dome: {
    choice: 'dome',
    field: { label: 'Height in the middle', hint: 'Empty: as high as is safe' },
  },
  skin: { choice: 'a thin brushed skin', field: null },
};

export const intentOptions = Object.entries(INTENT_WORDS).map(
  ([kind, { choice }]): [string, string] => [kind, choice],
);

/** What a coat of a kind is usually for. Common practice, no source. */
const USUAL: Readonly<Record<CoatKind, Intent>> = {
  seal: { by: 'skin' },
  lock: { by: 'given', thicknessM: LOCK_LIFT_M },
  flood: { by: 'given', thicknessM: 1.6e-3 },
  dome: { by: 'dome', centreM: null },
  fill: { by: 'fill', belowM: 0 },
  edge: { by: 'skin' },
  art: { by: 'given', thicknessM: 1e-3 },
  patch: { by: 'given', thicknessM: 1e-3 },
  back: { by: 'given', thicknessM: 1e-3 },
};

/** An intention as it is typed. */
export interface IntentDraft {
  readonly by: IntentKind;
  readonly value: string;
}

function ownNumber(intent: Intent): number | null {
  switch (intent.by) {
    case 'given':
      return intent.thicknessM;
    case 'bury':
      return intent.coverM;
    case 'fill':
      return intent.belowM;
    case 'dome':
      return intent.centreM;
    case 'natural':
    case 'skin':
      return null;
  }
}

export function draftOfIntent(intent: Intent, format: Format): IntentDraft {
  const number = ownNumber(intent);
  const value = number === null ? '' : editText(number, format.typed('film'));
  return { by: intent.by, value };
}

/** The usual intention as it would be typed in this shop: a US one floods 1/16 in. */
export const usualIntent = (kind: CoatKind, format: Format): IntentDraft =>
  kind === 'flood' && format.units === 'us'
    ? { by: 'given', value: '1/16 in' }
    : draftOfIntent(USUAL[kind], format);

/** A draft of another intention, with a number to start from. */
export function switchIntent(by: IntentKind, thicknessM: number, format: Format): IntentDraft {
  const start: Readonly<Record<IntentKind, Intent>> = {
    given: { by: 'given', thicknessM },
    natural: { by: 'natural' },
    bury: { by: 'bury', coverM: 0.5e-3 },
    fill: { by: 'fill', belowM: 0 },
    dome: { by: 'dome', centreM: null },
    skin: { by: 'skin' },
  };
  return draftOfIntent(start[by], format);
}

/** Reads an intention; its number in m, with a message at the field. */
export function readIntent<F extends string>(
  { by, value }: IntentDraft,
  reader: FieldReader<F>,
  field: F,
): Intent {
  const film = () => reader.quantity(field, value, 'film', { min: 0 });
  switch (by) {
    case 'given':
      return { by, thicknessM: film() };
    case 'bury':
      return { by, coverM: film() };
    case 'fill':
      return { by, belowM: film() };
    case 'dome':
      return { by, centreM: value.trim() === '' ? null : film() };
    case 'natural':
    case 'skin':
      return { by };
  }
}

/** The words for what stands against an intention. */
export function intentIssueText(issue: Issue, format: Format): string {
  const name = String(issue.path[0] ?? '');
  if (name === 'areas') return 'No area with an outline is chosen: survey one, or choose it.';
  if (name === 'recess') return 'None of these areas is a recess: choose one, or survey it first.';
  if (name === 'edges')
    return 'An open edge has no lip that holds a dome: make its edges doming, or walls, in the survey.';
  if (name === 'belowM' && issue.code === 'does-not-fit')
    return `Nothing is left to fill: the recess is open by ${format.show(issue.allowed?.max ?? 0, 'film').text}.`;
  if (name === 'centreM' && issue.code === 'does-not-fit')
    return 'The coats below reach that height already: nothing is left to dome.';
  if (name === 'centreM' && issue.allowed?.max !== undefined)
    return `It would spill: safe up to ${format.show(issue.allowed.max, 'film').text} on this outline.`;
  return issueText(issue, 'film', format);
}

/** What a drag of the surface makes of an intention: more cover over relief, else a thickness. */
export const draggedIntent = (intent: Intent, fromM: number, toM: number): Intent =>
  intent.by === 'bury' && intent.coverM + toM - fromM >= 0.1e-3
    ? { by: 'bury', coverM: intent.coverM + toM - fromM }
    : { by: 'given', thicknessM: toM };

/** Reads “teal 20 %, pearl 10 %”; null when it cannot be read or comes to more than the whole. */
export function readColours(text: string): { name: string; share: number }[] | null {
  const parts = text
    .split(/[;\n]|,(?!\d)/)
    .map((p) => p.trim())
    .filter(Boolean);
  const colours = parts.map((part) => {
    const found = /^(.*\S)\s+(\d+(?:[.,]\d+)?)\s*%$/.exec(part);
    const share = Number(found?.[2]?.replace(',', '.') ?? NaN) / 100;
    return { name: (found?.[1] ?? '').slice(0, 120), share };
  });
  const sum = colours.reduce((s, c) => s + c.share, 0);
  const sound = colours.length <= 12 && colours.every((c) => c.share > 0) && sum <= 1;
  return sound ? colours : null;
}

export const coloursText = (colours: readonly { name: string; share: number }[]): string =>
  colours.map((c) => `${c.name} ${Number((c.share * 100).toFixed(1))} %`).join(', ');
