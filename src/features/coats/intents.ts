import {
  FLOOD_OVER_LIMITS_M2,
  FLOOD_OVER_M2,
  MIX_LIMITS_M3,
  SPREAD_M,
  THICKNESS_LIMITS_M,
  type Intent,
  type IntentKind,
  type UsualWhy,
} from '@/core/coat';
import type { Issue } from '@/core/result';
import { editText, FOOT_M, formatIn, parseQuantity, US_FLUID_OUNCE_M3 } from '@/core/units';
import type { FieldReader } from '@/features/common/fieldReader';
import { issueText } from '@/features/common/issueText';
import type { Format } from '@/features/common/useFormat';

interface IntentField {
  readonly label: string;
  readonly hint: string;
}

const CHOICES: Readonly<Record<IntentKind, string>> = {
  natural: 'level itself; edges by hand',
  over: 'flood over the edges',
  spread: 'be spread to the edges',
  bury: 'bury the relief',
  dome: 'dome',
  fill: 'fill a recess',
  rim: 'fill to the top of its walls',
  given: 'have a given thickness',
  mix: 'use up what I mix',
  skin: 'be a thin brushed skin',
};

export const intentOptions = Object.entries(CHOICES).map(([kind, choice]): [string, string] => [
  kind,
  choice,
]);

/** Label and hint of an intention's own number; null where it has none. */
export function intentField(by: IntentKind, { units }: Pick<Format, 'units'>): IntentField | null {
  switch (by) {
    case 'natural':
    case 'skin':
      return null;
    case 'given':
      return { label: 'Film thickness', hint: '' };
    case 'over':
      return units === 'us'
        ? {
            label: 'For each foot of open edge',
            hint: '0.4 to 0.7 fl oz; most runs off and can be fed back',
          }
        : {
            label: 'For each metre of open edge',
            hint: '35 to 70 ml; most runs off and can be fed back',
          };
    case 'spread':
      return { label: 'Film that is spread', hint: 'Rested resin by tool lies at about 1.1 mm' };
    case 'bury':
      return { label: 'Cover over the relief', hint: 'Over its highest point' };
    case 'dome':
      return { label: 'Height in the middle', hint: 'Empty: as high as is safe' };
    case 'fill':
      return { label: 'Stop below the rim by', hint: '0 fills it level with the face' };
    case 'rim':
      return { label: 'Walls stand above the ground by', hint: 'Mould, dam or tape wall' };
    case 'mix':
      return { label: 'I mix', hint: 'Volume or weight: 15 fl oz, 450 ml, 480 g' };
  }
}

/** Why a coat starts with its intention. */
export const USUAL_WORDS: Readonly<Record<UsualWhy, string>> = {
  brushed: 'brushed thin: it closes pores and wets the ground',
  locks: 'a thin first lift, so that loose parts stay where they are',
  'fills recess': 'level with the face around it',
  'must not run over': 'its edges hold a dome: as much as is safe, and not a drop over',
  'relief stands': 'its highest point goes under, with some cover',
  'walls all round': 'walls hold it, so the thickness is yours to choose',
  'small and open': 'open edges are flooded over; most of what runs off can be fed back',
  'picture keeps its edges': 'a picture or panel levels itself, and a finger goes round its edges',
  'wet ground': 'wet ground for colours, over the edges',
  part: 'thin: only a part, or the back',
};

/** An intention as it is typed. */
export interface IntentDraft {
  readonly by: IntentKind;
  readonly value: string;
}

/** The length for which a flood over the edge is told, m. */
const edgeUnit = ({ units }: Pick<Format, 'units'>): number => (units === 'us' ? FOOT_M : 1);

/** A volume in the unit in which it was told: the one in which it is a round number. Rules of thumb speak of fl oz everywhere. */
function mixText(m3: number, format: Format): string {
  const units = [format.typed('volume'), ...format.either(['fl oz'], [])];
  const round = (unit: string) => {
    const value = Number(formatIn(m3, unit, 9).number);
    return Math.abs(value - Number(value.toPrecision(4))) < 1e-6 * value;
  };
  return editText(m3, units.find(round) ?? format.typed('volume'));
}

function ownText(intent: Intent, format: Format): string {
  const film = (m: number) => editText(m, format.typed('film'));
  switch (intent.by) {
    case 'given':
    case 'spread':
      return film(intent.thicknessM);
    case 'over': {
      const one = intent.perMetreM2 * edgeUnit(format);
      return editText(one, format.typed('volume'));
    }
    case 'bury':
      return film(intent.coverM);
    case 'fill':
      return film(intent.belowM);
    case 'rim':
      return film(intent.heightM);
    case 'dome':
      return intent.centreM === null ? '' : film(intent.centreM);
    case 'mix':
      return mixText(intent.volumeM3, format);
    case 'natural':
    case 'skin':
      return '';
  }
}

export const draftOfIntent = (intent: Intent, format: Format): IntentDraft => ({
  by: intent.by,
  value: ownText(intent, format),
});

/** What a metre of edge is taken to take, in a round number of the shop’s units: half a fluid ounce a foot. */
export const floodOver = ({ units }: Pick<Format, 'units'>): number =>
  units === 'us' ? (0.5 * US_FLUID_OUNCE_M3) / FOOT_M : FLOOD_OVER_M2;

/** What a coat has when another intention is chosen: its film, and what its ledger comes to. */
export interface Standing {
  readonly thicknessM: number;
  /** m³; null where there is no ledger. */
  readonly totalM3: number | null;
}

/** A draft of another intention, with a number to start from. */
export function switchIntent(by: IntentKind, standing: Standing, format: Format): IntentDraft {
  const { thicknessM, totalM3 } = standing;
  if (by === 'mix' && totalM3 === null) return { by, value: '' };
  const start: Readonly<Record<IntentKind, Intent>> = {
    given: { by: 'given', thicknessM },
    natural: { by: 'natural' },
    over: { by: 'over', perMetreM2: floodOver(format) },
    spread: { by: 'spread', thicknessM: SPREAD_M },
    bury: { by: 'bury', coverM: 0.5e-3 },
    fill: { by: 'fill', belowM: 0 },
    rim: { by: 'rim', heightM: Math.max(3e-3, thicknessM) },
    dome: { by: 'dome', centreM: null },
    mix: { by: 'mix', volumeM3: totalM3 ?? 0 },
    skin: { by: 'skin' },
  };
  return draftOfIntent(start[by], format);
}

/** A volume, or a weight of mixed resin, as it is typed, m³. */
function readMix<F extends string>(
  value: string,
  densityKgM3: number,
  reader: FieldReader<F>,
  field: F,
): number {
  // A number alone is a volume.
  const weight = /[a-z]/i.test(value) ? parseQuantity(value, 'mass', 'g') : null;
  if (weight?.ok) {
    const m3 = weight.value / densityKgM3;
    const { min, max } = MIX_LIMITS_M3;
    const told = { code: 'out-of-range', path: [], value: m3, allowed: { min, max } } as const;
    if (!(m3 >= min && m3 <= max)) reader.issue(field, told, 'volume');
    return m3;
  }
  return reader.quantity(field, value, 'volume', MIX_LIMITS_M3);
}

/** Reads an intention; its number in m or m³, with a message at the field. */
export function readIntent<F extends string>(
  { by, value }: IntentDraft,
  reader: FieldReader<F>,
  field: F,
  densityKgM3: number,
  format: Format,
): Intent {
  const film = (max?: number) =>
    reader.quantity(field, value, 'film', { min: 0, ...(max !== undefined && { max }) });
  switch (by) {
    case 'given':
      return { by, thicknessM: film() };
    case 'spread':
      return { by, thicknessM: film(THICKNESS_LIMITS_M.max) };
    case 'over': {
      const perM = edgeUnit(format);
      const most = { min: 0, max: FLOOD_OVER_LIMITS_M2.max * perM };
      return { by, perMetreM2: reader.quantity(field, value, 'volume', most) / perM };
    }
    case 'bury':
      return { by, coverM: film() };
    case 'fill':
      return { by, belowM: film() };
    case 'rim':
      return { by, heightM: film(THICKNESS_LIMITS_M.max) };
    case 'dome':
      return { by, centreM: value.trim() === '' ? null : film() };
    case 'mix':
      return { by, volumeM3: readMix(value, densityKgM3, reader, field) };
    case 'natural':
    case 'skin':
      return { by };
  }
}

/** What a volume comes to that this film cannot be. */
function mixIssueText({ allowed }: Issue, format: Format): string {
  const volume = (m3: number) => format.show(m3, 'volume').text;
  const { min, max } = allowed ?? {};
  if (min !== undefined && max !== undefined)
    return `The sheet allows films that take ${volume(min)} to ${volume(max)} here.`;
  return 'No film that the sheet allows comes to that volume here.';
}

/** The words for what stands against an intention. */
export function intentIssueText(issue: Issue, format: Format): string {
  const name = String(issue.path[0] ?? '');
  const film = (m: number | undefined) => format.show(m ?? 0, 'film').text;
  if (name === 'areas') return 'No area with an outline is chosen: survey one, or choose it.';
  if (name === 'recess') return 'None of these areas is a recess: choose one, or survey it first.';
  if (name === 'open edges')
    return 'None of its edges is open, so nothing runs over or levels itself there: choose a thickness, or change its edges in the survey.';
  if (name === 'walls')
    return 'Not all of its edges have walls, so there is no rim to fill to: change them in the survey.';
  if (name === 'relief')
    return `The relief stands ${film(issue.allowed?.min)} high, above the top of the walls.`;
  if (name === 'edges')
    return 'An open edge has no lip that holds a dome: make its edges doming in the survey.';
  if (name === 'doming edges')
    return 'Walls all round hold it level, so nothing domes: choose a thickness, or make its edges doming in the survey.';
  if (name === 'belowM' && issue.code === 'does-not-fit')
    return `Nothing is left to fill: the recess is open by ${film(issue.allowed?.max)}.`;
  if (name === 'heightM' && issue.code === 'does-not-fit')
    return `The coats below reach that height already: they come to ${film(issue.allowed?.min)}.`;
  if (name === 'centreM' && issue.code === 'does-not-fit')
    return 'The coats below reach that height already: nothing is left to dome.';
  if (name === 'centreM' && issue.allowed?.max !== undefined)
    return `It would spill: safe up to ${film(issue.allowed.max)} on this outline.`;
  if (name === 'volumeM3') return mixIssueText(issue, format);
  return issueText(issue, name === 'perMetreM2' ? 'volume' : 'film', format);
}

/** What a drag of the surface makes of an intention: more cover over relief, else a thickness. */
export const draggedIntent = (intent: Intent, fromM: number, toM: number): Intent =>
  intent.by === 'bury' && intent.coverM + toM - fromM >= 0.1e-3
    ? { by: 'bury', coverM: intent.coverM + toM - fromM }
    : { by: 'given', thicknessM: toM };
