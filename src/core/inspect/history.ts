import type { Evidence, EvidenceCode } from './evidence';

/** Where a fault sits and how much of it there is. Null: not told. */
export interface FaultLook {
  /** How near it is to an edge, m. */
  readonly edgeM: number | null;
  readonly allOver: boolean | null;
  readonly count: number | null;
}

/** What a hand found by a test. */
export type Answers = Readonly<Partial<Record<EvidenceCode, boolean>>>;

/** What is known of one coat from its planning to the look at it. Null: nobody noted it. SI. */
export interface CoatHistory {
  /** B against A as the sheet wants it, less 1, and how far it may be off. */
  readonly ratioError: number | null;
  readonly ratioTolerance: number;
  /** Both parts were read, to a mark or off a scale. */
  readonly ratioRead: boolean | null;
  readonly stirredS: number | null;
  readonly stirAtLeastS: number | null;
  readonly changedCup: boolean | null;
  readonly mixedAtK: number | null;
  /** Coldest of the first twelve hours, and what the resin asks, K. */
  readonly coldestK: number | null;
  readonly curesFromK: number;
  /** Smallest distance of surface and dew point from the pour until it no longer flows, K. */
  readonly dewMarginK: number | null;
  readonly humidity: number | null;
  readonly wiped: boolean | null;
  readonly gloves: boolean | null;
  readonly siliconeBelow: boolean | null;
  readonly dusted: boolean | null;
  /** From the pour to the cover. */
  readonly openS: number | null;
  /** Something under it is porous and was not closed. */
  readonly openPores: boolean | null;
  readonly layerWet: boolean | null;
  /** Looked over for bubbles within the first hour. */
  readonly rounds: number | null;
  readonly restedS: number | null;
  /** Film against the least that lies closed. */
  readonly filmM: number | null;
  readonly closesFromM: number | null;
  readonly ranShort: boolean | null;
  readonly openEdges: boolean | null;
  /** Passes of a flame or of warm air, and the last of them as a share of the working time. */
  readonly torchPasses: number | null;
  readonly heatPasses: number | null;
  readonly lastHeat: number | null;
  /** The pour as a share of the working time. */
  readonly pouredAt: number | null;
  /** Mass in the cup against the mass that the sheet speaks of. */
  readonly cupLoad: number | null;
  readonly masked: boolean | null;
  /** The mask’s age over its limit. */
  readonly maskAge: number | null;
  /** The coat below when this one came: soft enough to bond, sanded, hard and not sanded, or too soft. */
  readonly ground: 'none' | 'open' | 'sanded' | 'shut' | 'too soon' | null;
  readonly proudM: number | null;
  readonly slope: number | null;
  /** Colour over what the resin bears. */
  readonly colourLoad: number | null;
  /** Opacity of its swatch over black against white, 0…1. */
  readonly contrast: number | null;
  readonly pastDate: boolean | null;
  /** Ripe time at the look against the time to handle. */
  readonly lookedAt: number | null;
  readonly glossOnInk: boolean | null;
  readonly sandedOutside: boolean | null;
}

/** Nothing is known. */
export const NO_HISTORY: CoatHistory = {
  ...{ ratioError: null, ratioTolerance: 0.03, ratioRead: null, stirredS: null },
  ...{ stirAtLeastS: null, changedCup: null, mixedAtK: null, coldestK: null, curesFromK: 288.15 },
  ...{ dewMarginK: null, humidity: null, wiped: null, gloves: null, siliconeBelow: null },
  ...{ dusted: null, openS: null, openPores: null, layerWet: null, rounds: null, restedS: null },
  ...{ filmM: null, closesFromM: null, ranShort: null, openEdges: null, torchPasses: null },
  ...{ heatPasses: null, lastHeat: null, pouredAt: null, cupLoad: null, masked: null },
  ...{ maskAge: null, ground: null, proudM: null, slope: null, colourLoad: null, contrast: null },
  ...{ pastDate: null, lookedAt: null, glossOnInk: null, sandedOutside: null },
};

/** Truth of a measured limit: one half on the limit, near 1 or 0 a few widths beyond it. Logistic; judgement, no source. */
const above = (value: number, limit: number, width: number): number =>
  1 / (1 + Math.exp(-(value - limit) / width));

/** Nothing is ever quite sure, however plain the log. Judgement, no source. */
const SURE = 0.97;
const flag = (is: boolean): number => (is ? SURE : 1 - SURE);

/** A surface nearer to the dew point than this sweats, K. ISO 8502-4, from memory. */
const DEW_SAFE_K = 3;
/** Colder bottles than this make thick resin, K. Common practice, no source. */
const COLD_K = 291.15;
/** Damp air, share. Common practice, no source. */
const HUMID = 0.7;
/** A coat that lies open for longer takes dust, s. Common practice, no source. */
const OPEN_S = 15 * 60;
/** Bubbles need this to rise in the cup, s. Common practice, no source. */
const REST_S = 120;
/** Passes of heat that are many for one coat. Judgement, no source. */
const MANY_PASSES = 3.5;
/** So much more in one cup than the sheet speaks of heats itself. Judgement, no source. */
const HEAVY = 2.5;
/** A mix that hides less than this lets the ground show. ISO 6504-3 calls 0.98 hiding; from memory. */
const HIDES = 0.95;
/** Rise over run from which a film runs to one side. Judgement, no source. */
const STEEP = 0.002;
/** So near the edge it sits at the edge, m. Judgement, no source. */
const AT_EDGE_M = 0.012;
/** So many are many. Judgement, no source. */
const MANY = 8;

type Told = readonly [
  code: EvidenceCode,
  truth: number | null,
  /** What nobody noted is no figure. */
  figures?: Readonly<Record<string, number | null>>,
];

const noted = (figures: Readonly<Record<string, number | null>>): Evidence['figures'] =>
  Object.fromEntries(
    Object.entries(figures).flatMap(([name, value]) => (value === null ? [] : [[name, value]])),
  );

const maybe = <T>(value: T | null, truth: (value: T) => number): number | null =>
  value === null ? null : truth(value);

/** What the making of the mix tells. */
function ofMix(h: CoatHistory): Told[] {
  const off = h.ratioError === null ? null : Math.abs(h.ratioError);
  const stir = h.stirredS !== null && h.stirAtLeastS !== null ? h.stirredS / h.stirAtLeastS : null;
  return [
    [
      'ratio off',
      h.ratioRead === false ? null : maybe(off, (x) => above(x, 1.3 * h.ratioTolerance, 0.012)),
      { ratioErrorShare: h.ratioError, toleranceShare: h.ratioTolerance },
    ],
    ['ratio not read', maybe(h.ratioRead, (read) => flag(!read))],
    [
      'stirred short',
      maybe(stir, (x) => above(-x, -0.9, 0.06)),
      { stirredS: h.stirredS, atLeastS: h.stirAtLeastS },
    ],
    ['one cup', maybe(h.changedCup, (changed) => flag(!changed))],
    ['mixed cold', maybe(h.mixedAtK, (x) => above(-x, -COLD_K, 0.7)), { roomK: h.mixedAtK }],
    ['heavy cup', maybe(h.cupLoad, (x) => above(x, HEAVY, 0.4)), { load: h.cupLoad }],
    ['past its date', maybe(h.pastDate, flag)],
    ['over the colour limit', maybe(h.colourLoad, (x) => above(x, 1.05, 0.06))],
    ['opacity low', maybe(h.contrast, (x) => above(-x, -HIDES, 0.02))],
  ];
}

/** What lay below it, and how it was made ready. */
function ofGround(h: CoatHistory): Told[] {
  return [
    ['not wiped', maybe(h.wiped, (wiped) => flag(!wiped))],
    ['bare hands', maybe(h.gloves, (gloves) => flag(!gloves))],
    ['silicone below', maybe(h.siliconeBelow, flag)],
    ['dust not lifted', maybe(h.dusted, (dusted) => flag(!dusted))],
    ['not sealed', maybe(h.openPores, flag)],
    ['water below', maybe(h.layerWet, flag)],
    ['no tooth', maybe(h.ground, (g) => flag(g === 'shut'))],
    ['coated too soon', maybe(h.ground, (g) => flag(g === 'too soon'))],
    ['no mask', maybe(h.masked, (masked) => flag(!masked))],
    ['mask overdue', maybe(h.maskAge, (x) => above(x, 1, 0.12)), { ageShare: h.maskAge }],
    ['relief proud', maybe(h.proudM, (x) => above(x, 0, 1e-4)), { proudM: h.proudM }],
    ['out of level', maybe(h.slope, (x) => above(x, STEEP, 4e-4)), { slope: h.slope }],
    ['gloss on ink', maybe(h.glossOnInk, flag)],
    ['sanded outside', maybe(h.sandedOutside, flag)],
  ];
}

/** What happened from the pour on. */
function ofCoat(h: CoatHistory): Told[] {
  const film = h.filmM !== null && h.closesFromM ? h.filmM / h.closesFromM : null;
  return [
    [
      'cured cold',
      maybe(h.coldestK, (x) => above(-x, -h.curesFromK, 0.7)),
      { coldestK: h.coldestK, wantedK: h.curesFromK },
    ],
    [
      'near the dew point',
      maybe(h.dewMarginK, (x) => above(-x, -DEW_SAFE_K, 0.4)),
      { dewMarginK: h.dewMarginK, wantedDewK: DEW_SAFE_K },
    ],
    ['humid', maybe(h.humidity, (x) => above(x, HUMID, 0.03)), { humidityShare: h.humidity }],
    ['covered late', maybe(h.openS, (x) => above(x, OPEN_S, 90)), { openS: h.openS }],
    ['no bubble round', maybe(h.rounds, (x) => flag(x === 0))],
    ['not rested', maybe(h.restedS, (x) => above(-x, -REST_S, 12)), { restedS: h.restedS }],
    ['thin film', maybe(film, (x) => above(-x, -1, 0.06)), { filmM: h.filmM }],
    ['ran short', maybe(h.ranShort, flag)],
    ['open edges', maybe(h.openEdges, flag)],
    ['torch', maybe(h.torchPasses, (x) => flag(x > 0))],
    ['many heat passes', maybe(h.heatPasses, (x) => above(x, MANY_PASSES, 0.3))],
    ['heat late', maybe(h.lastHeat, (x) => above(x, 0.92, 0.03)), { ofWorkingShare: h.lastHeat }],
    ['poured late', maybe(h.pouredAt, (x) => above(x, 0.97, 0.03)), { ofWorkingShare: h.pouredAt }],
    [
      'looked early',
      maybe(h.lookedAt, (x) => above(-x, -0.9, 0.06)),
      { ofHandleShare: h.lookedAt },
    ],
  ];
}

function ofLook({ edgeM, allOver, count }: FaultLook): Told[] {
  return [
    [
      'at the edge',
      allOver ? null : maybe(edgeM, (x) => above(-x, -AT_EDGE_M, 0.002)),
      { fromEdgeM: edgeM },
    ],
    ['all over', maybe(allOver, flag)],
    ['many spots', maybe(count, (x) => above(x, MANY - 0.5, 0.8)), { count: count }],
  ];
}

/** A look at a fault tells nothing yet. */
export const NO_LOOK: FaultLook = { edgeM: null, allOver: null, count: null };

/**
 * What is known of a coat, as evidence: what nobody noted is left out, and no guess takes its place.
 * @param history facts of the coat, SI @param look where the fault sits @param answers tests that a hand did
 */
export function evidenceOf(
  history: CoatHistory = NO_HISTORY,
  look: FaultLook = NO_LOOK,
  answers: Answers = {},
): Evidence[] {
  const told = [...ofMix(history), ...ofGround(history), ...ofCoat(history), ...ofLook(look)];
  const tests = Object.entries(answers) as [EvidenceCode, boolean][];
  return [
    ...told.flatMap(([code, truth, figures = {}]) =>
      truth === null || Number.isNaN(truth) ? [] : [{ code, truth, figures: noted(figures) }],
    ),
    ...tests.map(([code, so]) => ({ code, truth: flag(so), figures: {} })),
  ];
}
