/** A word of the trade or of physics, in one or two plain sentences. */
export interface Term {
  readonly word: string;
  readonly means: string;
}

/** Words that the screens use, by the alphabet. */
export const GLOSSARY: readonly Term[] = [
  {
    word: 'A and B',
    means: 'The two parts of a resin. B makes A cure; only in the ratio of its sheet.',
  },
  { word: 'barrier', means: 'A line or a wall of resin that keeps a later coat from running on.' },
  { word: 'batch', means: 'What is mixed in one go, in one cup. Its clock starts when A meets B.' },
  { word: 'belly', means: 'How far the middle of a canvas hangs. Resin gathers there.' },
  { word: 'bleed under', means: 'Resin that crept under tape or latex.' },
  {
    word: 'blush',
    means:
      'A greasy or milky skin that damp air draws out of curing epoxy. Wash it off with water before the next coat.',
  },
  { word: 'build-up', means: 'All that lies on a place, from the support to the last coat.' },
  {
    word: 'care note',
    means: 'What goes with a piece that leaves: from when it can be used, and how.',
  },
  { word: 'coverage', means: 'The share of a place that a coat covers.' },
  {
    word: 'crater, dimple',
    means: 'A small round pit where the film pulled away from grease, wax or silicone.',
  },
  {
    word: 'cure',
    means: 'A and B becoming one solid. Hard to the nail is long before fully cured.',
  },
  { word: 'dam', means: 'Tape or a strip that holds resin at an edge.' },
  {
    word: 'dew point',
    means:
      'The temperature of a surface at which the air of the room wets it. Nothing is poured near it.',
  },
  {
    word: 'dome',
    means:
      'A coat that stands higher in the middle and is held by its rim: by surface tension, up to a few millimetres.',
  },
  {
    word: 'exotherm',
    means:
      'The heat that a mix makes while it cures. Much of it in one cup makes it smoke or crack.',
  },
  { word: 'film', means: 'The layer of resin that lies on the face, by its thickness.' },
  { word: 'fish eye', means: 'See crater.' },
  { word: 'flood', means: 'A coat that is poured, spread and levels by itself.' },
  {
    word: 'gate',
    means: 'Steps that must be done, or left out with a reason, before the first drop.',
  },
  {
    word: 'leathery',
    means: 'Firm, still bends, takes a mark of the nail. Masks come off cleanly now.',
  },
  {
    word: 'ledger',
    means: 'All the places where the mix of a coat goes, line by line: face, edges, cup, reserve.',
  },
  {
    word: 'levelling',
    means:
      'A wet film becoming even by its weight and its surface tension. It stops when the resin thickens.',
  },
  { word: 'lift', means: 'One of several pours that together make a thick coat.' },
  { word: 'lot', means: 'Bottles of one filling, by the number on the label.' },
  {
    word: 'mask',
    means: 'Tape, latex or glue on what must stay bare. It has a window to come off, and a limit.',
  },
  { word: 'meniscus', means: 'How resin climbs a wall that it wets.' },
  {
    word: 'natural thickness',
    means:
      'What a poured film comes to by itself where it may run off open edges: 1 to 2 mm, by density and surface tension.',
  },
  { word: 'no flow', means: 'The resin has thickened so far that it levels no more.' },
  { word: 'pot life', means: 'See working time.' },
  {
    word: 'porous',
    means: 'It drinks: wood, paper, cloth. Air comes out of it as bubbles unless it is sealed.',
  },
  {
    word: 'recoat window',
    means:
      'The time in which the next coat grips without sanding: from when the last one carries it until it is too hard.',
  },
  { word: 'relief', means: 'What stands on the face: flakes, letters, stones.' },
  {
    word: 'reserve',
    means: 'What is mixed on top so that it is enough, by the chance of running short.',
  },
  {
    word: 'ripe hours',
    means:
      'Hours of cure at the temperature of the sheet: a cold hour counts less, a warm one more.',
  },
  { word: 'seal', means: 'A thin first coat that closes pores.' },
  { word: 'stand apart', means: 'A piece that cures elsewhere, with readings of its own.' },
  {
    word: 'surface tension',
    means: 'What pulls a drop together. It carries domes and opens craters.',
  },
  { word: 'swatch', means: 'A trial of a colour: how much, and how well it covers.' },
  { word: 'tooth', means: 'The fine scratches of sanding that the next coat holds on to.' },
  {
    word: 'touch',
    means:
      'A finger, in a glove, on the film or on the witness cup. What it finds moves the clocks.',
  },
  {
    word: 'viscosity',
    means: 'How thick a liquid is. Water is 1, oil 100, honey some thousand mPa·s.',
  },
  { word: 'warm load', means: 'Something warm and heavy stands on it and leaves no mark.' },
  {
    word: 'witness cup',
    means: 'A little of the batch in a cup beside the piece, to touch instead of the film.',
  },
  {
    word: 'working time',
    means:
      'From when A meets B until it can no longer be poured and spread. Shorter in a full cup and in a warm room.',
  },
];

/** Words whose name or meaning holds all that is searched for. */
export function searchTerms(search: string): readonly Term[] {
  const wanted = search.toLowerCase().split(/\s+/).filter(Boolean);
  return GLOSSARY.filter(({ word, means }) =>
    wanted.every((w) => `${word} ${means}`.toLowerCase().includes(w)),
  );
}

/** A word’s entry. @throws RangeError for a word that has none: a mark without a meaning is a bug */
export function termOf(word: string): Term {
  const found = GLOSSARY.find((t) => t.word === word);
  if (!found) throw new RangeError(`termOf: no entry for ${word}`);
  return found;
}

/** Entries for the words in a title: `Dome inside its rim` tells what a dome is. */
export const termsIn = (title: string): readonly Term[] => {
  const words = title.toLowerCase().split(/[^\p{L}]+/u);
  return GLOSSARY.filter(({ word }) =>
    word.split(', ').some((w) => w.split(' ').every((part) => words.includes(part))),
  );
};
