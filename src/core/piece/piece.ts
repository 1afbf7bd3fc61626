/** Words of the trade for what comes to the bench. Common practice, no source. */
export const SUPPORTS = [
  'tile',
  'sealed panel',
  'bare wood',
  'canvas',
  'paper on board',
  'plastic',
  'cured resin',
] as const;
export type Support = (typeof SUPPORTS)[number];

/** What holds resin at an edge or a boundary; of them only tape is masked. */
export const WALL_KINDS = ['own rim', 'mould', 'dam', 'tape wall', 'raised line'] as const;
export type WallKind = (typeof WALL_KINDS)[number];
/** What an outer edge can be. */
export const OUTER_EDGES = ['open', 'doming', ...WALL_KINDS] as const;
/** What stands between two places: a line is drawn and nothing stands there, so a film ends by itself. */
export const BOUNDARIES = ['line', ...WALL_KINDS] as const;
export const EDGE_KINDS = [...OUTER_EDGES, 'line'] as const;
export type EdgeKind = (typeof EDGE_KINDS)[number];
export const isWall = (kind: EdgeKind): kind is WallKind =>
  (WALL_KINDS as readonly EdgeKind[]).includes(kind);
/** Walls that are put up for the work and come off after it. */
export const isDam = (kind: EdgeKind): boolean => kind === 'dam' || kind === 'tape wall';

export const AREA_KINDS = ['face', 'edge band', 'recess', 'back'] as const;
export type AreaKind = (typeof AREA_KINDS)[number];

export const POROSITIES = ['sealed', 'porous', 'very porous'] as const;
export type Porosity = (typeof POROSITIES)[number];

export const RELIEF_KINDS = [
  'fine glitter',
  'flakes',
  'stones',
  'sand',
  'plants',
  'paste',
  'decorative tape',
  'leaf',
] as const;
export type ReliefKind = (typeof RELIEF_KINDS)[number];

/** Something that stands up from an area. */
export interface Relief {
  readonly kind: ReliefKind;
  readonly greatestM: number;
  readonly meanM: number;
  /** Share of the area that it covers, 0…1. */
  readonly share: number;
}

export const SURFACES = ['bare', 'painted', 'ink', 'old resin'] as const;
export const OLD_RESINS = ['not known', 'epoxy', 'polyester', 'UV resin'] as const;
/** What a finger and a cloth find on old resin. */
export const OLD_STATES = ['hard', 'sticky', 'greasy', 'chalky'] as const;
export interface OldResin {
  readonly kind: (typeof OLD_RESINS)[number];
  readonly state: (typeof OLD_STATES)[number];
}
/** What lies on an area now; age, kind, state and sanding are asked of old resin. */
export interface Surface {
  readonly kind: (typeof SURFACES)[number];
  /** Null where no old resin lies. */
  readonly resin: OldResin | null;
  readonly ageDays: number | null;
  readonly sanded: boolean;
}

/**
 * What a support is taken for until somebody says more: the answer that costs a step, never the one that leaves it out.
 * Wood, cloth and paper drink; a casting is hard, and gives the next coat nothing to hold. Common practice, no source.
 */
export function usualGround(support: Support): {
  readonly porosity: Porosity;
  readonly surface: Extract<Surface['kind'], 'bare' | 'old resin'>;
} {
  const drinks = support === 'bare wood' || support === 'canvas' || support === 'paper on board';
  return {
    porosity: drinks ? 'porous' : 'sealed',
    surface: support === 'cured resin' ? 'old resin' : 'bare',
  };
}

export const DAMAGE_KINDS = ['tear', 'gap at the rim', 'dent', 'loose relief'] as const;
export type DamageKind = (typeof DAMAGE_KINDS)[number];
/** A fault of the support. Width and depth are 0 where they do not matter. */
export interface Damage {
  readonly kind: DamageKind;
  readonly lengthM: number;
  readonly widthM: number;
  readonly depthM: number;
}

export const COAT_KINDS = [
  'seal',
  'lock',
  'flood',
  'dome',
  'fill',
  'edge',
  'art',
  'patch',
  'back',
  'line',
] as const;
export type CoatKind = (typeof COAT_KINDS)[number];

/** What is laid on places between coats, or was there before, and is not resin. */
export const LAYER_KINDS = [
  'paste',
  'paint',
  'ink',
  'leaf',
  'tape design',
  'relief paint',
  'glitter in varnish',
  'varnish',
  'loose grains',
  'metal powder',
  'gilding',
  'pressed in',
] as const;
export type LayerKind = (typeof LAYER_KINDS)[number];

/** Which way a piece lies. */
export const PIECE_SIDES = ['front', 'back'] as const;
export type PieceSide = (typeof PIECE_SIDES)[number];

export const DEFECT_KINDS = [
  'fish eye',
  'bubbles',
  'dust nib',
  'dimples',
  'scorch',
  'soft spot',
  'tacky all over',
  'haze',
  'drips',
  'tape lip',
  'seep',
  'thin edge',
  'see-through',
  'proud relief',
  'peeling',
  'scratches',
  'sharp rim',
  'gilding lifted',
  'muddy colour',
  'not liked',
] as const;
export type DefectKind = (typeof DEFECT_KINDS)[number];
