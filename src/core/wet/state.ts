import { standing, type DoneAct, type WeighedBy, type WetAct, type WetEvent } from './event';

export const BATCH_STEPS = [
  'weigh A',
  'weigh B',
  'stir',
  'stirring',
  'cups',
  'pour',
  'cover',
  'done',
] as const;
export type BatchStep = (typeof BATCH_STEPS)[number];

/** What a batch is mixed for: its coats, and the colours that are cut out of it before the pour. */
export interface WetJob {
  readonly coatIds: readonly string[];
  readonly cups: readonly { readonly coatId: string; readonly colour: string }[];
}

/** What left the cup between two times that it was weighed, kg, and for which coats. */
export interface Used {
  readonly coatIds: readonly string[];
  readonly kg: number;
}

/** Where a batch stands. Masses in kg, instants in ms. */
export interface WetState {
  readonly step: BatchStep;
  readonly aKg: number | null;
  readonly bKg: number | null;
  readonly aBy: WeighedBy | null;
  readonly bBy: WeighedBy | null;
  /** Part A that went in after B; part of `aKg`. */
  readonly addedAKg: number;
  readonly mixedMs: number | null;
  readonly stirStartedMs: number | null;
  /** Since when nobody stirs; null: somebody does. And how long nobody did before, ms. */
  readonly pausedMs: number | null;
  readonly idleMs: number;
  readonly stirredMs: number | null;
  readonly changedCupMs: number | null;
  /** When each coat was poured, and covered. */
  readonly poured: ReadonlyMap<string, number>;
  readonly covered: ReadonlyMap<string, number>;
  /** When each coat was gone over for bubbles, or looked over, the newest last. */
  readonly rounds: ReadonlyMap<string, readonly number[]>;
  /** What was missing of each coat, share of what it was to get. */
  readonly short: ReadonlyMap<string, number>;
  /** Cups of colour that were cut, kg, by {@link cupKey}; null: left out. */
  readonly cups: ReadonlyMap<string, number | null>;
  /** What the cup weighed last, kg; null: nobody weighed it. */
  readonly cupKg: number | null;
  /** Coats poured since it was weighed. */
  readonly unweighed: readonly string[];
  readonly used: readonly Used[];
  readonly discarded: Extract<DoneAct, { readonly is: 'discarded' }> | null;
  readonly leftMs: number | null;
}

/** Name of a cup of colour among those of its batch. */
export const cupKey = ({ coatId, colour }: WetJob['cups'][number]): string => `${coatId}/${colour}`;

const NOTHING: WetState = {
  step: 'weigh A',
  ...{ aKg: null, bKg: null, aBy: null, bBy: null, addedAKg: 0 },
  ...{ mixedMs: null, stirStartedMs: null, stirredMs: null, changedCupMs: null, discarded: null },
  ...{ poured: new Map(), covered: new Map(), rounds: new Map(), short: new Map() },
  ...{ pausedMs: null, idleMs: 0, cups: new Map(), cupKg: null, unweighed: [], used: [] },
  leftMs: null,
};

/** What is left to be done, by what was done. */
function stepOf(state: Omit<WetState, 'step'>, { coatIds, cups }: WetJob): BatchStep {
  const { poured, covered, discarded } = state;
  if (state.leftMs !== null) return 'done';
  const wanted = discarded ? [...poured.keys()] : coatIds;
  if (discarded || coatIds.every((id) => poured.has(id)))
    return wanted.every((id) => covered.has(id)) ? 'done' : 'cover';
  if (state.stirredMs !== null)
    return cups.every((cup) => state.cups.has(cupKey(cup))) ? 'pour' : 'cups';
  if (state.stirStartedMs !== null) return 'stirring';
  if (state.mixedMs !== null) return 'stir';
  return state.aKg === null ? 'weigh A' : 'weigh B';
}

/** After the cup was weighed: what was poured since the last time has left it. */
function weighed(state: WetState, kg: number): WetState {
  const { cupKg, unweighed, used } = state;
  const left = cupKg !== null && unweighed.length > 0 && kg <= cupKg;
  return {
    ...{ ...state, cupKg: kg, unweighed: [] },
    used: left ? [...used, { coatIds: unweighed, kg: cupKg - kg }] : used,
  };
}

function after(state: WetState, act: DoneAct): Omit<WetState, 'step'> {
  const { atMs } = act;
  switch (act.is) {
    case 'weighed A':
      return { ...state, aKg: act.kg, aBy: act.by };
    case 'added A':
      return {
        ...state,
        aKg: (state.aKg ?? 0) + act.kg,
        addedAKg: state.addedAKg + act.kg,
        aBy: act.by === 'assumed' ? 'assumed' : state.aBy,
      };
    case 'mixed':
      return { ...state, bKg: act.kg, bBy: act.by, mixedMs: atMs };
    case 'stir started':
      return { ...state, stirStartedMs: atMs };
    case 'changed cup':
      return { ...state, changedCupMs: atMs };
    case 'stir paused':
      return { ...state, pausedMs: atMs };
    case 'stir resumed':
      return {
        ...state,
        pausedMs: null,
        idleMs: state.idleMs + Math.max(0, atMs - (state.pausedMs ?? atMs)),
      };
    case 'stirred':
      return { ...state, stirredMs: atMs };
    case 'cup cut':
      return { ...state, cups: new Map(state.cups).set(cupKey(act), act.kg) };
    case 'cup left out':
      return { ...state, cups: new Map(state.cups).set(cupKey(act), null) };
    case 'cup weighed':
      return weighed(state, act.kg);
    case 'ran short':
      return { ...state, short: new Map(state.short).set(act.coatId, act.share) };
    case 'poured':
      return {
        ...state,
        poured: new Map(state.poured).set(act.coatId, atMs),
        unweighed: [...state.unweighed, act.coatId],
      };
    case 'bubble round':
    case 'looked over': {
      const before = state.rounds.get(act.coatId) ?? [];
      return { ...state, rounds: new Map(state.rounds).set(act.coatId, [...before, atMs]) };
    }
    case 'covered':
      return { ...state, covered: new Map(state.covered).set(act.coatId, atMs) };
    case 'discarded':
      return { ...state, discarded: act };
    case 'left':
      return { ...state, leftMs: atMs };
  }
}

/**
 * Where a batch stands, by what was done; acts that were taken back do not count.
 * @param events in the order of writing @param job what it is mixed for
 */
export function wetState(events: readonly WetEvent[], job: WetJob): WetState {
  const folded = standing(events).reduce<WetState>(
    (state, act) => ({ ...after(state, act), step: state.step }),
    NOTHING,
  );
  return { ...folded, step: stepOf(folded, job) };
}

/**
 * Whether an act can follow here: none is skipped, and none is done twice.
 * @param job what the batch is mixed for
 */
export function follows(state: WetState, act: WetAct, { coatIds, cups }: WetJob): boolean {
  const { step, poured, covered } = state;
  const open = state.leftMs === null;
  switch (act.is) {
    case 'weighed A':
      return step === 'weigh A' && act.kg > 0;
    case 'added A':
      return step === 'weigh B' && act.kg > 0;
    case 'mixed':
      return step === 'weigh B' && act.kg > 0;
    case 'stir started':
      return step === 'stir';
    case 'changed cup':
      return step === 'stirring' && state.changedCupMs === null;
    case 'stir paused':
    case 'stirred':
      return step === 'stirring' && state.pausedMs === null;
    case 'stir resumed':
      return step === 'stirring' && state.pausedMs !== null;
    case 'cup cut':
    case 'cup left out': {
      const planned = cups.some((c) => cupKey(c) === cupKey(act)) && !state.cups.has(cupKey(act));
      return step === 'cups' && planned && (act.is === 'cup left out' || act.kg > 0);
    }
    case 'cup weighed':
      return (step === 'pour' || step === 'cover') && state.discarded === null && act.kg > 0;
    case 'ran short':
      return (
        (step === 'pour' || step === 'cover') &&
        coatIds.includes(act.coatId) &&
        act.share > 0 &&
        act.share <= 1
      );
    case 'poured':
      return step === 'pour' && coatIds.includes(act.coatId) && !poured.has(act.coatId);
    case 'bubble round':
    case 'looked over':
      return poured.has(act.coatId);
    case 'covered':
      return open && poured.has(act.coatId) && !covered.has(act.coatId);
    case 'discarded':
      return (
        state.discarded === null && state.mixedMs !== null && poured.size < coatIds.length && open
      );
    case 'left':
      return step !== 'done';
  }
}

/**
 * The first event that could not follow those before it, or takes back what was not the newest act that stood.
 * @returns its place; null: all could
 */
export function firstWrong(events: readonly WetEvent[], job: WetJob): number | null {
  const ids = new Set<string>();
  for (const [i, event] of events.entries()) {
    const before = events.slice(0, i);
    if (ids.has(event.id)) return i;
    ids.add(event.id);
    if (event.is === 'undone') {
      if (standing(before).at(-1)?.id !== event.of) return i;
    } else if (!follows(wetState(before, job), event, job)) return i;
  }
  return null;
}
