import type { EdgeKind, LayerKind, Support } from '../piece';

/** Steps after the last coat that a survey and a build-up call for, by code. Common practice, no source. */
export const FINISH_STEPS = [
  'drips off',
  'seep repainted',
  'lip along the wall sanded',
  'edges painted',
  'edges painted again',
  'gilding looked over',
  'bare wood oiled',
  'hardware on its marks',
  'pads glued on',
  'photographed',
  'packed',
] as const;
export type FinishStep = (typeof FINISH_STEPS)[number];

/** What is looked at, of one piece. */
export interface FinishFacts {
  readonly support: Support;
  readonly count: number;
  /** Edges of all that was coated. */
  readonly edges: readonly EdgeKind[];
  /** A mask stood under a coat of it. */
  readonly masked: boolean;
  /** Some of it stays bare. */
  readonly bare: boolean;
  readonly layers: readonly LayerKind[];
  readonly hardware: readonly string[];
  readonly hotCups: boolean;
}

export interface FinishAsk {
  readonly step: FinishStep;
  /** Hours that it then waits for, s; 0: none. */
  readonly waitS: number;
}

const HOUR_S = 3600;
/** Paint between its two coats, oil, glue under pads. Common practice, no source. */
const WAITS_S: Readonly<Partial<Record<FinishStep, number>>> = {
  'seep repainted': 2 * HOUR_S,
  'edges painted': 2 * HOUR_S,
  'edges painted again': 2 * HOUR_S,
  'bare wood oiled': 24 * HOUR_S,
  'pads glued on': 24 * HOUR_S,
};

/** Whether a step is called for. */
const ASKED: Readonly<Record<FinishStep, (facts: FinishFacts) => boolean>> = {
  'drips off': ({ edges }) => edges.includes('open'),
  'seep repainted': ({ masked }) => masked,
  'lip along the wall sanded': ({ edges }) =>
    edges.some((e) => e === 'mould' || e === 'own rim' || e === 'dam'),
  'edges painted': ({ edges, support }) => support !== 'tile' && edges.includes('open'),
  'edges painted again': ({ edges, support }) => support !== 'tile' && edges.includes('open'),
  'gilding looked over': ({ layers }) => layers.includes('gilding') || layers.includes('leaf'),
  'bare wood oiled': ({ bare, support }) => bare && support === 'bare wood',
  'hardware on its marks': ({ hardware }) => hardware.length > 0,
  'pads glued on': ({ hotCups, support, count }) => hotCups || (support === 'tile' && count > 1),
  photographed: () => true,
  packed: () => true,
};

/** What a finished piece is asked for, in the order of the work. */
export const finishSteps = (facts: FinishFacts): readonly FinishAsk[] =>
  FINISH_STEPS.filter((step) => ASKED[step](facts)).map((step) => ({
    step,
    waitS: WAITS_S[step] ?? 0,
  }));
