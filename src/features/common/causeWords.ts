import type { Cause, EvidenceCode } from '@/core/inspect';
import type { Quantity } from '@/core/units';
import type { LogKind } from '@/records';

/** What made it, as a finisher says it. */
export const CAUSE_WORDS: Readonly<Record<Cause, string>> = {
  grease: 'grease or finger oil on the surface',
  silicone: 'silicone or release agent below',
  'too thin': 'the film was too thin to lie closed',
  unsealed: 'pores below were not sealed',
  'trapped water': 'water in what lies below',
  'air stirred in': 'air was stirred in and not let out',
  'cold resin': 'cold, thick resin',
  'no second look': 'nobody came back for the bubbles',
  'late cover': 'it lay open for too long',
  'dirty room': 'dust on the surface or in the room',
  overheating: 'too much heat while it was thin',
  draught: 'moving air while it set',
  'texture below': 'what lies below shows through',
  'poured late': 'it was poured when it had thickened',
  'flame too long': 'the flame stayed too long',
  'heat late': 'heat past the working time',
  'hot cup': 'the mix heated itself in the cup',
  'ratio off': 'the ratio was off throughout',
  unmixed: 'unmixed resin scraped from the cup',
  damp: 'damp on the film while it cured',
  'cold room': 'the room was too cold to cure in',
  'not yet cured': 'it has not cured yet',
  'old resin': 'old resin',
  'too much colour': 'more colour than the resin bears',
  'mask missing': 'no mask was there',
  'mask left': 'the mask stayed on too long',
  'mask loose': 'the mask was not pressed down',
  'ran off': 'resin ran off the edge',
  'out of level': 'it was out of level',
  'too little pigment': 'too little pigment',
  'too little volume': 'too little resin',
  'relief too high': 'the relief is higher than the coat',
  'no tooth': 'no tooth: hard below and not sanded',
  'coated over sticky': 'the coat below was too soft',
  'sanded beyond': 'sanded beyond the next coat',
  meniscus: 'resin climbed the wall',
  'short fill': 'the fill was short',
  'peeled against the edge': 'the mask was peeled against the edge',
  'one strong colour': 'one colour was too strong',
  'white too early': 'white went in too early',
  reworked: 'it was worked again',
  'ink dissolved': 'gloss spray dissolved the ink',
  other: 'something else',
};

/** What to do differently next time, where the trade has an answer. Common practice, no source. */
export const NEXT_TIME: Readonly<Partial<Record<Cause, string>>> = {
  grease: 'clean gloves, and the wipe just before the pour',
  silicone: 'wash, wipe twice with fresh cloths, sand, wipe again',
  'too thin': 'mix for the film that lies closed, and a reserve',
  unsealed: 'seal what is porous, and wait until it is dry',
  'trapped water': 'dry through, a day as a rule and longer in damp weather',
  'air stirred in': 'stir slowly with a smooth stick, rest 2–5 min',
  'cold resin': 'warm the closed bottles 5–10 min in warm water',
  'no second look': 'come back every 5–10 min through the first hour',
  'late cover': 'cover within minutes',
  'dirty room': 'lint by tape, dust off, and a quiet room',
  overheating: 'quick passes from 10–15 cm, and fewer',
  'flame too long': 'quick passes; never rest the flame',
  'heat late': 'no heat once it pulls strings',
  'hot cup': 'spread it out, or smaller batches',
  'ratio off': 'both parts on the scale',
  unmixed: 'two cups, and leave the last scrapings in the cup',
  damp: 'room and surface well above the dew point',
  'cold room': 'keep the room warm through the first night',
  'old resin': 'fresh bottles',
  'too much colour': 'liquid colour at most one part in ten',
  'mask missing': 'a mask below every open edge',
  'mask left': 'take it off while the coat is leathery',
  'mask loose': 'burnish, warm it, no kinks',
  'ran off': 'rest the resin, and go round the edge again',
  'out of level': 'level it on its props',
  'too little pigment': 'try the opacity on a corner first',
  'no tooth': 'recoat inside the window, or sand',
  'coated over sticky': 'wait until it pulls no strings',
};

interface EvidenceWords {
  readonly so: string;
  readonly not: string;
  /** Entries of the log that tell it; none: the survey or the finding does. */
  readonly kinds: readonly LogKind[];
}

const words = (so: string, not: string, kinds: readonly LogKind[] = []): EvidenceWords => ({
  so,
  not,
  kinds,
});
const PREP = ['prep done', 'prep redone', 'prep waived', 'prep reopened'] as const;
const AIR = ['air noted', 'room temperature', 'readings added'] as const;

/** What each piece of evidence says, and where it can be read. */
export const EVIDENCE_WORDS: Readonly<Record<EvidenceCode, EvidenceWords>> = {
  'ratio off': words('the ratio was off', 'the ratio was right', ['weighed A', 'mixed', 'added A']),
  'ratio not read': words('a part was not read', 'both parts were read', ['weighed A', 'mixed']),
  'stirred short': words('stirred for less than the sheet asks', 'stirred for long enough', [
    'stirred',
  ]),
  'one cup': words('one cup and one stick', 'cup and stick were changed', [
    'changed cup',
    'stirred',
  ]),
  'mixed cold': words('mixed in the cold', 'mixed warm enough', ['session started', ...AIR]),
  'cured cold': words('the room got too cold', 'the room stayed warm enough', AIR),
  'near the dew point': words('near the dew point', 'well above the dew point', AIR),
  humid: words('damp air', 'dry air', AIR),
  'not wiped': words('the wipe was left out or stale', 'wiped before the pour', PREP),
  'bare hands': words('gloves were not at hand', 'gloves were on', ['session started']),
  'silicone below': words('silicone in the coat below', 'no silicone below', ['cup cut']),
  'dust not lifted': words('dust was not lifted', 'dust was lifted', PREP),
  'covered late': words('covered late', 'covered in time', ['poured', 'covered']),
  'not sealed': words('porous and not sealed', 'nothing open below', PREP),
  'water below': words('what lies below was not dry', 'what lies below was dry', [
    'layer laid',
    'layer dry',
  ]),
  'no bubble round': words('no round for bubbles in the first hour', 'gone over for bubbles', [
    'bubble round',
    'looked over',
  ]),
  'not rested': words('poured without a rest', 'rested before the pour', ['stirred', 'poured']),
  'thin film': words('a film thinner than lies closed', 'a film that lies closed', ['poured']),
  'ran short': words('the mix ran short', 'the mix was enough', ['ran short']),
  'open edges': words('its edges are open', 'its edges hold'),
  torch: words('a flame was used', 'no flame was used', ['bubble round']),
  'many heat passes': words('heat again and again', 'little heat', ['bubble round']),
  'heat late': words('heat at the end of the working time', 'no heat late', ['bubble round']),
  'poured late': words('poured at the end of the working time', 'poured in time', [
    'mixed',
    'poured',
  ]),
  'heavy cup': words('far more in one cup than the sheet speaks of', 'no more than a cup bears', [
    'mixed',
  ]),
  'no mask': words('no mask', 'it was masked', PREP),
  'mask overdue': words('the mask was past its limit', 'the mask came off in time', PREP),
  'no tooth': words('the coat below was hard and not sanded', 'the coat below could bond', [
    ...PREP,
    'poured',
  ]),
  'coated too soon': words('the coat below was too soft', 'the coat below had set', ['poured']),
  'relief proud': words('the relief stands above the film', 'the relief is buried', ['poured']),
  'out of level': words('it was read out of level', 'it was level', ['piece changed']),
  'over the colour limit': words('more colour than the resin bears', 'colour within the limit', [
    'cup cut',
  ]),
  'opacity low': words('its swatch lets the ground through', 'its swatch hides', ['swatch tried']),
  'past its date': words('the bottles were past their date', 'the bottles were in date', [
    'session started',
    'lot opened',
  ]),
  'looked early': words('looked at before it can be handled', 'it had time to cure', ['poured']),
  'gloss on ink': words('gloss spray over ink', 'matte spray over ink', PREP),
  'sanded outside': words('sanded beyond the coat', 'sanded only where it is covered', PREP),
  'at the edge': words('it sits at the edge', 'it sits away from the edge', ['defect noted']),
  'all over': words('it is all over', 'it is in spots', ['defect noted']),
  'many spots': words('there are many', 'there are few', ['defect noted']),
  'prints all over': words('a nail leaves prints all over', 'no prints elsewhere', [
    'defect tested',
  ]),
  'firm after a warm day': words('firm after a warm day', 'still soft after a warm day', [
    'defect tested',
  ]),
  'washes off with water': words('it washes off', 'it does not wash off', ['defect tested']),
  'pits reach the ground': words('the pits reach the ground', 'the pits end in the film', [
    'defect tested',
  ]),
  'water draws into beads': words('water draws into beads', 'water stays spread', [
    'defect tested',
  ]),
  'streaks in it': words('there are streaks in it', 'no streaks in it', ['defect tested']),
  'follows what lies below': words('it follows what lies below', 'it does not follow the ground', [
    'defect tested',
  ]),
  'tape was not pressed down': words('the tape was loose', 'the tape was pressed down', [
    'defect tested',
  ]),
};

/** How a hand finds it out. */
export const TEST_WORDS: Readonly<Partial<Record<EvidenceCode, { ask: string; how: string }>>> = {
  'prints all over': {
    ask: 'Does a nail leave prints all over, not only there?',
    how: 'Gloved, where it does not show.',
  },
  'firm after a warm day': {
    ask: 'Is it firm after a day at 25 °C?',
    how: 'Keep it warm for a day, then touch again.',
  },
  'washes off with water': {
    ask: 'Does it wash off with water?',
    how: 'Lukewarm water and a clean cloth on a corner.',
  },
  'pits reach the ground': {
    ask: 'Do the pits reach the ground?',
    how: 'A needle and a lens, in low light.',
  },
  'water draws into beads': {
    ask: 'Does water draw into beads beside it?',
    how: 'A few drops on the bare surface; a clean one stays wet.',
  },
  'streaks in it': {
    ask: 'Are there streaks or swirls in it?',
    how: 'Against the light, along the surface.',
  },
  'follows what lies below': {
    ask: 'Does it follow what lies below?',
    how: 'Compare it with brush marks, seams or grain underneath.',
  },
  'tape was not pressed down': {
    ask: 'Was the tape loose there?',
    how: 'Look at the tape, or at its line.',
  },
};

/** Figures that evidence rests on, as they are shown. */
export const FIGURE_WORDS: Readonly<Record<string, { label: string; quantity: Quantity }>> = {
  ratioErrorShare: { label: 'B off by', quantity: 'share' },
  toleranceShare: { label: 'may be off by', quantity: 'share' },
  stirredS: { label: 'stirred', quantity: 'duration' },
  atLeastS: { label: 'at least', quantity: 'duration' },
  roomK: { label: 'room', quantity: 'temperature' },
  coldestK: { label: 'coldest', quantity: 'temperature' },
  wantedK: { label: 'wanted', quantity: 'temperature' },
  humidityShare: { label: 'humidity', quantity: 'share' },
  openS: { label: 'open for', quantity: 'duration' },
  restedS: { label: 'rested', quantity: 'duration' },
  filmM: { label: 'film', quantity: 'film' },
  ofWorkingShare: { label: 'of the working time', quantity: 'share' },
  ofHandleShare: { label: 'of the time to handle', quantity: 'share' },
  ageShare: { label: 'of its limit', quantity: 'share' },
  proudM: { label: 'stands proud', quantity: 'film' },
  fromEdgeM: { label: 'from the edge', quantity: 'length' },
};
