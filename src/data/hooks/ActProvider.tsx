'use client';
import { newId } from '@/records';
import equal from 'fast-deep-equal';
import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
  type ReactNode,
} from 'react';
import { breathe } from '../breathe';
import { shopDb, type ShopDb } from '../db';
import { StaleActionError } from '../errors';
import type { Prefer } from '../merge';
import { loadValidation, type ActionContext } from '../write';
import { useCaughtUp, useShop } from './ShopProvider';
import { useLeaveGuard } from './useLeaveGuard';
import { asError } from './useRead';
import { askToPersist } from './useStorage';

export interface WriteFailure {
  /** What the user did, in words. */
  readonly action: string;
  readonly error: Error;
  /** The record changed meanwhile; trying again cannot help. */
  readonly stale: boolean;
  /** When the user acted: kept when it is tried again. */
  readonly atMs: number;
  /** What was to be written. */
  readonly kept: unknown;
  /** Tries again; `prefer` says which side wins where another changed the same fields. */
  readonly retry: (prefer?: Prefer) => Promise<void>;
}

export type Outcome<R> =
  | { readonly ok: true; readonly value: R }
  /** Not stored; `later` tells of the first retry that is. */
  | { readonly ok: false; readonly later: Promise<R> };

type Act = <R>(
  action: string,
  work: (db: ShopDb, context: ActionContext, prefer: Prefer) => Promise<R>,
  kept?: unknown,
) => Promise<Outcome<R>>;

interface ActState {
  readonly act: Act;
  readonly failure: WriteFailure | null;
  readonly dismiss: () => void;
}

const ActContext = createContext<ActState | null>(null);

/** The one act that brings data that is nobody's own. */
export const LOAD_DEMO = 'load the demo shop';
/** The same act with the same data at the same place within this time of the one before is a double tap: stored once. */
const DOUBLE_MS = 700;

/** The first screen stands for this long before what checks rows is fetched, unless a hand comes first, ms. */
const VALIDATION_MS = 2000;

interface Done {
  readonly action: string;
  /** Where it was done: the same choice for another piece is another act. */
  readonly place: string;
  readonly kept: unknown;
  readonly outcome: Promise<Outcome<unknown>>;
  /** Until then the same act is the same tap; Infinity while it is under way, 0 when it failed. */
  untilMs: number;
}

/** Runs actions on the shop. One that fails changes nothing, keeps what was entered and can be tried again. */
export function ActProvider({ children }: { children: ReactNode }) {
  const by = useShop().settings.person;
  const [failure, setFailure] = useState<WriteFailure | null>(null);
  const last = useRef<Done | null>(null);
  const untilStored = useLeaveGuard(failure !== null);
  const caughtUp = useCaughtUp();
  useEffect(() => {
    // Fetched before the first write needs it, but not while the first screen is on its way.
    const load = () => void loadValidation().then((m) => m.warmSchemas(breathe));
    const timer = setTimeout(load, VALIDATION_MS);
    const hands = ['pointerdown', 'keydown'] as const;
    for (const hand of hands) window.addEventListener(hand, load, { once: true });
    return () => {
      clearTimeout(timer);
      for (const hand of hands) window.removeEventListener(hand, load);
    };
  }, []);
  const run: Act = useCallback(
    async (action, work, kept = null) => {
      const context: ActionContext = { nowMs: Date.now(), by, newId };
      type R = Awaited<ReturnType<typeof work>>;
      let tell: (value: R) => void = () => undefined;
      const later = new Promise<R>((resolve) => (tell = resolve));
      const attempt = async (prefer: Prefer): Promise<Outcome<R>> => {
        try {
          const value = await untilStored(() => work(shopDb(), context, prefer));
          setFailure(null);
          // From the first own data on the browser is asked to keep it.
          if (action !== LOAD_DEMO) askToPersist();
          // What follows upon the act is drawn in one go with the shop that holds it.
          await caughtUp();
          return { ok: true, value };
        } catch (error) {
          const retry = async (chosen: Prefer = null) => {
            const outcome = await attempt(chosen);
            if (outcome.ok) tell(outcome.value);
          };
          const stale = error instanceof StaleActionError;
          setFailure({ action, error: asError(error), stale, atMs: context.nowMs, kept, retry });
          return { ok: false, later };
        }
      };
      return attempt(null);
    },
    [by, untilStored, caughtUp],
  );
  const act: Act = useCallback(
    (action, work, kept = null) => {
      const before = last.current;
      type Same = ReturnType<typeof run<Awaited<ReturnType<typeof work>>>>;
      const place = window.location.pathname;
      const asBefore = before?.action === action && before.place === place;
      const same = kept !== null && asBefore && equal(before.kept, kept);
      if (same && Date.now() < before.untilMs) return before.outcome as Same;
      const outcome = run(action, work, kept);
      const done: Done = { action, place, kept, outcome, untilMs: Infinity };
      last.current = done;
      void outcome.then(({ ok }) => (done.untilMs = ok ? Date.now() + DOUBLE_MS : 0));
      return outcome;
    },
    [run],
  );
  const state = useMemo(() => ({ act, failure, dismiss: () => setFailure(null) }), [act, failure]);
  return <ActContext value={state}>{children}</ActContext>;
}

function useActState(): ActState {
  const state = useContext(ActContext);
  if (!state) throw new Error('useAct: outside ActProvider');
  return state;
}

export const useAct = (): Act => useActState().act;

export function useWriteFailure(): Pick<ActState, 'failure' | 'dismiss'> {
  return useActState();
}
