import { WELL_MADE, type WrittenCase } from './case';

/** Logs that are set aside: written before the likelihoods were looked at again, and no number was set by them. */
export const CASES_ASIDE: readonly WrittenCase[] = [
  {
    story: 'three drops of silicone for cells in the coat below, recoated without a wash',
    ...{ kind: 'fish eye', cause: 'silicone' },
    history: { ...WELL_MADE, siliconeBelow: true, ground: 'open' },
    look: { count: 20 },
  },
  {
    story: 'wiped last week, then lay on the bench and was moved about',
    ...{ kind: 'fish eye', cause: 'grease' },
    history: { ...WELL_MADE, wiped: false, humidity: 0.62 },
    look: { count: 3, edgeM: 0.06 },
  },
  {
    story: 'paste under the coat was touch dry, not dry through',
    ...{ kind: 'bubbles', cause: 'trapped water' },
    history: { ...WELL_MADE, layerWet: true },
    look: { count: 14, edgeM: 0.05 },
  },
  {
    story: 'poured, covered and left until morning',
    ...{ kind: 'bubbles', cause: 'no second look' },
    history: { ...WELL_MADE, rounds: 0 },
    ...{ look: { count: 7 }, answers: { 'pits reach the ground': false } },
  },
  {
    story: 'sanded, blown off, not wiped; covered in time',
    ...{ kind: 'dust nib', cause: 'dirty room' },
    history: { ...WELL_MADE, dusted: false, wiped: false, openS: 500 },
    look: { count: 30, allOver: true },
  },
  {
    story: 'brush marks of the paint stand in the film',
    ...{ kind: 'dimples', cause: 'texture below' },
    history: { ...WELL_MADE, torchPasses: 1, heatPasses: 1, lastHeat: 0.35 },
    answers: { 'follows what lies below': true },
  },
  {
    story: 'heat once more when it had begun to pull strings',
    ...{ kind: 'scorch', cause: 'heat late' },
    history: { ...WELL_MADE, torchPasses: 1, heatPasses: 2, lastHeat: 1.1 },
    look: { count: 1 },
  },
  {
    story: 'half a kilogram left standing in a cup, then scraped onto the tile',
    ...{ kind: 'scorch', cause: 'hot cup' },
    history: { ...WELL_MADE, cupLoad: 5, torchPasses: 0, heatPasses: 0, pouredAt: 0.9 },
  },
  {
    story: 'paste colour at a fifth of the cup: it stays soft where it lies',
    ...{ kind: 'soft spot', cause: 'too much colour' },
    history: { ...WELL_MADE, colourLoad: 1.9, changedCup: true },
    look: { count: 1, edgeM: 0.05, allOver: false },
  },
  {
    story: 'scraped the walls of the cup onto a corner, stirred for long enough',
    ...{ kind: 'soft spot', cause: 'unmixed' },
    history: { ...WELL_MADE, changedCup: false },
    ...{ look: { count: 1, allOver: false }, answers: { 'streaks in it': true } },
  },
  {
    story: 'pressed with a thumb after eight hours',
    ...{ kind: 'tacky all over', cause: 'not yet cured' },
    history: { ...WELL_MADE, lookedAt: 0.45 },
    look: { allOver: true },
  },
  {
    story: 'an old pair of bottles, two years past their date',
    ...{ kind: 'tacky all over', cause: 'old resin' },
    history: { ...WELL_MADE, pastDate: true, lookedAt: 2 },
    ...{ look: { allOver: true }, answers: { 'firm after a warm day': false } },
  },
  {
    story: 'no tape below, drips along the back',
    ...{ kind: 'drips', cause: 'mask missing' },
    history: { ...WELL_MADE, masked: false, openEdges: true },
    look: { edgeM: 0 },
  },
  {
    story: 'a swatch that let black through was poured all the same',
    ...{ kind: 'see-through', cause: 'too little pigment' },
    history: { ...WELL_MADE, contrast: 0.78 },
    look: { allOver: true },
  },
  {
    story: 'coated over a film that still pulled strings',
    ...{ kind: 'peeling', cause: 'coated over sticky' },
    history: { ...WELL_MADE, ground: 'too soon', masked: true, maskAge: 0.5 },
    look: { edgeM: 0.04 },
  },
];
