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

export const EDGE_KINDS = ['open', 'dammed', 'doming'] as const;
export type EdgeKind = (typeof EDGE_KINDS)[number];

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
/** What lies on an area now; age and sanding are asked of old resin. */
export interface Surface {
  readonly kind: (typeof SURFACES)[number];
  readonly ageDays: number | null;
  readonly sanded: boolean;
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
] as const;
export type CoatKind = (typeof COAT_KINDS)[number];

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
] as const;
export type DefectKind = (typeof DEFECT_KINDS)[number];
