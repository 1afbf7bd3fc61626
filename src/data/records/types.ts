import type { ReserveSchool } from '@/core/coat';
import type { EdgeProfile, Point, Shape, Tilt } from '@/core/geometry';
import type { ResinSheet, TemperatureStep } from '@/core/resin';
import type { UnitSystem } from '@/core/units';

/** Records as they are stored. SI units; instants in ms since the epoch; null where nothing is known yet. */
export type Id<Name extends string> = string & { readonly __id?: Name };

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

export interface Piece {
  readonly id: Id<'piece'>;
  readonly name: string;
  readonly count: number;
  readonly support: Support;
  readonly note: string;
  readonly createdMs: number;
  /** What the piece will meet in use. */
  readonly use: { readonly hotCups: boolean; readonly food: boolean; readonly daylight: boolean };
  /** Where hardware was, on the plan of the face, so that it goes back. */
  readonly marks: readonly HardwareMark[];
  readonly level: LevelReading | null;
}

export interface HardwareMark {
  readonly name: string;
  readonly at: Point;
}

/** How far out of level the propped piece was found, and where its props stand. */
export interface LevelReading {
  readonly tilt: Tilt;
  readonly by: string;
  readonly readMs: number;
  readonly props: readonly Point[];
}

export const EDGE_KINDS = ['open', 'dammed', 'doming'] as const;
export type EdgeKind = (typeof EDGE_KINDS)[number];

/** A stretch of an area's outline. */
export interface Edge {
  readonly kind: EdgeKind;
  readonly heightM: number;
  readonly profile: EdgeProfile;
}

export const AREA_KINDS = ['face', 'edge band', 'recess', 'back'] as const;
export type AreaKind = (typeof AREA_KINDS)[number];
export const POROSITIES = ['sealed', 'porous', 'very porous'] as const;
export type Porosity = (typeof POROSITIES)[number];
export const RELIEF_KINDS = [
  'fine glitter',
  'flakes',
  'stones',
  'sand',
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

/** How an outline became known. */
export type Measured =
  | { readonly by: 'rule' }
  | { readonly by: 'drawing' }
  | {
      readonly by: 'photo';
      readonly photoId: Id<'photo'>;
      /** The face seen straight from above, and where it lies on the plan, m. */
      readonly planPhotoId: Id<'photo'>;
      readonly box: {
        readonly left: number;
        readonly right: number;
        readonly low: number;
        readonly high: number;
      };
      /** Uncertainty of the area, share of it, one standard deviation. */
      readonly sigmaShare: number;
    };

export interface Area {
  readonly id: Id<'area'>;
  readonly pieceId: Id<'piece'>;
  readonly name: string;
  readonly kind: AreaKind;
  readonly shape: Shape;
  /** Where the shape's own origin lies on the plan of the piece, m. */
  readonly at: Point;
  /** Depth of a recess, m; 0 for the others. */
  readonly depthM: number;
  /** One for each side of the shape, in the order of `shapeSides`. */
  readonly edges: readonly Edge[];
  readonly porosity: Porosity;
  readonly relief: readonly Relief[];
  readonly surface: Surface;
  readonly measured: Measured;
}

export const edgeKindsOf = (area: Pick<Area, 'edges'>): readonly EdgeKind[] =>
  area.edges.map((e) => e.kind);
/** Thickness of the thickest edge, m. */
export const edgeHeightOf = (area: Pick<Area, 'edges'>): number =>
  Math.max(0, ...area.edges.map((e) => e.heightM));

export interface Resin {
  readonly id: Id<'resin'>;
  readonly name: string;
  readonly note: string;
  readonly sheet: ResinSheet;
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

export interface Coat {
  readonly id: Id<'coat'>;
  readonly pieceId: Id<'piece'>;
  readonly areaIds: readonly Id<'area'>[];
  /** Place from the substrate up, from 1. */
  readonly order: number;
  readonly kind: CoatKind;
  readonly name: string;
  readonly resinId: Id<'resin'>;
  readonly thicknessM: number;
  readonly restS: number;
  readonly reserve: ReserveSchool;
  readonly batchId: Id<'batch'> | null;
  readonly pouredMs: number | null;
  readonly coveredMs: number | null;
  /** Room temperature since the pour; empty before it. */
  readonly history: readonly TemperatureStep[];
}

export interface WetSession {
  readonly id: Id<'session'>;
  readonly resinId: Id<'resin'>;
  readonly coatIds: readonly Id<'coat'>[];
  readonly temperatureK: number;
  readonly startedMs: number;
  readonly endedMs: number | null;
}

export interface Batch {
  readonly id: Id<'batch'>;
  readonly sessionId: Id<'session'>;
  readonly resinId: Id<'resin'>;
  readonly coatIds: readonly Id<'coat'>[];
  readonly targetM3: number;
  readonly targetAKg: number;
  readonly targetBKg: number;
  readonly aKg: number | null;
  readonly bKg: number | null;
  /** Part B met part A: the working time starts. */
  readonly mixedMs: number | null;
  readonly stirStartedMs: number | null;
  readonly stirredMs: number | null;
  readonly pouredMs: number | null;
  readonly coveredMs: number | null;
}

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

export interface Defect {
  readonly id: Id<'defect'>;
  readonly pieceId: Id<'piece'>;
  readonly coatId: Id<'coat'> | null;
  readonly kind: DefectKind;
  readonly note: string;
  readonly foundMs: number;
  readonly repairedMs: number | null;
}

export interface Photo {
  readonly id: Id<'photo'>;
  readonly pieceId: Id<'piece'>;
  readonly defectId: Id<'defect'> | null;
  readonly name: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly takenMs: number;
  readonly blob: Blob;
}

export const LOG_KINDS = [
  'piece added',
  'piece changed',
  'coat planned',
  'coat changed',
  'coat removed',
  'resin added',
  'resin changed',
  'session started',
  'session left',
  'weighed A',
  'mixed',
  'stir started',
  'stirred',
  'poured',
  'covered',
  'room temperature',
  'defect noted',
  'defect repaired',
  'photo added',
  'undone',
  'correction',
  'note',
] as const;
export type LogKind = (typeof LOG_KINDS)[number];

/** One line of the append-only log. */
export interface LogEntry {
  readonly id: Id<'log'>;
  readonly atMs: number;
  readonly kind: LogKind;
  readonly by: string;
  readonly text: string;
  readonly pieceId: Id<'piece'> | null;
  readonly coatId: Id<'coat'> | null;
  readonly batchId: Id<'batch'> | null;
  readonly sessionId: Id<'session'> | null;
  /** The entry that this one corrects or undoes. */
  readonly aboutId: Id<'log'> | null;
  /** Figures of the action, SI, unit in the name. */
  readonly figures: Readonly<Record<string, number | string>>;
}

export interface Settings {
  readonly id: 'shop';
  readonly units: UnitSystem;
  readonly scaleUnit: 'g' | 'oz';
  /** Smallest step of the scale, kg. */
  readonly scaleDigitKg: number;
  readonly person: string;
  /** Opening hours, minutes after midnight. */
  readonly opensMin: number;
  readonly closesMin: number;
  readonly roomTemperatureK: number;
  readonly reserve: ReserveSchool;
  readonly rule: 'five' | 'six';
}

export const DEFAULT_SETTINGS: Settings = {
  id: 'shop',
  units: 'metric',
  scaleUnit: 'g',
  scaleDigitKg: 0.0001,
  person: '',
  opensMin: 7 * 60,
  closesMin: 18 * 60 + 30,
  roomTemperatureK: 295.15,
  reserve: { by: 'risk', confidence: 0.95 },
  rule: 'five',
};

/** Every table of the shop and what stands in it. */
export interface Tables {
  pieces: Piece;
  areas: Area;
  resins: Resin;
  coats: Coat;
  sessions: WetSession;
  batches: Batch;
  defects: Defect;
  photos: Photo;
  log: LogEntry;
  settings: Settings;
}
export type TableName = keyof Tables;

/** Order in which tables are written and checked: referred-to rows first. */
export const TABLE_NAMES: readonly TableName[] = [
  'settings',
  'resins',
  'pieces',
  'areas',
  'sessions',
  'batches',
  'coats',
  'defects',
  'photos',
  'log',
];
