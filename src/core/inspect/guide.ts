import type { DefectKind } from '../piece';

export interface DefectGuide {
  readonly label: string;
  readonly cause: string;
  readonly repair: string;
}

/** Usual cause and repair of each defect. Common practice, no source. */
export const DEFECT_GUIDE: Readonly<Record<DefectKind, DefectGuide>> = {
  'fish eye': {
    label: 'Fish eye, draw-back, bare spot',
    cause: 'grease, finger oil, silicone, or too thin a film',
    repair: 'wet: tap in with a glove and feed; cured: sand all, wipe, recoat',
  },
  bubbles: {
    label: 'Bubbles, pinholes',
    cause: 'unsealed porous base, fast stirring, cold resin, no second look',
    repair: 'wet: heat; cured: sand, fill pits, flood',
  },
  'dust nib': {
    label: 'Hair, lint, dust nib',
    cause: 'late cover, uncleaned room',
    repair: 'wet: pick out; cured: sand flat, recoat or polish',
  },
  dimples: {
    label: 'Dimples, ripples',
    cause: 'overheating, draught, texture below',
    repair: 'sand, flood',
  },
  scorch: {
    label: 'Smoke, brown or yellow patch',
    cause: 'flame too long, or past the working time',
    repair: 'cut back below the burn, recolour, flood',
  },
  'soft spot': {
    label: 'Soft or sticky spots',
    cause: 'ratio off, unmixed scrapings, damp, cold',
    repair: 'scrape off all soft matter, alcohol, recoat; never coat over sticky resin',
  },
  'tacky all over': {
    label: 'Evenly tacky',
    cause: 'too cold, not yet cured, ratio off throughout',
    repair: 'warm and wait; if it stays, strip',
  },
  haze: {
    label: 'Cloudy, hazy film',
    cause: 'moisture, blush, cold bottles, wrong ratio',
    repair: 'wash off blush with water, dry, sand, recoat',
  },
  drips: { label: 'Drips below', cause: 'mask missing', repair: 'heat, peel, file, repaint' },
  'tape lip': {
    label: 'Lip at the tape line',
    cause: 'tape left until cured',
    repair: 'file, dust, wipe',
  },
  seep: {
    label: 'Seep under tape',
    cause: 'not burnished, not warmed',
    repair: 'warm, knife away from the hand, touch up',
  },
  'thin edge': {
    label: 'Thin edge, ground showing',
    cause: 'resin ran off',
    repair: 'paint the edge, go round later with rested resin',
  },
  'see-through': {
    label: 'See-through, colour too thin',
    cause: 'too little pigment or volume',
    repair: 'an opaque layer on face or back; test opacity first',
  },
  'proud relief': {
    label: 'Relief stands proud',
    cause: 'coat below the highest point',
    repair: 'lock and recoat until flat',
  },
  peeling: {
    label: 'Peeling, lifting',
    cause: 'no tooth outside the window',
    repair: 'strip what is loose, sand all, recoat',
  },
  scratches: {
    label: 'Scratches after sanding',
    cause: 'sanded beyond the next coat',
    repair: 'include them in the next coat',
  },
  'sharp rim': {
    label: 'Sharp rim, uneven height',
    cause: 'resin climbed the wall, or the fill was short',
    repair: 'sand it down; back in the mould, or dome it',
  },
  'gilding lifted': {
    label: 'Gilding lifted with the mask',
    cause: 'the mask was peeled against the edge',
    repair: 'hold the edge, redo the line, seal it in the next coat',
  },
  'muddy colour': {
    label: 'Colour swamped or muddy',
    cause: 'one strong colour, white too early, or worked again',
    repair: 'a new coat with fewer drops',
  },
  'not liked': {
    label: 'Nothing wrong: it is not liked',
    cause: 'a matter of taste',
    repair: 'another transparent layer, texture first, or the back as a new face',
  },
};
