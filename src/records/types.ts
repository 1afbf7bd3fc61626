import type { Intent, LedgerOverride, ResinPrice, ReserveSchool } from '@/core/coat';
import type { AirStep } from '@/core/climate';
import type { EdgeProfile, HalfPlane, Point, Shape, Tilt } from '@/core/geometry';
import type {
  AreaKind,
  CoatKind,
  Damage,
  DefectKind,
  EdgeKind,
  Porosity,
  Relief,
  Support,
  Surface,
} from '@/core/piece';
import { type MaskMethod, type OwnTask, type PrepSchools, type TaskRecord } from '@/core/prep';
import type { ResinSheet, TemperatureStep } from '@/core/resin';
import type { Id } from './id';
import type { LogEntry } from './logEntry';
import type { Settings } from './settings';

export type { Id } from './id';
export { LOG_KINDS, type LogEntry, type LogKind } from './logEntry';
export { DEFAULT_SETTINGS, type Settings } from './settings';

export {
  AREA_KINDS,
  COAT_KINDS,
  DAMAGE_KINDS,
  DEFECT_KINDS,
  EDGE_KINDS,
  POROSITIES,
  RELIEF_KINDS,
  SUPPORTS,
  SURFACES,
  type AreaKind,
  type CoatKind,
  type Damage,
  type DamageKind,
  type DefectKind,
  type EdgeKind,
  type Porosity,
  type Relief,
  type ReliefKind,
  type Support,
  type Surface,
} from '@/core/piece';

/** Records as they are stored. SI units; instants in ms since the epoch; null where nothing is known yet. */
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
  /** How far the middle of a canvas hangs, m; 0 for all that is stiff. */
  readonly bellyM: number;
  /** Schools of preparation that differ from the shop's. */
  readonly prep: Partial<PrepSchools>;
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

/** A stretch of an area's outline. */
export interface Edge {
  readonly kind: EdgeKind;
  readonly heightM: number;
  readonly profile: EdgeProfile;
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
  readonly damage: readonly Damage[];
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
  readonly price: ResinPrice | null;
  readonly sheet: ResinSheet;
}

export interface Coat {
  readonly id: Id<'coat'>;
  readonly pieceId: Id<'piece'>;
  readonly areaIds: readonly Id<'area'>[];
  /** Place from the substrate up, from 1. */
  readonly order: number;
  readonly kind: CoatKind;
  readonly name: string;
  readonly resinId: Id<'resin'>;
  /** What the coat is to do; its thickness follows from that until it is poured. */
  readonly intent: Intent;
  readonly thicknessM: number;
  /** Share of its areas that it covers; a patch covers less than all. */
  readonly coverage: number;
  /** Lines of the ledger that the user set. */
  readonly overrides: readonly LedgerOverride[];
  /** Colours of an art coat and their shares of the mix; what is left is the clear ground. */
  readonly colours: readonly { readonly name: string; readonly share: number }[];
  readonly restS: number;
  readonly reserve: ReserveSchool;
  readonly batchId: Id<'batch'> | null;
  readonly pouredMs: number | null;
  readonly coveredMs: number | null;
  /** Room temperature since the pour; empty before it. */
  readonly history: readonly TemperatureStep[];
}

/** Read off the scale, taken to be what was asked for, or written before the shop told the two apart. */
export const WEIGHED_BY = ['read', 'assumed', 'not told'] as const;
export type WeighedBy = (typeof WEIGHED_BY)[number];

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
  /** How the two masses became known; null while they are not. */
  readonly aBy: WeighedBy | null;
  readonly bBy: WeighedBy | null;
  /** Part A that went in after B, to put the ratio right, kg; part of `aKg`. */
  readonly addedAKg: number;
  /** What the scale was said to show for the part being weighed, before it is in; kept over a reload. */
  readonly reading: { readonly part: 'A' | 'B'; readonly kg: number } | null;
  /** Part B met part A: the working time starts. */
  readonly mixedMs: number | null;
  readonly stirStartedMs: number | null;
  readonly stirredMs: number | null;
  readonly pouredMs: number | null;
  readonly coveredMs: number | null;
}

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

/** What was done about a task of the preparation, or a task of the user's own. */
export interface PrepRecord extends TaskRecord {
  readonly id: Id<'task'>;
  readonly pieceId: Id<'piece'>;
  readonly method: MaskMethod | null;
  /** Sanding only on one side of a line. */
  readonly limit: HalfPlane | null;
  readonly own: OwnTask | null;
}

/** Air of the room from an instant on. */
export interface AirReading extends AirStep {
  readonly id: Id<'air'>;
}

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
  tasks: PrepRecord;
  air: AirReading;
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
  'tasks',
  'air',
  'log',
];
