import { fail, ok, type Issue, type Result } from '../result';
import { angleFor, domeOn, type DomeShape } from './domeShape';
import { THICKNESS_LIMITS_M } from './input';
import { tallestRelief, type ReliefHeights } from './relief';

/** What a coat is to do; its film thickness follows from that. Lengths in m. */
export type Intent =
  | { readonly by: 'given'; readonly thicknessM: number }
  /** The film that levels itself and stays on open edges. */
  | { readonly by: 'natural' }
  /** Bury the relief under so much cover. */
  | { readonly by: 'bury'; readonly coverM: number }
  /** Fill a recess to so far below its rim. */
  | { readonly by: 'fill'; readonly belowM: number }
  /** Dome to a height in the middle; null: as high as is safe. */
  | { readonly by: 'dome'; readonly centreM: number | null }
  /** Thin brushed skin. */
  | { readonly by: 'skin' };
export type IntentKind = Intent['by'];
export const INTENTS: readonly IntentKind[] = ['given', 'natural', 'bury', 'fill', 'dome', 'skin'];

/** Rim angles that a film on open edges ends at by itself, and up to which a dome is safe, rad. From memory. */
export const RIM = {
  natural: (50 * Math.PI) / 180,
  drawsBack: Math.PI / 6,
  safe: Math.PI / 3,
} as const;
/** Film of a brushed skin, m. Judgement, no source. */
export const SKIN_M = 0.15e-3;
/** Least cover over buried relief, m. Judgement, no source: thinner, and the relief prints through. */
export const LEAST_COVER_M = 0.1e-3;

/** What an intention meets on one area. */
export interface IntentArea {
  readonly shape: DomeShape;
  readonly edges: readonly ('open' | 'dammed' | 'doming')[];
  readonly relief: readonly ReliefHeights[];
  /** Resin that lies there already, m. */
  readonly belowM: number;
  /** Depth of a recess, m; 0 for the others. */
  readonly depthM: number;
}

type Found = Result<number>;
const refuse = (code: Issue['code'], name: string, value: unknown, allowed?: Issue['allowed']) =>
  fail({ code, path: [name], value, ...(allowed && { allowed }) });

function fillThickness(areas: readonly IntentArea[], belowM: number): Found {
  const open = areas.filter((a) => a.depthM > 0).map((a) => a.depthM - a.belowM);
  if (open.length === 0) return refuse('required', 'recess', null);
  const deepest = Math.max(...open);
  if (!(belowM >= 0 && deepest - belowM >= THICKNESS_LIMITS_M.min))
    return refuse('does-not-fit', 'belowM', belowM, { max: Math.max(0, deepest) });
  return ok(deepest - belowM);
}

/**
 * A dome is one surface, however many coats it was laid in: what lies there already is part of it.
 */
function domeThickness(
  areas: readonly IntentArea[],
  centreM: number | null,
  lengthM: number,
): Found {
  if (areas.some((a) => a.edges.includes('open'))) return refuse('not-allowed', 'edges', 'open');
  const safeM = Math.min(...areas.map((a) => domeOn(a.shape, RIM.safe, lengthM).centreM));
  if (centreM !== null && !(centreM > 0 && centreM <= safeM * (1 + 1e-9)))
    return refuse('out-of-range', 'centreM', centreM, {
      min: THICKNESS_LIMITS_M.min,
      max: safeM,
    });
  const films = areas.map(({ shape, belowM }) => {
    const angle =
      centreM === null ? RIM.safe : (angleFor(shape, 'centreM', centreM, lengthM) ?? RIM.safe);
    return domeOn(shape, angle, lengthM).meanM - belowM;
  });
  const film = Math.min(...films);
  return film >= THICKNESS_LIMITS_M.min
    ? ok(film)
    : refuse('does-not-fit', 'centreM', centreM, { max: safeM });
}

/**
 * Film thickness that an intention comes to on its areas.
 * @param intent lengths in m @param areas at least one @param lengthM capillary length of the mix, m
 * @returns m; or a fault at the field it concerns: `required` (no area, no recess to fill), `not-allowed` (a dome on
 *   an open edge, which has no lip to hold it), `out-of-range`, `does-not-fit`
 * Source: capillary statics for natural films and domes, angles from memory; relief by its greatest height.
 */
export function intentThickness(
  intent: Intent,
  areas: readonly IntentArea[],
  lengthM: number,
): Found {
  const first = areas[0];
  if (!first) return refuse('required', 'areas', []);
  switch (intent.by) {
    case 'given': {
      const { min, max } = THICKNESS_LIMITS_M;
      const { thicknessM } = intent;
      return thicknessM >= min && thicknessM <= max
        ? ok(thicknessM)
        : refuse('out-of-range', 'thicknessM', thicknessM, { min, max });
    }
    case 'natural':
      return ok(
        Math.min(
          ...areas.map((a) => domeOn({ ...a.shape, discM: null }, RIM.natural, lengthM).meanM),
        ),
      );
    case 'bury': {
      if (!(intent.coverM >= LEAST_COVER_M && intent.coverM <= THICKNESS_LIMITS_M.max))
        return refuse('out-of-range', 'coverM', intent.coverM, {
          min: LEAST_COVER_M,
          max: THICKNESS_LIMITS_M.max,
        });
      const proud = areas.map((a) => Math.max(0, tallestRelief(a.relief) - a.belowM));
      return ok(Math.max(...proud) + intent.coverM);
    }
    case 'fill':
      return fillThickness(areas, intent.belowM);
    case 'dome':
      return domeThickness(areas, intent.centreM, lengthM);
    case 'skin':
      return ok(SKIN_M);
  }
}
