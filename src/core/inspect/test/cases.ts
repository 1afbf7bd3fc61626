import { WELL_MADE, type WrittenCase } from './case';

/** Logs that the likelihoods may be set by. */
export const CASES: readonly WrittenCase[] = [
  {
    story: 'tile carried in bare hands after the wipe: craters by the rim, water beads there',
    ...{ kind: 'fish eye', cause: 'grease' },
    history: { ...WELL_MADE, gloves: false, wiped: false },
    ...{ look: { count: 5, edgeM: 0.02 }, answers: { 'water draws into beads': true } },
  },
  {
    story: 'the batch ran short and was spread to 0.5 mm: the ground shows in a patch',
    ...{ kind: 'fish eye', cause: 'too thin' },
    history: { ...WELL_MADE, filmM: 0.5e-3, closesFromM: 0.7e-3, ranShort: true },
    look: { count: 1, edgeM: 0.004 },
  },
  {
    story: 'ash board straight from the plane, no seal: pinholes over the whole grain',
    ...{ kind: 'bubbles', cause: 'unsealed' },
    history: { ...WELL_MADE, openPores: true, torchPasses: 2, heatPasses: 2 },
    look: { count: 60, allOver: true },
  },
  {
    story: 'cold workshop, bottles not warmed: fine bubbles that never rose',
    ...{ kind: 'bubbles', cause: 'cold resin' },
    history: { ...WELL_MADE, mixedAtK: 288.6, coldestK: 288.4, openPores: false },
    look: { count: 40, allOver: true },
  },
  {
    story: 'beaten with a wooden stick and poured at once',
    ...{ kind: 'bubbles', cause: 'air stirred in' },
    history: { ...WELL_MADE, restedS: 15, stirredS: 260 },
    ...{ look: { count: 25 }, answers: { 'pits reach the ground': false } },
  },
  {
    story: 'left open through lunch',
    ...{ kind: 'dust nib', cause: 'late cover' },
    ...{ history: { ...WELL_MADE, openS: 3300, dusted: true }, look: { count: 12 } },
  },
  {
    story: 'torch gone over five times while it was still thin',
    ...{ kind: 'dimples', cause: 'overheating' },
    history: { ...WELL_MADE, torchPasses: 5, heatPasses: 5, lastHeat: 0.6 },
    ...{ look: { count: 9 }, answers: { 'follows what lies below': false } },
  },
  {
    story: 'flame held on one bubble until it smoked',
    ...{ kind: 'scorch', cause: 'flame too long' },
    history: { ...WELL_MADE, torchPasses: 4, heatPasses: 4, lastHeat: 0.4 },
    look: { count: 1, allOver: false },
  },
  {
    story: 'one cup, stirred for two of four minutes and scraped out to the last',
    ...{ kind: 'soft spot', cause: 'unmixed' },
    history: { ...WELL_MADE, stirredS: 130, changedCup: false },
    look: { count: 2, allOver: false },
  },
  {
    story: 'B was poured by eye: rubbery all through',
    ...{ kind: 'tacky all over', cause: 'ratio off' },
    history: { ...WELL_MADE, ratioError: -0.11 },
    look: { allOver: true },
  },
  {
    story: 'the heating went off: eleven degrees by morning',
    ...{ kind: 'tacky all over', cause: 'cold room' },
    history: { ...WELL_MADE, coldestK: 284.2, mixedAtK: 292.4, lookedAt: 1.1 },
    ...{ look: { allOver: true }, answers: { 'firm after a warm day': true } },
  },
  {
    story: 'wet night, window open: grey bloom that washes off',
    ...{ kind: 'haze', cause: 'damp' },
    history: { ...WELL_MADE, dewMarginK: 1.4, humidity: 0.82, coldestK: 290.2 },
    ...{ look: { allOver: true }, answers: { 'washes off with water': true } },
  },
  {
    story: 'tape taken off on the third day',
    ...{ kind: 'tape lip', cause: 'mask left' },
    history: { ...WELL_MADE, masked: true, maskAge: 1.8 },
    look: { edgeM: 0.001 },
  },
  {
    story: 'poured thin and at once on open edges',
    ...{ kind: 'thin edge', cause: 'ran off' },
    history: { ...WELL_MADE, openEdges: true, restedS: 30 },
    look: { edgeM: 0 },
  },
  {
    story: 'recoated after two days without sanding',
    ...{ kind: 'peeling', cause: 'no tooth' },
    history: { ...WELL_MADE, ground: 'shut' },
    look: { allOver: false, edgeM: 0.03 },
  },
];

/** Logs in which nothing is known that could tell. */
export const EMPTY: readonly WrittenCase[] = [
  { story: 'nothing noted', kind: 'fish eye', cause: 'other', history: {} },
  { story: 'only where it sits', kind: 'bubbles', cause: 'other', history: {}, look: { count: 5 } },
  {
    story: 'a coat that was made as it should be',
    ...{ kind: 'dust nib', cause: 'other', history: { gloves: true, rounds: 3, ratioRead: true } },
  },
  {
    story: 'one coat, no entry but its cup',
    kind: 'scorch',
    cause: 'other',
    history: { cupLoad: 1 },
  },
  {
    story: 'all told, and nothing that bears on it',
    ...{ kind: 'scratches', cause: 'other', history: { humidity: 0.5, openS: 300 } },
  },
];
