import type { HalfPlane } from '../geometry';
import type { PieceSide } from '../piece';
import type { Drying } from './drying';
import type { PrepContext } from './context';
import type { MaskMethod } from './facts';
import type { MaterialNeed } from './materials';
import type { SandingPlan } from './sanding';

/** Steps in the order in which they are listed; `order.ts` tells which must come before which. */
export const PREP_STEPS = [
  'resin',
  'take off',
  'unmask',
  'lip',
  'repair',
  'degrease',
  'turn',
  'loose',
  'dry through',
  'shape',
  'keep bare',
  'seal',
  'spray',
  'test',
  'ground',
  'sand',
  'dust',
  'lay',
  'trial',
  'mask',
  'props',
  'level',
  'wipe',
  'warm',
  'cover',
  'after',
] as const;
export type PrepStep = (typeof PREP_STEPS)[number];

export const CAUTIONS = [
  'dust',
  'solvent',
  'knife',
  'hot air',
  'spray',
  'skin',
  'plastic heat',
] as const;
export type CautionName = (typeof CAUTIONS)[number];

/** What contradicts at a task; wording lives in the features. */
export const PROBLEMS = [
  'gloss on ink',
  'colour came off',
  'heat on plastic',
  'sanding bare ink',
  'sanding beyond the coat',
  'sanding through',
  'air does not dry',
  'no seal coat planned',
  'mask past its limit',
  'done in the future',
  'tape wall needs tape',
  'mask through too many coats',
] as const;
export type ProblemName = (typeof PROBLEMS)[number];

/** What a rule itself finds wrong with what was done; `out of level` is put right by a new reading alone, `not declared` by
 * the sheet, `too damp` by other air. */
export type SpoiledWhy = 'spoiled' | 'out of level' | 'not declared' | 'too damp';

const BY_FACTS: readonly (SpoiledWhy | null)[] = ['out of level', 'not declared', 'too damp'];

/** Steps that no tick settles: a new reading does, or what a sheet says. */
export const isByTick = ({ spoiled }: Pick<PrepTask, 'spoiled'>): boolean =>
  !BY_FACTS.includes(spoiled);

export interface EdgeRef {
  readonly areaId: string;
  /** Index of the side. */
  readonly edge: number;
}

/** When a mask comes off: best between two instants, and the instant after which it bonds or tears. */
export interface Removal {
  readonly bestFromMs: number;
  readonly bestToMs: number;
  readonly limitMs: number;
}

export interface Stage {
  /** The work that it is a stage of. */
  readonly of: string;
  /** From 0. */
  readonly turn: number;
}

/** What a rule finds to do. */
export interface TaskDraft {
  readonly step?: PrepStep;
  /** Tells tasks of one rule apart: an area, a coat, or both. */
  readonly on: string;
  /** The coat that waits for it; null: whatever comes first. */
  readonly coatId: string | null;
  readonly areaIds: readonly string[];
  readonly edges?: readonly EdgeRef[];
  /** Overrides of what the rule says. */
  readonly title?: string;
  readonly how?: string;
  readonly reason?: string;
  /** A stage of one piece of work: each counts only after the one before it. */
  readonly stage?: Stage;
  readonly needed?: boolean;
  readonly materials?: readonly MaterialNeed[];
  readonly drying?: Drying;
  readonly sanding?: SandingPlan;
  readonly limit?: HalfPlane | null;
  readonly mask?: MaskMethod;
  /** The side that lies up once it is done. */
  readonly up?: PieceSide;
  readonly removal?: Removal;
  readonly problems?: readonly ProblemName[];
  readonly cautions?: readonly CautionName[];
  /** Nothing to do before this instant. */
  readonly notBeforeMs?: number;
  /** What need not be done, and until when: shown, never open. */
  readonly skippedUntilMs?: number;
  /** What was done has not held: to be done again, and why. */
  readonly spoiled?: SpoiledWhy | null;
}

/** A rule: what to look for, and what it says wherever it finds something. */
export interface PrepRule {
  readonly id: string;
  readonly step: PrepStep;
  readonly title: string;
  readonly how: string;
  readonly reason: string;
  readonly source: string;
  /** A needed task holds its coat back; the others are advice. */
  readonly needed: boolean;
  readonly asksResult?: boolean;
  readonly cautions?: readonly CautionName[];
  readonly find: (facts: PrepContext) => readonly TaskDraft[];
}

/** A task of the plan, before what the user did about it. */
export interface PrepTask {
  readonly key: string;
  readonly rule: string;
  readonly step: PrepStep;
  readonly stage: Stage | null;
  readonly coatId: string | null;
  readonly title: string;
  readonly how: string;
  readonly reason: string;
  readonly source: string;
  readonly needed: boolean;
  readonly areaIds: readonly string[];
  readonly edges: readonly EdgeRef[];
  readonly materials: readonly MaterialNeed[];
  readonly drying: Drying | null;
  readonly sanding: SandingPlan | null;
  readonly limit: HalfPlane | null;
  readonly mask: MaskMethod | null;
  readonly up: PieceSide | null;
  readonly removal: Removal | null;
  readonly problems: readonly ProblemName[];
  readonly cautions: readonly CautionName[];
  readonly notBeforeMs: number | null;
  readonly skippedUntilMs: number | null;
  readonly spoiled: SpoiledWhy | null;
  /** Rub test: its result is asked. */
  readonly asksResult: boolean;
  /** Areas and edges it is done on; when they grow, it is to be done again. */
  readonly scope: readonly string[];
}
