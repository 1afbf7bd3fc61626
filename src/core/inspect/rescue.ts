import type { CoatKind, DefectKind, Support } from '../piece';

/** Ways back from a fault, by code. Common practice, no source. */
export const RESCUE_KINDS = [
  'feed and tap',
  'lift out',
  'warm and wait',
  'scrape and refill',
  'fill the spot',
  'sand and flood',
  'cut below and flood',
  'wash and recoat',
  'strip and recoat',
  'opaque coat',
  'art layer',
  'texture first',
  'new face on the back',
  'dome over',
  'bury the relief',
  'redo the edge',
  'regild and seal',
  'file and touch up',
  'polish',
  'break up',
  'accept',
] as const;
export type RescueKind = (typeof RESCUE_KINDS)[number];

/** Steps of a rescue that the preparation of its coat does not ask for by itself, by code. */
export const RESCUE_STEPS = [
  'tap with a wet glove',
  'lift with tweezers',
  'keep at 25 °C',
  'touch again',
  'scrape soft matter out',
  'wipe with alcohol',
  'sand into the spot',
  'cut back below it',
  'recolour it',
  'wash with water',
  'strip it off',
  'try the opacity',
  'lay texture paste',
  'gild again',
  'gild a second time',
  'file it off',
  'touch up',
  'sand and polish',
  'break it up',
] as const;
export type RescueStep = (typeof RESCUE_STEPS)[number];

/** Hands’ time of each, and what it then waits for by itself, s. Judgement on common practice, no source. */
export const STEP_TIMES: Readonly<Record<RescueStep, { handsS: number; waitS: number }>> = {
  'tap with a wet glove': { handsS: 120, waitS: 0 },
  'lift with tweezers': { handsS: 60, waitS: 0 },
  'keep at 25 °C': { handsS: 120, waitS: 24 * 3600 },
  'touch again': { handsS: 60, waitS: 0 },
  'scrape soft matter out': { handsS: 900, waitS: 0 },
  'wipe with alcohol': { handsS: 180, waitS: 600 },
  'sand into the spot': { handsS: 300, waitS: 0 },
  'cut back below it': { handsS: 1200, waitS: 0 },
  'recolour it': { handsS: 900, waitS: 3 * 3600 },
  'wash with water': { handsS: 300, waitS: 2 * 3600 },
  'strip it off': { handsS: 3600, waitS: 0 },
  'try the opacity': { handsS: 600, waitS: 0 },
  'lay texture paste': { handsS: 1200, waitS: 24 * 3600 },
  'gild again': { handsS: 1200, waitS: 2 * 3600 },
  'gild a second time': { handsS: 900, waitS: 2 * 3600 },
  'file it off': { handsS: 600, waitS: 0 },
  'touch up': { handsS: 600, waitS: 2 * 3600 },
  'sand and polish': { handsS: 2400, waitS: 0 },
  'break it up': { handsS: 900, waitS: 0 },
};

/** Where the coat of a rescue goes. */
export type RescueWhere = 'spot' | 'face' | 'edge' | 'back';

/** What can be seen of it afterwards. */
export const SHOWS = ['nothing', 'a rim', 'a new look', 'all of it'] as const;
export type Shows = (typeof SHOWS)[number];

export interface Rescue {
  readonly for: readonly DefectKind[];
  /** What the film must be like: it still flows, it is soft or sticky, it is hard. */
  readonly film: readonly FilmNow[];
  readonly coat: { readonly kind: CoatKind; readonly where: RescueWhere } | null;
  readonly steps: readonly RescueStep[];
  readonly shows: Shows;
  /** How likely it is to want another, 0…1. Judgement, no source. */
  readonly risk: number;
}

/** The film that a fault is in, as a finger finds it; `none`: it is in no coat. */
export const FILM_NOW = ['wet', 'soft', 'sticky', 'hard', 'none'] as const;
export type FilmNow = (typeof FILM_NOW)[number];

const HARD = ['hard', 'none'] as const;
const CURED = ['soft', 'sticky', 'hard', 'none'] as const;
const FLOOD = { kind: 'flood', where: 'face' } as const;
const SPOT = { kind: 'patch', where: 'spot' } as const;
const BURIED: readonly DefectKind[] = [
  ...(['fish eye', 'bubbles', 'dust nib', 'dimples', 'scratches'] as const),
  'haze',
];

/** All ways back with what each takes. Common practice, no source. */
export const RESCUES: Readonly<Record<RescueKind, Rescue>> = {
  'feed and tap': {
    ...{ for: ['fish eye', 'thin edge', 'see-through'], film: ['wet'], coat: null },
    ...{ steps: ['tap with a wet glove'], shows: 'nothing', risk: 0.25 },
  },
  'lift out': {
    ...{ for: ['dust nib', 'bubbles'], film: ['wet'], coat: null },
    ...{ steps: ['lift with tweezers'], shows: 'nothing', risk: 0.15 },
  },
  'warm and wait': {
    ...{ for: ['tacky all over', 'soft spot', 'haze'], film: ['soft', 'sticky'], coat: null },
    ...{ steps: ['keep at 25 °C', 'touch again'], shows: 'nothing', risk: 0.45 },
  },
  'scrape and refill': {
    ...{ for: ['soft spot', 'scorch', 'peeling'], film: CURED, coat: SPOT },
    steps: ['scrape soft matter out', 'wipe with alcohol', 'sand into the spot'],
    ...{ shows: 'a rim', risk: 0.3 },
  },
  'fill the spot': {
    ...{ for: ['fish eye', 'bubbles', 'dust nib', 'dimples'], film: HARD, coat: SPOT },
    ...{ steps: ['sand into the spot'], shows: 'a rim', risk: 0.25 },
  },
  'sand and flood': {
    ...{ for: BURIED, film: HARD, coat: FLOOD, steps: [], shows: 'nothing', risk: 0.12 },
  },
  'cut below and flood': {
    ...{ for: ['scorch', 'peeling', 'muddy colour'], film: HARD, coat: FLOOD },
    ...{ steps: ['cut back below it', 'recolour it'], shows: 'nothing', risk: 0.3 },
  },
  'wash and recoat': {
    ...{ for: ['haze'], film: HARD, coat: FLOOD },
    ...{ steps: ['wash with water'], shows: 'nothing', risk: 0.15 },
  },
  'strip and recoat': {
    for: ['tacky all over', 'soft spot', 'peeling', 'haze', 'fish eye', 'muddy colour'],
    ...{ film: CURED, coat: FLOOD, shows: 'nothing', risk: 0.35 },
    steps: ['strip it off', 'wipe with alcohol'],
  },
  'opaque coat': {
    ...{ for: ['see-through', 'scorch', 'muddy colour', 'not liked'], film: HARD },
    coat: { kind: 'art', where: 'face' },
    ...{ steps: ['try the opacity'], shows: 'a new look', risk: 0.2 },
  },
  'art layer': {
    ...{ for: ['muddy colour', 'not liked', 'see-through', 'scratches'], film: HARD },
    coat: { kind: 'art', where: 'face' },
    ...{ steps: [], shows: 'a new look', risk: 0.3 },
  },
  'texture first': {
    ...{ for: ['not liked', 'dimples', 'scratches', 'peeling'], film: HARD, coat: FLOOD },
    ...{ steps: ['lay texture paste'], shows: 'a new look', risk: 0.3 },
  },
  'new face on the back': {
    for: ['not liked', 'muddy colour', 'scorch', 'see-through', 'haze'],
    ...{ film: HARD, coat: { kind: 'back', where: 'back' }, shows: 'a new look', risk: 0.2 },
    // Prepare itself asks for the turn, and for a mask where it is needed.
    steps: ['try the opacity'],
  },
  'dome over': {
    ...{ for: ['sharp rim', 'tape lip', 'thin edge', 'dimples'], film: HARD },
    coat: { kind: 'dome', where: 'face' },
    ...{ steps: [], shows: 'nothing', risk: 0.25 },
  },
  'bury the relief': {
    ...{ for: ['proud relief'], film: HARD, coat: FLOOD, steps: [], shows: 'nothing', risk: 0.12 },
  },
  'redo the edge': {
    ...{ for: ['thin edge', 'seep', 'tape lip', 'drips'], film: HARD },
    coat: { kind: 'edge', where: 'edge' },
    ...{ steps: ['touch up'], shows: 'nothing', risk: 0.2 },
  },
  'regild and seal': {
    ...{ for: ['gilding lifted'], film: HARD, coat: { kind: 'edge', where: 'edge' } },
    ...{ steps: ['gild again', 'gild a second time'], shows: 'nothing', risk: 0.2 },
  },
  'file and touch up': {
    for: ['drips', 'tape lip', 'seep', 'sharp rim', 'gilding lifted'],
    ...{ film: HARD, coat: null, steps: ['file it off', 'touch up'], shows: 'nothing', risk: 0.1 },
  },
  polish: {
    ...{ for: ['dust nib', 'scratches', 'dimples', 'haze'], film: ['hard'], coat: null },
    ...{ steps: ['sand and polish'], shows: 'nothing', risk: 0.25 },
  },
  'break up': {
    for: ['not liked', 'muddy colour', 'scorch', 'peeling', 'tacky all over'],
    ...{ film: ['hard'], coat: null, steps: ['break it up'], shows: 'all of it', risk: 0 },
  },
  accept: {
    for: [
      ...(['fish eye', 'bubbles', 'dust nib', 'dimples', 'scorch', 'haze', 'drips'] as const),
      ...(['tape lip', 'seep', 'thin edge', 'see-through', 'proud relief', 'scratches'] as const),
      ...(['sharp rim', 'gilding lifted', 'muddy colour', 'not liked'] as const),
    ],
    ...{ film: ['soft', 'hard', 'none'], coat: null, steps: [], shows: 'all of it', risk: 0 },
  },
};

/** Why a rescue cannot be done, by code. */
export type Refused =
  | 'too late while wet'
  | 'it flows'
  | 'still soft'
  | 'sticky holds nothing'
  | 'it is hard'
  | 'it is all over'
  | 'no back'
  | 'runs over open edges'
  | 'support does not bear it'
  | 'never cures'
  | 'no face'
  | 'no edge';

export interface RescueFacts {
  readonly film: FilmNow;
  readonly support: Support;
  readonly allOver: boolean;
  /** There is a surveyed back, an open edge to work on, a face that holds a dome. */
  readonly hasBack: boolean;
  readonly hasFace: boolean;
  readonly hasEdge: boolean;
  readonly holdsDome: boolean;
  /** The ratio is taken to be wrong throughout: warmth does not help. */
  readonly neverCures: boolean;
}

/** Supports that take no solvent, heat or scraping all over. Common practice, no source. */
const TENDER: readonly Support[] = ['canvas', 'paper on board', 'plastic'];

function filmRefused({ film: wanted }: Rescue, film: FilmNow): Refused | null {
  if (wanted.includes(film)) return null;
  if (film === 'wet') return 'it flows';
  if (wanted.length === 1 && wanted[0] === 'wet') return 'too late while wet';
  if (film === 'soft') return 'still soft';
  return film === 'sticky' ? 'sticky holds nothing' : 'it is hard';
}

/** What stands against a rescue; null: it can be done. */
export function refused(kind: RescueKind, facts: RescueFacts): Refused | null {
  const rescue = RESCUES[kind];
  const film = filmRefused(rescue, facts.film);
  if (film) return film;
  const where = rescue.coat?.where;
  if (where === 'spot' && facts.allOver) return 'it is all over';
  if (where === 'back' && !facts.hasBack) return 'no back';
  if (where === 'face' && !facts.hasFace) return 'no face';
  if (where === 'edge' && !facts.hasEdge) return 'no edge';
  if (kind === 'dome over' && !facts.holdsDome) return 'runs over open edges';
  if (kind === 'strip and recoat' && TENDER.includes(facts.support))
    return 'support does not bear it';
  if (kind === 'warm and wait' && facts.neverCures) return 'never cures';
  return null;
}

/** Rescues that answer a kind of fault, those that can be done first, each in the order of the list. */
export function rescuesFor(
  kind: DefectKind,
  facts: RescueFacts,
): readonly { readonly kind: RescueKind; readonly refused: Refused | null }[] {
  const all = RESCUE_KINDS.filter((r) => RESCUES[r].for.includes(kind)).map((r) => ({
    kind: r,
    refused: refused(r, facts),
  }));
  return [...all.filter((r) => !r.refused), ...all.filter((r) => r.refused)];
}

/**
 * Resin that a pit takes.
 * @param widthM its width at the surface, m, > 0 @param depthM its depth, m, > 0
 * @returns m³ of one pit, a cap of a sphere
 * Source: V = π d (3 a² + d²) / 6 with a half the width; closed form.
 */
export const pitVolume = (widthM: number, depthM: number): number =>
  (Math.PI * depthM * (3 * (widthM / 2) ** 2 + depthM ** 2)) / 6;

/** Resin that a scraped hollow takes: as deep all over as in its middle, so never too little, m³. */
export const hollowVolume = (widthM: number, depthM: number): number =>
  (Math.PI * widthM ** 2 * depthM) / 4;
