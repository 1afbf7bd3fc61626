import { isWall, type EdgeKind } from '../piece';
import { fail, ok, type Issue, type Result } from '../result';
import { angleFor, domeOn } from './domeOn';
import type { DomeShape } from './domeShape';
import { FLOOD_OVER_LIMITS_M2, type EdgeWetting } from './edgeWetting';
import { THICKNESS_LIMITS_M } from './input';
import { tallestRelief, type ReliefHeights } from './relief';

/** What a coat is to do; its film thickness follows from that. Lengths in m. */
export type Intent =
  | { readonly by: 'given'; readonly thicknessM: number }
  /** The film that levels itself and stays on open edges, which are wetted by hand. */
  | { readonly by: 'natural' }
  /** The same film, flooded over the edges: so much for each metre of them, m³/m. */
  | { readonly by: 'over'; readonly perMetreM2: number }
  /** Rested resin pulled to the edges and down by tool. */
  | { readonly by: 'spread'; readonly thicknessM: number }
  /** Bury the relief under so much cover. */
  | { readonly by: 'bury'; readonly coverM: number }
  /** Fill a recess to so far below its rim. */
  | { readonly by: 'fill'; readonly belowM: number }
  /** Fill a mould, or a face inside its walls, to their top: so high above the ground. */
  | { readonly by: 'rim'; readonly heightM: number }
  /** Dome to a height in the middle; null: as high as is safe. */
  | { readonly by: 'dome'; readonly centreM: number | null }
  /** So much is mixed, whatever film that makes. */
  | { readonly by: 'mix'; readonly volumeM3: number }
  /** Thin brushed skin. */
  | { readonly by: 'skin' };
export type IntentKind = Intent['by'];
export const INTENTS: readonly IntentKind[] = [
  'natural',
  'over',
  'spread',
  'bury',
  'dome',
  'fill',
  'rim',
  'given',
  'mix',
  'skin',
];

/**
 * Rim angles, rad, that a film on open edges ends at by itself, below which it draws back on bare ground, and up to
 * which it is safe. From memory; the first fits what rules of thumb leave for the face, 1.5 to 1.55 mm.
 */
export const RIM = {
  natural: (47.5 * Math.PI) / 180,
  drawsBack: Math.PI / 6,
  safe: Math.PI / 3,
} as const;
/** Film of a brushed skin, m. Judgement, no source. */
export const SKIN_M = 0.15e-3;
/** Least cover over buried relief, m. Judgement, no source: thinner, and the relief prints through. */
export const LEAST_COVER_M = 0.1e-3;
/** Film of rested resin that is spread by tool, m: 0.9 to 1.3 mm. Common practice, no source. */
export const SPREAD_M = 1.1e-3;

/** How the open edges of a coat are wetted by what it is to do. */
export function wettingOf(
  intent: Intent,
  kind: 'edge' | 'line' | 'brushed' | 'poured',
): EdgeWetting {
  if (kind === 'edge') return { by: 'edge coat' };
  if (kind === 'line') return { by: 'line' };
  if (kind === 'brushed' || intent.by === 'skin') return { by: 'brush' };
  if (intent.by === 'over') return { by: 'flood', perMetreM2: intent.perMetreM2 };
  return { by: intent.by === 'spread' ? 'tool' : 'hand' };
}

/** What an intention meets on one area. */
export interface IntentArea {
  readonly shape: DomeShape;
  readonly edges: readonly EdgeKind[];
  readonly relief: readonly ReliefHeights[];
  /** Resin that lies there already, m. */
  readonly belowM: number;
  /** Depth of a recess, m; 0 for the others. */
  readonly depthM: number;
}

/** Mean film that an outline holds at an angle of its rims, m. */
export const heldOn = (shape: DomeShape, angleRad: number, lengthM: number): number =>
  domeOn({ ...shape, discM: null }, angleRad, lengthM).meanM;

/** Film that levels itself and stays, m: never more than the straightest rim holds. */
function naturalFilm(areas: readonly IntentArea[], lengthM: number): Found {
  const films = areas
    .filter(({ shape }) => shape.rimM > 0)
    .map(({ shape }) => {
      const even = { ...shape, curvaturePerM: Math.max(0, shape.curvaturePerM) };
      return Math.min(heldOn(even, RIM.natural, lengthM), heldOn(shape, RIM.safe, lengthM));
    });
  return films.length > 0 ? ok(Math.min(...films)) : refuse('required', 'open edges', null);
}

type Found = Result<number>;
const refuse = (code: Issue['code'], name: string, value: unknown, allowed?: Issue['allowed']) =>
  fail({ code, path: [name], value, ...(allowed && { allowed }) });

function inLimits(name: string, thicknessM: number): Found {
  const { min, max } = THICKNESS_LIMITS_M;
  return thicknessM >= min && thicknessM <= max
    ? ok(thicknessM)
    : refuse('out-of-range', name, thicknessM, { min, max });
}

function fillThickness(areas: readonly IntentArea[], belowM: number): Found {
  const open = areas.filter((a) => a.depthM > 0).map((a) => a.depthM - a.belowM);
  if (open.length === 0) return refuse('required', 'recess', null);
  const deepest = Math.max(...open);
  if (!(belowM >= 0 && deepest - belowM >= THICKNESS_LIMITS_M.min))
    return refuse('does-not-fit', 'belowM', belowM, { max: Math.max(0, deepest) });
  return ok(deepest - belowM);
}

/** Between walls all round: from what lies there up to their top; relief ends below it. */
function rimThickness(areas: readonly IntentArea[], heightM: number): Found {
  if (areas.some((a) => a.depthM === 0 && a.edges.some((e) => !isWall(e))))
    return refuse('not-allowed', 'walls', 'open');
  const { max } = THICKNESS_LIMITS_M;
  if (!(heightM > 0 && heightM <= max)) return refuse('out-of-range', 'heightM', heightM, { max });
  const relief = Math.max(...areas.map((a) => tallestRelief(a.relief)));
  if (relief > heightM) return refuse('does-not-fit', 'relief', heightM, { min: relief });
  const filled = Math.min(...areas.map((a) => heightM - a.belowM));
  return filled >= THICKNESS_LIMITS_M.min
    ? ok(filled)
    : refuse('does-not-fit', 'heightM', heightM, { min: heightM - filled });
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
  if (areas.some((a) => a.shape.rimM === 0)) return refuse('required', 'doming edges', null);
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
 * @returns m; or a fault at the field it concerns: `required` (no area, no recess to fill, no open edge to flood over; the
 *   ledger for what is mixed), `not-allowed` (a dome on an open edge, a rim without walls), `out-of-range`, `does-not-fit`
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
    case 'given':
      return inLimits('thicknessM', intent.thicknessM);
    case 'natural':
      return naturalFilm(areas, lengthM);
    case 'over': {
      const { min, max } = FLOOD_OVER_LIMITS_M2;
      if (!(intent.perMetreM2 >= min && intent.perMetreM2 <= max))
        return refuse('out-of-range', 'perMetreM2', intent.perMetreM2, { min, max });
      return areas.some((a) => a.edges.includes('open'))
        ? naturalFilm(areas, lengthM)
        : refuse('required', 'open edges', null);
    }
    case 'spread':
      return inLimits('thicknessM', intent.thicknessM);
    case 'rim':
      return rimThickness(areas, intent.heightM);
    case 'mix':
      return refuse('required', 'ledger', null);
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
