import { area, coat, damage, facts as base, HOUR, NOW, pouredAgo, surface } from './test/facts';
import { heldBy, type Done, type WrittenState } from './test/states';

// Twenty moments of ten jobs, as a finisher would judge them. Common practice, no source.
/** Nobody has read its level yet. */
const facts = (change: Parameters<typeof base>[0] = {}) => base({ slope: null, ...change });
const first = (hours: number) =>
  coat({ id: 'first', name: 'Flood 1', order: 0, poured: pouredAgo(hours) });
const LAST: readonly Done[] = [
  ['mask', 2],
  ['level', 1],
];
const wiped: readonly Done[] = [...LAST, ['wipe', 0.5]];
const sanded: readonly Done[] = [['tooth', 3], ['sanding dust', 2.5], ...wiped];
const oak = { areas: [area({ porosity: 'porous' })] };
const ink = { areas: [area(surface('ink'))] };
const torn = {
  support: 'canvas',
  areas: [area({ ...damage('tear'), porosity: 'porous' })],
} as const;
const casting = facts({ support: 'cured resin' });
const back = [area(), area({ id: 'back', name: 'Back', kind: 'back' })];
const onBack = coat({ id: 'rear', name: 'Back', kind: 'back', areaIds: ['back'], order: 2 });

const STATES: readonly WrittenState[] = [
  {
    what: 'a bare oak board, sealed this morning: the seal is wet',
    facts: facts(oak),
    done: [['seal', 5]],
    holds: ['seal'],
  },
  {
    what: 'the same board the day after, masked, level and free of lint',
    facts: facts(oak),
    done: [['seal', 30], ...LAST, ['lint', 0.5]],
    holds: [],
  },
  { what: 'a tile, masked, level and wiped just now', facts: facts(), done: wiped, holds: [] },
  {
    what: 'the tile five hours after its wipe, open on the bench',
    facts: facts(),
    done: [
      ['mask', 7],
      ['level', 6],
      ['wipe', 5],
    ],
    holds: ['wipe'],
  },
  {
    what: 'a second coat over one that is hard: sanded, dusted, masked, level, wiped',
    facts: facts({ coats: [first(30), coat()] }),
    done: sanded,
    holds: [],
  },
  {
    what: 'the same, but wiped before it was sanded',
    facts: facts({ coats: [first(30), coat()] }),
    done: [
      ['tooth', 1],
      ['sanding dust', 0.8],
      ['mask', 0.6],
      ['level', 0.5],
      ['wipe', 4],
    ],
    holds: ['wipe'],
  },
  {
    what: 'inside the recoat window: masked and level, nothing sanded, nothing wiped',
    facts: facts({ coats: [first(10), coat()] }),
    done: LAST,
    holds: [],
  },
  {
    what: 'the window shut four hours ago, with all steps of before done',
    facts: facts({ coats: [first(21), coat()] }),
    done: [
      ['mask', 9],
      ['level', 8],
    ],
    holds: ['tooth'],
  },
  {
    what: 'ink that was fixed, rubbed clean after it, masked, level and free of lint',
    facts: facts(ink),
    done: [['fix art', 6], ['rub test', 4, 'clean'], ...LAST, ['lint', 0.5]],
    holds: [],
  },
  {
    what: 'ink whose rub test is older than its last spray',
    facts: facts(ink),
    done: [
      ['fix art', 3],
      ['rub test', 4, 'clean'],
      ['mask', 1.5],
      ['level', 1],
      ['lint', 0.5],
    ],
    holds: ['rub test'],
  },
  {
    what: 'a torn canvas: its base was brushed on ten hours ago',
    facts: facts(torn),
    done: [
      ['tear', 14],
      ['tear wet', 13],
      ['tear base', 10],
    ],
    holds: ['tear base'],
  },
  {
    what: 'the canvas two days on: mended, sealed, masked, level and free of lint',
    facts: facts(torn),
    done: [['tear', 60], ['tear wet', 58], ['tear base', 55], ['seal', 28], ...LAST, ['lint', 0.5]],
    holds: [],
  },
  {
    what: 'a soft spot in the first coat, with everything else done',
    facts: facts({
      coats: [first(30), coat()],
      defects: [{ id: 'd', kind: 'soft spot', coatId: 'first' }],
    }),
    done: sanded,
    holds: ['put right'],
  },
  {
    what: 'the soft spot was taken out before all that was done',
    facts: facts({
      coats: [first(30), coat()],
      repaired: [{ kind: 'soft spot', areaIds: ['face'], atMs: NOW - 4 * HOUR }],
    }),
    done: sanded,
    holds: [],
  },
  {
    what: 'a casting whose surface nobody told, masked, level and wiped',
    facts: casting,
    done: wiped,
    holds: ['tooth'],
  },
  { what: 'the casting, sanded too', facts: casting, done: sanded, holds: [] },
  {
    what: 'a board for food under a resin that nobody declares for it',
    facts: facts({ coats: [coat({ fit: ['food not declared'] })] }),
    done: wiped,
    holds: ['fit for use'],
  },
  { what: 'the board under a declared resin', facts: facts(), done: wiped, holds: [] },
  {
    what: 'the face is hard, and the piece still lies face up for the coat of its back',
    facts: facts({ areas: back, coats: [first(30), onBack] }),
    done: wiped,
    holds: ['turn'],
  },
  {
    what: 'turned over four hours ago, then prepared',
    facts: facts({ areas: back, coats: [first(30), onBack], up: 'back', turnedMs: NOW - 4 * HOUR }),
    done: wiped,
    holds: [],
  },
];

describe('ready and not ready, as a finisher judges', () => {
  it.each(STATES.map((s) => [s.what, s] as const))('%s', (_, state) => {
    expect(heldBy(state)).toEqual([...state.holds].sort());
  });
});
