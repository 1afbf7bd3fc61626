import { assign, getInitialSnapshot, getNextSnapshot, setup } from 'xstate';
import { seededRandom } from '../numeric';
import { standing, type WetAct, type WetEvent } from './event';
import { cupKey, follows, wetState } from './state';

const JOB = { coatIds: ['one', 'two'], cups: [{ coatId: 'one', colour: 'teal' }] };
type Act = WetAct & { readonly type: string };
interface Held {
  readonly poured: readonly string[];
  readonly covered: readonly string[];
  readonly paused: boolean;
  readonly changed: boolean;
}
const coatOf = (event: Act) => ('coatId' in event ? event.coatId : '');

/** The order of the work as a chart of states, for a state machine from npm: written apart from the fold. */
const CHART = setup({
  types: { context: {} as Held, events: {} as Act },
  guards: {
    mass: ({ event }) => 'kg' in event && event.kg > 0,
    free: ({ context, event }) =>
      JOB.coatIds.includes(coatOf(event)) && !context.poured.includes(coatOf(event)),
    lies: ({ context, event }) => context.poured.includes(coatOf(event)),
    open: ({ context, event }) =>
      context.poured.includes(coatOf(event)) && !context.covered.includes(coatOf(event)),
    lastOpen: ({ context, event }) =>
      context.poured.includes(coatOf(event)) &&
      !context.covered.includes(coatOf(event)) &&
      context.covered.length + 1 === context.poured.length,
    lastFree: ({ context, event }) =>
      JOB.coatIds.includes(coatOf(event)) &&
      !context.poured.includes(coatOf(event)) &&
      context.poured.length + 1 === JOB.coatIds.length,
    allCovered: ({ context }) => context.poured.length === context.covered.length,
    stirs: ({ context }) => !context.paused,
    rests: ({ context }) => context.paused,
    firstCup: ({ context }) => !context.changed,
    share: ({ event }) =>
      'share' in event && event.share > 0 && JOB.coatIds.includes(coatOf(event)),
    planned: ({ event }) =>
      'colour' in event &&
      cupKey(event) === 'one/teal' &&
      (event.is === 'cup left out' || (event.is === 'cup cut' && event.kg > 0)),
  },
  actions: {
    // An act that moves nothing is one all the same.
    note: () => undefined,
    pour: assign(({ context, event }) => ({ poured: [...context.poured, coatOf(event)] })),
    cover: assign(({ context, event }) => ({ covered: [...context.covered, coatOf(event)] })),
    pause: assign({ paused: true }),
    resume: assign({ paused: false }),
    change: assign({ changed: true }),
  },
}).createMachine({
  initial: 'weigh A',
  context: { poured: [], covered: [], paused: false, changed: false },
  on: { left: '.away' },
  states: {
    'weigh A': { on: { 'weighed A': { guard: 'mass', target: 'weigh B' } } },
    'weigh B': {
      on: {
        'added A': { guard: 'mass', actions: 'note' },
        mixed: { guard: 'mass', target: 'stir' },
      },
    },
    stir: { on: { 'stir started': 'stirring', discarded: 'thrown' } },
    stirring: {
      on: {
        'stir paused': { guard: 'stirs', actions: 'pause' },
        'stir resumed': { guard: 'rests', actions: 'resume' },
        'changed cup': { guard: 'firstCup', actions: 'change' },
        stirred: { guard: 'stirs', target: 'cups' },
        discarded: 'thrown',
      },
    },
    cups: {
      on: {
        'cup cut': { guard: 'planned', target: 'pour' },
        'cup left out': { guard: 'planned', target: 'pour' },
        discarded: 'thrown',
      },
    },
    pour: {
      on: {
        poured: [
          { guard: 'lastFree', target: 'cover', actions: 'pour' },
          { guard: 'free', actions: 'pour' },
        ],
        'ran short': { guard: 'share', actions: 'note' },
        'cup weighed': { guard: 'mass', actions: 'note' },
        'bubble round': { guard: 'lies', actions: 'note' },
        'looked over': { guard: 'lies', actions: 'note' },
        covered: { guard: 'open', actions: 'cover' },
        discarded: [{ guard: 'allCovered', target: 'thrown' }, { target: 'coverRest' }],
      },
    },
    cover: {
      on: {
        'ran short': { guard: 'share', actions: 'note' },
        'cup weighed': { guard: 'mass', actions: 'note' },
        'bubble round': { guard: 'lies', actions: 'note' },
        'looked over': { guard: 'lies', actions: 'note' },
        covered: [
          { guard: 'lastOpen', target: 'done', actions: 'cover' },
          { guard: 'open', actions: 'cover' },
        ],
      },
    },
    coverRest: {
      on: {
        'ran short': { guard: 'share', actions: 'note' },
        'bubble round': { guard: 'lies', actions: 'note' },
        'looked over': { guard: 'lies', actions: 'note' },
        covered: [
          { guard: 'lastOpen', target: 'thrown', actions: 'cover' },
          { guard: 'open', actions: 'cover' },
        ],
      },
    },
    // Nothing is left to be done, but what lies is looked over for its first hour.
    done: {
      on: {
        'bubble round': { guard: 'lies', actions: 'note' },
        'looked over': { guard: 'lies', actions: 'note' },
      },
    },
    thrown: {
      on: {
        'bubble round': { guard: 'lies', actions: 'note' },
        'looked over': { guard: 'lies', actions: 'note' },
      },
    },
    away: {
      on: {
        'bubble round': { guard: 'lies', actions: 'note' },
        'looked over': { guard: 'lies', actions: 'note' },
      },
    },
  },
});
const STEP: Readonly<Record<string, string>> = {
  ...{ coverRest: 'cover', thrown: 'done', away: 'done' },
};
/** Nothing is left of a batch that is over. */
const OVER = ['done', 'thrown', 'away'];

/** Sessions that are tried in the gate, and by `npm run deep`. */
const SESSIONS = process.env['DEEP'] ? 600 : 200;

describe('the fold against a state machine from npm (xstate)', () => {
  it(`lets come next what the machine lets come, and stands where it stands, over ${SESSIONS} seeded hands`, () => {
    const random = seededRandom(33);
    const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
    const coatId = () => pick(['one', 'two', 'gone']);
    const kg = () => pick([0, 0.1]);
    const any = (): WetAct =>
      pick<() => WetAct>([
        () => ({ is: 'weighed A', kg: kg(), by: 'read' }),
        () => ({ is: 'added A', kg: kg(), by: 'by the scale' }),
        () => ({ is: 'mixed', kg: kg(), by: 'read' }),
        () => ({ is: 'stir started' }),
        () => ({ is: 'stir paused' }),
        () => ({ is: 'stir resumed' }),
        () => ({ is: 'changed cup' }),
        () => ({ is: 'stirred' }),
        () => ({ is: 'cup cut', coatId: coatId(), colour: 'teal', kg: kg(), by: 'read' }),
        () => ({ is: 'cup left out', coatId: coatId(), colour: pick(['teal', 'red']) }),
        () => ({ is: 'cup weighed', kg: kg(), by: 'simulated scale' }),
        () => ({ is: 'ran short', coatId: coatId(), share: pick([0, 0.25]) }),
        () => ({ is: 'poured', coatId: coatId() }),
        () => ({ is: 'bubble round', coatId: coatId(), by: 'pick' }),
        () => ({ is: 'looked over', coatId: coatId() }),
        () => ({ is: 'covered', coatId: coatId() }),
        () => (random() < 0.03 ? { is: 'discarded', why: 'spilt' } : { is: 'stirred' }),
        () => (random() < 0.02 ? { is: 'left' } : { is: 'stir started' }),
      ])();
    const seen = new Set<string>();
    for (let run = 0; run < SESSIONS; run += 1) {
      let events: WetEvent[] = [];
      let snapshot = getInitialSnapshot(CHART);
      for (let tap = 0; tap < 40; tap += 1) {
        // Mostly what can come next: a blind hand would seldom get to the covers.
        const before = wetState(events, JOB);
        const tries = Array.from({ length: random() < 0.7 ? 12 : 1 }, any);
        const act = tries.find((a) => follows(before, a, JOB)) ?? (tries[0] as WetAct);
        const event: Act = { ...act, type: act.is };
        const here = before;
        const at = String(snapshot.value);
        expect(here.step).toBe(STEP[at] ?? at);
        const can = act.is === 'left' ? !OVER.includes(at) : snapshot.can(event);
        if (follows(here, act, JOB) !== can) throw new Error(`${at}: ${JSON.stringify(act)}`);
        if (!can) continue;
        events = [...events, { ...act, id: `${run}.${tap}`, atMs: tap }];
        snapshot = getNextSnapshot(CHART, snapshot, event);
        seen.add(String(snapshot.value));
        // Taken back: the machine goes the way again without it.
        if (random() > 0.12) continue;
        const last = standing(events).at(-1);
        if (!last) continue;
        events = [...events, { is: 'undone', of: last.id, id: `u${run}.${tap}`, atMs: tap }];
        snapshot = standing(events).reduce(
          (s, e) => getNextSnapshot(CHART, s, { ...e, type: e.is } as Act),
          getInitialSnapshot(CHART),
        );
      }
    }
    expect([...seen].sort()).toEqual(
      Object.keys(CHART.states)
        .filter((s) => s !== 'weigh A' || seen.has(s))
        .sort(),
    );
  });
});
