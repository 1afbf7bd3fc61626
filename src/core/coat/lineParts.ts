import { capillaryLength, SURFACE_TENSION } from '../capillary';
import type { ExplainInput, Explanation } from '../explain';
import { fluidityLeft, type Liquid } from '../film';
import type { LedgerArea, LedgerInput, LedgerLineId } from './input';

/** What a line says of one coat: its input, and what several lines need of it. */
export interface LineContext extends LedgerInput {
  /** The mix when it lies. */
  readonly liquid: Liquid;
  readonly lengthM: number;
}

export const lineContext = (input: LedgerInput): LineContext => ({
  ...input,
  liquid: {
    densityKgM3: input.densityKgM3,
    surfaceTension: SURFACE_TENSION,
    fluidityPerPa: fluidityLeft(input.law, input.restS),
  },
  lengthM: capillaryLength(SURFACE_TENSION, input.densityKgM3),
});

/** One line of resin that lies on the piece or runs off it. */
export interface BodyLine {
  readonly id: LedgerLineId;
  /** Volume on one piece, m³. */
  readonly volume: (area: LedgerArea, context: LineContext) => number;
  readonly explain: (areas: readonly LedgerArea[], context: LineContext) => Explanation;
  /** Standard deviation over the line’s volume. */
  readonly sigmaShare: number;
  /** It is poured with the film: one hand, one error. */
  readonly poured?: true;
}

/** How evenly a flood lies and how exactly it is poured, share of it, one standard deviation. Judgement, no source. */
export const POUR_SIGMA = 0.04;

export const sum = (areas: readonly LedgerArea[], of: (area: LedgerArea) => number): number =>
  areas.reduce((total, a) => total + of(a) * a.count, 0);

export const areaInput = (areas: readonly LedgerArea[], coverage: number): ExplainInput => ({
  label: coverage < 1 ? 'area covered, all pieces' : 'area, all pieces',
  value: sum(areas, (a) => a.areaM2) * coverage,
  quantity: 'area',
  source: 'measured',
});
export const film = (
  label: string,
  value: number,
  source: ExplainInput['source'] = 'computed',
): ExplainInput => ({ label, value, quantity: 'film', source });
export const volume = (
  label: string,
  value: number,
  source: ExplainInput['source'] = 'computed',
): ExplainInput => ({ label, value, quantity: 'volume', source });

/** Film that stays on an area: what open edges cannot hold runs off. */
export const stays = (
  { cover, openEdges }: Pick<LedgerArea, 'cover' | 'openEdges'>,
  thicknessM: number,
): number =>
  cover.by === 'film' && cover.holdsM !== null && openEdges.length > 0
    ? Math.min(thicknessM, cover.holdsM)
    : thicknessM;
export const edgesOnly = ({ edges }: LineContext): boolean =>
  edges.by === 'edge coat' || edges.by === 'line';
export const covers = (c: LineContext): number => (edgesOnly(c) ? 0 : c.coverage);
