'use client';
import { useEffect, useState, type ComponentType, type ReactNode } from 'react';

/** A part of the screen whose code comes when it is first drawn, or before, when it is asked for. */
export interface Later<P extends object> {
  readonly load: () => Promise<void>;
  readonly Part: ComponentType<P>;
}

/**
 * A part that is fetched when it is first drawn. Once it is here it is drawn in the same pass: what comes out of a
 * Suspense would be held back by React for 300 ms.
 * @param waiting stands in its place until then
 */
export function later<P extends object>(
  fetchIt: () => Promise<ComponentType<P>>,
  waiting: ReactNode = null,
): Later<P> {
  let Here: ComponentType<P> | null = null;
  const load = async () => {
    Here ??= await fetchIt();
  };
  function Part(given: P) {
    const [, setHere] = useState(Here !== null);
    const [trouble, setTrouble] = useState<Error | null>(null);
    useEffect(() => {
      load().then(
        () => setHere(true),
        (e: unknown) => setTrouble(e instanceof Error ? e : new Error(String(e))),
      );
    }, []);
    if (trouble) throw trouble;
    return Here ? <Here {...given} /> : waiting;
  }
  return { load, Part };
}

/** What says that a place is on its way. */
export const OPENING = <p className="opening">Opening …</p>;
