import type { Thickening } from '../film';
import { RESIN_DENSITY_KG_M3 } from '../resin';
import type { Issue } from '../result';
import type { Bead } from './bead';
import { FLOOD_OVER_LIMITS_M2, type EdgeWetting } from './edgeWetting';
import { LOSS_LIMITS, type LearnedLoss } from './losses';
import type { ReliefHeights } from './relief';

/** How the coat lies on an area. */
export type Cover =
  /** A film. Open edges hold at most this mean of it, m, and what is more runs off; null where none can. */
  | { readonly by: 'film'; readonly holdsM: number | null }
  /** All its edges end in a dome: the film is its mean. */
  | { readonly by: 'dome' }
  /** It is a recess itself: the film fills it. */
  | { readonly by: 'recess' };

/** One area under the coat; `count` alike. */
export interface LedgerArea {
  readonly name: string;
  readonly areaM2: number;
  readonly areaSigmaM2: number;
  readonly count: number;
  /** Each open stretch of edge: its unrolled area, m², the height over which it drains and its length, m. */
  readonly openEdges: readonly LedgerEdge[];
  readonly cover: Cover;
  /** Length of edge with a wall, m. */
  readonly dammedM: number;
  /** Resin that lies under the coat already, m. */
  readonly belowM: number;
  readonly relief: readonly ReliefHeights[];
  /** What a ground drinks, m (m³ for each m²). */
  readonly soakM: number;
  /** Recesses that the coat runs into, with the depth that is still open, m. */
  readonly pits: readonly { readonly areaM2: number; readonly depthM: number }[];
  /** Bead of a line that is drawn on it. */
  readonly line?: Bead;
  /** How the propped piece is out of level; null where the coat levels over something that did. */
  readonly wedge: LedgerWedge | null;
  /** How far the middle of a canvas hangs, m, and its mean over that; null where it is level. */
  readonly belly: { readonly sagM: number; readonly share: number } | null;
}

export interface LedgerWedge {
  /** Rise over run where it is steepest. */
  readonly slope: number;
  /** Length of the area in that direction, and from its middle to its high end, m. */
  readonly lengthM: number;
  readonly aheadM: number;
}

/** An area with nothing on it but a film that nothing runs off. */
export const PLAIN_AREA = {
  openEdges: [],
  cover: { by: 'film', holdsM: null },
  dammedM: 0,
  belowM: 0,
  relief: [],
  soakM: 0,
  pits: [],
  wedge: null,
  belly: null,
} as const satisfies Partial<LedgerArea>;

export interface LedgerEdge {
  readonly areaM2: number;
  readonly heightM: number;
  readonly lengthM: number;
}

/** Schools of how much more than the sum to mix. */
export type ReserveSchool =
  | { readonly by: 'share'; readonly share: number }
  | { readonly by: 'risk'; readonly confidence: number };

/** A line that the user knows better, and why. */
export interface LedgerOverride {
  readonly line: LedgerLineId;
  readonly volumeM3: number;
  readonly reason: string;
}

export interface LedgerInput {
  readonly areas: readonly LedgerArea[];
  readonly thicknessM: number;
  readonly densityKgM3: number;
  readonly law: Thickening;
  /** Age of the mix when the edges are wetted, s. */
  readonly restS: number;
  readonly reserve: ReserveSchool;
  readonly edges: EdgeWetting;
  /** Share of its areas that the coat covers, 0…1; a patch covers less than all. */
  readonly coverage: number;
  /** What pours before it taught of losses, and the user accepted; left out: nothing. */
  readonly learned?: LearnedLoss | null;
  readonly overrides: readonly LedgerOverride[];
}

/** A coat that covers all of its areas, with every line as it is worked out. */
export const PLAIN_INPUT = {
  edges: { by: 'hand' },
  reserve: { by: 'risk', confidence: 0.95 },
  coverage: 1,
  overrides: [],
} as const satisfies Partial<LedgerInput>;

export const LEDGER_LINES = [
  'face',
  'dome',
  'relief',
  'recess',
  'soak',
  'meniscus',
  'wedge',
  'belly',
  'edges',
  'bead',
  'run-off',
  'line',
  'learned',
  'cup',
  'reserve',
] as const;
export type LedgerLineId = (typeof LEDGER_LINES)[number];

/** Film thickness of one coat, m. Judgement, no source. */
export const THICKNESS_LIMITS_M = { min: 2e-5, max: 0.05 } as const;
export const RESERVE_LIMITS = {
  share: { min: 0, max: 1 },
  confidence: { min: 0.5, max: 0.999 },
} as const;
export const COUNT_LIMITS = { min: 1, max: 500 } as const;
/** What is mixed for one coat, m³. Judgement, no source. */
export const MIX_LIMITS_M3 = { min: 1e-7, max: 0.1 } as const;
/** Volume that a line may be set to, m³. Judgement, no source. */
export const OVERRIDE_LIMITS_M3 = { min: -0.1, max: 0.1 } as const;

type Path = (string | number)[];

/** Every fault of a ledger’s input, with its path. */
export function inputIssues(input: LedgerInput): Issue[] {
  const issues: Issue[] = [];
  const check = (path: Path, value: number, min: number, max: number) => {
    if (!(value >= min && value <= max))
      issues.push({ code: 'out-of-range', path, value, allowed: { min, max } });
  };
  if (input.learned)
    check(['learned', 'factor'], input.learned.factor, LOSS_LIMITS.min, LOSS_LIMITS.max);
  if (input.areas.length === 0) issues.push({ code: 'required', path: ['areas'], value: [] });
  input.areas.forEach((area, i) => {
    const at = (name: string): Path => ['areas', i, name];
    check(at('areaM2'), area.areaM2, 1e-7, 100);
    check(at('areaSigmaM2'), area.areaSigmaM2, 0, 100);
    check(at('count'), area.count, COUNT_LIMITS.min, COUNT_LIMITS.max);
    if (area.cover.by === 'film' && area.cover.holdsM !== null)
      check([...at('cover'), 'holdsM'], area.cover.holdsM, 0, 1);
    if (area.line) {
      check([...at('line'), 'lengthM'], area.line.lengthM, 1e-4, 1000);
      check([...at('line'), 'sectionM2'], area.line.sectionM2, 1e-12, 1);
    }
    check(at('dammedM'), area.dammedM, 0, 100);
    check(at('belowM'), area.belowM, 0, 1);
    check(at('soakM'), area.soakM, 0, 0.01);
    if (area.belly) {
      check([...at('belly'), 'sagM'], area.belly.sagM, 0, 0.1);
      check([...at('belly'), 'share'], area.belly.share, 0, 1);
    }
    area.openEdges.forEach((edge, k) => {
      check([...at('openEdges'), k, 'areaM2'], edge.areaM2, 0, 100);
      check([...at('openEdges'), k, 'heightM'], edge.heightM, 0, 1);
      check([...at('openEdges'), k, 'lengthM'], edge.lengthM, 0, 100);
    });
    area.relief.forEach((relief, k) => {
      check([...at('relief'), k, 'share'], relief.share, 0, 1);
      check([...at('relief'), k, 'meanM'], relief.meanM, 0, relief.greatestM);
    });
    // Reliefs lie beside each other; those of layers may stand on others.
    const covered = area.relief.reduce(
      (sum, r) => sum + (r.standsOnM === undefined && r.aboveM === undefined ? r.share : 0),
      0,
    );
    if (area.relief.length > 1) check(at('relief'), covered, 0, 1 + 1e-9);
    area.pits.forEach((pit, k) => {
      check([...at('pits'), k, 'areaM2'], pit.areaM2, 0, area.areaM2);
      check([...at('pits'), k, 'depthM'], pit.depthM, 0, 1);
    });
    if (area.wedge) {
      check([...at('wedge'), 'slope'], area.wedge.slope, 0, 1);
      check([...at('wedge'), 'lengthM'], area.wedge.lengthM, 1e-4, 20);
      check([...at('wedge'), 'aheadM'], area.wedge.aheadM, 0, area.wedge.lengthM);
    }
  });
  check(['thicknessM'], input.thicknessM, THICKNESS_LIMITS_M.min, THICKNESS_LIMITS_M.max);
  check(['densityKgM3'], input.densityKgM3, RESIN_DENSITY_KG_M3.min, RESIN_DENSITY_KG_M3.max);
  check(['law', 'viscosityPaS'], input.law.viscosityPaS, 0.01, 100);
  check(['law', 'workingS'], input.law.workingS, 60, 864_000);
  check(['restS'], input.restS, 0, 86400);
  check(['coverage'], input.coverage, 1e-3, 1);
  if (input.edges.by === 'flood') {
    const { min, max } = FLOOD_OVER_LIMITS_M2;
    check(['edges', 'perMetreM2'], input.edges.perMetreM2, min, max);
  }
  const { reserve } = input;
  if (reserve.by === 'share')
    check(['reserve', 'share'], reserve.share, RESERVE_LIMITS.share.min, RESERVE_LIMITS.share.max);
  else {
    const { min, max } = RESERVE_LIMITS.confidence;
    check(['reserve', 'confidence'], reserve.confidence, min, max);
  }
  input.overrides.forEach(({ volumeM3 }, i) =>
    check(['overrides', i, 'volumeM3'], volumeM3, OVERRIDE_LIMITS_M3.min, OVERRIDE_LIMITS_M3.max),
  );
  return issues;
}
