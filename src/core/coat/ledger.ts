import type { Explanation } from '../explain';
import { drainedEdgeMean } from '../film';
import { normalQuantile } from '../numeric';
import { fail, ok, type Result } from '../result';
import { BODY_LINES } from './bodyLines';
import { CUP_DRAIN, cupRest } from './cupFilm';
import { covers, lineContext, stays, type BodyLine, type LineContext } from './lineParts';
import {
  inputIssues,
  type LedgerArea,
  type LedgerInput,
  type LedgerLineId,
  type LedgerOverride,
} from './input';

export interface LedgerLine {
  readonly id: LedgerLineId;
  readonly volumeM3: number;
  readonly explanation: Explanation;
  /** What the ledger had worked out, m³, where the user set the line. */
  readonly computedM3?: number;
}

export interface Ledger {
  readonly lines: readonly LedgerLine[];
  /** What lies on each area, m³: all pieces, cup and reserve left out. */
  readonly byArea: readonly { readonly name: string; readonly volumeM3: number }[];
  /** Sum of all lines but the reserve, and its standard deviation, m³. */
  readonly neededM3: number;
  readonly sigmaM3: number;
  readonly totalM3: number;
  readonly totalKg: number;
  /** Of the total: reserve, run-off, cup and tools, m³. */
  readonly wasteM3: number;
  /** Chance that the total is enough, from the uncertainties of the lines. */
  readonly enough: number;
  readonly edgeFilmM: number;
}

/** Time between mixing and wetting the edges when nothing else is known, s. Common practice, no source. */
export const DEFAULT_REST_S = 10 * 60;
/** How well a user knows a line that he sets, share of it. Judgement, no source. */
const OVERRIDE_SIGMA = 0.05;
const WASTE: readonly LedgerLineId[] = ['run-off', 'cup', 'reserve'];

/** A line as the user set it; the sum of lines, their uncertainty and the reserve follow. */
function withOverride(line: LedgerLine, overrides: readonly LedgerOverride[]): LedgerLine {
  const own = overrides.find((o) => o.line === line.id);
  if (!own) return line;
  return {
    id: line.id,
    volumeM3: own.volumeM3,
    computedM3: line.volumeM3,
    explanation: {
      title: line.explanation.title,
      formula: 'your own value',
      inputs: [
        { label: 'set to', value: own.volumeM3, quantity: 'volume', source: 'chosen' },
        { label: 'computed', value: line.volumeM3, quantity: 'volume', source: 'computed' },
      ],
      source: `Your reason: ${own.reason}`,
      sigma: Math.abs(own.volumeM3) * OVERRIDE_SIGMA,
    },
  };
}

/** Film to which an error of the area counts, m: a dome’s mean, or what stays on a face. */
const filmOf = (body: BodyLine, a: LedgerArea, c: LineContext): number =>
  body.id === 'dome' ? c.thicknessM : stays(a, c.thicknessM);

function bodyLine(body: BodyLine, c: LineContext): LedgerLine | null {
  const parts = c.areas.map((a) => body.volume(a, c) * a.count);
  const concerned = c.areas.filter((_, i) => parts[i] !== 0);
  if (concerned.length === 0) return null;
  const volumeM3 = parts.reduce((s, v) => s + v, 0);
  // The same rule reads every dimension of a set, so errors of pieces alike add up in full.
  const measured =
    body.id === 'face' || body.id === 'dome'
      ? Math.hypot(
          ...concerned.map((a) => a.areaSigmaM2 * a.count * filmOf(body, a, c) * covers(c)),
        )
      : 0;
  return {
    id: body.id,
    volumeM3,
    explanation: {
      ...body.explain(concerned, c),
      sigma: Math.hypot(measured, volumeM3 * body.sigmaShare),
    },
  };
}

function cupLine(netM3: number, c: LineContext): LedgerLine {
  const glove = c.areas.some((a) => a.openEdges.length > 0);
  const { volumeM3, filmM, wettedM2 } = cupRest(netM3, c.law, c.restS, c.densityKgM3, glove);
  return {
    id: 'cup',
    volumeM3,
    explanation: {
      title: glove ? 'Stays on cup, stick and glove' : 'Stays on cup and stick',
      formula: '(5/4 · π · d² + tools) × ⅔ √(d η / (ρ g t)), d = ∛(4 V / π)',
      inputs: [
        {
          label: 'volume that leaves the cup, V',
          value: netM3,
          quantity: 'volume',
          source: 'computed',
        },
        { label: 'wetted in all', value: wettedM2, quantity: 'area', source: 'computed' },
        { label: 'film that stays', value: filmM, quantity: 'film', source: 'computed' },
        {
          label: 'held over the piece, t',
          value: CUP_DRAIN.forS,
          quantity: 'duration',
          source: 'rule of thumb',
        },
        {
          label: 'fresh viscosity',
          value: c.law.viscosityPaS,
          quantity: 'viscosity',
          source: 'data sheet',
        },
        { label: 'age of the mix', value: c.restS, quantity: 'duration', source: 'rule of thumb' },
      ],
      source:
        'Wetted cup as tall as wide, film as drained (Jeffreys 1930); 0.1–0.3 mm is common practice, no source.',
      sigma: volumeM3 * CUP_DRAIN.sigmaShare,
    },
  };
}

function reserveLine(neededM3: number, sigmaM3: number, { reserve }: LedgerInput): LedgerLine {
  if (reserve.by === 'share')
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
  const z = normalQuantile(reserve.confidence);
  return {
    id: 'reserve',
    volumeM3: z * sigmaM3,
    explanation: {
      title: 'Reserve',
      formula: 'z × uncertainty of the sum, z from the chance to have enough',
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

/** Mean film on all open edges, m; 0 without any. */
function meanEdgeFilm({ areas, liquid }: LineContext): number {
  const bands = areas.flatMap((a) => a.openEdges.map((e) => ({ ...e, count: a.count })));
  const areaM2 = bands.reduce((s, e) => s + e.areaM2 * e.count, 0);
  if (areaM2 === 0) return 0;
  const film = (e: { heightM: number }) => drainedEdgeMean(e.heightM, liquid);
  return bands.reduce((s, e) => s + e.areaM2 * e.count * film(e), 0) / areaM2;
}

/**
 * The volume ledger of a coat: every millilitre and why it is there.
 * @param input areas (m², m), film thickness (m, 20 µm to 50 mm), the mix (kg/m³, Pa s, s), reserve school, lines the user set
 * @returns lines, total in m³ and kg, uncertainty, or every fault with its path: `required`, `out-of-range`,
 *   `does-not-fit` where relief leaves the coat no room
 * Source: each line names its own. Lines are taken as independent.
 */
export function coatLedger(input: LedgerInput): Result<Ledger> {
  const issues = inputIssues(input);
  if (issues.length > 0) return fail(...issues);
  const { overrides } = input;
  const context = lineContext(input);
  const body = BODY_LINES.map((line) => bodyLine(line, context))
    .filter((line) => line !== null)
    .map((line) => withOverride(line, overrides));
  const netM3 = body.reduce((s, line) => s + line.volumeM3, 0);
  if (!(netM3 > 0)) return fail({ code: 'does-not-fit', path: ['thicknessM'], value: netM3 });
  const base = [...body, withOverride(cupLine(netM3, context), overrides)];
  const neededM3 = base.reduce((s, line) => s + line.volumeM3, 0);
  const sigmaM3 = Math.hypot(...base.map((line) => line.explanation.sigma ?? 0));
  const reserve = withOverride(reserveLine(neededM3, sigmaM3, input), overrides);
  const totalM3 = neededM3 + reserve.volumeM3;
  if (!(totalM3 > 0)) return fail({ code: 'does-not-fit', path: ['overrides'], value: totalM3 });
  const lines = [...base, reserve];
  /** What the user set for a line lies on the areas as what was computed did. */
  const asSet = ({ id }: BodyLine): number => {
    const line = body.find((l) => l.id === id);
    return line?.computedM3 ? line.volumeM3 / line.computedM3 : 1;
  };
  return ok({
    lines,
    byArea: context.areas.map((a) => ({
      name: a.name,
      volumeM3:
        BODY_LINES.reduce((s, line) => s + line.volume(a, context) * asSet(line), 0) * a.count,
    })),
    neededM3,
    sigmaM3,
    totalM3,
    totalKg: totalM3 * input.densityKgM3,
    wasteM3: lines
      .filter((l) => WASTE.includes(l.id))
      .reduce((s, l) => s + Math.max(0, l.volumeM3), 0),
    enough: normalShareBelow(reserve.volumeM3 / sigmaM3),
    edgeFilmM: meanEdgeFilm(context),
  });
}
