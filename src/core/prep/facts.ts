import type { Air } from '../climate';
import type { BuildLayer } from '../coat';
import type { HalfPlane, Point, Shape } from '../geometry';
import type {
  AreaKind,
  CoatKind,
  Damage,
  DefectKind,
  EdgeKind,
  PieceSide,
  Porosity,
  Relief,
  Support,
  Surface,
} from '../piece';
import type { FitFault } from '../resin';
import type { GritScale } from './grit';

export const TOOTH_SCHOOLS = ['coarse', 'fine'] as const;
export const RECOAT_SCHOOLS = ['inside the window', 'always sand'] as const;
export const SEAL_SCHOOLS = ['acrylic medium', 'decoupage glue', 'paint', 'thin resin'] as const;
export const SPRAY_SCHOOLS = ['matte', 'gloss'] as const;
export const MASK_METHODS = ['painter’s tape', 'cloth tape', 'latex', 'PVA glue', 'none'] as const;
export type MaskMethod = (typeof MASK_METHODS)[number];

/** Where practitioners disagree: what this shop, or this piece, does. */
export interface PrepSchools {
  readonly tooth: (typeof TOOTH_SCHOOLS)[number];
  readonly recoat: (typeof RECOAT_SCHOOLS)[number];
  readonly seal: (typeof SEAL_SCHOOLS)[number];
  readonly spray: (typeof SPRAY_SCHOOLS)[number];
  readonly mask: MaskMethod;
  readonly gritScale: GritScale;
}

export const DEFAULT_SCHOOLS: PrepSchools = {
  tooth: 'fine',
  recoat: 'inside the window',
  seal: 'acrylic medium',
  spray: 'matte',
  mask: 'painter’s tape',
  gritScale: 'P',
};

export interface PrepEdge {
  readonly kind: EdgeKind;
  readonly lengthM: number;
  readonly heightM: number;
}

export interface PrepArea {
  readonly id: string;
  readonly name: string;
  readonly kind: AreaKind;
  readonly shape: Shape;
  readonly at: Point;
  /** Depth of a recess, m; 0 for the others. */
  readonly depthM: number;
  /** Face less bare parts and profiles, of one piece, m². */
  readonly areaM2: number;
  readonly edges: readonly PrepEdge[];
  /** Length of the outline of its bare parts, m; 0 without any. */
  readonly bareOutlineM: number;
  readonly porosity: Porosity;
  readonly relief: readonly Relief[];
  readonly surface: Surface;
  readonly damage: readonly Damage[];
  /** It stays bare: no coat goes on it. */
  readonly bare?: boolean;
}

/** What a coat covers in one piece: an area, or places of a face that hang together, and what is round it. */
export interface PrepCover {
  /** The areas under it, in the order of the survey. */
  readonly areaIds: readonly string[];
  readonly kind: AreaKind;
  /** Stretches of its outline; `on`: the edge of an area that it lies on, where it is one. */
  readonly edges: readonly (PrepEdge & {
    readonly on: { readonly areaId: string; readonly edge: number } | null;
  })[];
  /** Length of what bounds it against parts and places that stay bare, m. */
  readonly bareOutlineM: number;
}

/** Instants of a coat that is poured, ms since the epoch. */
export interface CoatInstants {
  readonly pouredMs: number;
  readonly noFlowMs: number;
  readonly leatheryMs: number;
  readonly unmaskClosesMs: number;
  readonly recoatOpensMs: number;
  readonly recoatClosesMs: number;
  readonly handleMs: number;
  readonly curedMs: number;
}

export interface PrepCoat {
  readonly id: string;
  readonly name: string;
  readonly kind: CoatKind;
  readonly order: number;
  readonly areaIds: readonly string[];
  readonly thicknessM: number;
  /** Film that stays on each of its areas, m, in their order. */
  readonly staysM: readonly number[];
  /** Share of its areas that it covers, 0…1. */
  readonly coverage: number;
  /** When it has cured the dams of its areas come off. */
  readonly freesDams?: boolean;
  /** What it covers; each of its areas by itself when left out. */
  readonly covers?: readonly PrepCover[];
  /** Silicone oil was in a colour of it, or release spray on its dam. */
  readonly silicone?: boolean;
  /** The most colour that its mix bears, 0…1, and whether its sheet says so; left out: it has no colours. */
  readonly colour?: { readonly share: number; readonly said: boolean };
  /** What stands against its resin for the use of the piece. */
  readonly fit?: readonly FitFault[];
  /** Null until it is poured. */
  readonly poured: CoatInstants | null;
}

/** A layer that is not resin, with where it stands. */
export interface PrepLayer extends BuildLayer {
  readonly name: string;
  /** Drying time of its label, s. */
  readonly labelS: number;
  readonly state: 'planned' | 'laid' | 'there before';
  /** When it was found dry, ms since the epoch; null: its clock tells. */
  readonly dryMs: number | null;
}

export interface PrepDefect {
  readonly id: string;
  readonly kind: DefectKind;
  readonly coatId: string | null;
}

/** A fault that was put right: a knife and sand went over its places. */
export interface Repaired {
  readonly kind: DefectKind;
  readonly areaIds: readonly string[];
  readonly atMs: number;
}

/** A mask that was put on: by which method, for which coat and where. */
export interface LaidMask {
  readonly coatId: string;
  readonly areaId: string;
  readonly method: MaskMethod;
  readonly laidMs: number;
  readonly takenOffMs: number | null;
}

/** Everything the rules look at; one piece (a set of `count` alike) at one instant. */
export interface PrepFacts {
  readonly nowMs: number;
  readonly count: number;
  readonly support: Support;
  /** Which side lies up; the front when left out. */
  readonly up?: PieceSide;
  /** When it was turned over last. */
  readonly turnedMs?: number | null;
  readonly daylight: boolean;
  readonly hardware: readonly string[];
  /** The room's air as it was noted last; null: nobody noted it. */
  readonly air?: (Air & { readonly surfaceK?: number | null }) | null;
  /** Steepest slope that was read on the propped piece, rise over run; null: not read. */
  readonly slope: number | null;
  /** When that was read; left out: just now. */
  readonly slopeMs?: number | null;
  /** Longest side of the face, m. */
  readonly spanM: number;
  readonly areas: readonly PrepArea[];
  readonly coats: readonly PrepCoat[];
  readonly layers: readonly PrepLayer[];
  readonly defects: readonly PrepDefect[];
  /** Faults that were put right, and when. */
  readonly repaired?: readonly Repaired[];
  readonly masks: readonly LaidMask[];
  /** Areas whose last rub test took colour off. */
  readonly rubFailed: readonly string[];
  readonly schools: PrepSchools;
  /** Where sanding was limited to one side of a line, by task key. */
  readonly limits: Readonly<Record<string, HalfPlane>>;
  /** Tasks that the user added. */
  readonly own: readonly OwnTask[];
}

/** What a step of the user's own waits with: whatever comes next, one coat, or it comes after the last. */
export type OwnPlace =
  | { readonly at: 'next' }
  | { readonly at: 'coat'; readonly coatId: string }
  | { readonly at: 'last' };

interface Own {
  readonly key: string;
  readonly title: string;
  /** It holds its coat back. */
  readonly needed: boolean;
  readonly areaIds: readonly string[];
  readonly on: OwnPlace;
  /** Its place among the user's own. */
  readonly turn: number;
}

/** A task of the user's own. */
export type OwnTask =
  | (Own & {
      readonly kind: 'note';
      /** How long it dries by its label, s; 0: it does not. */
      readonly labelS: number;
    })
  | (Own & {
      readonly kind: 'sand';
      /** P grits. */
      readonly fromGrit: number;
      readonly toGrit: number;
    });

export type RubResult = 'clean' | 'colour comes off';
