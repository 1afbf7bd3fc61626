import type { LayerKind, Porosity } from '../piece';
import type { ReliefHeights } from './relief';

/** A layer that is not resin, as far as it matters to what lies where. */
export interface BuildLayer {
  readonly id: string;
  readonly kind: LayerKind;
  readonly areaIds: readonly string[];
  /** The coat that it lies on; null: the ground. */
  readonly over: string | null;
  /** Place among the layers over the same coat. */
  readonly turn: number;
  /** Greatest and mean height where it lies, m, and the share of its areas that it covers. */
  readonly greatestM: number;
  readonly meanM: number;
  readonly share: number;
}

/** What a layer changes of what lies on an area. */
export interface Layered {
  /** Height of the surface above the area's own ground, m. */
  readonly surfaceM: number;
  readonly levelled: boolean;
  /** Layers that are not resin, lowest first, with their two surfaces. */
  readonly layers: readonly {
    readonly layer: BuildLayer;
    readonly bottomM: number;
    readonly topM: number;
  }[];
  /** What layers stand up from it. */
  readonly relief: readonly ReliefHeights[];
  /** Pores of its surface where a layer is topmost; null: resin lies there, or the ground is as it was surveyed. */
  readonly pores: Porosity | null;
}

export const LAYER_LIMITS = {
  greatestM: { max: 0.2 },
  labelS: { min: 60, max: 120 * 86400 },
} as const;

/** What is usual of a layer. Heights in m, times in s. Common practice, no source; thicknesses judgement. */
export interface LayerFacts {
  readonly greatestM: number;
  readonly meanM: number;
  readonly share: number;
  /** Drying time of the label, and the thickness up to which it holds. */
  readonly labelS: number;
  readonly usualM: number;
  readonly leaves: 'water' | 'solvent' | 'nothing';
  /** What it makes of the pores below; null: it leaves them as they are. */
  readonly pores: Porosity | null;
  /** Whether a cloth that is barely damp with alcohol may go over it when it is dry. */
  readonly wipe: boolean;
}

const DAY_S = 86400;
const HOUR_S = 3600;
const even = (m: number) => ({ greatestM: m, meanM: m, share: 1 });
const water = (labelS: number, usualM: number) => ({ labelS, usualM, leaves: 'water' as const });
const nothing = { labelS: 0, usualM: 1, leaves: 'nothing' as const };

export const LAYER_FACTS: Readonly<Record<LayerKind, LayerFacts>> = {
  paste: { ...even(3e-3), ...water(DAY_S, 3e-3), pores: 'porous', wipe: false },
  paint: { ...even(0.1e-3), ...water(DAY_S, 0.2e-3), pores: 'sealed', wipe: false },
  ink: {
    ...even(0.01e-3),
    labelS: HOUR_S,
    usualM: 0.2e-3,
    leaves: 'solvent',
    pores: null,
    wipe: false,
  },
  leaf: { ...even(0.01e-3), ...water(3 * HOUR_S, 0.2e-3), pores: null, wipe: false },
  'tape design': { ...even(0.15e-3), share: 0.2, ...nothing, pores: null, wipe: true },
  'relief paint': {
    greatestM: 1e-3,
    meanM: 0.6e-3,
    share: 0.05,
    ...water(DAY_S, 1e-3),
    pores: null,
    wipe: false,
  },
  'glitter in varnish': {
    greatestM: 0.4e-3,
    meanM: 0.25e-3,
    share: 1,
    ...water(DAY_S, 0.2e-3),
    pores: 'sealed',
    wipe: false,
  },
  varnish: { ...even(0.1e-3), ...water(DAY_S, 0.2e-3), pores: 'sealed', wipe: false },
  'loose grains': {
    greatestM: 1.2e-3,
    meanM: 0.6e-3,
    share: 0.6,
    ...nothing,
    pores: null,
    wipe: false,
  },
  'metal powder': {
    greatestM: 0.5e-3,
    meanM: 0.3e-3,
    share: 0.05,
    ...nothing,
    pores: null,
    wipe: true,
  },
  gilding: {
    ...even(0.01e-3),
    share: 0.05,
    ...water(2 * HOUR_S, 0.2e-3),
    pores: null,
    wipe: false,
  },
  'pressed in': { greatestM: 6e-3, meanM: 3e-3, share: 0.3, ...nothing, pores: null, wipe: true },
};

/** A layer that covers less leaves the pores as they are. Judgement, no source. */
const COVERS_FROM = 0.5;
/** Layers that are set into the resin below while it is wet: half of them stands in it. Common practice, no source. */
const SUNK: Readonly<Partial<Record<LayerKind, number>>> = { 'pressed in': 0.5 };

/**
 * What lies on an area once a layer is laid. What covers it evenly raises its surface; the rest stands up as relief.
 * Source: geometry. A layer of uneven thickness is taken to be evenly spread between its least, 2 · mean − greatest,
 *   and its greatest height: judgement, no source.
 */
export function layOn<On extends Layered>(on: On, layer: BuildLayer): On {
  const { greatestM, meanM, share, kind } = layer;
  const { pores } = LAYER_FACTS[kind];
  const evenM = share >= 1 ? Math.max(0, 2 * meanM - greatestM) : 0;
  const sunkM = (SUNK[kind] ?? 0) * greatestM;
  const standsOnM = Math.max(0, on.surfaceM + evenM - sunkM);
  const rest = { greatestM: greatestM - evenM, meanM: meanM - evenM };
  return {
    ...on,
    surfaceM: on.surfaceM + evenM,
    layers: [
      ...on.layers,
      {
        layer,
        bottomM: on.surfaceM - Math.min(sunkM, on.surfaceM),
        topM: share >= 1 ? on.surfaceM + evenM : standsOnM + greatestM,
      },
    ],
    relief:
      rest.greatestM > 0 && rest.meanM > 0
        ? [...on.relief, { ...rest, share, standsOnM, aboveM: on.surfaceM + evenM }]
        : on.relief,
    pores: pores !== null && share >= COVERS_FROM ? pores : on.pores,
    // What is raised evenly is as level as what it lies on; resin below is no longer what the next coat meets.
    levelled: on.levelled && evenM <= 1e-3,
  };
}
