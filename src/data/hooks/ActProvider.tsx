'use client';
import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useState,
  type ReactNode,
} from 'react';
import { shopDb, type ShopDb } from '../db';
import { StaleActionError } from '../repos/wet';
import { loadValidation, type ActionContext } from '../write';
import { useShop } from './ShopProvider';

export interface WriteFailure {
  /** What the user did, in words. */
  readonly action: string;
  readonly reason: string;
  /** The record changed meanwhile; trying again cannot help. */
  readonly stale: boolean;
  /** When the user acted: kept when it is tried again. */
  readonly atMs: number;
  /** What was to be written. */
  readonly kept: unknown;
  readonly retry: () => Promise<void>;
}

export type Outcome<R> = { readonly ok: true; readonly value: R } | { readonly ok: false };

type Act = <R>(
  action: string,
  work: (db: ShopDb, context: ActionContext) => Promise<R>,
  kept?: unknown,
) => Promise<Outcome<R>>;

interface ActState {
  readonly act: Act;
  readonly failure: WriteFailure | null;
  readonly dismiss: () => void;
}

const ActContext = createContext<ActState | null>(null);

const reasonOf = (error: unknown): string =>
  error instanceof Error ? error.message : String(error);

/** Runs actions on the shop. One that fails changes nothing, keeps what was entered and can be tried again. */
export function ActProvider({ children }: { children: ReactNode }) {
  const by = useShop().settings.person;
  const [failure, setFailure] = useState<WriteFailure | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => void loadValidation().then((m) => m.warmSchemas()), 400);
    return () => clearTimeout(timer);
  }, []);
  const act: Act = useCallback(
    async (action, work, kept = null) => {
      const context: ActionContext = { nowMs: Date.now(), by, newId: () => crypto.randomUUID() };
      const attempt = async () => {
        try {
          const value = await work(shopDb(), context);
          setFailure(null);
          return { ok: true, value } as const;
        } catch (error) {
          setFailure({
            action,
            reason: reasonOf(error),
            stale: error instanceof StaleActionError,
            atMs: context.nowMs,
            kept,
            retry: async () => void (await attempt()),
          });
          return { ok: false } as const;
        }
      };
      return attempt();
    },
    [by],
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
