import type { SheetTimes } from '../resin';
import type { CoatInstants, MaskMethod } from './facts';
import { need, type MaterialNeed } from './materials';
import type { Removal } from './task';
import type { Drying } from './drying';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;

interface MethodFacts {
  readonly how: string;
  readonly off: string;
  readonly missed: string;
  /** Dry time before the pour, s; 0: none. */
  readonly drying: Drying | null;
  /** How long it may stay from the moment it was put on, ms. */
  readonly limitMs: number;
  /** Coats it may stay through. */
  readonly coats: number;
  readonly renewed: boolean;
}

/** Ways of masking. Common practice of the trade, no source. */
export const MASK_FACTS: Readonly<Record<MaskMethod, MethodFacts>> = {
  'painter’s tape': {
    how: 'Under the rim, no kinks; burnish, trim at the edge, warm it so that it seals.',
    off: 'Pull it while the coat is leathery; next morning with low heat.',
    missed:
      'It tears and bonds now: warm it low, lift with a knife held away from the hand, scrape, file the lip, repaint.',
    drying: null,
    limitMs: 2 * DAY,
    coats: 1,
    renewed: true,
  },
  'cloth tape': {
    how: 'Under the rim, no kinks; burnish, trim at the edge, warm it so that it seals.',
    off: 'Pull it while gooey but no longer flowing: no lip. Once cured it leaves a lip to file.',
    missed:
      'Its glue stays behind now: warm it, peel slowly, take the glue off with alcohol when the coat is hard, file the lip.',
    drying: null,
    limitMs: 4 * DAY,
    coats: 1,
    renewed: true,
  },
  latex: {
    how: 'Brush to the very edge and leave it until it is clear.',
    off: 'Peel in strips with the drips after the cure.',
    missed:
      'It has gone sticky: roll it off with the thumb, the rest with a damp cloth; file what drips stay.',
    drying: { labelS: 4 * 3600, thicknessM: 0.5e-3, leaves: 'water' },
    limitMs: 14 * DAY,
    // It peels only after the cure, so it stays under one more coat inside the recoat window. Judgement.
    coats: 2,
    renewed: false,
  },
  'PVA glue': {
    how: 'A thick layer, one day dry before the pour.',
    off: 'Peels in one piece with the drips; a touch of heat starts it.',
    missed: 'Too many coats hold it: soak it with warm water from the back, then heat and file.',
    drying: { labelS: 24 * 3600, thicknessM: 1e-3, leaves: 'water' },
    limitMs: Infinity,
    coats: 3,
    renewed: false,
  },
  none: {
    how: 'Nothing to put on: the drips are scraped.',
    off: 'Scrape the drips early with a stick, and again until nothing runs; file later.',
    missed: 'The drips have set: warm, peel or file them, repaint.',
    drying: null,
    limitMs: Infinity,
    coats: 1,
    renewed: true,
  },
};

/** Over the length: ends, corners, what tears. Judgement, no source. */
const TAPE_SPARE = 1.1;
/** Width of a brushed mask under the rim, m. Judgement, no source. */
const BRUSHED_WIDTH_M = 20e-3;
/** A tape wall stands this much over the film, and holds as much on the edge below, m. Common practice, no source. */
const WALL_OVER_M = 6e-3;

/**
 * What a mask takes.
 * @param lengthM length of edge, all pieces, m @param wallM height of edge that a tape wall has to clear, m; 0
 *   for a mask under the rim
 * Source: length × spare; brushed masks length × width × wet thickness. Common practice, no source.
 */
export function maskMaterials(method: MaskMethod, lengthM: number, wallM = 0): MaterialNeed[] {
  const told = ['length of edge, all pieces', lengthM, 'length'] as const;
  const tape = (name: 'painter’s tape 24 mm' | 'painter’s tape 48 mm' | 'cloth tape 48 mm') =>
    need(name, lengthM * TAPE_SPARE, 'L · 1.1', told, [
      'over the length',
      TAPE_SPARE - 1,
      'share',
      'rule of thumb',
    ]);
  const brushed = (name: 'liquid latex' | 'PVA glue', thicknessM: number) =>
    need(
      name,
      lengthM * BRUSHED_WIDTH_M * thicknessM,
      'L · w · h',
      told,
      ['width, w', BRUSHED_WIDTH_M, 'length', 'rule of thumb'],
      ['wet thickness, h', thicknessM, 'film', 'rule of thumb'],
    );
  switch (method) {
    case 'painter’s tape':
      return [
        tape(2 * (wallM + WALL_OVER_M) > 24e-3 ? 'painter’s tape 48 mm' : 'painter’s tape 24 mm'),
      ];
    case 'cloth tape':
      return [tape('cloth tape 48 mm')];
    case 'latex':
      return [brushed('liquid latex', 0.5e-3)];
    case 'PVA glue':
      return [brushed('PVA glue', 1e-3)];
    case 'none':
      return [];
  }
}

/**
 * Ripe ages between which a mask comes off best, s; null at the end: it stays that way.
 * @returns null where nothing is masked
 * Source: trade practice for each method (table above), no source.
 */
export function unmaskAges(
  method: MaskMethod,
  times: SheetTimes,
): readonly [fromS: number, toS: number | null] | null {
  switch (method) {
    case 'painter’s tape':
      return [times.leatheryS, times.unmaskClosesS];
    case 'cloth tape':
      return [times.noFlowS, times.leatheryS];
    case 'latex':
    case 'PVA glue':
      return [times.handleS, null];
    case 'none':
      return null;
  }
}

/** First scraping of drips after the pour, ms. Common practice, no source. */
const FIRST_SCRAPE_MS = 20 * 60_000;

/**
 * When a mask comes off: its best span by the state of the coat, and its limit.
 * @param laidMs when it was put on @param coat instants of the coat poured over it
 * @returns instants, ms since the epoch; the limit never lies before the best span begins to close
 * Source: trade practice for each method (table above), no source; instants from the resin's sheet.
 */
export function removal(method: MaskMethod, laidMs: number, coat: CoatInstants): Removal {
  const limitMs = laidMs + MASK_FACTS[method].limitMs;
  switch (method) {
    case 'painter’s tape':
      return { bestFromMs: coat.leatheryMs, bestToMs: coat.unmaskClosesMs, limitMs };
    case 'cloth tape':
      return { bestFromMs: coat.noFlowMs, bestToMs: coat.leatheryMs, limitMs };
    case 'latex':
      return { bestFromMs: coat.handleMs, bestToMs: limitMs, limitMs };
    case 'PVA glue':
      return { bestFromMs: coat.handleMs, bestToMs: Infinity, limitMs };
    case 'none':
      return {
        bestFromMs: coat.pouredMs + FIRST_SCRAPE_MS,
        bestToMs: coat.noFlowMs,
        limitMs: coat.noFlowMs,
      };
  }
}
