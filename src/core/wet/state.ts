import { standing, type DoneAct, type WeighedBy, type WetAct, type WetEvent } from './event';

export const BATCH_STEPS = [
  'weigh A',
  'weigh B',
  'stir',
  'stirring',
  'pour',
  'cover',
  'done',
] as const;
export type BatchStep = (typeof BATCH_STEPS)[number];

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
  readonly stirredMs: number | null;
  readonly changedCupMs: number | null;
  /** When each coat was poured, and covered. */
  readonly poured: ReadonlyMap<string, number>;
  readonly covered: ReadonlyMap<string, number>;
  /** When each coat was gone over for bubbles, or looked over, the newest last. */
  readonly rounds: ReadonlyMap<string, readonly number[]>;
  /** What was missing of each coat, share of what it was to get. */
  readonly short: ReadonlyMap<string, number>;
  readonly discarded: Extract<DoneAct, { readonly is: 'discarded' }> | null;
}

const NOTHING: WetState = {
  step: 'weigh A',
  ...{ aKg: null, bKg: null, aBy: null, bBy: null, addedAKg: 0 },
  ...{ mixedMs: null, stirStartedMs: null, stirredMs: null, changedCupMs: null, discarded: null },
  ...{ poured: new Map(), covered: new Map(), rounds: new Map(), short: new Map() },
};

/** What is left to be done, by what was done. */
function stepOf(state: Omit<WetState, 'step'>, coatIds: readonly string[]): BatchStep {
  const { poured, covered, discarded } = state;
  const wanted = discarded ? [...poured.keys()] : coatIds;
  if (discarded || coatIds.every((id) => poured.has(id)))
    return wanted.every((id) => covered.has(id)) ? 'done' : 'cover';
  if (state.stirredMs !== null) return 'pour';
  if (state.stirStartedMs !== null) return 'stirring';
  if (state.mixedMs !== null) return 'stir';
  return state.aKg === null ? 'weigh A' : 'weigh B';
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
        aBy: 'assumed',
      };
    case 'mixed':
      return { ...state, bKg: act.kg, bBy: act.by, mixedMs: atMs };
    case 'stir started':
      return { ...state, stirStartedMs: atMs };
    case 'changed cup':
      return { ...state, changedCupMs: atMs };
    case 'stirred':
      return { ...state, stirredMs: atMs };
    case 'ran short':
      return { ...state, short: new Map(state.short).set(act.coatId, act.share) };
    case 'poured':
      return { ...state, poured: new Map(state.poured).set(act.coatId, atMs) };
    case 'bubble round':
    case 'looked over': {
      const before = state.rounds.get(act.coatId) ?? [];
      return { ...state, rounds: new Map(state.rounds).set(act.coatId, [...before, atMs]) };
    }
    case 'covered':
      return { ...state, covered: new Map(state.covered).set(act.coatId, atMs) };
    case 'discarded':
      return { ...state, discarded: act };
  }
}

/**
 * Where a batch stands, by what was done; acts that were taken back do not count.
 * @param events in the order of writing @param coatIds coats that it is mixed for
 */
export function wetState(events: readonly WetEvent[], coatIds: readonly string[]): WetState {
  const folded = standing(events).reduce<WetState>(
    (state, act) => ({ ...after(state, act), step: state.step }),
    NOTHING,
  );
  return { ...folded, step: stepOf(folded, coatIds) };
}

/**
 * Whether an act can follow here: none is skipped, and none is done twice.
 * @param coatIds coats that the batch is mixed for
 */
export function follows(state: WetState, act: WetAct, coatIds: readonly string[]): boolean {
  const { step, poured, covered } = state;
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
    case 'stirred':
      return step === 'stirring';
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
      return poured.has(act.coatId) && !covered.has(act.coatId);
    case 'discarded':
      return state.discarded === null && state.mixedMs !== null && poured.size < coatIds.length;
  }
}

/**
 * The first event that could not follow those before it, or takes back what was not the newest act that stood.
 * @returns its place; null: all could
 */
export function firstWrong(events: readonly WetEvent[], coatIds: readonly string[]): number | null {
  const ids = new Set<string>();
  for (const [i, event] of events.entries()) {
    const before = events.slice(0, i);
    if (ids.has(event.id)) return i;
    ids.add(event.id);
    if (event.is === 'undone') {
      if (standing(before).at(-1)?.id !== event.of) return i;
    } else if (!follows(wetState(before, coatIds), event, coatIds)) return i;
  }
  return null;
}
