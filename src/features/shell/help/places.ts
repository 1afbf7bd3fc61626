/** What a place is for, by the beginning of its address; the longest that fits holds. */
const PLACES: readonly (readonly [path: RegExp, words: string])[] = [
  [/^\/$/, 'Today: what to do next, in order, and the clocks of all that cures, down the page.'],
  [
    /^\/start/,
    'First coat: a few answers give the volume to mix; it becomes a piece, a sheet and a planned coat.',
  ],
  [/^\/pieces$/, 'Pieces: everything on the bench, each with what it asks for.'],
  [
    /^\/pieces\/new/,
    'New piece: its outline, edges and surfaces. They are what every volume follows from.',
  ],
  [/\/survey$/, 'Survey: outline, edges, surfaces, relief and level of the piece.'],
  [
    /\/prepare$/,
    'Prepare: the steps before the next coat, in the order that keeps them good. What is needed holds the coat back.',
  ],
  [/\/coats$/, 'Coats: what lies and what is planned, with the volume of each, line by line.'],
  [/\/cure$/, 'Cure: the clocks and windows of each coat, by the room and by what touches found.'],
  [
    /\/inspect$/,
    'Inspect: look at the film in four lights, pin what is found, and see why and what to do.',
  ],
  [
    /\/finish$/,
    'Finish: what keeps the piece here, its last steps, and the papers that go with it.',
  ],
  [/^\/resins/, 'Resins: data sheets, bottles, swatches, and what touches taught.'],
  [/^\/room/, 'Room: temperature and damp over the days. Every clock goes by it.'],
  [/^\/book/, 'Book: the log, what goes wrong, and files in and out.'],
  [/^\/settings/, 'Settings: units, schools of the trade, the bench, and how the data is kept.'],
  [/^\/wet\/new/, 'Gather: the coats that are mixed together, and what must be at hand.'],
  [
    /^\/wet\//,
    'Wet session: weigh, stir, pour, cover. One large key a step; what must not slip is held.',
  ],
];

/** What the place at an address is for; empty where it is none. */
export const placeHelp = (pathname: string): string =>
  PLACES.find(([path]) => path.test(pathname))?.[1] ?? '';

/** Keys that do something, and what. */
export const KEYS: readonly (readonly [keys: string, does: string])[] = [
  ['?', 'this help'],
  ['Esc', 'closes what is open'],
  ['Tab, Shift + Tab', 'to the next, to the last thing that can be worked'],
  ['Enter, space', 'works it; a key that asks for it is held'],
  ['space', 'the large key of a wet step'],
  ['a letter on a key', 'works that key: U takes the last act back, S stops pouring'],
  ['← → ↑ ↓', 'move the surface in a section, the cut in a plan, a mark on a photo'],
  ['1 … 9', 'a ninth of the face, where a finding is pinned'],
];
