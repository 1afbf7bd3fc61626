import type { Explanation } from '../explain';
import { drainedEdgeMean, fluidityLeft, type DoublingLaw } from '../film';
import { normalQuantile } from '../numeric';
import { fail, ok, type Issue, type Result } from '../result';
import { cupFilmVolume, CUP_FILM, STICK_AREA_M2 } from './cupFilm';

/** One area under the coat; `count` alike. */
export interface LedgerArea {
  readonly name: string;
  readonly areaM2: number;
  readonly areaSigmaM2: number;
  readonly count: number;
  /** Each open stretch of edge: its unrolled area, m², and the height over which it drains, m. */
  readonly openEdges: readonly LedgerEdge[];
}

export interface LedgerEdge {
  readonly areaM2: number;
  readonly heightM: number;
}

/** Schools of how much more than the sum to mix. */
export type ReserveSchool =
  | { readonly by: 'share'; readonly share: number }
  | { readonly by: 'risk'; readonly confidence: number };

export interface LedgerInput {
  readonly areas: readonly LedgerArea[];
  readonly thicknessM: number;
  readonly densityKgM3: number;
  readonly law: DoublingLaw;
  /** Age of the mix when the edges are wetted, s. */
  readonly restS: number;
  readonly reserve: ReserveSchool;
}

export type LedgerLineId = 'face' | 'edges' | 'cup' | 'reserve';

export interface LedgerLine {
  readonly id: LedgerLineId;
  readonly volumeM3: number;
  readonly explanation: Explanation;
}

export interface Ledger {
  readonly lines: readonly LedgerLine[];
  /** Sum of all lines but the reserve, and its standard deviation, m³. */
  readonly neededM3: number;
  readonly sigmaM3: number;
  readonly totalM3: number;
  readonly totalKg: number;
  /** Chance that the total is enough, from the uncertainties of the lines. */
  readonly enough: number;
  readonly edgeFilmM: number;
}

/** How evenly a flood lies, share of its thickness, one standard deviation. Judgement, no source. */
export const EVENNESS_SIGMA = 0.04;
/** Drained edge film against truth: viscosity and doubling time from a sheet are ±30 %, the film goes with their root. */
const EDGE_SIGMA = 0.15;
/** Film thickness of one coat, m. Judgement, no source. */
export const THICKNESS_LIMITS_M = { min: 2e-5, max: 0.05 } as const;
export const RESERVE_LIMITS = {
  share: { min: 0, max: 1 },
  confidence: { min: 0.5, max: 0.999 },
} as const;
export const COUNT_LIMITS = { min: 1, max: 500 } as const;
/** Time between mixing and wetting the edges when nothing else is known, s. Common practice, no source. */
export const DEFAULT_REST_S = 10 * 60;

const outOfRange = (
  path: (string | number)[],
  value: unknown,
  min: number,
  max: number,
): Issue => ({
  code: 'out-of-range',
  path,
  value,
  allowed: { min, max },
});

function inputIssues(input: LedgerInput): Issue[] {
  const issues: Issue[] = [];
  const check = (path: (string | number)[], value: number, min: number, max: number) => {
    if (!(value >= min && value <= max)) issues.push(outOfRange(path, value, min, max));
  };
  if (input.areas.length === 0) issues.push({ code: 'required', path: ['areas'], value: [] });
  input.areas.forEach((area, i) => {
    check(['areas', i, 'areaM2'], area.areaM2, 1e-7, 100);
    check(['areas', i, 'areaSigmaM2'], area.areaSigmaM2, 0, 100);
    check(['areas', i, 'count'], area.count, COUNT_LIMITS.min, COUNT_LIMITS.max);
    area.openEdges.forEach((edge, k) => {
      check(['areas', i, 'openEdges', k, 'areaM2'], edge.areaM2, 0, 100);
      check(['areas', i, 'openEdges', k, 'heightM'], edge.heightM, 0, 1);
    });
  });
  check(['thicknessM'], input.thicknessM, THICKNESS_LIMITS_M.min, THICKNESS_LIMITS_M.max);
  check(['densityKgM3'], input.densityKgM3, 700, 2500);
  check(['law', 'viscosityPaS'], input.law.viscosityPaS, 0.01, 100);
  check(['law', 'doublingS'], input.law.doublingS, 30, 86400);
  check(['restS'], input.restS, 0, 86400);
  const { reserve } = input;
  if (reserve.by === 'share')
    check(['reserve', 'share'], reserve.share, RESERVE_LIMITS.share.min, RESERVE_LIMITS.share.max);
  else
    check(
      ['reserve', 'confidence'],
      reserve.confidence,
      RESERVE_LIMITS.confidence.min,
      RESERVE_LIMITS.confidence.max,
    );
  return issues;
}

function faceLine({ areas, thicknessM }: LedgerInput): LedgerLine {
  const areaM2 = areas.reduce((sum, a) => sum + a.areaM2 * a.count, 0);
  // The same rule reads every dimension of a set, so errors of pieces alike add up in full.
  const areaSigma = Math.hypot(...areas.map((a) => a.areaSigmaM2 * a.count));
  return {
    id: 'face',
    volumeM3: areaM2 * thicknessM,
    explanation: {
      title: 'Film on the face',
      formula: 'area × thickness',
      inputs: [
        { label: 'area, all pieces', value: areaM2, quantity: 'area', source: 'measured' },
        { label: 'film thickness', value: thicknessM, quantity: 'film', source: 'chosen' },
      ],
      source: 'Geometry; evenness of a flood ±4 % is judgement, no source.',
      sigma: Math.hypot(areaSigma * thicknessM, areaM2 * thicknessM * EVENNESS_SIGMA),
    },
  };
}

function edgesLine({
  areas,
  law,
  restS,
  densityKgM3,
}: LedgerInput): LedgerLine & { filmM: number } {
  const fluidity = fluidityLeft(law, restS);
  const bands = areas.flatMap((a) =>
    a.openEdges.map((edge) => ({
      areaM2: edge.areaM2 * a.count,
      filmM: drainedEdgeMean(edge.heightM, fluidity, densityKgM3),
    })),
  );
  const areaM2 = bands.reduce((sum, b) => sum + b.areaM2, 0);
  const volumeM3 = bands.reduce((sum, b) => sum + b.areaM2 * b.filmM, 0);
  const filmM = areaM2 > 0 ? volumeM3 / areaM2 : 0;
  return {
    id: 'edges',
    volumeM3,
    filmM,
    explanation: {
      title: 'Edges, as drained',
      formula: 'edge area × ⅔ · √(H / (ρ g τ))',
      inputs: [
        { label: 'area of open edges', value: areaM2, quantity: 'area', source: 'measured' },
        { label: 'mean film that stays', value: filmM, quantity: 'film', source: 'computed' },
        { label: 'fluidity left, τ', value: fluidity, quantity: 'fluidity', source: 'computed' },
        {
          label: 'fresh viscosity',
          value: law.viscosityPaS,
          quantity: 'viscosity',
          source: 'data sheet',
        },
        {
          label: 'viscosity doubles in',
          value: law.doublingS,
          quantity: 'duration',
          source: 'data sheet',
        },
        {
          label: 'age of the mix at the edge',
          value: restS,
          quantity: 'duration',
          source: 'rule of thumb',
        },
      ],
      source: 'Jeffreys 1930 with the fluidity integral of a doubling law.',
      sigma: volumeM3 * EDGE_SIGMA,
      note: 'Only what still hangs there when the resin stops. What runs off and is not fed back is not counted.',
    },
  };
}

function cupLine(netM3: number): LedgerLine {
  const volumeM3 = cupFilmVolume(netM3);
  return {
    id: 'cup',
    volumeM3,
    explanation: {
      title: 'Stays on cup and stick',
      formula: '(5/4 · π · d² + stick) × film, d = ∛(4 V / π)',
      inputs: [
        {
          label: 'volume that leaves the cup, V',
          value: netM3,
          quantity: 'volume',
          source: 'computed',
        },
        { label: 'wetted stick', value: STICK_AREA_M2, quantity: 'area', source: 'rule of thumb' },
        {
          label: 'film that stays',
          value: CUP_FILM.filmM,
          quantity: 'film',
          source: 'rule of thumb',
        },
      ],
      source: 'Wetted cup as tall as wide; wall film 0.1–0.3 mm. Common practice, no source.',
      sigma: volumeM3 * CUP_FILM.sigmaShare,
    },
  };
}

function reserveLine(neededM3: number, sigmaM3: number, reserve: ReserveSchool): LedgerLine {
  if (reserve.by === 'share') {
    return {
      id: 'reserve',
      volumeM3: neededM3 * reserve.share,
      explanation: {
        title: 'Reserve',
        formula: 'share × sum of the lines above',
        inputs: [
          { label: 'share', value: reserve.share, quantity: 'share', source: 'rule of thumb' },
          { label: 'sum', value: neededM3, quantity: 'volume', source: 'computed' },
        ],
        source: 'School “a little over”: a fixed share. Common practice, no source.',
      },
    };
  }
  return {
    id: 'reserve',
    volumeM3: normalQuantile(reserve.confidence) * sigmaM3,
    explanation: {
      title: 'Reserve',
      formula: 'z(confidence) × √(sum of the lines’ variances)',
      inputs: [
        {
          label: 'sure not to run short',
          value: reserve.confidence,
          quantity: 'share',
          source: 'chosen',
        },
        { label: 'uncertainty of the sum', value: sigmaM3, quantity: 'volume', source: 'computed' },
      ],
      source: 'Normal quantile; lines taken as independent.',
    },
  };
}

/** Standard normal distribution by inverting its quantile; good to 1e-6, enough for a percentage. */
function normalShareBelow(z: number): number {
  let low = 1e-9;
  let high = 1 - 1e-9;
  for (let i = 0; i < 40; i += 1) {
    const middle = (low + high) / 2;
    if (normalQuantile(middle) < z) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * The volume ledger of a flood coat: every millilitre and why it is there.
 * @param input areas (m², m), film thickness (m, 20 µm to 50 mm), the mix (kg/m³, Pa s, s), reserve school
 * @returns lines, total in m³ and kg, uncertainty, or every fault with its path (`required`, `out-of-range`)
 * Source: each line names its own. Lines are taken as independent.
 */
export function coatLedger(input: LedgerInput): Result<Ledger> {
  const issues = inputIssues(input);
  if (issues.length > 0) return fail(...issues);
  const face = faceLine(input);
  const { filmM: edgeFilmM, ...edges } = edgesLine(input);
  const cup = cupLine(face.volumeM3 + edges.volumeM3);
  const base = edges.volumeM3 > 0 ? [face, edges, cup] : [face, cup];
  const neededM3 = base.reduce((sum, line) => sum + line.volumeM3, 0);
  const sigmaM3 = Math.hypot(...base.map((line) => line.explanation.sigma ?? 0));
  const reserve = reserveLine(neededM3, sigmaM3, input.reserve);
  const totalM3 = neededM3 + reserve.volumeM3;
  return ok({
    lines: [...base, reserve],
    neededM3,
    sigmaM3,
    totalM3,
    totalKg: totalM3 * input.densityKgM3,
    enough: normalShareBelow(reserve.volumeM3 / sigmaM3),
    edgeFilmM,
  });
}
