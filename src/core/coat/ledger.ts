import { drainedEdgeMean } from '../film';
import { fail, ok, type Result } from '../result';
import { BODY_LINES } from './bodyLines';
import { covers, lineContext, type BodyLine, type LineContext } from './lineParts';
import { cupLine, normalShareBelow, reserveLine, usesGlove } from './overLines';
import type { LedgerLine } from './ledgerLine';
import {
  inputIssues,
  type LedgerArea,
  type LedgerInput,
  type LedgerLineId,
  type LedgerOverride,
} from './input';

export interface Ledger {
  readonly lines: readonly LedgerLine[];
  /** What is poured on each area, m³: all pieces, what runs off among it, cup and reserve left out. */
  readonly byArea: readonly { readonly name: string; readonly volumeM3: number }[];
  /** Sum of all lines but the reserve, and its standard deviation, m³. */
  readonly neededM3: number;
  readonly sigmaM3: number;
  readonly totalM3: number;
  readonly totalKg: number;
  /** What leaves the cup: the lines that lie on the piece or run off it, m³. */
  readonly pouredM3: number;
  /** Of the total: reserve, run-off, cup and tools, m³. */
  readonly wasteM3: number;
  /** Chance that the total is enough, from the uncertainties of the lines. */
  readonly enough: number;
  readonly edgeFilmM: number;
}

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

/** How well a brushed film is known, share of it. Judgement, no source. */
const BRUSH_SIGMA = 0.25;

/** An error of the area counts for all that is poured on it: what lies there and what runs off. */
const measuredSigma = (areas: readonly LedgerArea[], c: LineContext): number =>
  Math.hypot(...areas.map((a) => a.areaSigmaM2 * a.count * c.thicknessM * covers(c)));

function bodyLine(body: BodyLine, c: LineContext): LedgerLine | null {
  const parts = c.areas.map((a) => body.volume(a, c) * a.count);
  const concerned = c.areas.filter((_, i) => parts[i] !== 0);
  if (concerned.length === 0) return null;
  const volumeM3 = parts.reduce((s, v) => s + v, 0);
  // The same rule reads every dimension of a set, so errors of pieces alike add up in full.
  const measured = body.id === 'face' || body.id === 'dome' ? measuredSigma(concerned, c) : 0;
  const brushed = c.edges.by === 'brush' || c.edges.by === 'edge coat';
  const share = brushed ? Math.max(BRUSH_SIGMA, body.sigmaShare) : body.sigmaShare;
  return {
    id: body.id,
    volumeM3,
    explanation: {
      ...body.explain(concerned, c),
      sigma: Math.hypot(measured, volumeM3 * share),
    },
  };
}

const POURED: ReadonlySet<LedgerLineId> = new Set(
  BODY_LINES.filter((line) => line.poured).map((line) => line.id),
);

/** Film, edges and what runs off are poured by one hand: their errors are one and add up; all others are their own. */
export function sigmaOf(lines: readonly LedgerLine[]): number {
  const of = (line: LedgerLine) => line.explanation.sigma ?? 0;
  const poured = lines.filter((l) => POURED.has(l.id) && l.computedM3 === undefined);
  const others = lines.filter((l) => !poured.includes(l));
  return Math.hypot(
    poured.reduce((s, l) => s + of(l), 0),
    ...others.map(of),
  );
}

/** What coats of its kind took more, or less, than was planned for them; null where nothing was accepted. */
function learnedLine(laidM3: number, { learned, overrides }: LedgerInput): LedgerLine | null {
  if (!learned) return null;
  const { factor, count, spread } = learned;
  const line: LedgerLine = {
    id: 'learned',
    volumeM3: (factor - 1) * laidM3,
    explanation: {
      title: `Learned from ${count} pours`,
      formula: '(used / planned − 1) × sum of the lines above',
      inputs: [
        { label: 'used / planned', value: factor, quantity: 'number', source: 'learned' },
        { label: 'pours', value: count, quantity: 'number', source: 'learned' },
        { label: 'spread from pour to pour', value: spread, quantity: 'number', source: 'learned' },
        { label: 'sum of the lines above', value: laidM3, quantity: 'volume', source: 'computed' },
      ],
      source: 'Cups weighed before and after; accepted in the settings. Mean of the logarithms.',
      sigma: (laidM3 * spread) / Math.sqrt(count),
    },
  };
  return withOverride(line, overrides);
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
 * Source: each line names its own. What is poured has one error; all other lines are taken as independent.
 */
export function coatLedger(input: LedgerInput): Result<Ledger> {
  const issues = inputIssues(input);
  if (issues.length > 0) return fail(...issues);
  const { overrides } = input;
  const context = lineContext(input);
  const body = BODY_LINES.map((line) => bodyLine(line, context))
    .filter((line) => line !== null)
    .map((line) => withOverride(line, overrides));
  const laidM3 = body.reduce((s, line) => s + line.volumeM3, 0);
  const learned = learnedLine(laidM3, input);
  const netM3 = laidM3 + (learned?.volumeM3 ?? 0);
  if (!(netM3 > 0)) return fail({ code: 'does-not-fit', path: ['thicknessM'], value: netM3 });
  const base = [
    ...body,
    ...(learned ? [learned] : []),
    withOverride(cupLine(netM3, context, usesGlove(context)), overrides),
  ];
  const neededM3 = base.reduce((s, line) => s + line.volumeM3, 0);
  const sigmaM3 = sigmaOf(base);
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
        (netM3 / laidM3) *
        BODY_LINES.reduce((s, line) => s + line.volume(a, context) * asSet(line), 0) *
        a.count,
    })),
    neededM3,
    sigmaM3,
    totalM3,
    totalKg: totalM3 * input.densityKgM3,
    pouredM3: netM3,
    wasteM3: lines
      .filter((l) => WASTE.includes(l.id))
      .reduce((s, l) => s + Math.max(0, l.volumeM3), 0),
    enough: normalShareBelow(reserve.volumeM3 / sigmaM3),
    edgeFilmM: meanEdgeFilm(context),
  });
}
